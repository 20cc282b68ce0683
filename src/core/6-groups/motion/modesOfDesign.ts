import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Prepared } from '../solution/prepare';
import type { Words } from '@/core/1-base/words/phrase';
import type { ValueOf } from '../group';
import type { drag } from '../drag/drag';
import type { lateral } from '../lateral/lateral';
import type { mass } from '../mass/mass';
import type { pitch } from '../pitch/pitch';
import type { trim } from '../trim/trim';
import { NOTHING_WEIGHED } from '../words';
import { lateralModes, longitudinalModes, type Mode } from './linearModes';

export interface MotionResult {
  readonly longitudinal: readonly Mode[];
  readonly lateral: readonly Mode[];
}

/** Least share of the product of roll and yaw inertia that must be left after the product of inertia. */
const LEAST_SPREAD = 1e-6;

/** Mass in one point or line turns about itself without resistance: no equation of motion. */
const isSpread = ({ xx, yy, zz, xz }: NonNullable<ValueOf<typeof mass>['inertia']>): boolean =>
  Math.min(xx, yy, zz) > LEAST_SPREAD * Math.max(xx, yy, zz) && xx * zz - xz ** 2 > LEAST_SPREAD * xx * zz;

/**
 * Modes of a design at its cruise trim. Speed derivatives at constant thrust:
 * C_Xu = −2C_D, C_Zu = −2C_L; lag of the downwash C_mα̇ = C_mq dε/dα.
 * Source: Etkin & Reid, Dynamics of Flight, tables 4.4 and 5.1. A
 * reason in words when mass, trim or drag is missing.
 */
export function modesOfDesign(
  { air, reference }: Prepared,
  numbers: {
    readonly mass: ValueOf<typeof mass>;
    readonly trim: ValueOf<typeof trim>;
    readonly pitch: ValueOf<typeof pitch>;
    readonly lateral: ValueOf<typeof lateral>;
    readonly drag: ValueOf<typeof drag>;
  },
): MotionResult | { readonly because: Words } {
  const { mass, trim, pitch, lateral, drag } = numbers;
  if (mass.total === null || mass.inertia === null) return { because: NOTHING_WEIGHED };
  if (trim.alpha === null || trim.liftCoefficient === null || trim.speed === null)
    return { because: trim.reasons['alpha'] ?? 'It is not trimmed.' };
  if (drag.total === null) return { because: drag.reasons['total'] ?? 'Drag is not known.' };
  if (!isSpread(mass.inertia)) {
    return { because: 'All mass lies in one point or line: give parts a size or spread them out.' };
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
