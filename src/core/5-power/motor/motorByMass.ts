import type { Fraction, Kilograms } from '@/core/1-base/units/convert';
import { type Motor, noLoadAt } from './motor';

/** A motor of this mass has this motor constant Q/√(I²R) [N·m/√W] and idles against this torque [N·m]; how they grow with the mass. */
const MIDDLE: Kilograms = 0.05;
const CONSTANT = 0.03;
const CONSTANT_POWER = 0.9;
const IDLE_TORQUE = 0.0057;
/** How far single motors lie from that. */
export const RESISTANCE_BAND: Fraction = 0.5;
export const NO_LOAD_BAND: Fraction = 0.4;

/**
 * Winding resistance and no-load current of a brushless outrunner by its mass
 * and speed constant: K_m = K_t/√R grows about with the mass, and so does the
 * torque that iron and bearings take. Source: scaling of electric machines
 * (Hendershot & Miller, Design of brushless permanent-magnet machines, ch. 12),
 * set to common motors of 12–160 g; C, bands beside.
 */
export function motorByMass(mass: Kilograms, speedConstant: number): Motor {
  const size = mass / MIDDLE;
  const constant = CONSTANT * size ** CONSTANT_POWER;
  return {
    speedConstant,
    resistance: (1 / (speedConstant * constant)) ** 2,
    noLoadCurrent: IDLE_TORQUE * size * speedConstant,
  };
}

/** Heat that a motor of the middle mass sheds in the stream of its propeller [W] at a rise of so much [K]. */
const SHED = 22;
/** Hotter than that above the air magnets and glue suffer [K]. */
export const HOTTEST_RISE = 80;
/** Copper per kelvin. */
const COPPER = 0.0039;

/** Heat it sheds for as long as it flies [W]; with its surface, m^⅔. C, ±30 %. */
export const heatShed = (mass: Kilograms): number => SHED * (mass / MIDDLE) ** (2 / 3);

/** What heats a motor at a current and revolutions [W]: I² R and what it takes without a load. */
export const heatOf = (motor: Motor, current: number, omega: number): number =>
  current ** 2 * motor.resistance + (noLoadAt(motor, omega) * omega) / motor.speedConstant;

/** How much hotter than the air it gets at a loss [K], capped where it has burnt, and its winding then [Ω]. */
export function warmed(motor: Motor, mass: Kilograms, loss: number): { readonly rise: number; readonly motor: Motor } {
  const rise = Math.min(2 * HOTTEST_RISE, (HOTTEST_RISE * loss) / heatShed(mass));
  return { rise, motor: { ...motor, resistance: motor.resistance * (1 + COPPER * rise) } };
}

/** Current at which it sheds just what it makes [A], at revolutions. */
export function currentByHeat(motor: Motor, mass: Kilograms, idle: number): number {
  const hot = motor.resistance * (1 + COPPER * HOTTEST_RISE);
  return Math.sqrt(Math.max(0, heatShed(mass) - idle) / hot);
}
