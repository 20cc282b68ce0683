import { describe, expect, test } from 'vitest';
import { onsetAt } from '@/core/5-aero/flowCase';
import type { Vector3 } from '@/core/1-base/units/convert';
import { designOf, type SurfaceInput, trapezoid } from '#/tests/designs';
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

/** The textbook kernel takes every leg on the board, one by one, in the whole of its air. */
describe('sideways: no leg along the chord is forgotten', () => {
  const alpha = 0.09;
  const step = 1e-3;
  const about: Vector3 = [0.07, 0, 0];
  const bent = (dihedral: number, sweep: number): SurfaceInput =>
    trapezoid(520, 230, 160, {
      stations: [
        { distanceFromRoot: 0, chord: 230, dihedral },
        { distanceFromRoot: 520, chord: 160, leadingEdgeOffset: sweep },
      ],
    });
  /** What may be missing, in shares of the roll damping. */
  const wings: [string, SurfaceInput, number][] = [
    ['straight and flat', trapezoid(520, 230), 1e-6],
    ['with 6° of dihedral', bent(6, 0), 1e-6],
    ['swept back', bent(0, 260), 1e-6],
    ['swept forward with anhedral', bent(-4, -150), 1e-6],
  ];

  test.each(wings)('%s', (_, wing, share) => {
    const { lattice, lateral, reference } = solveSurfaces(designOf([wing]), { strips: 8, chordwise: 4 });
    const { area, span } = reference;
    const level: Vector3 = [Math.cos(alpha), 0, Math.sin(alpha)];
    const stream = (linear: Vector3, turn: Vector3) => (p: readonly number[]) =>
      [...onsetAt({ linear, turn, about }, p[0]!, p[1]!, p[2]!)] as [number, number, number];
    const coefficients = (of: (by: number) => ReturnType<typeof stream>, per = 1) => {
      const [more, less] = solveTextbook(lattice, [of(step), of(-step)], true);
      const slope = (pick: (load: typeof more) => number) => (pick(more) - pick(less)) / (2 * step) / per;
      return {
        sideForce: slope((load) => (2 * load!.force[1]) / area),
        // Roll and yaw turn the other way round than the axes of the document.
        roll: slope((load) => (-2 * load!.moment[0]) / (area * span)),
        yaw: slope((load) => (-2 * (load!.moment[2] - about[0] * load!.force[1])) / (area * span)),
      };
    };
    const slipping = coefficients((by) => stream([level[0], -by, level[2]], [0, 0, 0]));
    const rolling = coefficients((by) => stream(level, [-by, 0, 0]), span / 2);
    const yawing = coefficients((by) => stream(level, [0, 0, -by]), span / 2);
    const ours = lateral(alpha, about);
    const margin = share * Math.abs(rolling.roll);
    const close = (value: number, wanted: number) =>
      expect(Math.abs(value - wanted), `${value} against ${wanted}`).toBeLessThan(margin);
    close(ours.sideForceSlope, slipping.sideForce);
    close(ours.dihedralEffect, slipping.roll);
    close(ours.yawStiffness, slipping.yaw);
    close(ours.sideForceFromRollRate, rolling.sideForce);
    close(ours.rollDamping, rolling.roll);
    close(ours.yawFromRollRate, rolling.yaw);
    close(ours.rollFromYawRate, yawing.roll);
    close(ours.yawDamping, yawing.yaw);
    // And they are there at all: the tips pull sideways when the wing rolls.
    expect(Math.abs(rolling.sideForce)).toBeGreaterThan(0.05);
  });
});
