import { describe, expect, test } from 'vitest';
import { boxBody, simpleAircraft } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';

const base = simpleAircraft();
const change = (...fields: [string, unknown][]): Design =>
  withFields(
    base,
    fields.map(([field, value]) => ({ field, value })),
  );
const solve = (design: Design) => analyse(design, { surfacesOnly: true, without: ['remedies'] });
const built = (left: object, right: object) => change(['/surfaces/wing/asBuilt', { left, right }]);

describe('measured angles', () => {
  test('mean and half difference, with drawn values where nothing was measured', () => {
    const angles = builtAngles(placeSurface(built({ incidence: 4, tipTwist: -1 }, {}).surfaces[0]!));
    const degree = Math.PI / 180;
    expect(angles.meanIncidence).toBeCloseTo(3.5 * degree, 12);
    expect(angles.halfIncidence).toBeCloseTo(-0.5 * degree, 12);
    expect(angles.meanTipTwist).toBeCloseTo(-0.5 * degree, 12);
    expect(angles.halfTipTwist).toBeCloseTo(0.5 * degree, 12);
  });

  test('both sides off alike are flown as if drawn so', () => {
    const measured = solve(built({ incidence: 4.5 }, { incidence: 4.5 }));
    const drawn = solve(change(['/surfaces/wing/incidence', 4.5]));
    expect(measured.trim).toEqual(drawn.trim);
    expect(measured.pitch.zeroLiftMoment).toBe(drawn.pitch.zeroLiftMoment);
    expect(measured.asymmetry).toEqual(drawn.asymmetry);
  });
});

describe('left–right differences', () => {
  test('a true aircraft asks for nothing', () => {
    const { asymmetry } = solve(base);
    for (const value of [
      asymmetry!.roll,
      asymmetry!.yaw,
      asymmetry!.aileron!,
      asymmetry!.rudder!,
      asymmetry!.sideslip!,
      asymmetry!.steadyRoll,
    ]) {
      expect(value).toBeCloseTo(0, 12);
    }
  });

  test('more angle on the left rolls to the right, in proportion, and mirrors', () => {
    const one = solve(built({ incidence: 3.5 }, { incidence: 2.5 })).asymmetry!;
    const two = solve(built({ incidence: 4 }, { incidence: 2 })).asymmetry!;
    const other = solve(built({ incidence: 2.5 }, { incidence: 3.5 })).asymmetry!;
    expect(one.roll).toBeGreaterThan(0);
    expect(one.steadyRoll).toBeGreaterThan(0);
    expect(one.aileron).toBeLessThan(0);
    expectWithin(two.roll, 2 * one.roll, 1e-9);
    expectWithin(other.roll, -one.roll, 1e-9);
    expectWithin(other.rudder, -one.rudder!, 1e-9);
  });

  test('a whole-span difference is a whole-span aileron: the same roll per degree', () => {
    const degree = Math.PI / 180;
    const full = change(
      ['/surfaces/wing/controls/aileron/allMoving', true],
      ['/surfaces/wing/controls/aileron/from', 0],
      ['/surfaces/wing/controls/aileron/to', 1],
    );
    const perRadian = solve(full).lateral.rollFromAileron!;
    const { roll } = solve(
      withFields(full, [
        { field: '/surfaces/wing/asBuilt', value: { left: { incidence: 4 }, right: { incidence: 2 } } },
      ]),
    ).asymmetry!;
    expectWithin(roll, perRadian * degree, 1e-6);
  });

  test('a mass off the centre rolls towards its side: C_l = C_L y/b', () => {
    const { asymmetry, trim, mass, reference } = solve(change(['/massItems/pack/position/y', 120]));
    expectWithin(mass.cg![1], 0.02, 1e-9);
    expectWithin(asymmetry!.roll, (trim.liftCoefficient! * 0.02) / reference.span!, 1e-9);
    expect(asymmetry!.aileron).toBeLessThan(0);
  });

  test('the controls it names really balance side force, roll and yaw', () => {
    const { asymmetry, lateral } = solve(built({ incidence: 3.6 }, { incidence: 2.4 }));
    const { roll, yaw, aileron, rudder, sideslip } = asymmetry!;
    expect(
      roll +
        lateral.dihedralEffect! * sideslip! +
        lateral.rollFromAileron! * aileron! +
        lateral.rollFromRudder! * rudder!,
    ).toBeCloseTo(0, 10);
    expect(
      yaw + lateral.yawStiffness! * sideslip! + lateral.yawFromAileron! * aileron! + lateral.yawFromRudder! * rudder!,
    ).toBeCloseTo(0, 10);
  });

  test('without ailerons it says so and still finds the best the rudder can do', () => {
    const { asymmetry } = solve(
      withFields(built({ incidence: 3.5 }, {}), [{ field: '/surfaces/wing/controls', value: [] }]),
    );
    expect(asymmetry!.aileron).toBeNull();
    expect(Number.isFinite(asymmetry!.rudder)).toBe(true);
  });
});

describe('controls that do not stand where they are drawn', () => {
  const elevator = (left: number, right: number) =>
    change(['/surfaces/tail/controls/elevator/asBuilt', { left, right }]);

  test('alike on both sides they are a neutral by another name', () => {
    const measured = solve(elevator(-2, -2));
    const drawn = solve(change(['/surfaces/tail/controls/elevator/neutral', -2]));
    expect(measured.trim.elevator).toBeCloseTo(drawn.trim.elevator!, 9);
    expect(measured.rigging.handsOffLift).toBeCloseTo(drawn.rigging.handsOffLift!, 9);
    expect(measured.asymmetry!.roll).toBeCloseTo(0, 12);
  });

  test('apart they roll: the left one down lifts the left side', () => {
    const { asymmetry, trim } = solve(elevator(2, -2));
    expect(asymmetry!.roll).toBeGreaterThan(1e-4);
    expect(trim.elevator).toBeCloseTo(solve(base).trim.elevator!, 9);
    expect(solve(elevator(-2, 2)).asymmetry!.roll).toBeCloseTo(-asymmetry!.roll, 12);
  });
});

describe('a fuselage that is twisted between wing and tail', () => {
  const twisted = (twist: number, incidence = -3) =>
    solve(change(['/surfaces/tail/incidence', incidence], ['/bodies', [{ ...boxBody(40, 900), asBuilt: { twist } }]]));

  test('a tail that lifts and leans right side down pulls to the right, and the nose to the left', () => {
    const { asymmetry, lift } = twisted(3);
    expect(lift.shares!['tail']!).toBeGreaterThan(0);
    expect(asymmetry!.sideForce).toBeGreaterThan(0);
    expect(asymmetry!.yaw).toBeLessThan(0);
    expect(asymmetry!.rudder).toBeGreaterThan(0);
    expectWithin(twisted(-3).asymmetry!.yaw, -asymmetry!.yaw, 1e-9);
  });

  test('the side force is the load of the tail times the angle, its yaw that over the arm', () => {
    const { asymmetry, lift, trim, reference, mass } = twisted(2);
    const load = lift.shares!['tail']! * trim.liftCoefficient!;
    expectWithin(asymmetry!.sideForce, load * 2 * (Math.PI / 180), 0.03);
    const arm = (-asymmetry!.yaw * reference.span!) / asymmetry!.sideForce;
    const tail = solve(base).tails.find(({ surface }) => surface === 'tail')!;
    const quarter = reference.meanChordLeadingEdge! + reference.meanChord! / 4;
    expectWithin(arm, quarter + tail.arm - mass.cg![0], 1e-6);
  });
});
