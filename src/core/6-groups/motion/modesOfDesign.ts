import { apparentMass } from '@/core/5-aero/apparentMass';
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
import type { LateWash } from './lateWash';
import { lateralModes, longitudinalModes, type Mode } from './linearModes';

export interface MotionResult {
  readonly longitudinal: readonly Mode[];
  readonly lateral: readonly Mode[];
}

/** κ of a propeller at three quarters of the advance at which it pulls no more, and of a glide: its own drag alone. */
const PROPELLER_FALL = 3;
const GLIDE_FALL = 1;

/** What turning in pitch does beside damping. */
export interface Turning {
  readonly wash: LateWash | null;
  /** Lift coefficient per q c̄/2V. */
  readonly liftFromPitchRate: number;
}

/** Least share of the product of roll and yaw inertia that must be left after the product of inertia. */
const LEAST_SPREAD = 1e-6;

/** Mass in one point or line turns about itself without resistance: no equation of motion. */
const isSpread = ({ xx, yy, zz, xz }: NonNullable<ValueOf<typeof mass>['inertia']>): boolean =>
  Math.min(xx, yy, zz) > LEAST_SPREAD * Math.max(xx, yy, zz) && xx * zz - xz ** 2 > LEAST_SPREAD * xx * zz;

/**
 * Modes of a design at its cruise trim. Speed derivatives C_Xu = −(2 + κ) C_D,
 * C_Zu = −2 C_L, κ = −(V/T) dT/dV; turning in pitch lifts by C_Lq; the wash of what flies ahead comes late, and
 * the air beside the wings moves with them. A glide swings as level flight with
 * κ = 1. Source: Etkin & Reid, Dynamics of Flight, tables 4.4 and 5.1. A
 * reason in words when mass, trim or drag is missing.
 */
export function modesOfDesign(
  { air, reference, placed, about, design, surfacesOnly }: Prepared,
  numbers: {
    readonly mass: ValueOf<typeof mass>;
    readonly trim: ValueOf<typeof trim>;
    readonly pitch: ValueOf<typeof pitch>;
    readonly lateral: ValueOf<typeof lateral>;
    readonly drag: ValueOf<typeof drag>;
  },
  { wash, liftFromPitchRate }: Turning,
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
  const around = apparentMass(placed, air.density, about);
  const isPowered = design.propulsion.length > 0 && !surfacesOnly;
  const longitudinal = longitudinalModes({
    mass: mass.total,
    inertiaY: mass.inertia.yy + around.pitch,
    speed,
    gravity: GRAVITY,
    xu: -(2 + (isPowered ? PROPELLER_FALL : GLIDE_FALL)) * drag.total * force,
    xw: (lift - dragPerAlpha) * force,
    zu: -2 * lift * force,
    zw: -(pitch.liftSlope! + drag.total) * force,
    zq: (-liftFromPitchRate * force * meanChord) / 2,
    zwDot: -around.heave,
    mu: 0,
    mw: pitch.momentSlope! * force * meanChord,
    mq: (pitch.pitchDamping! * force * meanChord ** 2) / 2,
    mwDot: (wash ? (wash.momentPerRadian * wash.slope * force * meanChord * wash.arm) / speed : 0) - around.heaveMoment,
  });
  const turn = (force * span ** 2) / 2;
  const lateralMotion = lateralModes({
    mass: mass.total,
    inertiaX: mass.inertia.xx + around.roll,
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
