import type { Fraction, Grams } from '@/core/1-base/units/convert';
import type { WeightRow } from '@/core/4-weight/weightRows';

/** How far all boards together, each part by itself, and equipment that was not weighed may be off, ±1σ; how well a kitchen scale reads [g]. C (practice; section data of boards ±8 %). */
const BOARDS: Fraction = 0.08;
const PART: Fraction = 0.06;
const EQUIPMENT: Fraction = 0.03;
const SCALE: Grams = 0.6;

export interface ExpectedMass {
  readonly expected: Grams;
  /** ±1σ; it shrinks with every part that is weighed. */
  readonly sigma: Grams;
  /** How much heavier than computed boards come out, as far as is known. */
  readonly creep: Fraction;
}

/**
 * What it will fly at: what was weighed as it was, other boards heavier by what
 * those that were weighed came out at. Each weighed part is one reading of that
 * common ratio (normal prior, 1 ± 8 %, ± 6 % for each part); Bayes by normal
 * distributions. Source: Gelman et al., Bayesian Data Analysis, 3rd ed., section 2.5.
 */
export function expectedMass(rows: readonly WeightRow[]): ExpectedMass {
  const isBoard = ({ kind }: WeightRow) => kind !== 'item';
  const isWeighed = ({ measured }: WeightRow) => measured !== null;
  const told = rows.filter((row) => isBoard(row) && isWeighed(row) && row.computed > 0);
  const precision = 1 / BOARDS ** 2 + told.length / PART ** 2;
  const ratio =
    (1 / BOARDS ** 2 + told.reduce((sum, { measured, computed }) => sum + measured! / computed, 0) / PART ** 2) /
    precision;
  let [expected, variance, boards] = [0, 0, 0];
  for (const row of rows) {
    if (isWeighed(row)) {
      expected += row.measured!;
      variance += SCALE ** 2;
    } else if (isBoard(row)) {
      expected += ratio * row.computed;
      boards += row.computed;
      variance += (PART * row.computed) ** 2;
    } else {
      expected += row.computed;
      variance += (EQUIPMENT * row.computed) ** 2;
    }
  }
  return { expected, sigma: Math.sqrt(variance + boards ** 2 / precision), creep: ratio - 1 };
}
