import { describe, expect, test } from 'vitest';
import { solveTextbook } from '#/bench/textbook.bench';
import { designOf, type SurfaceInput, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import type { Vector3 } from '@/core/1-base/units/convert';
import { demoDesign } from '#/demo';
import fc from 'fast-check';
import { forAll } from '#/tests/forAll';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { longitudinal } from './aeroModel';
import { wake, wakeOf } from './bentWake';
import { buildLattice } from './lattice';
import { type VortexField, vortexField } from './vortexField';
import { change, wakeChange } from './wakeChange';
import { wakeFrame } from './wakeFrame';
import { lookAcross } from './wakeSheet';

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

describe('the change of a wake that turns', () => {
  const design = demoDesign('heron-canard');
  const lattice = buildLattice(design.surfaces.map(placeSurface), { strips: 6, chordwise: 3 });
  const step = 1e-5;

  /** Most that the blur of the edges of a strip makes: a hundredth of how far behind its beginning they are seen. */
  function blurred(field: VortexField, edge: number, x: number, { y, z }: { readonly y: number; readonly z: number }) {
    const [a, dz, tx] = [y - field.edgeY[edge]!, z - field.edgeZ[edge]!, x - field.edgeTrailing[edge]!];
    const r = Math.hypot(a, dz, tx);
    const h = (dz - tx * field.rise) / Math.hypot(1, field.rise);
    const length = field.sheetLength[edge]!;
    const to = (share: number) =>
      Math.hypot(
        field.edgeY[edge]! + a - field.sheetY[edge]! - share * length * field.sheetTangentY[edge]!,
        field.edgeZ[edge]! + h - field.sheetZ[edge]! - share * length * field.sheetTangentZ[edge]!,
      );
    return ((0.01 * r) ** 2 * r * (to(0) ** -3 + to(1) ** -3)) / (Math.PI * length);
  }

  test.each([0, 0.15])(
    'is what turning it by a little makes, of a line and of a strip; wakes that rise by %f',
    (rise) => {
      const field = vortexField(lattice, { rise });
      let strips = 0;
      forAll(
        200,
        [
          fc.integer({ min: 0, max: field.edges - 1 }),
          fc.double({ min: -0.6, max: 1.2, noNaN: true }),
          fc.double({ min: -0.15, max: 0.15, noNaN: true }),
          fc.double({ min: 0.02, max: 0.2, noNaN: true }),
          fc.boolean(),
        ],
        (edge, behind, aside, over, isSpread) => {
          const x = field.edgeTrailing[edge]! + behind;
          const line = {
            y: field.edgeY[edge]! + aside,
            z: field.edgeZ[edge]! + over + rise * Math.max(0, behind),
            own: -1,
          };
          lookAcross(field, line);
          field.sight.edgeSpread[edge] = isSpread ? 1 : 0;
          const at = (up: number, right: number) => {
            wakeOf(field, wakeFrame({ rise: rise + up, drift: right }), edge, x, line);
            return [...wake];
          };
          const by = [
            [at(step, 0), at(-step, 0)],
            [at(0, step), at(0, -step)],
          ];
          const expected = by.flatMap(([more, less]) =>
            more!.map((value, axis) => (value - less![axis]!) / (2 * step)),
          );
          wakeChange(field, edge, x, line);
          const most = Math.max(...expected.map(Math.abs));
          expected.forEach((value, part) =>
            expect(Math.abs(change[part]! - value)).toBeLessThan(
              1e-5 * most + (isSpread ? blurred(field, edge, x, line) : 1e-6),
            ),
          );
          if (isSpread) strips++;
        },
      );
      expect(strips).toBeGreaterThan(50);
    },
  );

  test('on its own line it is that of a half-line seen from ahead: 1/(8π x), and nothing from behind', () => {
    const field = vortexField(lattice, { rise: 0 });
    const line = { y: field.edgeY[2]!, z: field.edgeZ[2]!, own: 0 };
    lookAcross(field, line);
    field.sight.edgeSpread[2] = 0;
    wakeChange(field, 2, field.edgeTrailing[2]! - 0.2, line);
    expect([...change].map(Math.abs)).toEqual(
      [0, 1, 0, 0, 0, 1].map((one) => expect.closeTo(one / (8 * Math.PI * 0.2), 9)),
    );
    wakeChange(field, 2, field.edgeTrailing[2]! + 0.2, line);
    expect([...change].every((part) => part === 0)).toBe(true);
  });
});

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
