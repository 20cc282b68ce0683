import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import { farField } from './farField';
import { addLoads, crossLoads } from './forces';

const ALPHA = 0.06;
const GRID = { strips: 14, chordwise: 5 };

/** Induced drag [ρV² m²] from the forces on the vortices, and from the wake far behind. */
function bothWays(design: Parameters<typeof solveSurfaces>[0], grid = GRID) {
  const { model, matrices } = solveSurfaces(design, grid);
  const state = model.stateAt(ALPHA, 0);
  const { force } = addLoads(crossLoads(matrices, state, state, [0, 0, 0]));
  return {
    near: force[0] * Math.cos(ALPHA) + force[2] * Math.sin(ALPHA),
    far: farField(matrices, state).drag,
    lift: force[2] * Math.cos(ALPHA) - force[0] * Math.sin(ALPHA),
    farLift: farField(matrices, state).lift,
  };
}

describe('drag in the wake is the drag on the vortices', () => {
  test('a wing alone: to half a percent', () => {
    const { near, far } = bothWays(designOf([trapezoid(600, 200, 140)]));
    expectWithin(far, near, 0.005);
  });

  test('a box of four surfaces that meet', () => {
    const side = { ...trapezoid(120, 150), id: 'side', role: 'tipFin' as const, position: { x: 0, y: 400, z: 0 } };
    side.stations[0]!.dihedral = 90;
    const upper = {
      ...trapezoid(400, 150),
      id: 'upper',
      role: 'secondWing' as const,
      position: { x: 0, y: 0, z: 120 },
    };
    const { near, far } = bothWays(designOf([trapezoid(400, 150), side, upper]));
    expectWithin(far, near, 0.03);
  });

  test.each(DEMO_NAMES)('%s', (name) => {
    const { near, far, lift, farLift } = bothWays(demoDesign(name));
    // Camber and angles turn the force on the vortices a little.
    expect(Math.abs(far - near), `${far} against ${near}`).toBeLessThan(0.1 * far + 0.0008 * Math.abs(lift));
    expectWithin(farLift, lift, 0.03);
  });
});

describe('a small tail in the wake of the wing', () => {
  // A stabiliser close behind and above, through which the wake of a wing with dihedral passes.
  const close = (height: number) => {
    const wing = trapezoid(520, 230, 200);
    wing.stations[0]!.dihedral = 3;
    const tail = { ...trapezoid(150, 90, 80), id: 'tail', role: 'tailplane' as const };
    return designOf([wing, { ...tail, position: { x: 350, y: 0, z: height }, incidence: -2 }]);
  };

  test.each([0, 6, 12])('%d mm above: the same on every grid', (height) => {
    const wanted = bothWays(close(height), { strips: 36, chordwise: 5 }).far;
    for (const strips of [10, 14, 18, 25])
      expectWithin(bothWays(close(height), { strips, chordwise: 4 }).far, wanted, 0.03);
  });
});
