import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Metres, MetresPerSecond, Newtons, Seconds } from '@/core/1-base/units/convert';
import type { PropellerTable } from '../propeller/propellerTable';
import type { Rubber } from './rubber';

export interface Moment {
  readonly time: Seconds;
  readonly height: Metres;
  readonly torque: number;
  readonly thrust: Newtons;
  readonly perSecond: number;
  readonly turnsLeft: number;
}

export interface Unwinding {
  readonly moments: readonly Moment[];
  readonly runTime: Seconds;
  readonly highest: Metres;
  /** When the thrust falls below the drag; null where it never is above. */
  readonly climbsFor: Seconds | null;
  /** Work of the propeller on the air ahead [J]. */
  readonly work: number;
}

export interface UnwindingInput {
  readonly rubber: Rubber;
  readonly propeller: PropellerTable;
  /** Motors alike, each with its propeller. */
  readonly count: number;
  readonly speed: MetresPerSecond;
  readonly weight: Newtons;
  readonly drag: Newtons;
}

const STEPS = 120;
/** Fewest and most revolutions that are looked at [1/s]. */
const TURNS = [0.2, 400] as const;
/** Longer than that nobody watches. */
const LONGEST: Seconds = 1800;

/** Revolutions at which a propeller takes a torque; the fewest or most where none does. */
export function turnsUnder(propeller: PropellerTable, speed: MetresPerSecond, torque: number): number {
  const [least, most] = TURNS;
  const surplus = (perSecond: number) => propeller.at(speed, perSecond).torque - torque;
  const found = findRoot(surplus, { low: least, high: most, tolerance: 1e-6 });
  return found.kind === 'notBracketed' ? (surplus(most) < 0 ? most : least) : found.x;
}

/**
 * How a motor runs down in flight at one speed: at every moment the torque of
 * the strands is that of the propeller, Ṅ = −n, sin γ = (T − D)/W. The run ends
 * at the last turn, the climb where T falls below D.
 */
export function unwinding({ rubber, propeller, count, speed, weight, drag }: UnwindingInput): Unwinding {
  const moments: Moment[] = [];
  let [time, height, highest, work] = [0, 0, 0, 0];
  let climbsFor: Seconds | null = null;
  const step = rubber.wound / STEPS;
  for (let index = 0; index < STEPS && time < LONGEST; index++) {
    const left = rubber.wound - (index + 0.5) * step;
    const torque = rubber.torqueAt(left);
    const perSecond = turnsUnder(propeller, speed, torque);
    const thrust = (count * propeller.at(speed, perSecond).thrust) as Newtons;
    const lasts = step / perSecond;
    const sine = Math.min(1, Math.max(-1, (thrust - drag) / weight));
    moments.push({ time, height, torque, thrust, perSecond, turnsLeft: left });
    time += lasts;
    height += speed * sine * lasts;
    work += thrust * speed * lasts;
    if (sine > 0) climbsFor = time;
    highest = Math.max(highest, height);
  }
  return { moments, runTime: time, highest, climbsFor, work };
}
