import type { Fraction, MetresPerSecond, Radians } from '@/core/1-base/units/convert';
import type { ValueOf } from '../group';
import type { lateral } from '../lateral/lateral';
import type { motion } from '../motion/motion';
import type { pitch } from '../pitch/pitch';
import type { reference } from '../reference/reference';
import type { stall } from '../stall/stall';
import type { trim } from '../trim/trim';
import { type AxisFeel, axisOf, type ControlFeel } from './axisFeel';

export interface FeelInput {
  readonly numbers: {
    readonly reference: ValueOf<typeof reference>;
    readonly pitch: ValueOf<typeof pitch>;
    readonly lateral: ValueOf<typeof lateral>;
    readonly trim: ValueOf<typeof trim>;
    readonly stall: ValueOf<typeof stall>;
    readonly motion: ValueOf<typeof motion>;
  };
  /** Full command each way, the smaller, as the small command of the same effect [rad]; 0 without one. */
  readonly full: Readonly<Record<AxisFeel['axis'], Radians>>;
  /** Share of the throws for a share of their effect. */
  readonly throwFor: Readonly<Record<AxisFeel['axis'], (effect: Fraction) => Fraction>>;
  /** Share of a steady roll that the wing carries; command, its rate p/V [rad/m], lift and speed of the straight flight. */
  readonly rollCarried: (steady: {
    command: Radians;
    rate: number;
    lift: Fraction;
    speed: MetresPerSecond;
  }) => Fraction;
  /** Sideslip at which the fin stalls. */
  readonly sideslipCarried: (speed: MetresPerSecond) => Radians;
}

/** Speed at which control is judged, over that of the stall; cruise where that is slower. */
const JUDGED_OVER_STALL = 2;
/** Lift that is left there, of the greatest: 1 − 1/2². */
const ROOM = 1 - 1 / JUDGED_OVER_STALL ** 2;
/** Seconds of full rudder after which the bank is told; and the most that is told [rad]. */
const HELD = 1;
const MOST_BANK = Math.PI / 2;

/**
 * Steady roll rate p = −(2V/b) C_lδ δ/C_lp; sideslip of the rudder
 * β = −C_nδ δ/C_nβ and the roll it makes through dihedral; lift that the
 * elevator gains in a steady pull-up ΔC_L = |C_mδ − C_Lδ C_mα/C_Lα| δ/H_m with
 * the manoeuvre margin H_m, and Δn = ΔC_L/C_L. All stop where wing or fin stalls.
 */
export function controlFeel({ numbers, full, throwFor, rollCarried, sideslipCarried }: FeelInput): ControlFeel {
  const { reference, lateral, trim, pitch, stall, motion } = numbers;
  const axes: AxisFeel[] = [];
  const { span } = reference;
  if (span === null || trim.speed === null || trim.liftCoefficient === null || lateral.rollDamping === null)
    return { speed: null, axes, bankByRudder: null };
  const speed = stall.speed === null ? trim.speed : Math.min(trim.speed, JUDGED_OVER_STALL * stall.speed);
  const lift = trim.liftCoefficient * (trim.speed / speed) ** 2;
  if (lateral.rollFromAileron !== null && full.roll > 0 && lateral.rollDamping < 0) {
    const helix = (-lateral.rollFromAileron * full.roll) / lateral.rollDamping;
    const carried = rollCarried({ command: full.roll, rate: (2 * helix) / span, lift, speed });
    axes.push(axisOf('roll', (carried * helix * 2 * speed) / span, helix, throwFor.roll));
  }
  let bankByRudder: number | null = null;
  if (lateral.yawFromRudder !== null && full.yaw > 0 && lateral.yawStiffness !== null && lateral.yawStiffness > 0) {
    // A nose turned right meets wind from the left: sideslip is negative.
    const asked = (-lateral.yawFromRudder * full.yaw) / lateral.yawStiffness;
    const most = sideslipCarried(speed);
    const share = Math.min(1, most / Math.abs(asked));
    const sideslip = share * asked;
    axes.push(axisOf('yaw', Math.abs(sideslip), Math.abs(asked) / most, throwFor.yaw));
    const roll = lateral.dihedralEffect! * sideslip + (lateral.rollFromRudder ?? 0) * share * full.yaw;
    const rate = ((-roll / lateral.rollDamping) * 2 * speed) / span;
    const mode = motion.lateral.find(({ kind }) => kind === 'roll');
    const lag = mode && mode.real < 0 ? -1 / mode.real : 0;
    const bank = rate * (HELD - lag * (1 - Math.exp(-HELD / Math.max(lag, 1e-6))));
    bankByRudder = Math.max(-MOST_BANK, Math.min(MOST_BANK, bank));
  }
  const margin = pitch.manoeuvreMargin;
  if (
    pitch.momentFromElevator !== null &&
    pitch.liftFromElevator !== null &&
    pitch.momentSlope !== null &&
    pitch.liftSlope !== null &&
    full.pitch > 0 &&
    margin !== null &&
    margin > 0 &&
    stall.liftCoefficient !== null
  ) {
    const moment = pitch.momentFromElevator - (pitch.liftFromElevator * pitch.momentSlope) / pitch.liftSlope;
    const gained = Math.abs(moment * full.pitch) / margin;
    const carried = Math.max(0, stall.liftCoefficient - lift);
    const measure = gained / (ROOM * stall.liftCoefficient);
    axes.push(axisOf('pitch', Math.min(gained, carried) / lift, measure, throwFor.pitch));
  }
  return { speed, axes, bankByRudder };
}
