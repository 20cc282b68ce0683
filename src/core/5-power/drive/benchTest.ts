import type { Newtons } from '@/core/1-base/units/convert';
import { type Motor, noLoadAt } from '../motor/motor';
import { calibrated } from '../propeller/calibrated';
import { figureOfMerit } from '../propeller/momentum';
import type { PropellerTable } from '../propeller/propellerTable';
import { CONTROLLER, type Drive, runDrive, SWITCHING } from './drive';

/** What was read at rest, full throttle. SI; of one motor and one propeller. */
export interface BenchReadings {
  readonly thrust?: Newtons | undefined;
  /** Revolutions per second. */
  readonly turns?: number | undefined;
  readonly volts?: number | undefined;
  readonly current?: number | undefined;
}

/** A drive set to what was read, or why that cannot be. */
export type Calibration =
  | { readonly ok: true; readonly drive: Drive; readonly thrust: number; readonly torque: number }
  | { readonly ok: false; readonly reason: string };

/** Farther than that from the blade elements something else was read. */
const FURTHEST = 2.5;
/** More of the ideal thrust no propeller gives at rest; good ones reach two thirds. */
const BEST_MERIT = 0.85;

const failed = (reason: string): Calibration => ({ ok: false, reason });

/**
 * Sets motor and propeller to a bench test: winding from volts, revolutions and
 * current, R = (V − ω/K_v)/I − R_c; torque of the propeller from the current,
 * Q = (I − I₀)/K_v, or from its revolutions alone; thrust from thrust, at those
 * revolutions or at those the drive reaches. Factors hold at all speeds.
 * Source: Drela, First-order DC motor model; similarity of propellers.
 */
export function calibrate(drive: Drive, readings: BenchReadings): Calibration {
  const { thrust, turns, volts, current } = readings;
  const omega = turns === undefined ? undefined : 2 * Math.PI * turns;
  const { speedConstant } = drive.motor;
  const { controller = CONTROLLER } = drive;
  const own = current === undefined ? undefined : current / (1 + SWITCHING);
  let motor: Motor = drive.motor;
  if (omega !== undefined && volts !== undefined) {
    if (omega / speedConstant >= volts)
      return failed(
        'The bench test turns faster than that voltage can turn the motor: look at revolutions, volts and speed constant again.',
      );
    if (own !== undefined) {
      const resistance = (volts - omega / speedConstant) / own - controller;
      if (resistance <= 0)
        return failed(
          'The bench test leaves no resistance for the winding: look at revolutions, volts and current again.',
        );
      motor = { ...motor, resistance };
    }
  }
  if (own !== undefined && own <= noLoadAt(motor, omega ?? 0))
    return failed('The bench test took no more current than the motor takes without a propeller: look at both again.');
  const atRest = (perSecond: number) => drive.propeller.at(0, perSecond);
  let torque = 1;
  if (omega !== undefined && own !== undefined)
    torque = (own - noLoadAt(motor, omega)) / speedConstant / atRest(turns!).torque;
  else if (omega !== undefined && volts !== undefined)
    torque = torqueFrom(motor, volts, omega, controller) / atRest(turns!).torque;
  if (!(torque > 1 / FURTHEST && torque < FURTHEST)) return failed(farOff('torque'));
  const turned: Drive = { ...drive, motor, propeller: calibrated(drive.propeller, 1, torque) };
  let factor = 1;
  if (thrust !== undefined) {
    const perSecond = turns ?? turnsAtRest(turned, volts);
    factor = thrust / atRest(perSecond).thrust;
    if (!(factor > 1 / FURTHEST && factor < FURTHEST)) return failed(farOff('thrust'));
    const power = 2 * Math.PI * perSecond * atRest(perSecond).torque * torque;
    if (meritOf(drive.propeller, perSecond, thrust, power) > BEST_MERIT)
      return failed(
        'The bench test gives more thrust than a disc of that size can from that power: look at thrust, diameter and current again.',
      );
  }
  return {
    ok: true,
    drive: { ...turned, propeller: calibrated(drive.propeller, factor, torque) },
    thrust: factor,
    torque,
  };
}

const farOff = (what: string) =>
  `The bench test lies more than two and a half times off the computed ${what}: look at diameter, pitch and what was read again.`;

const torqueFrom = (motor: Motor, volts: number, omega: number, controller: number): number => {
  const current = (volts - omega / motor.speedConstant) / (motor.resistance + controller);
  return Math.max(0, current - noLoadAt(motor, omega)) / motor.speedConstant;
};

/** Revolutions at rest, from the pack as it is or from a voltage that was read at its leads. */
function turnsAtRest(drive: Drive, volts: number | undefined): number {
  if (volts === undefined) return runDrive(drive, 0, 1, 1).perSecond;
  const perCell = 4.2;
  // A pack without resistance whose full cells give that voltage.
  const pack = { cells: volts / perCell, charge: drive.pack.charge, resistance: 0 };
  return runDrive({ ...drive, pack }, 0, 1, 1).perSecond;
}

function meritOf({ propeller }: PropellerTable, perSecond: number, thrust: number, power: number): number {
  // Density drops out of T^1.5/(P √(2 ρ A)) only with it; sea level is near enough for a bound.
  const density = 1.225;
  const scale = density * perSecond ** 2 * propeller.diameter ** 4;
  return figureOfMerit(thrust / scale, power / (scale * perSecond * propeller.diameter));
}
