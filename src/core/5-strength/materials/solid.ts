import type { Fraction, Pascals } from '@/core/1-base/units/convert';

/**
 * What a material resists with. The band is how far its stiffness may lie from
 * that (0.4 is ±40 %); strengths scatter about as much.
 */
export interface Solid {
  /** Young's modulus [Pa]. */
  readonly young: Pascals;
  /** Shear modulus in the plane of the sheet, or of torsion of a rod [Pa]. */
  readonly shear: Pascals;
  /** Stress it bears pulled and pressed, as it is counted on [Pa]. */
  readonly tension: Pascals;
  readonly compression: Pascals;
  readonly band: Fraction;
}

export const scaled = (solid: Solid, stiffness: number, strength = stiffness): Solid => ({
  ...solid,
  young: solid.young * stiffness,
  shear: solid.shear * stiffness,
  tension: solid.tension * strength,
  compression: solid.compression * strength,
});

const GIGA = 1e9;
const MEGA = 1e6;
export const gigapascals = (value: number): Pascals => value * GIGA;
export const megapascals = (value: number): Pascals => value * MEGA;
