import { describe, expect, test } from 'vitest';
import { type Shown, steadiness } from './steady';
import { START, TILT_STEADY, type TwoWay, withShown } from './twoWay';

const RULE = { window: 1, spread: 0.2, least: 5 };
/** Ten readings a second. */
const row = (values: readonly number[], from = 0): Shown[] =>
  values.map((value, index) => ({ t: from + index / 10, value }));
const still = (value: number, count: number) => Array.from({ length: count }, (_, index) => value + 0.05 * (index % 3));

describe('a steady reading', () => {
  test('stands so long within so little; its middle is told, whatever came before', () => {
    expect(steadiness([], RULE)).toBeNull();
    expect(steadiness(row(still(2, 5)), RULE)!.isSteady).toBe(false);
    const settled = steadiness(row([40, -3, ...still(2, 12)]), RULE)!;
    expect(settled).toMatchObject({ isSteady: true });
    expect(settled.value).toBeCloseTo(2.05, 9);
    expect(settled.spread).toBeCloseTo(0.1, 9);
  });

  test('is none while it wanders, is seldom seen, or shows no number', () => {
    expect(steadiness(row([...still(2, 8), 2.3, 2, 2]), RULE)!.isSteady).toBe(false);
    expect(
      steadiness(
        [0, 0.5, 1].map((t) => ({ t, value: 2 })),
        RULE,
      )!.isSteady,
    ).toBe(false);
    expect(steadiness(row([...still(2, 8), NaN, 2, 2]), RULE)!.isSteady).toBe(false);
  });
});

describe('a slope read both ways', () => {
  const through = (values: readonly number[], state: TwoWay = START, from = 0): TwoWay =>
    row(values, from).reduce(withShown, state);

  test('shows the slope and the zero of a meter that is off, once it was lifted between', () => {
    // Zero 0.4°, slope 2.5°.
    const first = through(still(2.85, 20));
    expect(first.phase).toBe('turning');
    // Left where it is, nothing happens, however long.
    const waiting = through(still(2.85, 40), first, 2);
    expect(waiting.phase).toBe('turning');
    const lifted = through([10, 60, 20, -30], waiting, 6);
    expect(lifted.phase).toBe('turned');
    const done = through(still(-2.15, 30), lifted, 6.4);
    if (done.phase !== 'done') throw new Error(done.phase);
    expect(done.slope).toBeCloseTo(2.5, 6);
    expect(done.zero).toBeCloseTo(0.4, 6);
    // What comes after changes nothing.
    expect(through([9, 9], done, 12)).toBe(done);
  });

  test('on a level face, where both show the same, it still has to be lifted', () => {
    const first = through(still(0, 30));
    expect(through(still(0, 60), first, 3).phase).toBe('turning');
    const done = through([5, 40, 5, ...still(0, 30)], first, 3);
    expect(done.phase).toBe('done');
  });

  test('keeps no more than it looks at', () => {
    const long = through(Array.from({ length: 400 }, (_, index) => index % 7));
    if (long.phase !== 'forward') throw new Error(long.phase);
    expect(long.shown.length).toBeLessThanOrEqual(20 * TILT_STEADY.window + 1);
  });
});
