import type { Fraction, Vector3 } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Samples } from './flightRecord';

/** What the air and the drives do to an aircraft at a moment, in weights. */
export interface FlightForces {
  /** x ahead of the launch point, y to the right, z up. */
  readonly whole: Vector3;
  /** Square to the path, and against it; thrust counts as less drag. */
  readonly lift: Fraction;
  readonly drag: Fraction;
}

/** Samples to either side over which the motion is looked at. */
const ASIDE = 2;

/**
 * Forces by how the path bends and the speed changes, F = m (a + g), from the
 * record itself (central differences; the air that is moved along counts with
 * them). Null where the record is too short. @param index place in the record
 */
export function forcesAt({ t, x, y, z }: Samples, index: number): FlightForces | null {
  // The last sample is taken as the flight ends, out of step with the others.
  const last = t.length - 2;
  const at = Math.min(last - ASIDE, Math.max(ASIDE, index));
  if (last < 2 * ASIDE || at < ASIDE) return null;
  const [before, after] = [at - ASIDE, at + ASIDE];
  const step = (t[after]! - t[before]!) / 2;
  const speedOf = (of: readonly number[]) => (of[after]! - of[before]!) / (2 * step);
  const gainOf = (of: readonly number[]) => (of[after]! - 2 * of[at]! + of[before]!) / step ** 2;
  const speed = [x, y, z].map(speedOf) as unknown as Vector3;
  const whole = [gainOf(x) / GRAVITY, gainOf(y) / GRAVITY, 1 + gainOf(z) / GRAVITY] as const;
  const met = Math.hypot(...speed);
  if (!(met > 0)) return null;
  const along = whole.reduce((sum, value, axis) => sum + (value * speed[axis]!) / met, 0);
  const square = Math.hypot(...whole) ** 2 - along ** 2;
  return { whole, lift: Math.sqrt(Math.max(0, square)), drag: -along };
}
