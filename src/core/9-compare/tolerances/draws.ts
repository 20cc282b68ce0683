import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { mersenne } from 'pure-rand/generator/mersenne';
import type { Fraction } from '@/core/1-base/units/convert';
import { sigmasOf } from '@/core/7-flight/toss/belief';
import type { Tolerance } from './inputs';

/**
 * Draws of so many independent standard normal numbers: of every one each of
 * `count` equally likely slices comes once, in an order of its own (Latin
 * hypercube; McKay, Beckman & Conover, Technometrics 21, 1979). The same seed
 * draws the same. @returns for every number its values, draw by draw
 */
export function normalDraws(count: number, numbers: number, seed: number): readonly Float64Array[] {
  const slices = Float64Array.from({ length: count }, (_, index) => {
    const share = (index + 0.5) / count;
    return share === 0.5 ? 0 : share < 0.5 ? -sigmasOf(share) : sigmasOf(1 - share);
  });
  const generator = mersenne(seed);
  return Array.from({ length: numbers }, () => {
    const values = slices.slice();
    // Fisher & Yates.
    for (let last = count - 1; last > 0; last--) {
      const other = uniformInt(generator, 0, last);
      [values[last], values[other]] = [values[other]!, values[last]!];
    }
    return values;
  });
}

/** How one draw is off in everything: about what was found of it where that was read. @param closer share of its spread that each keeps */
export const offIn = (
  tolerances: readonly Pick<Tolerance, 'sigma' | 'mean'>[],
  normals: readonly Float64Array[],
  draw: number,
  closer: (input: number) => Fraction = () => 1,
): Float64Array =>
  Float64Array.from(tolerances, ({ sigma, mean = 0 }, input) => mean + sigma * normals[input]![draw]! * closer(input));

/** Value below which a share of sorted ones lies, between the two nearest. */
export function quantileOf(sorted: ArrayLike<number>, share: number): number {
  const at = share * (sorted.length - 1);
  const below = Math.floor(at);
  const above = Math.min(sorted.length - 1, below + 1);
  return sorted[below]! + (sorted[above]! - sorted[below]!) * (at - below);
}
