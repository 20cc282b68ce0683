/**
 * Brent's method: bisection, secant and inverse quadratic steps on a bracket.
 * Source: R. P. Brent, Algorithms for Minimization without Derivatives, 1973, ch. 4.
 */
export type RootResult =
  | { readonly kind: 'root'; readonly x: number; readonly evaluations: number }
  | { readonly kind: 'notBracketed'; readonly atLow: number; readonly atHigh: number }
  | { readonly kind: 'notConverged'; readonly x: number; readonly evaluations: number };

export interface RootOptions {
  readonly low: number;
  readonly high: number;
  /** Half width of the last bracket, in units of x. */
  readonly tolerance: number;
  readonly limit?: number;
}

/** A place where `f` changes its sign within the bracket, or why there is none. */
export function findRoot(f: (x: number) => number, { low, high, tolerance, limit = 100 }: RootOptions): RootResult {
  let a = low;
  let b = high;
  let fa = f(a);
  let fb = f(b);
  let evaluations = 2;
  if (fa === 0) return { kind: 'root', x: a, evaluations };
  if (!(fa * fb <= 0)) return { kind: 'notBracketed', atLow: fa, atHigh: fb };
  let c = a;
  let fc = fa;
  let step = b - a;
  let before = step;
  while (evaluations < limit) {
    if (fb * fc > 0) {
      c = a;
      fc = fa;
      step = before = b - a;
    }
    if (Math.abs(fc) < Math.abs(fb)) {
      [a, b, c] = [b, c, b];
      [fa, fb, fc] = [fb, fc, fb];
    }
    const least = 2 * Number.EPSILON * Math.abs(b) + tolerance / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= least || fb === 0) return { kind: 'root', x: b, evaluations };
    const quick = Math.abs(before) >= least && Math.abs(fa) > Math.abs(fb) ? interpolate(a, b, c, fa, fb, fc) : null;
    before = step;
    step =
      quick !== null && Math.abs(quick) < Math.min(1.5 * Math.abs(half), Math.abs(before) / 2) && quick * half > 0
        ? quick
        : half;
    a = b;
    fa = fb;
    b += Math.abs(step) > least ? step : Math.sign(half) * least;
    fb = f(b);
    evaluations++;
  }
  return { kind: 'notConverged', x: b, evaluations };
}

/** Secant step on two points, inverse quadratic on three. */
function interpolate(a: number, b: number, c: number, fa: number, fb: number, fc: number): number {
  const s = fb / fa;
  if (a === c) {
    const p = (c - b) * s;
    const q = 1 - s;
    return -p / q;
  }
  const q = fa / fc;
  const r = fb / fc;
  const p = s * ((c - b) * q * (q - r) - (b - a) * (r - 1));
  return -p / ((q - 1) * (r - 1) * (s - 1));
}
