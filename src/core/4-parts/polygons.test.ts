import { describe, expect, test } from 'vitest';
import { polygon, type Point } from '@/core/3-shape/outline/path';
import { spanAt, spansAt, straightened } from './polygons';

describe('lowest and highest places of a closed path', () => {
  test('of a triangle are on its sides, at its corners too, and none lie beside it', () => {
    const triangle = polygon([
      [0, 0],
      [10, 0],
      [4, 8],
    ]);
    const { low, high } = spansAt(triangle, [-1, 0, 2, 4, 7, 10, 11]);
    expect([...low]).toEqual([Infinity, 0, 0, 0, 0, 0, Infinity]);
    expect([...high]).toEqual([-Infinity, 0, 4, 8, 4, 0, -Infinity]);
    expect(spanAt(triangle, 7)).toEqual([0, 4]);
  });

  test('of a box include its upright sides, whichever way it is walked', () => {
    const corners: Point[] = [
      [1, -2],
      [5, -2],
      [5, 3],
      [1, 3],
    ];
    for (const box of [polygon(corners), polygon(corners.toReversed())])
      for (const x of [1, 3, 5]) expect(spanAt(box, x)).toEqual([-2, 3]);
  });
});

test('corners nearer than a fiftieth of a millimetre to a straight line go, others stay', () => {
  const withBump = (height: number) =>
    straightened(
      polygon([
        [0, 0],
        [50, 0],
        [50, 20],
        [25, 20 + height],
        [0, 20],
      ]),
    ).vertices.length;
  expect(withBump(0.01)).toBe(4);
  expect(withBump(0.1)).toBe(5);
});
