import type { MetresPerSecond, Vector3 } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/flowCase';
import { effectKept } from '../aeroelastic/effectKept';
import { signAt, type Supple } from '../aeroelastic/supple';
import { type StripLoads, totalOf } from '../aeroelastic/stripLoads';
import type { SuppleAircraft } from './suppleAircraft';

/** No model of board goes faster; beyond it a speed is said to be none [m/s]. */
export const FASTEST = 100;
const SLOWEST = 2;
const STEPS = 18;
const HALVINGS = 24;

/** First speed, from slow to fast, at which a value turns its sign; null up to the fastest. */
function firstTurn(value: (speed: number) => number): MetresPerSecond | null {
  let low = SLOWEST;
  const start = Math.sign(value(low)) || 1;
  for (let step = 1; step <= STEPS; step++) {
    let high = SLOWEST * (FASTEST / SLOWEST) ** (step / STEPS);
    if (Math.sign(value(high)) !== start) {
      for (let round = 0; round < HALVINGS && high - low > 1e-4 * high; round++) {
        const middle = (low + high) / 2;
        if (Math.sign(value(middle)) === start) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    }
    low = high;
  }
  return null;
}

const pressureAt = ({ stiff }: SuppleAircraft, speed: number) => (stiff.air.density * speed ** 2) / 2;

/** Speed at which a twist feeds itself: the equations of bending and air have no answer; of both halves the slower. */
export function divergenceSpeed(body: SuppleAircraft): MetresPerSecond | null {
  const of = (supple: Supple) => firstTurn((speed) => signAt(supple, pressureAt(body, speed)));
  const found = [of(body.alike), of(body.opposite())].filter((speed) => speed !== null);
  return found.length > 0 ? Math.min(...found) : null;
}

/** Moment of a command about the balance point as everything bends, over that of a stiff aircraft. */
export interface Kept {
  readonly at: (speed: MetresPerSecond) => number | null;
  readonly reverses: () => MetresPerSecond | null;
}

/** How much of the moment of a load about an axis is left at speed; null where there is none to begin with. @param loads of one radian of the command, per dynamic pressure */
export function kept(
  body: SuppleAircraft,
  parity: Parity,
  loads: StripLoads,
  pick: (moment: Vector3) => number,
): Kept | null {
  const supple = parity === 'symmetric' ? body.alike : body.opposite();
  const { about, model } = body.stiff;
  const momentOf = (of: StripLoads) => pick(totalOf(model.lattice, of, parity, about).moment);
  const effect = effectKept(supple, loads, momentOf);
  return (
    effect && {
      at: (speed) => effect.at(pressureAt(body, speed)),
      reverses: () => firstTurn((speed) => effect.signAt(pressureAt(body, speed))),
    }
  );
}
