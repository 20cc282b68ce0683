import { expect, test } from 'vitest';
import { fittedRange } from './fittedRange';

test('an axis reaches over all lines with some room', () => {
  const [least, most] = fittedRange([{ y: [2, 5] }, { y: [12] }]);
  expect(least).toBeCloseTo(1.6, 9);
  expect(most).toBeCloseTo(12.4, 9);
});

test('what is as good as the same is no cliff: a hundredth of it is the least that fills an axis', () => {
  const [least, most] = fittedRange([{ y: [96.954956, 96.954962] }]);
  expect(most - least).toBeCloseTo(1.08 * 0.96954962, 6);
  expect((least + most) / 2).toBeCloseTo(96.954959, 6);
  const [below, above] = fittedRange([{ y: [-3, -3] }]);
  expect([below, above]).toEqual([expect.closeTo(-3.0162, 9), expect.closeTo(-2.9838, 9)]);
});

test('nothing but noughts has room too', () => {
  expect(fittedRange([{ y: [0, 0] }])).toEqual([-0.54, 0.54]);
});
