/* Systems of equations: the same in TypeScript is `inTypeScript.ts`. */

import { dot, NUMBER } from './products.as';

/** Pivots below this share of the largest entry make a matrix singular. */
const SINGULAR: f64 = 1e-13;

/** Factors in place; order is of 32-bit integers. @returns −1, or the column that has no pivot */
export function factorise(a: usize, order: usize, size: i32, block: i32, from: i32, largest: f64): i32 {
  for (let row = 0; row < size; row++) store<i32>(order + ((<usize>row) << 2), row);
  for (let start = from; start < size; start += 4) {
    const end = min(start + 4, size);
    const failed = factorColumns(a, order, size, block, start, end, largest);
    if (failed >= 0) return failed;
    updateTrailing(a, size, start, end);
  }
  return -1;
}

function factorColumns(
  a: usize,
  order: usize,
  size: i32,
  block: i32,
  start: i32,
  end: i32,
  largest: f64,
): i32 {
  const stride = (<usize>size) * NUMBER;
  for (let k = start; k < end; k++) {
    const lastRow = k < block ? block : size;
    const column = a + (<usize>k) * NUMBER;
    let pivot = k;
    let best = Math.abs(load<f64>(column + (<usize>k) * stride));
    for (let i = k + 1; i < lastRow; i++) {
      const candidate = Math.abs(load<f64>(column + (<usize>i) * stride));
      if (candidate > best) {
        best = candidate;
        pivot = i;
      }
    }
    if (!(best > SINGULAR * largest)) return k;
    if (pivot !== k) exchangeRows(a, order, size, k, pivot);
    const top = a + (<usize>k) * stride;
    const inverse = 1 / load<f64>(top + (<usize>k) * NUMBER);
    for (let i = k + 1; i < size; i++) {
      const row = a + (<usize>i) * stride;
      const factor = load<f64>(row + (<usize>k) * NUMBER) * inverse;
      store<f64>(row + (<usize>k) * NUMBER, factor);
      for (let j = k + 1; j < end; j++) {
        const at = (<usize>j) * NUMBER;
        store<f64>(row + at, load<f64>(row + at) - factor * load<f64>(top + at));
      }
    }
  }
  return -1;
}

function exchangeRows(a: usize, order: usize, size: i32, p: i32, q: i32): void {
  const stride = (<usize>size) * NUMBER;
  let one = a + (<usize>p) * stride;
  let two = a + (<usize>q) * stride;
  for (let j = 0; j < size; j++) {
    const value = load<f64>(one);
    store<f64>(one, load<f64>(two));
    store<f64>(two, value);
    one += NUMBER;
    two += NUMBER;
  }
  const place = order + ((<usize>p) << 2);
  const other = order + ((<usize>q) << 2);
  const kept = load<i32>(place);
  store<i32>(place, load<i32>(other));
  store<i32>(other, kept);
}

