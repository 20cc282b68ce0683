/* Products and sums of rows: the same in TypeScript is `inTypeScript.ts`. */

/** Bytes of a number. */
export const NUMBER: usize = 8;

/** Sum of both halves. */
@inline
function across(pair: v128): f64 {
  return f64x2.extract_lane(pair, 0) + f64x2.extract_lane(pair, 1);
}

/** Σ a[j] x[j] for j below `count`. */
export function dot(a: usize, x: usize, count: i32): f64 {
  let p = f64x2.splat(0);
  let q = f64x2.splat(0);
  let r = f64x2.splat(0);
  let s = f64x2.splat(0);
  let j = 0;
  for (; j + 7 < count; j += 8) {
    p = f64x2.add(p, f64x2.mul(v128.load(a), v128.load(x)));
    q = f64x2.add(q, f64x2.mul(v128.load(a, 16), v128.load(x, 16)));
    r = f64x2.add(r, f64x2.mul(v128.load(a, 32), v128.load(x, 32)));
    s = f64x2.add(s, f64x2.mul(v128.load(a, 48), v128.load(x, 48)));
    a += 64;
    x += 64;
  }
  let sum = across(f64x2.add(f64x2.add(p, q), f64x2.add(r, s)));
  for (; j < count; j++) {
    sum += load<f64>(a) * load<f64>(x);
    a += NUMBER;
    x += NUMBER;
  }
  return sum;
}

/**
 * out[i] = Σ a[i, j] x[j] over the columns from…columns−1, for every x of
 * several that lie so many bytes apart, as their products do then. Each sum
 * comes out as it does by itself.
 */
export function multiply(
  a: usize,
  rows: i32,
  columns: i32,
  from: i32,
  x: usize,
  count: i32,
  apart: usize,
  out: usize,
): void {
  const stride = (<usize>columns) * NUMBER;
  const skip = (<usize>from) * NUMBER;
  const length = columns - from;
  const right = x + skip;
  let row = a + skip;
  let i = 0;
  if (count === 1) {
    // Two rows at a time: what is read of x serves both.
    for (; i + 1 < rows; i += 2) {
      dotTwo(row, row + stride, right, length, out, out + NUMBER);
      out += 2 * NUMBER;
      row += 2 * stride;
    }
    if (i < rows) store<f64>(out, dotAlone(row, right, length));
    return;
  }
  for (; i < rows; i++) {
    let side = right;
    let to = out;
    let k = 0;
    for (; k + 1 < count; k += 2) {
      dotTwo(side, side + apart, row, length, to, to + apart);
      side += 2 * apart;
      to += 2 * apart;
    }
    if (k < count) store<f64>(to, dotAlone(row, side, length));
    out += NUMBER;
    row += stride;
  }
}

/** Σ one[j] x[j] and Σ two[j] x[j]. */
@inline
function dotTwo(one: usize, two: usize, x: usize, count: i32, toOne: usize, toTwo: usize): void {
  let p = f64x2.splat(0);
  let q = f64x2.splat(0);
  let r = f64x2.splat(0);
  let s = f64x2.splat(0);
  let j = 0;
  for (; j + 3 < count; j += 4) {
    const x0 = v128.load(x);
    const x1 = v128.load(x, 16);
    p = f64x2.add(p, f64x2.mul(v128.load(one), x0));
    q = f64x2.add(q, f64x2.mul(v128.load(one, 16), x1));
    r = f64x2.add(r, f64x2.mul(v128.load(two), x0));
    s = f64x2.add(s, f64x2.mul(v128.load(two, 16), x1));
    one += 32;
    two += 32;
    x += 32;
  }
  let first = across(f64x2.add(p, q));
  let second = across(f64x2.add(r, s));
  for (; j < count; j++) {
    const value = load<f64>(x);
    first += load<f64>(one) * value;
    second += load<f64>(two) * value;
    one += NUMBER;
    two += NUMBER;
    x += NUMBER;
  }
  store<f64>(toOne, first);
  store<f64>(toTwo, second);
}

/** One of both, summed as there. */
@inline
function dotAlone(one: usize, x: usize, count: i32): f64 {
  let p = f64x2.splat(0);
  let q = f64x2.splat(0);
  let j = 0;
  for (; j + 3 < count; j += 4) {
    p = f64x2.add(p, f64x2.mul(v128.load(one), v128.load(x)));
    q = f64x2.add(q, f64x2.mul(v128.load(one, 16), v128.load(x, 16)));
    one += 32;
    x += 32;
  }
  let sum = across(f64x2.add(p, q));
  for (; j < count; j++) {
    sum += load<f64>(one) * load<f64>(x);
    one += NUMBER;
    x += NUMBER;
  }
  return sum;
}

/** Largest magnitude of so many numbers; what is no number spreads. */
export function largest(a: usize, count: i32): f64 {
  let both = f64x2.splat(0);
  let at = a;
  let j = 0;
  for (; j + 1 < count; j += 2) {
    both = f64x2.max(both, f64x2.abs(v128.load(at)));
    at += 16;
  }
  const most = Math.max(f64x2.extract_lane(both, 0), f64x2.extract_lane(both, 1));
  return j < count ? Math.max(most, Math.abs(load<f64>(at))) : most;
}

/** Σ |a[i, j]| over the rows and columns from…size−1, for every column. */
export function columnSums(a: usize, size: i32, from: i32, out: usize): void {
  const stride = (<usize>size) * NUMBER;
  memory.fill(out, 0, stride);
  for (let i = from; i < size; i++) {
    let at = a + (<usize>i) * stride + (<usize>from) * NUMBER;
    let to = out + (<usize>from) * NUMBER;
    let j = from;
    for (; j + 1 < size; j += 2) {
      v128.store(to, f64x2.add(v128.load(to), f64x2.abs(v128.load(at))));
      at += 16;
      to += 16;
    }
    if (j < size) store<f64>(to, load<f64>(to) + Math.abs(load<f64>(at)));
  }
}
