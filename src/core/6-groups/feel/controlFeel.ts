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
  /** Smaller travel of each command [rad]; 0 without one. */
  readonly travel: { readonly pitch: number; readonly roll: number; readonly yaw: number };
  readonly manoeuvreMargin: number | null;
}

/**
 * Steady roll rate p = −(2V/b) C_lδ δ/C_lp; sideslip of the rudder
 * β = −C_nδ δ/C_nβ and the roll it makes through dihedral; load factor of the
 * elevator Δn = |C_mδ δ|/(C_L H_m) with the manoeuvre margin H_m.
 */
export function controlFeel({ numbers, travel, manoeuvreMargin }: FeelInput): ControlFeel {
  const { reference, lateral, trim, pitch, stall, motion } = numbers;
  const axes: AxisFeel[] = [];
  const { span } = reference;
  const speed = trim.speed;
  if (span === null || speed === null || lateral.rollDamping === null) return { axes, bankByRudder: null };
  if (lateral.rollFromAileron !== null && travel.roll > 0 && lateral.rollDamping < 0) {
    const helix = (-lateral.rollFromAileron * travel.roll) / lateral.rollDamping;
    axes.push(axisOf('roll', (helix * 2 * speed) / span, helix));
  }
  let bankByRudder: number | null = null;
  if (lateral.yawFromRudder !== null && travel.yaw > 0 && lateral.yawStiffness !== null && lateral.yawStiffness > 0) {
    // A nose turned right meets wind from the left: sideslip is negative.
    const sideslip = (-lateral.yawFromRudder * travel.yaw) / lateral.yawStiffness;
    axes.push(axisOf('yaw', Math.abs(sideslip), Math.abs(sideslip)));
    const roll = lateral.dihedralEffect! * sideslip + (lateral.rollFromRudder ?? 0) * travel.yaw;
    const rate = ((-roll / lateral.rollDamping) * 2 * speed) / span;
    const mode = motion.lateral.find(({ kind }) => kind === 'roll');
    const lag = mode && mode.real < 0 ? -1 / mode.real : 0;
    bankByRudder = rate * (1 - lag * (1 - Math.exp(-1 / Math.max(lag, 1e-6))));
  }
  if (
    pitch.momentFromElevator !== null &&
    travel.pitch > 0 &&
    manoeuvreMargin !== null &&
    manoeuvreMargin > 0 &&
    trim.liftCoefficient
  ) {
    const gained = Math.abs(pitch.momentFromElevator * travel.pitch) / (trim.liftCoefficient * manoeuvreMargin);
    const carried = stall.liftCoefficient === null ? null : stall.liftCoefficient / trim.liftCoefficient - 1;
    if (carried !== null && carried > 0.05) axes.push(axisOf('pitch', gained, gained / carried));
  }
  return { axes, bankByRudder };
}
