import { expect, test } from 'vitest';
import { turnedAbout } from './turnedAbout';

test('a place is turned clockwise about a point, and keeps its distance', () => {
  const quarter = turnedAbout(10, 20, 90)(5, 0);
  expect(quarter[0]).toBeCloseTo(10, 12);
  expect(quarter[1]).toBeCloseTo(25, 12);
  const [x, y] = turnedAbout(10, 20, -30)(0, -4);
  expect(x).toBeCloseTo(8, 12);
  expect(y).toBeCloseTo(20 - 4 * Math.cos(Math.PI / 6), 12);
});
