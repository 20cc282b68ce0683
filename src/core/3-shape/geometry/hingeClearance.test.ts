import { expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { hingeClearances } from './hingeClearance';

const design = (from: number, width: number, z = 0, end = 760) =>
  designOf(
    [
      trapezoid(200, 100, 100, {
        id: 'tail',
        role: 'tailplane',
        position: { x: 650, y: 0, z },
        controls: [{ id: 'elevator', function: 'elevator', from, hingeInboard: 0.6, hingeOutboard: 0.6 }],
      }),
    ],
    {
      bodies: [
        {
          id: 'fuselage',
          frames: [
            { x: 0, width, top: 20, bottom: -20 },
            { x: end, width, top: 20, bottom: -20 },
          ],
        },
      ],
    },
  );

test('the gap is the inboard end less half the fuselage', () => {
  expect(hingeClearances(design(0.1, 30))[0]!.gap).toBeCloseTo(20 - 15, 9);
  expect(hingeClearances(design(0, 30))[0]!.gap).toBeCloseTo(-15, 9);
});

test('a fuselage that ends at the hinge, or a tail above it, is not in the way', () => {
  expect(hingeClearances(design(0, 30, 0, 700))).toEqual([]);
  expect(hingeClearances(design(0, 30, 80))).toEqual([]);
});
