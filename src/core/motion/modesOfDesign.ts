import { GRAVITY } from '../aero/atmosphere';
import type { Prepared } from '../analysis/prepare';
import type { Numbers } from '../working/build';
import { lateralModes, longitudinalModes, type Mode } from './linearModes';

export interface MotionResult {
  readonly longitudinal: readonly Mode[];
  readonly lateral: readonly Mode[];
}

/**
 * Modes of a design at its cruise trim. Speed derivatives at constant thrust:
 * C_Xu = −2C_D, C_Zu = −2C_L; lag of the downwash C_mα̇ = C_mq dε/dα.
 * Source: Etkin & Reid, Dynamics of Flight, tables 4.4 and 5.1. Null with a
 * reason in words when mass, trim or drag is missing.
 */
export function modesOfDesign(
  { air, reference }: Prepared,
  numbers: Omit<Numbers, 'motion' | 'feel'>,
): MotionResult | string {
  const { mass, trim, pitch, lateral, drag } = numbers;
  if (mass.total === null || mass.inertia === null) return 'Nothing has a mass yet.';
  if (trim.alpha === null || trim.liftCoefficient === null || trim.speed === null)
    return trim.reasons['alpha'] ?? 'It is not trimmed.';
  if (drag.total === null) return drag.reasons['total'] ?? 'Drag is not known.';
  if (!(mass.inertia.xx > 0 && mass.inertia.yy > 0 && mass.inertia.zz > 0)) {
    return 'All mass lies in one point or line: give parts a size or spread them out.';
  }
  const { area, meanChord, span, aspectRatio } = reference;
  const speed = trim.speed;
  const force = (air.density * speed * area) / 2;
  const lift = trim.liftCoefficient;
  const dragPerAlpha = (2 * lift * pitch.liftSlope!) / (Math.PI * aspectRatio * (drag.spanEfficiency ?? 0.9));
  const longitudinal = longitudinalModes({
    mass: mass.total,
    inertiaY: mass.inertia.yy,
    speed,
    gravity: GRAVITY,
    xu: -2 * drag.total * force,
    xw: (lift - dragPerAlpha) * force,
    zu: -2 * lift * force,
    zw: -(pitch.liftSlope! + drag.total) * force,
    zq: 0,
    zwDot: 0,
    mu: 0,
    mw: pitch.momentSlope! * force * meanChord,
    mq: (pitch.pitchDamping! * force * meanChord ** 2) / 2,
    mwDot: (pitch.pitchDamping! * (pitch.downwashSlope ?? 0) * force * meanChord ** 2) / (2 * speed),
  });
  const turn = (force * span ** 2) / 2;
  const lateralMotion = lateralModes({
    mass: mass.total,
    inertiaX: mass.inertia.xx,
    inertiaZ: mass.inertia.zz,
    inertiaXZ: mass.inertia.xz,
    speedX: speed * Math.cos(trim.alpha),
    speedZ: speed * Math.sin(trim.alpha),
    pitchAngle: trim.alpha,
    gravity: GRAVITY,
    yv: lateral.sideForceSlope! * force,
    yp: (lateral.sideForceFromRollRate! * force * span) / 2,
    yr: (lateral.sideForceFromYawRate! * force * span) / 2,
    lv: lateral.dihedralEffect! * force * span,
    lp: lateral.rollDamping! * turn,
    lr: lateral.rollFromYawRate! * turn,
    nv: lateral.yawStiffness! * force * span,
    np: lateral.yawFromRollRate! * turn,
    nr: lateral.yawDamping! * turn,
  });
  return { longitudinal, lateral: lateralMotion };
}
