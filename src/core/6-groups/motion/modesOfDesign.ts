import { apparentMass } from '@/core/5-aero/apparentMass';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Prepared } from '../solution/prepare';
import type { Words } from '@/core/1-base/words/phrase';
import type { ValueOf } from '../group';
import type { drag } from '../drag/drag';
import type { mass } from '../mass/mass';
import type { trim } from '../trim/trim';
import { NOTHING_WEIGHED } from '../words';
import type { LateWash } from './lateWash';
import { lateralModes, longitudinalModes, type Mode } from './linearModes';
import type { SmallLoads } from './smallLoads';

export interface MotionResult {
  readonly longitudinal: readonly Mode[];
  readonly lateral: readonly Mode[];
}

/** κ of a propeller at three quarters of the advance at which it pulls no more, and of a glide: its own drag alone. */
const PROPELLER_FALL = 3;
const GLIDE_FALL = 1;

/** What the solved flow says of small motions. */
export interface Answers {
  readonly loads: SmallLoads;
  /** What meets the wash of others, which comes late. */
  readonly wash: LateWash | null;
  /** Lift and pitching moment coefficients of thrust and of what it blows over the tail. */
  readonly thrust: { readonly lift: number; readonly moment: number } | null;
}

/** Least share of the product of roll and yaw inertia that must be left after the product of inertia. */
const LEAST_SPREAD = 1e-6;

/** Mass in one point or line turns about itself without resistance: no equation of motion. */
const isSpread = ({ xx, yy, zz, xz }: NonNullable<ValueOf<typeof mass>['inertia']>): boolean =>
  Math.min(xx, yy, zz) > LEAST_SPREAD * Math.max(xx, yy, zz) && xx * zz - xz ** 2 > LEAST_SPREAD * xx * zz;

/**
 * Modes of a design at its cruise trim. Speed derivatives C_Xu = −(2 + κ) C_D,
 * C_Zu = −2 C_L and C_mu = 0 but for what thrust does of them, which falls with
 * speed, κ = −(V/T) dT/dV, and with it what it blows over the tail; sections rub in every motion; the wash of
 * what flies ahead comes late, and the air beside the wings moves with them. A
 * glide swings as level flight with κ = 1. Source: Etkin & Reid, Dynamics of Flight, tables 4.4 and 5.1. A
 * reason in words when mass, trim or drag is missing.
 */
export function modesOfDesign(
  { air, reference, placed, about, design, surfacesOnly }: Prepared,
  numbers: {
    readonly mass: ValueOf<typeof mass>;
    readonly trim: ValueOf<typeof trim>;
    readonly drag: ValueOf<typeof drag>;
  },
  answers: Answers | null,
): MotionResult | { readonly because: Words } {
  const { mass, trim, drag } = numbers;
  if (mass.total === null || mass.inertia === null) return { because: NOTHING_WEIGHED };
  if (trim.alpha === null || trim.liftCoefficient === null || trim.speed === null)
    return { because: trim.reasons['alpha'] ?? 'It is not trimmed.' };
  if (drag.total === null || !answers) return { because: drag.reasons['total'] ?? 'Drag is not known.' };
  if (!isSpread(mass.inertia)) {
    return { because: 'All mass lies in one point or line: give parts a size or spread them out.' };
  }
  const { area, meanChord, span } = reference;
  const speed = trim.speed;
  const force = (air.density * speed * area) / 2;
  const lift = trim.liftCoefficient;
  const { loads, wash } = answers;
  const thrust = answers.thrust ?? { lift: 0, moment: 0 };
  const { byAlpha, byPitchRate, bySlip, byRollRate, byYawRate } = loads;
  const around = apparentMass(placed, air.density, about);
  const fall = 2 + (design.propulsion.length > 0 && !surfacesOnly ? PROPELLER_FALL : GLIDE_FALL);
  const longitudinal = longitudinalModes({
    mass: mass.total,
    inertiaY: mass.inertia.yy + around.pitch,
    speed,
    gravity: GRAVITY,
    xu: -fall * drag.total * force,
    xw: -byAlpha.drag * force,
    zu: -(2 * lift - fall * thrust.lift) * force,
    zw: -byAlpha.lift * force,
    zq: (-byPitchRate.lift * force * meanChord) / 2,
    zwDot: -around.heave,
    zqDot: -around.heaveMoment,
    mu: -fall * thrust.moment * force * meanChord,
    mw: byAlpha.moment * force * meanChord,
    mq: (byPitchRate.moment * force * meanChord ** 2) / 2,
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
    yv: bySlip.sideForce * force,
    yp: (byRollRate.sideForce * force * span) / 2,
    yr: (byYawRate.sideForce * force * span) / 2,
    lv: bySlip.roll * force * span,
    lp: byRollRate.roll * turn,
    lr: byYawRate.roll * turn,
    nv: bySlip.yaw * force * span,
    np: byRollRate.yaw * turn,
    nr: byYawRate.yaw * turn,
  });
  return { longitudinal, lateral: lateralMotion };
}
