import type { Fraction, Newtons } from '@/core/1-base/units/convert';

/** Thrust that a disc could give from a power at rest: (2 ρ A P²)^⅓. Source: Froude; Glauert, ch. XV. [exact] */
export const idealStaticThrust = (power: number, area: number, density: number): Newtons =>
  Math.cbrt(2 * density * area * power ** 2) as Newtons;

/** Efficiency that no propeller passes at a disc loading T/(q A): 2/(1 + √(1 + T/(qA))). [exact] */
export const idealEfficiency = (loading: number): Fraction => 2 / (1 + Math.sqrt(1 + loading));

/** Figure of merit of a propeller at rest from its coefficients: C_T^1.5/(√(π/2) C_P). [exact] */
export const figureOfMerit = (thrust: number, power: number): Fraction =>
  thrust ** 1.5 / (Math.sqrt(Math.PI / 2) * power);
