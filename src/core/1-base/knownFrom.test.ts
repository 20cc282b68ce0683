import { expect, test, vi } from 'vitest';
import { knownFrom } from './knownFrom';

test('what an object and other things come to is worked out once, and anew where one of them is another', () => {
  const known = knownFrom<object, object>(2);
  const make = vi.fn(() => ({}));
  const [wing, board] = [{}, {}];
  const first = known(wing, [board, 3], make);
  expect(known(wing, [board, 3], make)).toBe(first);
  expect(make).toHaveBeenCalledTimes(1);
  const others = [
    known(wing, [board, 4], make),
    known(wing, [{}, 3], make),
    known(wing, [board], make),
    known({}, [board, 3], make),
  ];
  expect(make).toHaveBeenCalledTimes(5);
  expect(others).not.toContain(first);
});

test('of each object so many answers are kept, the oldest goes first', () => {
  const known = knownFrom<object, number>(2);
  const wing = {};
  const told = (from: number) => known(wing, [from], () => Math.random());
  const [one, two] = [told(1), told(2)];
  expect([told(1), told(2)]).toEqual([one, two]);
  told(3);
  expect(told(2)).toBe(two);
  expect(told(1)).not.toBe(one);
});

test('NaN is the same as itself, and nothing that is known is no answer', () => {
  const known = knownFrom<object, null>();
  const make = vi.fn(() => null);
  const wing = {};
  known(wing, [Number.NaN], make);
  known(wing, [Number.NaN], make);
  expect(make).toHaveBeenCalledTimes(1);
});
