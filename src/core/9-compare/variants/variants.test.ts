import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { withFields } from '@/core/2-document/edit/withFields';
import { analyse } from '@/core/analyse';
import { solve } from '@/core/6-groups/solve';
import { missed } from '../limits';
import { marksOf } from './marks';
import { balanceOf, BESIDE_SURFACES, meanPlace, neutralPointOf, shiftsBetween } from './shifts';
import { variantOf } from './variant';

const postman = demoDesign('lagoon-postman');
const sum = (shifts: readonly { readonly by: number }[]) => shifts.reduce((all, { by }) => all + by, 0);

describe('what moves a mean place', () => {
  test('by hand: a heavier nose pulls forward, what goes aft pulls aft', () => {
    const before = [
      { part: 'nose', weight: 1, moment: 0 },
      { part: 'tail', weight: 1, moment: 2 },
    ];
    const after = [
      { part: 'nose', weight: 2, moment: 0 },
      { part: 'tail', weight: 1, moment: 3 },
    ];
    // Both means are 1: the nose pulls (2·(0 − 1) − 1·(0 − 1))/3, the tail (1·(3 − 1) − 1·(2 − 1))/3.
    const shifts = new Map(shiftsBetween(before, after).map(({ part, by }) => [part, by]));
    expect(shifts.get('tail')).toBeCloseTo(1 / 3, 12);
    expect(shifts.get('nose')).toBeCloseTo(-1 / 3, 12);
  });

  test('what is added or taken out counts with all it has', () => {
    const before = [{ part: 'a', weight: 1, moment: 1 }];
    const after = [...before, { part: 'b', weight: 1, moment: 3 }];
    expect(shiftsBetween(before, after)[0]).toEqual({ part: 'b', by: 1 });
    expect(shiftsBetween(after, before)[0]).toEqual({ part: 'b', by: -1 });
    expect(shiftsBetween([], after)).toEqual([]);
  });

  test.each(DEMO_NAMES)('%s against the postman: parts add up to the balance and neutral points', (name) => {
    const [a, b] = [solve(postman, {}), solve(demoDesign(name), {})];
    const [from, to] = [balanceOf(a.numbers), balanceOf(b.numbers)];
    expectWithin(meanPlace(from), a.numbers.mass.cg![0], 1e-9);
    expect(sum(shiftsBetween(from, to))).toBeCloseTo(b.numbers.mass.cg![0] - a.numbers.mass.cg![0], 9);
    const [aft, other] = [neutralPointOf(a.solution!), neutralPointOf(b.solution!)];
    expectWithin(meanPlace(other), b.numbers.pitch.neutralPoint!, 1e-6);
    expect(sum(shiftsBetween(aft, other))).toBeCloseTo(
      b.numbers.pitch.neutralPoint! - a.numbers.pitch.neutralPoint!,
      6,
    );
  });

  test('bodies pull the neutral point forward, a tailplane aft', () => {
    const parts = neutralPointOf(solve(postman, {}).solution!);
    const at = meanPlace(parts);
    const pull = (part: string) =>
      parts.reduce((all, one) => all + (one.part === part ? one.moment - one.weight * at : 0), 0);
    expect(pull(BESIDE_SURFACES)).toBeLessThan(0);
    expect(pull('tailplane')).toBeGreaterThan(0);
  });
});

test('a variant is the analysis of its design, with what it costs', () => {
  const priced = {
    ...postman,
    materials: postman.materials.map((material) => ({ ...material, price: 4 })),
  };
  const variant = finish(variantOf(priced));
  const whole = analyse(priced, { without: ['remedies', 'bands'] });
  expect(variant.numbers.pitch).toEqual(whole.pitch);
  expect(variant.findings.map(({ id }) => id)).toEqual(whole.findings.map(({ id }) => id));
  expect(variant.cost.boards! % 4).toBe(0);
  expect(variant.cost.boards).toBeGreaterThan(0);
  expectWithin(
    variant.drag.reduce((all, { area }) => all + area, 0),
    whole.drag.total! * whole.reference.area!,
    1e-9,
  );
});

describe('marks', () => {
  test('go by the brief: least mass is best, and who misses a limit fails', () => {
    const light = withFields(postman, [{ field: '/brief/maximumMass', value: 400 }]);
    expect(marksOf('mass.total', [postman, light, postman], [0.5, 0.45, 0.6])).toEqual([
      { rank: null, fails: false },
      { rank: 'best', fails: true },
      { rank: 'worst', fails: false },
    ]);
  });

  test('none where all are alike, where there is no number, or where the brief wants neither', () => {
    const three = [postman, postman, postman];
    expect(marksOf('mass.total', three, [0.5, 0.5001, 0.5]).every(({ rank }) => rank === null)).toBe(true);
    expect(marksOf('mass.total', three, [0.5, null, 0.6]).map(({ rank }) => rank)).toEqual(['best', null, 'worst']);
    expect(marksOf('reference.span', three, [1, 2, 3]).every(({ rank }) => rank === null)).toBe(true);
  });

  test('a glide counts for who soars only', () => {
    const soars = withFields(postman, [{ field: '/brief/purpose', value: 'soar' }]);
    expect(marksOf('speeds.glideRatio', [soars, soars], [8, 9])[1]!.rank).toBe('best');
    expect(marksOf('speeds.glideRatio', [postman, postman], [8, 9])[1]!.rank).toBeNull();
  });
});

test('how far a limit is missed is a share of it', () => {
  expect(missed({ name: 'mass.total', kind: 'most', value: 2 }, 3)).toBeCloseTo(0.5, 12);
  expect(missed({ name: 'mass.total', kind: 'most', value: 2 }, 1)).toBe(0);
  expect(missed({ name: 'power.duration', kind: 'least', value: 100 }, 75)).toBeCloseTo(0.25, 12);
  expect(missed({ name: 'power.duration', kind: 'least', value: 100 }, null)).toBe(1);
});
