import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { dormandPrince, type OdeProblem, type OdeStep, UnsteadyError } from './dormandPrince';

const G = 9.80665;
const walk = (problem: Partial<OdeProblem> & Pick<OdeProblem, 'rate' | 'initial' | 'end'>): OdeStep[] => [
  ...dormandPrince({ start: 0, relative: 1e-6, absolute: 1e-9, ...problem }),
];
const endOf = (steps: readonly OdeStep[], size: number): Float64Array =>
  steps.at(-1)!.at(steps.at(-1)!.to, new Float64Array(size));
/** y'' = −y. */
const swing: OdeProblem['rate'] = (_, y, out) => {
  out[0] = y[1]!;
  out[1] = -y[0]!;
};

describe('differential equations', () => {
  test.each([
    [1e-6, 3e-5],
    [1e-9, 3e-8],
  ])('a swing over ten turns at %f: within what is asked, ends and in between', (relative, error) => {
    const steps = walk({ rate: swing, initial: [1, 0], end: 20 * Math.PI, relative, absolute: relative });
    const state = new Float64Array(2);
    for (const { from, to, at } of steps)
      for (const share of [0.3, 0.7, 1]) {
        const t = from + share * (to - from);
        expect(Math.abs(at(t, state)[0]! - Math.cos(t))).toBeLessThan(error);
      }
    expect(steps.at(-1)!.to).toBe(20 * Math.PI);
  });

  test('half the tolerance by 32 takes half the steps twice: the order is the fifth', () => {
    const count = (relative: number) =>
      walk({ rate: swing, initial: [1, 0], end: 60, relative, absolute: relative }).length;
    expectWithin(count(1e-6 / 32 ** 2) / count(1e-6), 4, 0.12);
  });

  test('a fall with drag: V = V∞ tanh(gt/V∞), height by its logarithm', () => {
    const most = 25;
    const steps = walk({
      rate: (_, y, out) => {
        out[0] = y[1]!;
        out[1] = G * (1 - (y[1]! / most) ** 2);
      },
      initial: [0, 0],
      end: 5,
    });
    const [fallen, speed] = endOf(steps, 2);
    expectWithin(speed!, most * Math.tanh((G * 5) / most), 1e-6);
    expectWithin(fallen!, (most ** 2 / G) * Math.log(Math.cosh((G * 5) / most)), 1e-6);
  });

  test('the ground is met when the parabola says; a crest on the way is told of and does not end it', () => {
    const problem = {
      rate: (_: number, y: Float64Array, out: Float64Array) => {
        out[0] = y[1]!;
        out[1] = -G;
      },
      initial: [2, 5],
      end: 60,
    };
    const events = [
      { name: 'ground', value: (_: number, y: Float64Array) => y[0]!, direction: -1, isLast: true },
      { name: 'crest', value: (_: number, y: Float64Array) => y[1]!, isLast: false },
    ] as const;
    const steps = walk({ ...problem, events });
    const happened = steps.flatMap((step) => step.happened);
    expect(happened.map(({ name }) => name)).toEqual(['crest', 'ground']);
    expect(happened[0]!.t).toBeCloseTo(5 / G, 9);
    expect(happened[1]!.t).toBeCloseTo((5 + Math.sqrt(25 + 4 * G)) / G, 9);
    expect(steps.at(-1)!.isEnded).toBe(true);
    expect(steps.at(-1)!.to).toBe(happened[1]!.t);
    // Only downwards: thrown up from below the ground it is met on the way down alone.
    const fromBelow = walk({ ...problem, initial: [-1, 6], events: events.slice(0, 1) });
    expect(fromBelow.at(-1)!.to).toBeCloseTo((6 + Math.sqrt(36 - 2 * G)) / G, 9);
  });

  test('what blows up is said, not walked for ever', () => {
    const blowsUp = {
      rate: (_: number, y: Float64Array, out: Float64Array) => void (out[0] = y[0]! ** 2),
      initial: [1],
      end: 2,
    };
    expect(() => walk(blowsUp)).toThrow(UnsteadyError);
  });
});

test('what would take steps without end says so', () => {
  const swing = {
    rate: (_: number, y: Float64Array, out: Float64Array) => {
      out[0] = y[1]!;
      out[1] = -1e4 * y[0]!;
    },
    start: 0,
    end: 10,
    initial: [1, 0],
    relative: 1e-6,
    absolute: 1e-8,
    mostSteps: 500,
  };
  expect(() => [...dormandPrince(swing)]).toThrow(/More than 500 steps.*faster than can be followed/);
});