/** Takes what up to four eliminated columns bring off everything right of them. */
function updateTrailing(a: usize, size: i32, start: i32, end: i32): void {
  const stride = (<usize>size) * NUMBER;
  for (let k = start; k + 1 < end; k++) {
    for (let i = k + 1; i < end; i++) {
      const row = a + (<usize>i) * stride;
      const factor = load<f64>(row + (<usize>k) * NUMBER);
      takeOff(row, a + (<usize>k) * stride, factor, end, size);
    }
  }
  if (end - start < 4) return;
  const r0 = a + (<usize>start) * stride;
  const r1 = r0 + stride;
  const r2 = r1 + stride;
  const r3 = r2 + stride;
  const column = (<usize>start) * NUMBER;
  let i = end;
  for (; i + 1 < size; i += 2) {
    const one = a + (<usize>i) * stride;
    const two = one + stride;
    const p0 = v128.load64_splat(one + column);
    const p1 = v128.load64_splat(one + column, 8);
    const p2 = v128.load64_splat(one + column, 16);
    const p3 = v128.load64_splat(one + column, 24);
    const q0 = v128.load64_splat(two + column);
    const q1 = v128.load64_splat(two + column, 8);
    const q2 = v128.load64_splat(two + column, 16);
    const q3 = v128.load64_splat(two + column, 24);
    let j = end;
    let at = (<usize>end) * NUMBER;
    for (; j + 1 < size; j += 2) {
      const b0 = v128.load(r0 + at);
      const b1 = v128.load(r1 + at);
      const b2 = v128.load(r2 + at);
      const b3 = v128.load(r3 + at);
      const p = f64x2.add(
        f64x2.add(f64x2.mul(p0, b0), f64x2.mul(p1, b1)),
        f64x2.add(f64x2.mul(p2, b2), f64x2.mul(p3, b3)),
      );
      const q = f64x2.add(
        f64x2.add(f64x2.mul(q0, b0), f64x2.mul(q1, b1)),
        f64x2.add(f64x2.mul(q2, b2), f64x2.mul(q3, b3)),
      );
      v128.store(one + at, f64x2.sub(v128.load(one + at), p));
      v128.store(two + at, f64x2.sub(v128.load(two + at), q));
      at += 16;
    }
    if (j < size) {
      lastColumn(one, column, r0, stride, at);
      lastColumn(two, column, r0, stride, at);
    }
  }
  if (i < size) {
    const one = a + (<usize>i) * stride;
    takeOff(one, r0, load<f64>(one + column), end, size);
    takeOff(one, r1, load<f64>(one + column, 8), end, size);
    takeOff(one, r2, load<f64>(one + column, 16), end, size);
    takeOff(one, r3, load<f64>(one + column, 24), end, size);
  }
}

/** What is left where the number of columns is odd. */
@inline
function lastColumn(row: usize, column: usize, top: usize, stride: usize, at: usize): void {
  const sum =
    load<f64>(row + column) * load<f64>(top + at) +
    load<f64>(row + column, 8) * load<f64>(top + stride + at) +
    load<f64>(row + column, 16) * load<f64>(top + 2 * stride + at) +
    load<f64>(row + column, 24) * load<f64>(top + 3 * stride + at);
  store<f64>(row + at, load<f64>(row + at) - sum);
}

/** row −= factor · top, over the columns from…size−1. */
function takeOff(row: usize, top: usize, factor: f64, from: i32, size: i32): void {
  const both = f64x2.splat(factor);
  let at = (<usize>from) * NUMBER;
  let j = from;
  for (; j + 1 < size; j += 2) {
    v128.store(row + at, f64x2.sub(v128.load(row + at), f64x2.mul(both, v128.load(top + at))));
    at += 16;
  }
  if (j < size) store<f64>(row + at, load<f64>(row + at) - factor * load<f64>(top + at));
}

/** One right side, in its own place and in the order of the rows: the leading `unknowns` of the matrix. */
export function solveOne(a: usize, size: i32, from: i32, unknowns: i32, x: usize): void {
  const stride = (<usize>size) * NUMBER;
  const begin = (<usize>from) * NUMBER;
  for (let i = from + 1; i < unknowns; i++) {
    const at = x + (<usize>i) * NUMBER;
    store<f64>(at, load<f64>(at) - dot(a + (<usize>i) * stride + begin, x + begin, i - from));
  }
  for (let i = unknowns - 1; i >= from; i--) {
    const place = (<usize>i) * NUMBER;
    const row = a + (<usize>i) * stride + place;
    const at = x + place;
    store<f64>(at, (load<f64>(at) - dot(row + NUMBER, at + NUMBER, unknowns - 1 - i)) / load<f64>(row));
  }
}

