import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { numbersOf } from '../solve';
import { withFields } from '@/core/2-document/edit/withFields';
import { shimFor, turnOfShim } from '@/core/3-shape/geometry/shim';

describe('shims', () => {
  test('a degree on 200 mm is 3.49 mm under the leading edge', () => {
    expect(shimFor(200, 1)).toEqual({ edge: 'leading', thickness: expect.closeTo(3.491, 3) });
    expect(shimFor(200, -2)).toEqual({ edge: 'trailing', thickness: expect.closeTo(6.9842, 3) });
  });
  test('there and back', () => {
    for (const angle of [-5, -0.3, 0.7, 4]) expect(turnOfShim(150, shimFor(150, angle))).toBeCloseTo(angle, 12);
  });
});

describe('what an angle error does', () => {
  const grid = { strips: 10, chordwise: 4 };
  const numbers = (massX: number, change = 0) =>
    numbersOf(withFields(simpleAircraft(massX), [{ field: '/surfaces/tail/incidence', value: change }]), {
      grid,
      without: ['remedies'],
      surfacesOnly: true,
    });
  const tail = ({ rigging }: ReturnType<typeof numbers>) => rigging.surfaces.find(({ surface }) => surface === 'tail')!;

  test('hands-off lift moves as two whole analyses say', () => {
    const degree = Math.PI / 180;
    const moved = numbers(70, 0.5).rigging.handsOffLift! - numbers(70, -0.5).rigging.handsOffLift!;
    // Taken at cruise, not at hands-off lift: a tenth either way.
    expectWithin(tail(numbers(70)).liftPerRadian * degree, moved, 0.1);
    expect(moved).toBeLessThan(0);
  });

  test('a wide margin bears more than a narrow one', () => {
    const at = (massX: number) => Math.abs(tail(numbers(massX)).liftPerRadian);
    expect(at(40)).toBeLessThan(at(80) / 1.5);
  });

  test('an unstable aircraft has no hands-off lift, and says so', () => {
    const { rigging } = numbers(400);
    expect(rigging.handsOffLift).toBeNull();
    expect(said(rigging.reasons['handsOffLift'])).toMatch(/nothing holds the nose/i);
  });
});
