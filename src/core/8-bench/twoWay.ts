import type { Degrees } from '@/core/1-base/units/convert';
import { slopeByReversal, zeroByReversal } from './reversal';
import { type Shown, steadiness, type SteadyRule } from './steady';

/** A tilt is taken once it has stood within two tenths of a degree for a second and a half. C. */
export const TILT_STEADY: SteadyRule = { window: 1.5, spread: 0.2, least: 5 };
/** Moved by more than that between the two, it was lifted and turned [°]. */
const LIFTED: Degrees = 1;

/**
 * A slope read twice with one meter, turned end for end between: what the meter
 * shows when level falls out. `forward` until the first stands, `turning` until
 * it was lifted, `turned` until the second stands.
 */
export type TwoWay =
  | { readonly phase: 'forward'; readonly shown: readonly Shown[] }
  | { readonly phase: 'turning'; readonly forward: Degrees; readonly shown: readonly Shown[] }
  | { readonly phase: 'turned'; readonly forward: Degrees; readonly shown: readonly Shown[] }
  | { readonly phase: 'done'; readonly slope: Degrees; readonly zero: Degrees };

/** A slope nearer to nought than that may as well be one reading taken twice: a knock looks as if it had been lifted [°]. */
const ALIKE: Degrees = 0.15;

/** Whether both readings are so alike that nobody can tell whether it was turned between. */
export const mayNotBeTurned = (state: TwoWay): boolean => state.phase === 'done' && Math.abs(state.slope) < ALIKE;

/** Back to where it waits to be turned. */
export const notTurned = (forward: Degrees): TwoWay => ({ phase: 'turning', forward, shown: [] });

export const START: TwoWay = { phase: 'forward', shown: [] };

/** No more than that is kept of what was shown: twice the window. */
const kept = (shown: readonly Shown[]): readonly Shown[] => {
  const last = shown.at(-1)!.t;
  return shown.filter(({ t }) => t >= last - 2 * TILT_STEADY.window);
};

/** One reading further. */
export function withShown(state: TwoWay, next: Shown): TwoWay {
  if (state.phase === 'done') return state;
  const shown = kept([...state.shown, next]);
  const now = steadiness(shown, TILT_STEADY)!;
  switch (state.phase) {
    case 'forward':
      return now.isSteady ? { phase: 'turning', forward: now.value, shown: [next] } : { phase: 'forward', shown };
    case 'turning':
      return !(now.spread <= LIFTED) ? { phase: 'turned', forward: state.forward, shown: [next] } : { ...state, shown };
    case 'turned': {
      if (!now.isSteady) return { ...state, shown };
      const read = { forward: state.forward, turned: now.value };
      return { phase: 'done', slope: slopeByReversal(read), zero: zeroByReversal(read) };
    }
  }
}
