import type { RecordKind, RecordOf } from '@/core/2-document/records/recordKinds';
import type { AppThunk } from './reduxStore';

/** Kinds of which several a day are logged, each with photographs of its own. */
export type LoggedKind = Extract<RecordKind, 'tosses' | 'flights' | 'experiments'>;
const NUMBERED: Readonly<Record<LoggedKind, string>> = { tosses: 'toss', flights: 'flight', experiments: 'experiment' };

/** Logs one more of a kind, under the next number that is free, as of now and of the revision that is open. */
export const logRecord =
  <Kind extends LoggedKind>(
    kind: Kind,
    part: Omit<RecordOf<Kind>, 'id' | 'at' | 'revision'>,
  ): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { session, document } = getState();
    if (session.id === null) return;
    const taken = await designs.records.ids(kind, session.id);
    let number = taken.size + 1;
    while (taken.has(`${NUMBERED[kind]}${number}`)) number++;
    const basedOn = document.present?.basedOn;
    await designs.records.put(kind, session.id, {
      ...(basedOn ? { revision: basedOn } : {}),
      ...part,
      id: `${NUMBERED[kind]}${number}`,
      at: new Date().toISOString(),
    } as unknown as RecordOf<Kind>);
  };

/** Changes what was logged; what is undefined is taken out. */
export const changeRecord =
  <Kind extends LoggedKind>(
    kind: Kind,
    record: RecordOf<Kind>,
    part: Partial<RecordOf<Kind>>,
  ): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id === null) return;
    const next = Object.fromEntries(Object.entries({ ...record, ...part }).filter(([, value]) => value !== undefined));
    await designs.records.put(kind, id, next as RecordOf<Kind>);
  };

/** Takes one out with its photographs; the answer puts all of it back. */
export const dropRecord =
  (kind: LoggedKind, record: string): AppThunk<Promise<() => Promise<void>>> =>
  async (_dispatch, getState, { designs: { records } }) => {
    const { id } = getState().session;
    if (id === null) return () => Promise.resolve();
    const photos = (await records.heads('photos', id)).filter(({ part }) => part === record);
    const back = [await records.remove(kind, id, record)];
    for (const photo of photos) back.push(await records.remove('photos', id, photo.id));
    return async () => {
      for (const put of back) await put();
    };
  };

/** Takes in several of a table, all of them or none: those of a known id are replaced. */
export const takeRecords =
  <Kind extends LoggedKind>(kind: Kind, records: readonly RecordOf<Kind>[]): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id !== null) await designs.records.putAll(kind, id, records);
  };
