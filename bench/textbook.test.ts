import { expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import { solveTextbook } from './textbook.bench';

test('the fast kernel gives what the textbook one gives: swept wing with dihedral', () => {
  const wing = trapezoid(500, 200, 120);
  wing.stations[0]!.dihedral = 6;
  wing.stations[1]!.leadingEdgeOffset = 150;
  const { model, lattice } = solveSurfaces(designOf([wing]), { strips: 8, chordwise: 4 });
  const alpha = 0.09;
  const [slow] = solveTextbook(lattice, [() => [Math.cos(alpha), 0, Math.sin(alpha)]]);
  // Circulation and the force on the bound vortices; the legs along the chord are left out of both.
  const state = model.stateAt(alpha, 0);
  let lift = 0;
  let pull = 0;
  for (let i = 0; i < lattice.panels; i++) {
    lift +=
      2 * state.circulation[i]! * (state.u[i]! * model.matrices.boundY[i]! - state.v[i]! * model.matrices.boundX[i]!);
    pull +=
      2 * state.circulation[i]! * (state.v[i]! * model.matrices.boundZ[i]! - state.w[i]! * model.matrices.boundY[i]!);
  }
  expectWithin(lift, slow!.force[2], 1e-9);
  expectWithin(pull, slow!.force[0], 1e-9);
  expect(slow!.force[1]).toBeCloseTo(0, 12);
});
