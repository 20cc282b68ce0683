import type { Metres, MetresPerSecond, Radians, Vector3 } from '@/core/1-base/units/convert';

/** Velocity of the air at a time and place (x ahead of the launch, y right, z height), in earth axes with z down [m/s]. */
export type AirField = (t: number, place: readonly [x: Metres, y: Metres, z: Metres]) => Vector3;

/** Height of the ground at a distance ahead of the launch point. */
export type Terrain = (x: Metres) => Metres;

export interface Hill {
  /** Against the launch, over the flat land before it. */
  readonly wind: MetresPerSecond;
  /** Of its face against the horizon. */
  readonly slope: Radians;
  /** From its foot to the edge that is thrown from. */
  readonly height: Metres;
}

/**
 * Wind over the edge of a slope: along a face of angle θ the air goes up with
 * it, w = U sin θ; away from the edge that dies with the distance over the
 * height of the hill, 1/(1 + (r/h)²), as over a half cylinder of that height,
 * and nothing of it is left below the foot. Source: potential flow over a half
 * cylinder, w ∝ (h/r)² far off (Milne-Thomson, Theoretical Hydrodynamics, ch. 6);
 * the edge itself separates: ±50 %.
 */
export function overHill({ wind, slope, height }: Hill): AirField {
  return (_, [x, , z]) => {
    // The face lies ahead of and below the edge: its middle is the source of the lift.
    const [ahead, above] = [x - height / (2 * Math.tan(slope)), z + height / 2];
    const near = 1 / (1 + (ahead ** 2 + Math.max(0, above - height / 2) ** 2) / height ** 2);
    const rise = wind * Math.sin(slope) * near;
    return [-Math.sqrt(Math.max(0, wind ** 2 - rise ** 2)), 0, -rise];
  };
}

/** Height of the ground below a place of that slope, nought at the edge. */
export const groundOfHill =
  ({ slope, height }: Hill): Terrain =>
  (x) =>
    (x <= 0 ? 0 : -Math.min(height, x * Math.tan(slope))) as Metres;

/** Even wind against the launch, and from the right. */
export const evenWind =
  (against: MetresPerSecond, fromRight: MetresPerSecond = 0 as MetresPerSecond): AirField =>
  () => [-against, -fromRight, 0];
