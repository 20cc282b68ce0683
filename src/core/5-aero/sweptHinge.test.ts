import { describe, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import { longitudinal } from './aeroModel';
import { lateralDerivatives } from './derivatives';

const SPAN = 3000;
const HINGE = 0.7;
const GRID = { strips: 30, chordwise: 6 };

/** A long wing swept by so many degrees, with a flap along all of it that follows the pitch command. */
const swept = (degrees: number, allMoving = false) =>
  solveSurfaces(
    designOf([
      {
        ...trapezoid(SPAN, 200),
        stations: [
          { distanceFromRoot: 0, chord: 200 },
          { distanceFromRoot: SPAN, chord: 200, leadingEdgeOffset: SPAN * Math.tan((degrees * Math.PI) / 180) },
        ],
        controls: [
          {
            id: 'flap',
            function: 'elevon',
            hingeInboard: HINGE,
            hingeOutboard: HINGE,
            from: 0,
            to: 1,
            allMoving,
          },
        ],
      },
    ]),
    GRID,
  );

/** Simple sweep theory: Betz, in Göthert’s and Busemann’s form; the air along the span of a long wing does nothing. */
describe('a hinge swept with the wing', () => {
  const straight = swept(0);

  test('unswept: what thin aerofoils say of flaps (Glauert)', () => {
    const { liftSlope, liftFromElevator } = straight.pitch();
    const theta = Math.acos(1 - 2 * HINGE);
    expectWithin(liftFromElevator! / liftSlope, 1 - (theta - Math.sin(theta)) / Math.PI, 0.01);
  });

  test.each([-30, 25, 45])('at %d° the flap lifts by its cosine less', (degrees) => {
    const { liftSlope, liftFromElevator } = swept(degrees).pitch();
    const unswept = straight.pitch();
    const share = liftFromElevator! / liftSlope / (unswept.liftFromElevator! / unswept.liftSlope);
    expectWithin(share, Math.cos((degrees * Math.PI) / 180), 0.02);
  });

  test('what moves as a whole turns about a line across the chord', () => {
    const { liftSlope, liftFromElevator } = swept(45, true).pitch();
    expectWithin(liftFromElevator!, liftSlope, 0.01);
  });

  test('rolls as aileron by the same cosine', () => {
    const share = (degrees: number) => {
      const { roll, rollDamping } = swept(degrees).lateral();
      return roll!.roll / -rollDamping;
    };
    expectWithin(share(45) / share(0), Math.SQRT1_2, 0.03);
  });

  test.each([20, 35])('at %d° lift by flap rolls twice as much in sideslip as lift by incidence', (degrees) => {
    // By incidence L ~ V cos(Λ − β), by flap L ~ cos²(Λ − β): tan Λ and 2 tan Λ per radian and unit of lift.
    const rollPerLift = ({ model, reference }: ReturnType<typeof swept>, alpha: number, command: number) => {
      const none = { ...model.pitch, hasEven: false, hasOdd: false };
      const { dihedralEffect } = lateralDerivatives(model, { alpha, command, about: [0, 0, 0], roll: none, yaw: none });
      return dihedralEffect / longitudinal(model.loadAt(alpha, command, [0, 0, 0]), alpha, reference).lift;
    };
    // What tips do is there without sweep as well.
    const bySweep = (alpha: number, command: number) =>
      rollPerLift(swept(degrees), alpha, command) - rollPerLift(straight, alpha, command);
    expectWithin(bySweep(0, 0.02) / bySweep(0.02, 0), 2, 0.05);
  });
});
