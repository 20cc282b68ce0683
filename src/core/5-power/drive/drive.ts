import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Fraction, MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import { type Motor, noLoadAt } from '../motor/motor';
import { openVoltage, type Pack } from '../pack/pack';
import type { PropellerTable } from '../propeller/propellerTable';

/** A motor with its controller and propeller; several alike may draw on one pack. */
export interface Drive {
  readonly motor: Motor;
  readonly propeller: PropellerTable;
  /** How many of them the pack feeds. */
  readonly count: number;
  readonly pack: Pack;
  /** Of the transistors of its controller [Ω]. */
  readonly controller?: number;
}

/** How a drive runs. Thrust is that of all propellers together, current and power those of the pack. */
export interface Running {
  readonly perSecond: number;
  readonly thrust: Newtons;
  /** Of one motor [A], and what its shaft gives [W]. */
  readonly motorCurrent: number;
  readonly shaftPower: number;
  readonly packCurrent: number;
  readonly packVoltage: number;
  /** What the pack gives at its leads [W]. */
  readonly electricPower: number;
  /** Thrust times speed over shaft power; 0 at rest. */
  readonly propellerEfficiency: Fraction;
}

/** Switching takes so much of what a controller passes on; its transistors where nobody says [Ω]. Source: practice, 2–5 % and some mΩ. */
export const SWITCHING = 0.035;
export const CONTROLLER = 0.005;

/**
 * The drive at a speed, an opening of the throttle and a share of charge left:
 * shaft torque of the motor equals that of the propeller. The controller makes
 * V_m = d V_pack of the pack’s voltage and takes I_pack = d I (1 + s) from it:
 * I = (d V₀ − ω/K_v)/(R + R_c + d² n R_p (1 + s)), n motors on one pack. Source:
 * Drela, First-order DC motor model; Brent’s root on ω.
 */
export function runDrive(drive: Drive, speed: MetresPerSecond, duty: Fraction, left: Fraction): Running {
  const { motor, propeller, count, pack, controller = CONTROLLER } = drive;
  const open = openVoltage(pack, left);
  const resistance = motor.resistance + controller + duty ** 2 * count * pack.resistance * (1 + SWITCHING);
  const currentAt = (omega: number) => (duty * open - omega / motor.speedConstant) / resistance;
  const most = motor.speedConstant * duty * open;
  const missing = (omega: number) =>
    (currentAt(omega) - noLoadAt(motor, omega)) / motor.speedConstant -
    propeller.at(speed, omega / (2 * Math.PI)).torque;
  const found = most > 0 ? findRoot(missing, { low: 1e-6 * most, high: most, tolerance: 1e-7 * most }) : null;
  // Too little to turn it, or the wind turns it by itself: it stands for no thrust of its own.
  if (!found || found.kind === 'notBracketed') return still(open);
  return runningAt(drive, { speed, duty, open, omega: found.x, current: currentAt(found.x) });
}

interface Point {
  readonly speed: MetresPerSecond;
  readonly duty: Fraction;
  readonly open: number;
  readonly omega: number;
  readonly current: number;
}

function runningAt(
  { propeller, count, pack }: Drive,
  { speed, duty, open, omega, current: motorCurrent }: Point,
): Running {
  const perSecond = omega / (2 * Math.PI);
  const { thrust, torque } = propeller.at(speed, perSecond);
  const packCurrent = count * duty * motorCurrent * (1 + SWITCHING);
  const packVoltage = open - packCurrent * pack.resistance;
  const shaftPower = torque * omega;
  return {
    perSecond,
    thrust: (count * thrust) as Newtons,
    motorCurrent,
    shaftPower,
    packCurrent,
    packVoltage,
    electricPower: packCurrent * packVoltage,
    propellerEfficiency: shaftPower > 0 ? (thrust * speed) / shaftPower : 0,
  };
}

const still = (open: number): Running => ({
  perSecond: 0,
  thrust: 0 as Newtons,
  motorCurrent: 0,
  shaftPower: 0,
  packCurrent: 0,
  packVoltage: open,
  electricPower: 0,
  propellerEfficiency: 0,
});

/** Running at less than full throttle, and how far that is open. */
export interface Throttled extends Running {
  readonly duty: Fraction;
}

/** Fewer turns than that no propeller is asked for, more than that none bears [1/s]. */
const TURNS = [1, 1000] as const;

/** What a thrust at a speed asks of each motor, whatever the pack: turns, current and voltage. */
export interface Demand {
  readonly speed: MetresPerSecond;
  readonly omega: number;
  readonly current: number;
  readonly volts: number;
}

/**
 * The thrust alone says how fast the propeller turns and what torque it takes;
 * current and voltage of the motor follow. Null where no turns give it.
 */
export function demandOf(
  { motor, propeller, count, controller = CONTROLLER }: Drive,
  speed: MetresPerSecond,
  thrust: Newtons,
): Demand | null {
  const turns = lastTurn((perSecond) => count * propeller.at(speed, perSecond).thrust - thrust);
  if (turns === null) return null;
  const omega = 2 * Math.PI * turns;
  const current = propeller.at(speed, turns).torque * motor.speedConstant + noLoadAt(motor, omega);
  if (current <= 0) return null;
  return { speed, omega, current, volts: omega / motor.speedConstant + current * (motor.resistance + controller) };
}

/**
 * The drive as it meets a demand with a share of its charge left; null where
 * full throttle does not: d V₀ − d² n R_p (1 + s) I = V_m.
 */
export function meeting(drive: Drive, { speed, omega, current, volts }: Demand, left: Fraction): Throttled | null {
  const { count, pack } = drive;
  const open = openVoltage(pack, left);
  const sag = count * pack.resistance * (1 + SWITCHING) * current;
  const root = open ** 2 - 4 * sag * volts;
  if (root < 0) return null;
  const duty = sag > 0 ? (open - Math.sqrt(root)) / (2 * sag) : volts / open;
  return duty > 1 ? null : { duty, ...runningAt(drive, { speed, duty, open, omega, current }) };
}

/** The drive as it gives a thrust at a speed; null where full throttle gives less. */
export function driveAtThrust(drive: Drive, speed: MetresPerSecond, thrust: Newtons, left: Fraction): Throttled | null {
  const demand = demandOf(drive, speed, thrust);
  return demand && meeting(drive, demand, left);
}

/** Turns at which a propeller gives what is asked, on the branch on which more turns give more; null where none do. */
function lastTurn(missing: (perSecond: number) => number): number | null {
  const [least, most] = TURNS;
  if (missing(least) >= 0) return least;
  let low: number = least;
  let high: number = 1.5 * least;
  while (missing(high) < 0) {
    low = high;
    high *= 1.5;
    if (high > most) return null;
  }
  const found = findRoot(missing, { low, high, tolerance: 1e-7 * high });
  return found.kind === 'root' ? found.x : null;
}
