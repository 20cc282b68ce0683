import { describe, expect, test } from 'vitest';
import { solveTextbook } from '#/bench/textbook.bench';
import { designOf, type SurfaceInput, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import type { Vector3 } from '@/core/1-base/units/convert';
import { longitudinal } from './aeroModel';

const GRID = { strips: 8, chordwise: 4 };
const ALPHA = 0.12;
const ABOUT: Vector3 = [0.07, 0, 0];
const STEP = 2e-3;

const wing = (dihedral: number, sweep: number): SurfaceInput =>
  trapezoid(500, 220, 150, {
    stations: [
      { distanceFromRoot: 0, chord: 220, dihedral },
      { distanceFromRoot: 500, chord: 150, leadingEdgeOffset: sweep },
    ],
  });

/** Air from ahead at an angle of attack and of sideslip; wakes go where it goes. */
const wind = (alpha: number, beta: number): [number, number, number] => [
  Math.cos(alpha) * Math.cos(beta),
  -Math.sin(beta),
  Math.sin(alpha) * Math.cos(beta),
];

/** Every horseshoe by itself, the whole solved anew with its wakes at the new angle. */
describe('wakes that go with the wind turn when it turns', () => {
  const wings: [string, SurfaceInput][] = [
    ['straight and flat', wing(0, 0)],
    ['with 5° of dihedral', wing(5, 20)],
    ['swept back', wing(0, 250)],
  ];

  test.each(wings)('%s: lift, moment and roll of sideslip', (_, input) => {
    const solved = solveSurfaces(designOf([input]), GRID, Math.tan(ALPHA), true);
    const { area, span } = solved.reference;
    const textbook = (alpha: number, beta: number) => {
      const air = wind(alpha, beta);
      const [load] = solveTextbook(solved.lattice, [() => [...air]], true, air);
      const { force, moment } = load!;
      return {
        ...longitudinal(
          { force, moment: [0, moment[1] - ABOUT[2] * force[0] + ABOUT[0] * force[2], 0] },
          alpha,
          solved.reference,
        ),
        sideForce: (2 * force[1]) / area,
        roll: (-2 * moment[0]) / (area * span),
        yaw: (-2 * (moment[2] - ABOUT[0] * force[1])) / (area * span),
      };
    };
    const slope = (key: 'lift' | 'moment' | 'sideForce' | 'roll' | 'yaw', way: 'alpha' | 'beta') => {
      const at = (by: number) => (way === 'alpha' ? textbook(ALPHA + by, 0) : textbook(ALPHA, by))[key];
      return (at(STEP) - at(-STEP)) / (2 * STEP);
    };
    const pitch = solved.pitch(ALPHA, ABOUT);
    expectWithin(pitch.liftSlope, slope('lift', 'alpha'), 1e-4);
    expect(pitch.momentSlope).toBeCloseTo(slope('moment', 'alpha'), 4);
    const lateral = solved.lateral(ALPHA, ABOUT);
    const close = (value: number, wanted: number) =>
      expect(Math.abs(value - wanted), `${value} against ${wanted}`).toBeLessThan(1e-4);
    close(lateral.sideForceSlope, slope('sideForce', 'beta'));
    close(lateral.dihedralEffect, slope('roll', 'beta'));
    close(lateral.yawStiffness, slope('yaw', 'beta'));
  });

  test('a flat wing at lift rolls less upright than straight wakes have it', () => {
    const roll = (turns: boolean) =>
      solveSurfaces(designOf([wing(0, 0)]), GRID, turns ? Math.tan(ALPHA) : 0, turns).lateral(ALPHA, ABOUT)
        .dihedralEffect;
    expect(roll(true)).toBeLessThan(0);
    expect(roll(true)).toBeGreaterThan(0.8 * roll(false));
  });
});
