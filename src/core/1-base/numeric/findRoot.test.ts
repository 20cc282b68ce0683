import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { findRoot } from './findRoot';

const root = (f: (x: number) => number, low: number, high: number) => {
  const found = findRoot(f, { low, high, tolerance: 1e-12 });
  if (found.kind !== 'root') throw new Error(found.kind);
  return found;
};

test('known roots, in few steps', () => {
  expect(root((x) => x ** 2 - 2, 0, 2).x).toBeCloseTo(Math.SQRT2, 11);
  expect(root(Math.cos, 1, 2).x).toBeCloseTo(Math.PI / 2, 11);
  // Brent’s own example of a flat root.
  expect(root((x) => (x - 1) ** 3, 0, 3.3).x).toBeCloseTo(1, 3);
  expect(root((x) => Math.exp(x) - 5, 0, 4).evaluations).toBeLessThan(16);
  expect(root((x) => (x < 0.3 ? -1 : 2), 0, 1).x).toBeCloseTo(0.3, 10);
  expect(root((x) => x, 0, 1).x).toBe(0);
});

test('any straight line, either way round', () => {
  forAll(
    100,
    [fc.double({ min: -9, max: 9, noNaN: true }), fc.double({ min: 0.1, max: 5, noNaN: true })],
    (at, slope) => {
      expect(root((x) => slope * (x - at), -10, 10).x).toBeCloseTo(at, 9);
      expect(root((x) => slope * (at - x), 10, -10).x).toBeCloseTo(at, 9);
    },
  );
});

test('says what failed', () => {
  expect(findRoot((x) => x ** 2 + 1, { low: -1, high: 1, tolerance: 1e-9 })).toMatchObject({
    kind: 'notBracketed',
    atLow: 2,
  });
  expect(findRoot(() => Number.NaN, { low: 0, high: 1, tolerance: 1e-9 }).kind).toBe('notBracketed');
  expect(findRoot((x) => x ** 3 - 0.2, { low: 0, high: 1, tolerance: 1e-12, limit: 4 }).kind).toBe('notConverged');
});
