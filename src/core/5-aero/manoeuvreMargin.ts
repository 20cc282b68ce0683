import type { Fraction, Kilograms, KilogramsPerCubicMetre, Metres, SquareMetres } from '@/core/1-base/units/convert';

/**
 * Manoeuvre margin H_m = K_n − C_mq/(2μ), μ = 2m/(ρ S c̄): in a pull-up the
 * tail damps, which a glide does not show. C_mq per q c̄/2V. Source: Etkin &
 * Reid, Dynamics of Flight, 3rd ed., section 3.1.
 */
export function manoeuvreMargin(input: {
  staticMargin: Fraction;
  pitchDamping: number;
  mass: Kilograms;
  density: KilogramsPerCubicMetre;
  area: SquareMetres;
  meanChord: Metres;
}): Fraction {
  const relativeMass = (2 * input.mass) / (input.density * input.area * input.meanChord);
  return input.staticMargin - input.pitchDamping / (2 * relativeMass);
}
