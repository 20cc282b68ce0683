import { expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { bentBetween } from './bentBetween';

/** Of a cantilever of length one under an even load, as a share of its tip: x² (6 − 4 x + x²)/3. */
const cantilever = (x: number) => (x ** 2 * (6 - 4 * x + x ** 2)) / 3;
const at = (places: readonly number[]) => places.map((place) => ({ place, bends: cantilever(place) }));

test('goes through what is known, and between is within a hundredth of the tip of a cantilever under an even load', () => {
  const known = at([0, 0.09, 0.2, 0.33, 0.5, 0.72, 1]);
  const line = bentBetween(known, 4);
  expect(line).toHaveLength(4 * 6 + 1);
  known.forEach((one, index) => {
    expect(line[4 * index]!.place).toBeCloseTo(one.place, 12);
    expect(line[4 * index]!.bends).toBeCloseTo(one.bends, 12);
  });
  for (const { place, bends } of line) expect(Math.abs(bends - cantilever(place))).toBeLessThan(0.002);
  // Straight lines from place to place would be off by more.
  const straight = known.slice(1).map(({ place, bends }, index) => {
    const from = known[index]!;
    return Math.abs((from.bends + bends) / 2 - cantilever((from.place + place) / 2));
  });
  expect(Math.max(...straight)).toBeGreaterThan(0.004);
});

test('a beam of one stretch is bent evenly more; one of none is where it is', () => {
  const line = bentBetween(
    [
      { place: 0, bends: 0 },
      { place: 2, bends: 3 },
    ],
    2,
  );
  // 3 x²/2 − x³/2, as under a load at its end.
  expectWithin(line[1]!.bends, 3 * (3 / 2 / 4 - 1 / 16), 1e-12);
  expect(bentBetween([{ place: 0, bends: 0 }], 3)).toEqual([{ place: 0, bends: 0 }]);
});
