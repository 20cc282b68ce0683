import { describe, expect, test } from 'vitest';
import { between, type Field, isolines } from './isolines';
import { linear, pathThrough, spanOf, ticksApart, valueAt } from './scale';

const across = [0, 1, 2, 3, 4, 5, 6];
const up = [0, 10, 20, 30, 40];
const plane = (of: (x: number, y: number) => number): Field => ({
  across,
  up,
  values: across.map((x) => up.map((y) => of(x, y))),
});

describe('lines of equal value', () => {
  test('of a plane they are straight and where they must be', () => {
    const field = plane((x, y) => x + y / 10);
    const lines = isolines(field, 4.3);
    expect(lines).toHaveLength(1);
    for (const [x, y] of lines[0]!) expect(x + y / 10).toBeCloseTo(4.3, 6);
    // From edge to edge.
    const xs = lines[0]!.map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(3.5);
  });

  test('a level that nobody reaches has none, nor has what is not known', () => {
    expect(
      isolines(
        plane((x) => x),
        60,
      ),
    ).toEqual([]);
    expect(
      isolines(
        plane((x) => (x === 2 ? Number.NaN : x)),
        3.5,
      ),
    ).toEqual([]);
  });

  test('a hill has a ring around it, whole', () => {
    const [ring, ...others] = isolines(
      plane((x, y) => -((x - 3) ** 2) - ((y - 20) / 10) ** 2),
      -1.5,
    );
    expect(others).toEqual([]);
    expect(ring![0]).toEqual(ring!.at(-1));
  });

  test('what lies between two levels is a band to the edge', () => {
    const rings = between(
      plane((x) => x),
      1.5,
      3.5,
    );
    expect(rings).toHaveLength(2);
    const [low, high] = rings.map((ring) => Math.min(...ring.map(([x]) => x)));
    expect([low, high]).toEqual([1.5, 3.5]);
    expect(Math.max(...rings[0]!.map(([x]) => x))).toBe(6);
  });
});

test('curves are read between their points and held beyond them', () => {
  const curve = [
    [0, 1],
    [2, 5],
  ] as const;
  expect([-1, 0.5, 2, 9].map((at) => valueAt(curve, at))).toEqual([1, 2, 5, 5]);
  expect(valueAt([], 1)).toBeNull();
  expect(spanOf([])).toEqual([0, 1]);
  expect(spanOf([3, 3, Number.NaN])[0]).toBeLessThan(3);
  expect(
    pathThrough([
      [0, 0],
      [1, Number.NaN],
      [2, 2],
    ]),
  ).not.toContain('NaN');
});

test('an axis has fewer ticks where they would stand one on the other', () => {
  const of = (height: number) => ticksApart(linear([0, 5.6], [height, 0]), 5, 13);
  expect(of(200)).toEqual([0, 1, 2, 3, 4, 5]);
  expect(of(40)).toEqual([0, 2, 4]);
  expect(of(8).length).toBeLessThan(3);
});
