import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { finish } from '@/core/1-base/steps';
import type { Degrees } from '@/core/1-base/units/convert';
import { fly } from './fly';
import { flyingModel } from './flyingModel';

/** A strongly tapered wing with next to no dihedral and a tail behind it; balanced rather far aft. */
const tapered = (washout: Degrees, tail: Degrees) =>
  designOf(
    [
      {
        ...trapezoid(500, 200, 80),
        position: { x: 200, y: 0, z: 0 },
        incidence: 2,
        stations: [
          { distanceFromRoot: 0, chord: 200, dihedral: 1 },
          { distanceFromRoot: 500, chord: 80, leadingEdgeOffset: 30, twist: washout },
        ],
      },
      {
        id: 'tail',
        role: 'tailplane',
        position: { x: 750, y: 0, z: 30 },
        incidence: tail,
        stations: [
          { distanceFromRoot: 0, chord: 120 },
          { distanceFromRoot: 200, chord: 100 },
        ],
      },
      {
        id: 'fin',
        role: 'fin',
        mirrored: false,
        position: { x: 740, y: 0, z: 0 },
        stations: [
          { distanceFromRoot: 0, chord: 130, dihedral: 90 },
          { distanceFromRoot: 150, chord: 90 },
        ],
      },
    ],
    {
      massItems: [120, 420].map((x, index) => ({
        id: `lump-${index}`,
        name: 'Lump',
        category: 'other',
        mass: 200,
        position: { x, y: 0, z: 0 },
      })),
    },
  );

/** Out of the hand at 9 m/s, a little banked and rolling. */
function thrown(washout: Degrees, tail: Degrees) {
  const model = flyingModel(tapered(washout, tail));
  if ('because' in model) throw new Error(model.because);
  const launch = { speed: 9, path: 0.1, height: 20, roll: 0.05, rollRate: 0.2 } as never;
  return finish(fly(model, { launch, pilot: 'handsOff', longest: 4 as never }));
}
const banked = ({ samples }: ReturnType<typeof thrown>) => Math.max(...samples.roll.map(Math.abs));
const isStalled = ({ events }: ReturnType<typeof thrown>) => events.some(({ name }) => name === 'stall');

describe('rolling off', () => {
  test('wing and tail at angles far apart: it snaps out of the first pull-up, and shimmed it does not', () => {
    const [apart, shimmed] = [thrown(0, -6), thrown(0, -1)];
    expect(apart.outcome).toBe('snaps');
    expect(banked(apart)).toBeGreaterThan(1.2);
    expect(shimmed.outcome).toBe('settles');
    expect(banked(shimmed)).toBeLessThan(0.1);
  });

  test('through the same stall a washed-out wing comes out level where the plain tapered one rolls off', () => {
    const [plain, washedOut] = [thrown(0, -3), thrown(-4, -3)];
    expect([isStalled(plain), isStalled(washedOut)]).toEqual([true, true]);
    expect(banked(plain)).toBeGreaterThan(1);
    expect(banked(washedOut)).toBeLessThan(0.15);
    expect(washedOut.events.some(({ name }) => name === 'recovers')).toBe(true);
    expect(['stalls', 'settles']).toContain(washedOut.outcome);
  });

  test('a whole one flown straight into it stays straight: nothing leans to one side by itself', () => {
    const model = flyingModel(tapered(0, -6));
    if ('because' in model) throw new Error(model.because);
    const { samples } = finish(
      fly(model, { launch: { speed: 9, path: 0.1, height: 20 } as never, pilot: 'handsOff', longest: 4 as never }),
    );
    expect(Math.min(...samples.attached)).toBeLessThan(0.75);
    expect(Math.max(...samples.y.map(Math.abs))).toBeLessThan(0.01);
  });
});
