import type { Radians } from '@/core/1-base/units/convert';

/** Lift and drag coefficient of a blade section. */
export interface SectionForces {
  readonly lift: number;
  readonly drag: number;
}

/** Angle at which a blade of small propellers lifts nothing: cambered by some 4 %, thin. */
export const ZERO_LIFT: Radians = -0.0589;
/** Lift slope [1/rad] at the Reynolds number below. */
const SLOPE = 6.03;
/** Far more than in a wind tunnel: turning throws the slowed air outwards, and sections near a hub lift up to 3 (Himmelskamp 1945). */
const MOST_LIFT = 2.85;
/** Over so many radians the flow lets go. */
const LETS_GO = 0.73;
/** Reynolds number that the drag is given at, least drag there, and how it grows with the lift. */
const REYNOLDS = 1e5;
const LEAST_DRAG = 0.0221;
const GROWS = 0.0912;
/** Near its least, drag grows more steeply than with the square of the lift: the boundary layer of thin sections thickens from the first angle on. */
const DRAG_WITH_LIFT = 1.33;
const LEAST_DRAG_AT = 0.028;
/** Drag and lift go with the Reynolds number to these powers; below the least and above the most they are held. */
const DRAG_POWER = -0.145;
const LIFT_POWER = 0.114;
const LEAST_REYNOLDS = 1e4;
const MOST_REYNOLDS = 3e5;
/** Across the wind, as a flat plate. */
const BROADSIDE = 1.9;

/**
 * A thin cambered section at Reynolds numbers of 2·10⁴ to 3·10⁵, attached and
 * stalled, for blades of model propellers. Source: fit within the ranges that
 * Brandt & Selig (AIAA 2011-1255) and Deters, Ananda & Selig (AIAA 2014-2151)
 * measured for whole propellers; flat plate beyond the stall (Hoerner,
 * Fluid-Dynamic Drag, ch. 3). ±15 % of thrust, ±20 % of power.
 */
export function bladeSection(angle: Radians, reynolds: number): SectionForces {
  const scale = Math.min(MOST_REYNOLDS, Math.max(LEAST_REYNOLDS, reynolds)) / REYNOLDS;
  const attached = SLOPE * scale ** LIFT_POWER * (angle - ZERO_LIFT);
  const [lift, drag] = [
    attached,
    LEAST_DRAG * scale ** DRAG_POWER + GROWS * Math.abs(attached - LEAST_DRAG_AT) ** DRAG_WITH_LIFT,
  ];
  const over = Math.abs(attached) - MOST_LIFT;
  if (over <= 0) return { lift, drag };
  const gone = Math.min(1, over / SLOPE / LETS_GO);
  const held = Math.sign(attached) * MOST_LIFT;
  const plate = { lift: Math.sin(2 * angle), drag: BROADSIDE * Math.sin(angle) ** 2 };
  const stalledDrag = Math.max(plate.drag, drag * (1 - gone));
  return {
    lift: held + gone * (plate.lift - held),
    drag: drag * (1 - gone) + gone * stalledDrag,
  };
}

/** Angle at which an attached section lifts so much. */
export function angleForLift(lift: number, reynolds: number): Radians {
  const scale = Math.min(MOST_REYNOLDS, Math.max(LEAST_REYNOLDS, reynolds)) / REYNOLDS;
  return ZERO_LIFT + lift / (SLOPE * scale ** LIFT_POWER);
}
