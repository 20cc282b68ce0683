import { describe, expect, test } from 'vitest';
import { designOf, type SurfaceInput, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import type { LateralDerivatives } from './derivatives';
import type { Grid } from './lattice';

const GRIDS: readonly Grid[] = [
  { strips: 10, chordwise: 4 },
  { strips: 14, chordwise: 5 },
  { strips: 18, chordwise: 6 },
  { strips: 26, chordwise: 5 },
  { strips: 18, chordwise: 7 },
];

const wing = (dihedral: number): SurfaceInput => ({
  ...trapezoid(600, 200),
  stations: [
    { distanceFromRoot: 0, chord: 200, dihedral },
    { distanceFromRoot: 600, chord: 160, leadingEdgeOffset: 40 },
  ],
  controls: [{ id: 'aileron', function: 'aileron', from: 0.5, to: 0.95 }],
});

const upright = (more: Partial<SurfaceInput>, height: number, chord: number): SurfaceInput => ({
  id: 'fin',
  role: 'fin',
  mirrored: false,
  ...more,
  stations: [
    { distanceFromRoot: 0, chord, dihedral: 90 },
    { distanceFromRoot: height, chord, dihedral: 90 },
  ],
});

const lateralOf = (surfaces: SurfaceInput[], grid: Grid): LateralDerivatives =>
  solveSurfaces(designOf(surfaces), grid).lateral(0.07, [0.08, 0, 0]);

/** Every number by its name; controls by what they turn. */
const numbersOf = ({ roll, yaw, ...derivatives }: LateralDerivatives): Record<string, number> => ({
  ...derivatives,
  rollFromAileron: roll!.roll,
  yawFromAileron: roll!.yaw,
  rollFromRudder: yaw?.roll ?? 0,
});

describe('a part that touches', () => {
  const parts: Record<string, SurfaceInput> = {
    'under the middle': upright({ position: { x: 60 } }, 2, 30),
    'on the middle, as deep as the wing': upright({ position: { x: 0 } }, 6, 190),
    'on each half': upright({ mirrored: true, position: { x: 80, y: 300, z: 21 } }, 2, 30),
    'at each tip': upright({ mirrored: true, position: { x: 70, y: 598.5, z: 41.9 }, role: 'tipFin' }, 2, 30),
  };

  test.each(Object.keys(parts))('%s and is small changes nothing, on any grid', (place) => {
    for (const grid of GRIDS) {
      const [alone, with_] = [[wing(4)], [wing(4), parts[place]!]].map((all) => numbersOf(lateralOf(all, grid)));
      for (const [name, value] of Object.entries(alone!)) {
        const small = 0.0006;
        expect(Math.abs(with_![name]! - value), `${name} ${JSON.stringify(grid)}`).toBeLessThan(
          0.02 * Math.abs(value) + small,
        );
      }
    }
  });

  test('a fin glued to a wing: its side force hangs neither on its place nor on the grid', () => {
    const forces = [0, 20, 45, 60, 80].flatMap((x) =>
      GRIDS.slice(1).map((grid) => lateralOf([wing(0), upright({ position: { x } }, 100, 120)], grid).sideForceSlope),
    );
    const mean = forces.reduce((sum, force) => sum + force, 0) / forces.length;
    for (const force of forces) expectWithin(force, mean, 0.05);
    // The wing is an end plate: more than the fin alone has, less than with a mirror.
    expect(-mean).toBeGreaterThan(0.08);
  });

  test('a tip fin as a surface of its own does what it does as the end of the wing', () => {
    const fin = upright({ mirrored: true, role: 'tipFin', position: { x: 40, y: 600 } }, 100, 160);
    const bent: SurfaceInput = {
      ...wing(0),
      stations: [
        { distanceFromRoot: 0, chord: 200 },
        { distanceFromRoot: 600, chord: 160, leadingEdgeOffset: 40, dihedral: 90 },
        { distanceFromRoot: 700, chord: 160, leadingEdgeOffset: 40, dihedral: 90 },
      ],
      controls: [{ id: 'aileron', function: 'aileron', from: (0.5 * 6) / 7, to: (0.95 * 6) / 7 }],
    };
    const grid = { strips: 26, chordwise: 6 };
    const [apart, whole] = [lateralOf([wing(0), fin], grid), lateralOf([bent], grid)].map(numbersOf);
    for (const name of ['sideForceSlope', 'dihedralEffect', 'rollDamping', 'rollFromYawRate', 'rollFromAileron'])
      expectWithin(apart![name]!, whole![name]!, 0.04);
  });

  test('a fin shorter than the chord it stands on goes under a taller one by and by', () => {
    const force = (height: number) =>
      -lateralOf([wing(0), upright({ position: { x: 40 } }, height, 120)], GRIDS[2]!).sideForceSlope;
    const heights = [4, 12, 20, 23, 25, 30, 40, 60, 90];
    const forces = heights.map(force);
    forces
      .slice(1)
      .forEach((value, index) => expect(value, `${heights[index + 1]} mm`).toBeGreaterThan(forces[index]!));
  });
});
