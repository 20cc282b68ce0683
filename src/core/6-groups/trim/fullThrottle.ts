import { metresFromMillimetres, radiansFromDegrees, type Metres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { thrustGiven } from '../power/thrustGiven';
import type { Prepared } from '../solution/prepare';

/** Climb at so much over the stall. */
const CLIMB_OVER_STALL = 1.3;

/** Nose-up moment per newton of all drives together, pulling alike. @param about balance point, x and z */
function thrustArm({ propulsion }: Design, about: readonly number[]): Metres {
  const arms = propulsion.map(({ position, downThrust }) => {
    const tilt = radiansFromDegrees(downThrust);
    const aft = metresFromMillimetres(position.x) - about[0]!;
    const up = metresFromMillimetres(position.z) - about[2]!;
    return aft * Math.sin(tilt) - up * Math.cos(tilt);
  });
  return arms.reduce((sum, arm) => sum + arm, 0) / arms.length;
}

export interface FullThrottle {
  /** Of the thrust at a standstill, nose up positive [N·m]. */
  readonly staticMoment: number;
  /** C_m of the thrust that is left at climbing speed. */
  readonly climbMoment: number;
}

/**
 * Pitching moments of full thrust, standing and at 1.3 stall speeds; thrust by
 * motor, propeller and pack, or guessed from the weight of the motors (±30 %).
 * The stream over the tail is left out. Null without motor or drive.
 */
export function fullThrottle(
  { design, about, air, reference }: Prepared,
  stallSpeed: number | null,
): FullThrottle | null {
  const thrust = thrustGiven(design, air);
  if (thrust === null || stallSpeed === null || design.propulsion.length === 0) return null;
  const arm = thrustArm(design, about);
  const speed = CLIMB_OVER_STALL * stallSpeed;
  const pressure = (air.density * speed ** 2) / 2;
  return {
    staticMoment: thrust.standing * arm,
    climbMoment: (thrust.at(speed) * arm) / (pressure * reference.area * reference.meanChord),
  };
}
