import type { Analysis } from '../analysis/types';
import type { UnitKind } from '../units/unitKind';
import type { Working, WorkingInput } from './working';

/** The numbers that workings speak of. */
export type Numbers = Omit<Analysis, 'findings' | 'workings'>;

export const input = (symbol: string, name: string, value: number, unit: UnitKind): WorkingInput => ({
  symbol,
  name,
  value,
  unit,
});

/** A working of a number that is known; none of one that is not. */
export function whenKnown(value: number | null, explain: (value: number) => Working): Working[] {
  return value === null ? [] : [explain(value)];
}
