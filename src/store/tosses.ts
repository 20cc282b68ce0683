import type { Toss } from '@/core/7-flight/toss/settings';
import { changeRecord, dropRecord, logRecord, takeRecords } from './records';
import type { AppThunk } from './reduxStore';

/** What of a toss may be typed. */
export type TossPart = Partial<Omit<Toss, 'id' | 'at'>>;

/** Logs a toss with what is on the glider since the last one. */
export const logToss = (
  last: Toss | undefined,
  part: TossPart & Pick<Toss, 'result' | 'scale'>,
): AppThunk<Promise<void>> => {
  const kept = last && last.scale === part.scale ? last : undefined;
  return logRecord('tosses', {
    ...(kept?.mass === undefined ? {} : { mass: kept.mass }),
    ...(kept?.balance === undefined ? {} : { balance: kept.balance }),
    ...(kept?.shim === undefined ? {} : { shim: kept.shim }),
    ...(kept?.ballast === undefined ? {} : { ballast: kept.ballast }),
    ...(kept?.ballastAt === undefined ? {} : { ballastAt: kept.ballastAt }),
    track: [],
    notes: '',
    ...part,
  });
};

/** Changes what was logged of a toss; what is undefined is taken out. */
export const changeToss = (toss: Toss, part: TossPart) => changeRecord('tosses', toss, part);

/** Takes a toss out with its photographs; the answer puts all of it back. */
export const dropToss = (toss: string) => dropRecord('tosses', toss);

/** Takes in tosses of a table, all of them or none: those of a known id are replaced. */
export const takeTosses = (tosses: readonly Toss[]) => takeRecords('tosses', tosses);