/** Aᵀ y = x up to the exchanges of rows, in its own place: Uᵀ, then Lᵀ. */
export function solveTransposed(a: usize, size: i32, from: i32, x: usize): void {
  const stride = (<usize>size) * NUMBER;
  for (let i = from; i < size; i++) {
    const row = a + (<usize>i) * stride;
    const at = x + (<usize>i) * NUMBER;
    const value = load<f64>(at) / load<f64>(row + (<usize>i) * NUMBER);
    store<f64>(at, value);
    takeOff(x, row, value, i + 1, size);
  }
  for (let i = size - 1; i >= from; i--)
    takeOff(x, a + (<usize>i) * stride, load<f64>(x + (<usize>i) * NUMBER), from, i);
}

/** Bytes of four right sides that stand side by side. */
const FOUR: usize = 32;

/**
 * Four right sides that stand side by side, in their own place and in the
 * order of the rows; above `first` they are nought.
 */
export function solveFour(a: usize, size: i32, from: i32, first: i32, x: usize): void {
  const start = max(from, first);
  let i = max(from, first + 1);
  for (; i + 1 < size; i += 2) {
    takeOffTwo(a, size, x, i, start, i);
    backTo(a, size, x, i + 1, i);
  }
  if (i < size) takeOffOne(a, size, x, i, start, i);
  i = size - 1;
  for (; i - 1 >= from; i -= 2) {
    takeOffTwo(a, size, x, i - 1, i + 1, size);
    divide(a, size, x, i);
    backTo(a, size, x, i - 1, i);
    divide(a, size, x, i - 1);
  }
  if (i >= from) {
    takeOffOne(a, size, x, i, i + 1, size);
    divide(a, size, x, i);
  }
}

/** Takes the known unknowns from…to−1 off the rows i and i + 1. */
@inline
function takeOffTwo(a: usize, size: i32, x: usize, i: i32, from: i32, to: i32): void {
  const stride = (<usize>size) * NUMBER;
  let one = a + (<usize>i) * stride + (<usize>from) * NUMBER;
  let two = one + stride;
  let at = x + (<usize>from) * FOUR;
  const place = x + (<usize>i) * FOUR;
  let p = v128.load(place);
  let q = v128.load(place, 16);
  let r = v128.load(place, 32);
  let s = v128.load(place, 48);
  for (let j = from; j < to; j++) {
    const x0 = v128.load(at);
    const x1 = v128.load(at, 16);
    const above = v128.load64_splat(one);
    const below = v128.load64_splat(two);
    p = f64x2.sub(p, f64x2.mul(above, x0));
    q = f64x2.sub(q, f64x2.mul(above, x1));
    r = f64x2.sub(r, f64x2.mul(below, x0));
    s = f64x2.sub(s, f64x2.mul(below, x1));
    one += NUMBER;
    two += NUMBER;
    at += FOUR;
  }
  v128.store(place, p);
  v128.store(place, q, 16);
  v128.store(place, r, 32);
  v128.store(place, s, 48);
}

@inline
function takeOffOne(a: usize, size: i32, x: usize, i: i32, from: i32, to: i32): void {
  for (let j = from; j < to; j++) backTo(a, size, x, i, j);
}

/** Takes unknown j off row i. */
@inline
function backTo(a: usize, size: i32, x: usize, i: i32, j: i32): void {
  const factor = v128.load64_splat(a + ((<usize>i) * (<usize>size) + (<usize>j)) * NUMBER);
  const place = x + (<usize>i) * FOUR;
  const known = x + (<usize>j) * FOUR;
  v128.store(place, f64x2.sub(v128.load(place), f64x2.mul(factor, v128.load(known))));
  v128.store(place, f64x2.sub(v128.load(place, 16), f64x2.mul(factor, v128.load(known, 16))), 16);
}

@inline
function divide(a: usize, size: i32, x: usize, i: i32): void {
  const divisor = v128.load64_splat(a + ((<usize>i) * (<usize>size) + (<usize>i)) * NUMBER);
  const place = x + (<usize>i) * FOUR;
  v128.store(place, f64x2.div(v128.load(place), divisor));
  v128.store(place, f64x2.div(v128.load(place, 16), divisor), 16);
}
