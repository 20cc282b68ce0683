import type { LuFactors } from './factors';
import { kernelFor } from './inUse';

export type { LuFactors } from './factors';

export class SingularMatrixError extends Error {
  /** @param column the first unknown that the others leave open */
  constructor(readonly column: number) {
    super('The equations have no single answer.');
    this.name = 'SingularMatrixError';
  }
}

export interface FactorOptions {
  /** Size of the leading block that is factored by itself as well. */
  readonly block?: number;
  /** Leading unknowns that stand for themselves. */
  readonly from?: number;
}

/** Factors a matrix in its own place. @throws SingularMatrixError */
export function factoriseInPlace(
  values: Float64Array,
  size: number,
  { block = size, from = 0 }: FactorOptions = {},
): LuFactors {
  const kernel = kernelFor(size);
  const largest = kernel.largestEntry(values, from * size);
  if (!(largest < Infinity)) throw new SingularMatrixError(values.findIndex((entry) => !Number.isFinite(entry)) % size);
  const order = new Int32Array(size);
  const failed = kernel.factorInPlace(values, order, { size, block, from }, largest);
  if (failed >= 0) throw new SingularMatrixError(failed);
  return { size, block, from, values, order };
}

/** Factors a copy of `matrix`. @throws SingularMatrixError */
export function factorise(matrix: Float64Array, size: number, options?: FactorOptions): LuFactors {
  return factoriseInPlace(matrix.slice(), size, options);
}

/** Solves A x = b for the whole matrix, or for its leading `unknowns` rows and columns. */
export function solveFactored(factors: LuFactors, right: Float64Array, unknowns = factors.size): Float64Array {
  if (unknowns !== factors.size && unknowns !== factors.block)
    throw new RangeError('Only the whole matrix or its leading block can be solved.');
  return kernelFor(factors.size).solveOne(factors, right, unknowns);
}

/** Answers to several right sides at once, up to four for every pass over the factors: what is read of them serves all. */
export function solveTogether(factors: LuFactors, rights: readonly Float64Array[]): Float64Array[] {
  const answers: Float64Array[] = [];
  for (let first = 0; first < rights.length; first += 4) {
    const some = rights.slice(first, first + 4);
    if (some.length === 1) answers.push(solveFactored(factors, some[0]!));
    else for (const answer of kernelFor(factors.size).solveFour(factors, some)) answers.push(answer);
  }
  return answers;
}

/** Solves Aᵀ x = b for the whole matrix. */
export function solveTransposed(factors: LuFactors, right: Float64Array): Float64Array {
  return kernelFor(factors.size).solveTransposed(factors, right);
}

/** Σ |a[i, j]| over the rows and columns from…size−1, for every column. */
export function columnSums(a: Float64Array, size: number, from: number): Float64Array {
  return kernelFor(size).columnSums(a, size, from);
}

/**
 * Σ a[i, j] x[j] over the columns from…columns−1, for every row of matrices
 * that do not change any more and up to four x: what is read of a matrix serves
 * all, and each comes out as it does by itself.
 * @returns for every matrix the product of each
 */
export function multiplyRows(
  matrices: readonly Float64Array[],
  columns: number,
  sides: readonly Float64Array[],
  from = 0,
): Float64Array[][] {
  const rows = Math.max(...matrices.map(({ length }) => length / columns));
  return kernelFor(columns, rows).multiplyRows(matrices, columns, sides, from);
}
