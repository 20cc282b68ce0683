import { expect, test } from 'vitest';
import { traceLength, traceOf } from './trace';

const mode = (real: number, imaginary: number) => ({
  real,
  imaginary,
  period: imaginary === 0 ? null : (2 * Math.PI) / imaginary,
  timeToHalf: real === 0 ? null : Math.LN2 / Math.abs(real),
});

test('a swing of one second that halves in one: half of it is left after each', () => {
  const trace = traceOf(mode(-Math.LN2, 2 * Math.PI));
  const at = (time: number) => trace.reduce((a, b) => (Math.abs(b[0] - time) < Math.abs(a[0] - time) ? b : a))[1];
  expect(trace[0]).toEqual([0, 1]);
  expect(at(1)).toBeCloseTo(0.5, 1);
  expect(at(2)).toBeCloseTo(0.25, 1);
  expect(at(0.5)).toBeLessThan(-0.6);
});

test('what grows ends at twice the nudge; what stays is watched for a minute', () => {
  const grown = traceOf(mode(0.5, 0));
  expect(grown.at(-1)![1]).toBeLessThanOrEqual(2);
  expect(grown.at(-1)![1]).toBeGreaterThan(1.9);
  expect(traceLength(mode(0, 0))).toBe(60);
  expect(traceLength(mode(-40, 0))).toBe(0.3);
});
