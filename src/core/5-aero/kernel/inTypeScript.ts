import type { LuFactors } from './factors';

/*
 * The kernel of the lattice in TypeScript: what runs where WebAssembly is not
 * to be had, and what the compiled one is compared with.
 */

/** Pivots below this share of the largest entry make a matrix singular. */
const SINGULAR = 1e-13;

/** Factors in place. @returns −1, or the first column that the others leave open */
export function factorInPlace(
  values: Float64Array,
  order: Int32Array,
  { size, block, from }: Pick<LuFactors, 'size' | 'block' | 'from'>,
  largest: number,
): number {
  for (let row = 0; row < size; row++) order[row] = row;
  for (let start = from; start < size; start += 4) {
    const end = Math.min(start + 4, size);
    const failed = factorColumns(values, order, size, block, start, end, largest);
    if (failed >= 0) return failed;
    updateTrailing(values, size, start, end);
  }
  return -1;
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
): number {
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
    if (!(best > SINGULAR * largest)) return k;
    if (pivot !== k) exchangeRows(a, order, size, k, pivot);
    const inverse = 1 / a[k * size + k]!;
    for (let i = k + 1; i < size; i++) {
      const row = i * size;
      const factor = a[row + k]! * inverse;
      a[row + k] = factor;
      for (let j = k + 1; j < end; j++) a[row + j]! -= factor * a[k * size + j]!;
    }
  }
  return -1;
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

/** Solves for the leading `unknowns`. */
export function solveOne(
  { values, order, size, from }: LuFactors,
  right: Float64Array,
  unknowns: number,
): Float64Array {
  const x = new Float64Array(unknowns);
  for (let i = 0; i < from; i++) x[i] = right[i]!;
  for (let i = from; i < unknowns; i++) x[i] = right[order[i]!]! - dotRow(values, i * size, x, from, i);
  for (let i = unknowns - 1; i >= from; i--) {
    x[i] = (x[i]! - dotRow(values, i * size, x, i + 1, unknowns)) / values[i * size + i]!;
  }
  return x;
}

/** Solves Aᵀ x = b: Uᵀ, then Lᵀ, then the exchanges back. */
export function solveTransposed({ values, order, size, from }: LuFactors, right: Float64Array): Float64Array {
  const y = new Float64Array(right);
  for (let i = from; i < size; i++) {
    y[i] = y[i]! / values[i * size + i]!;
    for (let j = i + 1; j < size; j++) y[j]! -= values[i * size + j]! * y[i]!;
  }
  for (let i = size - 1; i >= from; i--) for (let j = from; j < i; j++) y[j]! -= values[i * size + j]! * y[i]!;
  const x = new Float64Array(size);
  for (let i = from; i < size; i++) x[order[i]!] = y[i]!;
  return x;
}

/** Largest magnitude of the entries from an index on; NaN or infinite where one of them is. */
export function largestEntry(values: Float64Array, from: number): number {
  let largest = 0;
  for (let index = from; index < values.length; index++) {
    const entry = Math.abs(values[index]!);
    // Written so that what is no number is caught as well.
    if (!(entry < Infinity)) return entry;
    if (entry > largest) largest = entry;
  }
  return largest;
}

/** Σ |a[i, j]| over the rows and columns from…size−1, for every column. */
export function columnSums(a: Float64Array, size: number, from: number): Float64Array {
  const sums = new Float64Array(size);
  for (let i = from; i < size; i++) for (let j = from; j < size; j++) sums[j]! += Math.abs(a[i * size + j]!);
  return sums;
}

/** Up to four right sides at once: what is read of the factors serves all. */
export function solveFour({ values, order, size, from }: LuFactors, rights: readonly Float64Array[]): Float64Array[] {
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

/** Σ a[i, j] x[j] over the columns from…columns−1, for every row of each of several matrices and several x: for every matrix the product of each. */
export function multiplyRows(
  matrices: readonly Float64Array[],
  columns: number,
  sides: readonly Float64Array[],
  from: number,
): Float64Array[][] {
  return matrices.map((a) =>
    sides.map((x) => {
      const out = new Float64Array(a.length / columns);
      for (let row = 0; row < out.length; row++) out[row] = dotRow(a, row * columns, x, from, columns);
      return out;
    }),
  );
}
