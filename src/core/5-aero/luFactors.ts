/**
 * Factors of a square matrix, P A = L U, row-major, with row exchanges kept
 * inside the leading `block` rows for the leading `block` columns. The
 * leading block is then factored by itself as well, which gives the aircraft
 * without its tail for nothing. The first `from` unknowns stand for themselves
 * (their rows and columns are those of the identity) and cost nothing.
 * Source: Golub & Van Loan, Matrix Computations, 4th ed., section 3.4.
 */
export interface LuFactors {
  readonly size: number;
  readonly block: number;
  readonly from: number;
  readonly values: Float64Array;
  readonly order: Int32Array;
}

/** Pivots below this share of the largest entry make a matrix singular. */
const SINGULAR = 1e-13;

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
  const order = new Int32Array(size);
  let largest = 0;
  for (let index = from * size; index < values.length; index++) {
    const entry = Math.abs(values[index]!);
    // Written so that what is no number is caught as well.
    if (!(entry < Infinity)) throw new SingularMatrixError(index % size);
    if (entry > largest) largest = entry;
  }
  for (let row = 0; row < size; row++) order[row] = row;
  for (let start = from; start < size; start += 4) {
    const end = Math.min(start + 4, size);
    factorColumns(values, order, size, block, start, end, largest);
    updateTrailing(values, size, start, end);
  }
  return { size, block, from, values, order };
}

/** Factors a copy of `matrix`. @throws SingularMatrixError */
export function factorise(matrix: Float64Array, size: number, options?: FactorOptions): LuFactors {
  return factoriseInPlace(matrix.slice(), size, options);
}

/** Eliminates columns start…end−1 below the diagonal, touching only those columns. */
function factorColumns(
  a: Float64Array,
  order: Int32Array,
  size: number,
  block: number,
  start: number,
  end: number,
  largest: number,
): void {
  for (let k = start; k < end; k++) {
    const lastRow = k < block ? block : size;
    let pivot = k;
    let best = Math.abs(a[k * size + k]!);
    for (let i = k + 1; i < lastRow; i++) {
      const candidate = Math.abs(a[i * size + k]!);
      if (candidate > best) {
        best = candidate;
        pivot = i;
      }
    }
    if (!(best > SINGULAR * largest)) throw new SingularMatrixError(k);
    if (pivot !== k) exchangeRows(a, order, size, k, pivot);
    const inverse = 1 / a[k * size + k]!;
    for (let i = k + 1; i < size; i++) {
      const row = i * size;
      const factor = a[row + k]! * inverse;
      a[row + k] = factor;
      for (let j = k + 1; j < end; j++) a[row + j]! -= factor * a[k * size + j]!;
    }
  }
}

function exchangeRows(a: Float64Array, order: Int32Array, size: number, p: number, q: number): void {
  for (let j = 0; j < size; j++) {
    const value = a[p * size + j]!;
    a[p * size + j] = a[q * size + j]!;
    a[q * size + j] = value;
  }
  const place = order[p]!;
  order[p] = order[q]!;
  order[q] = place;
}

/** Applies up to four eliminated columns to everything right of them in one sweep. */
function updateTrailing(a: Float64Array, size: number, start: number, end: number): void {
  for (let k = start; k + 1 < end; k++) {
    for (let i = k + 1; i < end; i++) {
      const factor = a[i * size + k]!;
      for (let j = end; j < size; j++) a[i * size + j]! -= factor * a[k * size + j]!;
    }
  }
  if (end - start < 4) return;
  const r0 = start * size;
  const r1 = r0 + size;
  const r2 = r1 + size;
  const r3 = r2 + size;
  let i = end;
  // Four rows at a time: every entry of the four pivot rows is loaded once for sixteen products.
  for (; i + 3 < size; i += 4) {
    const p = i * size;
    const q = p + size;
    const r = q + size;
    const t = r + size;
    const p0 = a[p + start]!,
      p1 = a[p + start + 1]!,
      p2 = a[p + start + 2]!,
      p3 = a[p + start + 3]!;
    const q0 = a[q + start]!,
      q1 = a[q + start + 1]!,
      q2 = a[q + start + 2]!,
      q3 = a[q + start + 3]!;
    const s0 = a[r + start]!,
      s1 = a[r + start + 1]!,
      s2 = a[r + start + 2]!,
      s3 = a[r + start + 3]!;
    const t0 = a[t + start]!,
      t1 = a[t + start + 1]!,
      t2 = a[t + start + 2]!,
      t3 = a[t + start + 3]!;
    for (let j = end; j < size; j++) {
      const b0 = a[r0 + j]!,
        b1 = a[r1 + j]!,
        b2 = a[r2 + j]!,
        b3 = a[r3 + j]!;
      a[p + j]! -= p0 * b0 + p1 * b1 + p2 * b2 + p3 * b3;
      a[q + j]! -= q0 * b0 + q1 * b1 + q2 * b2 + q3 * b3;
      a[r + j]! -= s0 * b0 + s1 * b1 + s2 * b2 + s3 * b3;
      a[t + j]! -= t0 * b0 + t1 * b1 + t2 * b2 + t3 * b3;
    }
  }
  for (; i < size; i++) {
    const p = i * size;
    const p0 = a[p + start]!,
      p1 = a[p + start + 1]!,
      p2 = a[p + start + 2]!,
      p3 = a[p + start + 3]!;
    for (let j = end; j < size; j++) {
      a[p + j]! -= p0 * a[r0 + j]! + p1 * a[r1 + j]! + p2 * a[r2 + j]! + p3 * a[r3 + j]!;
    }
  }
}

