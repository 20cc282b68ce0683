import { isLifting } from '@/core/2-document/schema/roles';
import { degreesFromRadians, type Fraction, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';

/**
 * Lift of slender deltas, whose leading edges roll up vortices in place of a
 * stall that spreads over the span:
 *
 *   C_L = K_p sin α cos²α + K_v cos α sin²α
 *
 * K_p attached slope, K_v ≈ π; α from zero lift. Aspect ratios below 2.5.
 * Source: Polhamus, NASA TN D-3767, 1966; ±10 % up to the burst of the vortices.
 */
const SLENDER = 2.5;
const LEAST_SWEEP = radiansFromDegrees(45);
const SUCTION = Math.PI;

/**
 * Angle of attack at which the vortices burst over the wing and lift no longer
 * grows, by the sweep of the leading edge [°]. Source: Wentz & Kohlman,
 * J. Aircraft 8 (1971) no. 3; ±15 %.
 */
const BURST: readonly (readonly [sweep: number, alpha: number])[] = [
  [45, 18],
  [50, 20],
  [55, 23],
  [60, 27],
  [65, 31],
  [70, 35],
  [75, 38],
];

/** Aspect ratio of a surface by itself. */
function aspectRatioOf(surface: PlacedSurface): number {
  const { area } = integratePlanforms([surface]) ?? { area: 0 };
  const span = 2 * surface.stations.at(-1)!.y;
  return area > 0 ? span ** 2 / area : Infinity;
}

const leadingSweep = ({ stations }: PlacedSurface): Radians => {
  const [root, tip] = [stations[0]!, stations.at(-1)!];
  return Math.atan2(tip.x - root.x, tip.y - root.y);
};

/** True for a lifting surface that flies on the vortices of its leading edges when slow. */
export const isSlenderDelta = (surface: PlacedSurface): boolean =>
  isLifting(surface) && surface.mirrored && leadingSweep(surface) >= LEAST_SWEEP && aspectRatioOf(surface) < SLENDER;

/** Angle of attack, from zero lift, up to which a delta gains lift. */
export function burstAngle(surface: PlacedSurface): Radians {
  const sweep = degreesFromRadians(leadingSweep(surface));
  const after = BURST.findIndex(([at]) => at >= sweep);
  if (after === 0) return radiansFromDegrees(BURST[0]![1]);
  if (after < 0) return radiansFromDegrees(BURST.at(-1)![1]);
  const [[from, low], [to, high]] = [BURST[after - 1]!, BURST[after]!];
  return radiansFromDegrees(low + ((high - low) * (sweep - from)) / (to - from));
}

/** C_L of the whole at an angle from zero lift. @param slope attached, per radian @param share of the reference area that is delta */
export const vortexLift = (alpha: Radians, slope: number, share: Fraction): Fraction =>
  slope * Math.sin(alpha) * Math.cos(alpha) ** 2 + share * SUCTION * Math.cos(alpha) * Math.sin(alpha) ** 2;

/** Greatest lift of the aircraft as far as its deltas carry it; null when it has none. */
export function deltaLimit(
  surfaces: readonly PlacedSurface[],
  slope: number,
  referenceArea: number,
): { readonly lift: Fraction; readonly alpha: Radians; readonly surface: string } | null {
  const limits = surfaces.filter(isSlenderDelta).map((surface) => {
    const alpha = burstAngle(surface);
    const share = (integratePlanforms([surface])?.area ?? 0) / referenceArea;
    return { lift: vortexLift(alpha, slope, share), alpha, surface: surface.id };
  });
  return limits.toSorted((a, b) => a.alpha - b.alpha)[0] ?? null;
}
