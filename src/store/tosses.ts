import type { Toss } from '@/core/7-flight/toss/settings';
import type { AppThunk } from './reduxStore';

/** What of a toss may be typed. */
export type TossPart = Partial<Omit<Toss, 'id' | 'at'>>;

/** Logs a toss with what is on the glider since the last one. */
export const logToss =
  (last: Toss | undefined, part: TossPart & Pick<Toss, 'result' | 'scale'>): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { session, document } = getState();
    if (session.id === null) return;
    const taken = await designs.records.ids('tosses', session.id);
    let number = taken.size + 1;
    while (taken.has(`toss${number}`)) number++;
    const kept = last && last.scale === part.scale ? last : undefined;
    const toss: Toss = {
      ...(kept?.mass === undefined ? {} : { mass: kept.mass }),
      ...(kept?.balance === undefined ? {} : { balance: kept.balance }),
      ...(kept?.shim === undefined ? {} : { shim: kept.shim }),
      ...(kept?.ballast === undefined ? {} : { ballast: kept.ballast }),
      ...(kept?.ballastAt === undefined ? {} : { ballastAt: kept.ballastAt }),
      ...(document.present?.basedOn ? { revision: document.present.basedOn } : {}),
      track: [],
      notes: '',
      ...part,
      id: `toss${number}`,
      at: new Date().toISOString(),
    };
    await designs.records.put('tosses', session.id, toss);
  };

/** Changes what was logged of a toss; what is undefined is taken out. */
export const changeToss =
  (toss: Toss, part: TossPart): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id === null) return;
    const next = Object.fromEntries(Object.entries({ ...toss, ...part }).filter(([, value]) => value !== undefined));
    await designs.records.put('tosses', id, next as Toss);
  };

/** Takes a toss out with its photographs; the answer puts all of it back. */
export const dropToss =
  (toss: string): AppThunk<Promise<() => Promise<void>>> =>
  async (_dispatch, getState, { designs: { records } }) => {
    const { id } = getState().session;
    if (id === null) return () => Promise.resolve();
    const photos = (await records.heads('photos', id)).filter(({ part }) => part === toss);
    const back = [await records.remove('tosses', id, toss)];
    for (const photo of photos) back.push(await records.remove('photos', id, photo.id));
    return async () => {
      for (const put of back) await put();
    };
  };

/** Takes in tosses of a table, all of them or none: those of a known id are replaced. */
export const takeTosses =
  (tosses: readonly Toss[]): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id !== null) await designs.records.putAll('tosses', id, tosses);
  };
