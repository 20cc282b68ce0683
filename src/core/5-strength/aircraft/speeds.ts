import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { MetresPerSecond, Pascals } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/influence';
import { effectKept } from '../aeroelastic/effectKept';
import type { StripLoads } from '../aeroelastic/stripLoads';
import type { SuppleAircraft } from './suppleAircraft';

/** No model of board goes faster; beyond it a speed is said to be none [m/s]. */
export const FASTEST = 100;
const SLOWEST = 2;
const STEPS = 8;
/** Speeds are told to so much of themselves. */
const NEAR = 3e-4;

/** First speed, from slow to fast, at which a value turns its sign; null up to a speed. */
function firstTurn(value: (speed: number) => number, upTo: MetresPerSecond): MetresPerSecond | null {
  let low = SLOWEST;
  const start = Math.sign(value(low)) || 1;
  for (let step = 1; step <= STEPS; step++) {
    const high = Math.min(upTo, SLOWEST * (FASTEST / SLOWEST) ** (step / STEPS));
    if (high <= low) return null;
    if (Math.sign(value(high)) !== start) {
      const found = findRoot(value, { low, high, tolerance: NEAR * low });
      return found.kind === 'notBracketed' ? low : found.x;
    }
    low = high;
  }
  return null;
}

export const pressureAt = ({ stiff }: SuppleAircraft, speed: MetresPerSecond): Pascals =>
  (stiff.air.density * speed ** 2) / 2;

/** Moment of a command about the balance point as everything bends, over that of a stiff aircraft. */
export interface Kept {
  readonly at: (speed: MetresPerSecond) => number | null;
  /** The speed from which it acts backward; null up to a speed, beyond which nothing holds. */
  readonly reverses: (upTo: MetresPerSecond) => MetresPerSecond | null;
}

/** How much of the moment of a load about an axis is left at speed, in level flight at that speed; null where there is none to begin with. @param loads of one radian of the command, per dynamic pressure */
export function kept(body: SuppleAircraft, parity: Parity, loads: StripLoads, axis: 0 | 1 | 2): Kept | null {
  const supple = parity === 'symmetric' ? body.alike : body.opposite();
  const { about } = body.stiff;
  const effect = effectKept(supple, loads, { about, pick: ({ moment }) => moment[axis] }, (pressure) =>
    body.equations(parity, pressure),
  );
  return (
    effect && {
      at: (speed) => effect.at(pressureAt(body, speed)),
      reverses: (upTo) => firstTurn((speed) => effect.signAt(pressureAt(body, speed)), upTo),
    }
  );
}