/** Solves A x = b for the whole matrix, or for its leading `unknowns` rows and columns. */
export function solveFactored(
  { values, order, size, block, from }: LuFactors,
  right: Float64Array,
  unknowns = size,
): Float64Array {
  if (unknowns !== size && unknowns !== block)
    throw new RangeError('Only the whole matrix or its leading block can be solved.');
  const x = new Float64Array(unknowns);
  for (let i = 0; i < from; i++) x[i] = right[i]!;
  for (let i = from; i < unknowns; i++) x[i] = right[order[i]!]! - dotRow(values, i * size, x, from, i);
  for (let i = unknowns - 1; i >= from; i--) {
    x[i] = (x[i]! - dotRow(values, i * size, x, i + 1, unknowns)) / values[i * size + i]!;
  }
  return x;
}

/** Answers to several right sides at once, up to four for every pass over the factors: what is read of them serves all. */
export function solveTogether(factors: LuFactors, rights: readonly Float64Array[]): Float64Array[] {
  const answers: Float64Array[] = [];
  for (let first = 0; first < rights.length; first += 4) {
    const some = rights.slice(first, first + 4);
    answers.push(...(some.length === 1 ? [solveFactored(factors, some[0]!)] : solveFour(factors, some)));
  }
  return answers;
}

function solveFour({ values, order, size, from }: LuFactors, rights: readonly Float64Array[]): Float64Array[] {
  // Side by side: the four unknowns of a row follow one another.
  const x = new Float64Array(4 * size);
  // Down to the first entry that is not nought nothing has to be taken off.
  let first = size;
  for (let i = 0; i < size; i++) {
    const row = i < from ? i : order[i]!;
    for (let side = 0; side < rights.length; side++) {
      const entry = rights[side]![row]!;
      x[4 * i + side] = entry;
      if (entry !== 0 && first > i) first = i;
    }
  }
  let i = Math.max(from, first + 1);
  for (const start = Math.max(from, first); i < size; i += 2) takeOffTwo(values, size, x, [i, i + 1], [start, i]);
  for (i = size - 1; i >= from; i -= 2) {
    takeOffTwo(values, size, x, [i, i - 1 >= from ? i - 1 : size], [i + 1, size], true);
  }
  return rights.map((_, side) => {
    const answer = new Float64Array(size);
    for (let at = 0; at < size; at++) answer[at] = x[4 * at + side]!;
    return answer;
  });
}

/**
 * Takes known unknowns off two neighbouring rows at once, so that every one is
 * read once for both; the second row then misses only the first. @param rows
 * the second one counts only within the matrix @param known from…to−1
 */
function takeOffTwo(
  values: Float64Array,
  size: number,
  x: Float64Array,
  [one, two]: readonly [number, number],
  [from, to]: readonly [number, number],
  isUpper = false,
): void {
  const hasTwo = two < size;
  const a = one * size;
  const b = (hasTwo ? two : one) * size;
  let [p0, p1, p2, p3, q0, q1, q2, q3] = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let j = from, k = 4 * from; j < to; j++, k += 4) {
    const x0 = x[k]!;
    const x1 = x[k + 1]!;
    const x2 = x[k + 2]!;
    const x3 = x[k + 3]!;
    const above = values[a + j]!;
    const below = values[b + j]!;
    p0 += above * x0;
    p1 += above * x1;
    p2 += above * x2;
    p3 += above * x3;
    q0 += below * x0;
    q1 += below * x1;
    q2 += below * x2;
    q3 += below * x3;
  }
  let divisor = isUpper ? values[a + one]! : 1;
  let k = 4 * one;
  const y0 = (x[k] = (x[k]! - p0) / divisor);
  const y1 = (x[k + 1] = (x[k + 1]! - p1) / divisor);
  const y2 = (x[k + 2] = (x[k + 2]! - p2) / divisor);
  const y3 = (x[k + 3] = (x[k + 3]! - p3) / divisor);
  if (!hasTwo) return;
  const last = values[b + one]!;
  divisor = isUpper ? values[b + two]! : 1;
  k = 4 * two;
  x[k] = (x[k]! - q0 - last * y0) / divisor;
  x[k + 1] = (x[k + 1]! - q1 - last * y1) / divisor;
  x[k + 2] = (x[k + 2]! - q2 - last * y2) / divisor;
  x[k + 3] = (x[k + 3]! - q3 - last * y3) / divisor;
}

/** Σ a[row + j] x[j] for j from…to−1; four sums at once, as one would wait for itself. */
export function dotRow(a: Float64Array, row: number, x: Float64Array, from: number, to: number): number {
  let p = 0;
  let q = 0;
  let r = 0;
  let s = 0;
  let j = from;
  for (; j + 3 < to; j += 4) {
    p += a[row + j]! * x[j]!;
    q += a[row + j + 1]! * x[j + 1]!;
    r += a[row + j + 2]! * x[j + 2]!;
    s += a[row + j + 3]! * x[j + 3]!;
  }
  for (; j < to; j++) p += a[row + j]! * x[j]!;
  return p + q + (r + s);
}
