import { expect, test } from 'vitest';
import { keptLast } from '../keptLast';
import { maximum } from './maximum';

test('finds the top of a hill, also at an end, and the higher of two', () => {
  expect(maximum((x) => -((x - 1.3) ** 2), 0, 5, 8)).toBeCloseTo(1.3, 3);
  expect(maximum((x) => x, 0, 5, 8)).toBeCloseTo(5, 2);
  expect(maximum((x) => Math.exp(-((x - 1) ** 2) * 8) + 1.5 * Math.exp(-((x - 4) ** 2) * 8), 0, 5, 20)).toBeCloseTo(
    4,
    3,
  );
});

test('the last ones are known again, the oldest is made anew', () => {
  const made: string[] = [];
  const get = keptLast(2, (key: string) => (made.push(key), key.length));
  ['a', 'bb', 'a', 'ccc', 'bb', 'a'].forEach((key) => expect(get(key)).toBe(key.length));
  expect(made).toEqual(['a', 'bb', 'ccc', 'a']);
});
