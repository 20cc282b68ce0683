import { MOST_PICTURE_BYTES, type RecordOf } from '@/core/2-document/records/recordKinds';
import type { AppThunk } from './reduxStore';

export type Photo = RecordOf<'photos'>;

/** A picture as it goes into the storage. */
export interface Picture {
  readonly name: string;
  readonly type: Photo['type'];
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/**
 * Keeps a picture beside the open design. @param about what it shows, or where it lies
 * @throws when it is larger than a record may hold, or the storage takes nothing
 */
export const addPicture =
  ({ name, type, bytes }: Picture, about: Pick<Photo, 'underlay'> | Pick<Photo, 'part'>): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { session, document } = getState();
    if (session.id === null) return;
    if (bytes.length > MOST_PICTURE_BYTES) throw new Error('it is larger than 400 kB. Make it smaller');
    const taken = await designs.records.ids('photos', session.id);
    let number = taken.size + 1;
    while (taken.has(`picture${number}`)) number++;
    const photo: Photo = {
      id: `picture${number}`,
      at: new Date().toISOString(),
      ...(document.present?.basedOn ? { revision: document.present.basedOn } : {}),
      name: name.slice(0, 200),
      type,
      bytes: bytes.length,
      ...about,
      notes: '',
    };
    await designs.records.put('photos', session.id, photo, bytes);
  };

/** Takes a picture out; the answer puts it back. */
export const dropPicture =
  (photo: string): AppThunk<Promise<() => Promise<void>>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    return id === null ? () => Promise.resolve() : designs.records.remove('photos', id, photo);
  };
