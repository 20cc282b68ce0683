import { columnSums, type LuFactors, solveFactored, solveTransposed } from './kernel/luFactors';

/** Steps of the search; it settles within two or three. */
const MOST_STEPS = 5;

/** A matrix A whose columns are scaled so that its diagonal is 1: how, and its size. */
export interface ScaledColumns {
  /** D, a factor for each column. */
  readonly scale: Float64Array;
  /** ‖A D‖₁, the largest column sum of magnitudes. */
  readonly norm: number;
}

/**
 * Scales the columns of a square matrix, row-major, from a leading index on.
 * Small panels have large influence on themselves: without this a narrow strip
 * beside a wide one would count as ill-conditioned.
 */
export function scaledColumns(matrix: Float64Array, size: number, from = 0): ScaledColumns {
  const sums = columnSums(matrix, size, from);
  const scale = new Float64Array(size).fill(1);
  let norm = 0;
  for (let j = from; j < size; j++) {
    const own = Math.abs(matrix[j * size + j]!);
    if (own > 0) scale[j] = 1 / own;
    norm = Math.max(norm, sums[j]! * scale[j]!);
  }
  return { scale, norm };
}

export interface Condition {
  /** κ, pure number from 1 on. */
  readonly number: number;
  /** The equation whose right side moves the answer most. */
  readonly equation: number;
}

/**
 * Estimate of the condition of a factored matrix with scaled columns in the
 * 1-norm, κ = ‖A D‖₁ ‖(A D)⁻¹‖₁, without the inverse: the largest ‖(A D)⁻¹x‖₁
 * with ‖x‖₁ = 1 is sought along its gradient. A lower bound, seldom off by more
 * than a factor of three. Pure number.
 * Source: Hager, Condition estimates, SIAM J. Sci. Stat. Comput. 5 (1984);
 * Higham, Accuracy and Stability of Numerical Algorithms, 2nd ed., section 15.3.
 */
export function conditionOf(factors: LuFactors, { scale, norm }: ScaledColumns): Condition {
  const { size, from } = factors;
  if (size === from) return { number: 1, equation: 0 };
  let x = new Float64Array(size).fill(1 / (size - from), from);
  let estimate = 0;
  let at = from;
  for (let step = 0; step < MOST_STEPS; step++) {
    const y = solveFactored(factors, x);
    let length = 0;
    const sign = new Float64Array(size);
    for (let i = from; i < size; i++) {
      const value = y[i]! / scale[i]!;
      length += Math.abs(value);
      sign[i] = (value < 0 ? -1 : 1) / scale[i]!;
    }
    if (!(length > estimate)) break;
    estimate = length;
    const slope = solveTransposed(factors, sign);
    let steepest = from;
    for (let i = from; i < size; i++) if (Math.abs(slope[i]!) > Math.abs(slope[steepest]!)) steepest = i;
    if (steepest === at && step > 0) break;
    at = steepest;
    x = new Float64Array(size);
    x[steepest] = 1;
  }
  return { number: norm * estimate, equation: at };
}
