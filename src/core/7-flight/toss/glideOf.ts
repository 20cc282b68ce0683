import type { Fraction, MetresPerSecond } from '@/core/1-base/units/convert';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { COLUMN, COLUMNS, type Glider } from './glider';
import { likeMass } from './settings';

/** How a glider of a size glides at the Reynolds numbers that it flies at, its sticks in the middle at every angle. */
export interface Glide {
  /** Most lift before a quarter of the wings lets go, and the speed that flies at. */
  readonly mostLift: Fraction;
  readonly stallSpeed: MetresPerSecond;
  /** Best lift over drag, and the speed of it. */
  readonly bestRatio: number;
  readonly bestSpeed: MetresPerSecond;
  /** Least sinking speed. */
  readonly leastSink: MetresPerSecond;
}

const STEP = radiansFromDegrees(0.25);
const LOWEST = radiansFromDegrees(-4);

/** Looks along the table from a little negative lift up to the stall. @param mass kilograms; dynamically alike without it */
export function glideOf(glider: Glider, mass = likeMass(glider)): Glide {
  const { table, stallAngle, scale, model } = glider;
  const loading = (mass * GRAVITY) / (glider.area * scale ** 2);
  const { density } = model.prepared.air;
  const speedAt = (lift: number) => Math.sqrt((2 * loading) / (density * lift));
  const row = new Float64Array(COLUMNS);
  let [mostLift, bestRatio, bestLift, leastSink] = [0, 0, 0, Infinity];
  for (let alpha = LOWEST; alpha <= stallAngle; alpha += STEP) {
    table(alpha, row);
    const [x, z] = [row[COLUMN.x]!, row[COLUMN.z]!];
    const lift = -z * Math.cos(alpha) + x * Math.sin(alpha);
    const drag = -x * Math.cos(alpha) - z * Math.sin(alpha);
    if (!(lift > 0) || !(drag > 0)) continue;
    mostLift = Math.max(mostLift, lift);
    if (lift / drag > bestRatio) [bestRatio, bestLift] = [lift / drag, lift];
    leastSink = Math.min(leastSink, (speedAt(lift) * drag) / lift);
  }
  return { mostLift, stallSpeed: speedAt(mostLift), bestRatio, bestSpeed: speedAt(bestLift), leastSink };
}
