import { expect, test } from 'vitest';
import { slopeByReversal, zeroByReversal } from './reversal';

test('a meter that shows 0.4° when level, on a slope of 2.5°: both are told by turning it round', () => {
  const read = { forward: 0.4 + 2.5, turned: 0.4 - 2.5 };
  expect(zeroByReversal(read)).toBeCloseTo(0.4, 12);
  expect(slopeByReversal(read)).toBeCloseTo(2.5, 12);
});
