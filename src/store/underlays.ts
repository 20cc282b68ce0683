import { MOST_PICTURE_BYTES, type RecordOf } from '@/core/2-document/records/recordKinds';
import type { AppThunk } from './reduxStore';

export type Photo = RecordOf<'photos'>;
/** Where a picture lies under the drawing. */
export type Underlay = NonNullable<Photo['underlay']>;

/** A picture as it goes into the storage. */
export interface Picture {
  readonly name: string;
  readonly type: Photo['type'];
  readonly bytes: Uint8Array<ArrayBuffer>;
}

/**
 * Lays a picture under the drawing of the open design, its middle at a place
 * and as wide as so many millimetres.
 * @throws when it is larger than a record may hold, or the storage takes nothing
 */
export const addUnderlay =
  ({ name, type, bytes }: Picture, underlay: Underlay): AppThunk<Promise<void>> =>
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
      underlay,
      notes: '',
    };
    await designs.records.put('photos', session.id, photo, bytes);
  };

/** Moves, turns or scales a picture under the drawing. */
export const changeUnderlay =
  (photo: Photo, part: Partial<Underlay>): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id !== null && photo.underlay)
      await designs.records.put('photos', id, { ...photo, underlay: { ...photo.underlay, ...part } });
  };

/** Takes a picture out; the answer puts it back. */
export const dropUnderlay =
  (photo: string): AppThunk<Promise<() => Promise<void>>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    return id === null ? () => Promise.resolve() : designs.records.remove('photos', id, photo);
  };

/** A place of the view that a picture lies in [mm]. */
type Place = readonly [x: number, across: number];

/**
 * The picture so scaled that two of its points are as far apart as they are in
 * truth; the first of them stays where it is.
 * @returns null where the points are one
 */
export function scaledByTwoPoints(underlay: Underlay, [a, b]: readonly [Place, Place], apart: number): Underlay | null {
  const drawn = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (drawn < 1e-6 || !(apart > 0)) return null;
  const factor = apart / drawn;
  return {
    ...underlay,
    width: underlay.width * factor,
    x: a[0] + (underlay.x - a[0]) * factor,
    across: a[1] + (underlay.across - a[1]) * factor,
  };
}
