import { describe, expect, test } from 'vitest';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import { DEFAULT_GRID } from './lattice';

const rectangle = (aspectRatio: number) => designOf([trapezoid(100 * aspectRatio, 200)]);

describe('published lifting-surface values', () => {
  test.each([
    [1, 1.46],
    [2, 2.474],
  ])('a rectangle of aspect ratio %d lifts %d per radian', (aspectRatio, wanted) => {
    expectWithin(solveSurfaces(rectangle(aspectRatio)).pitch().liftSlope, wanted, 0.002);
    expectWithin(solveSurfaces(rectangle(aspectRatio), DEFAULT_GRID).pitch().liftSlope, wanted, 0.01);
  });

  test('at aspect ratio 20 it meets lifting-line theory within 2 % (Glauert τ = 0.25 for 2π)', () => {
    const { liftSlope } = solveSurfaces(rectangle(20)).pitch();
    expectWithin(liftSlope, 5.44, 0.02);
  });

  test('the neutral point of a straight long wing is at its quarter chord within 1 % of chord', () => {
    const { neutralPoint } = solveSurfaces(rectangle(20)).pitch();
    expect(Math.abs(neutralPoint / 0.2 - 0.25)).toBeLessThan(0.01);
  });

  test('a slender delta tends to πA/2 (Jones, NACA Report 835)', () => {
    const half = 25;
    const delta = designOf([
      {
        id: 'wing',
        role: 'wing',
        stations: [
          { distanceFromRoot: 0, chord: 400 },
          { distanceFromRoot: half, chord: 5, leadingEdgeOffset: 395 },
        ],
      },
    ]);
    const solved = solveSurfaces(delta);
    expectWithin(solved.pitch().liftSlope, (Math.PI / 2) * solved.reference.aspectRatio, 0.06);
  });

  test('the default grid is within 0.5 % of a fine one on a whole aircraft', () => {
    const aircraft = simpleAircraft();
    const coarse = solveSurfaces(aircraft, DEFAULT_GRID);
    const fine = solveSurfaces(aircraft, { strips: 40, chordwise: 8 });
    expectWithin(coarse.pitch(0.05).liftSlope, fine.pitch(0.05).liftSlope, 0.005);
    expect(Math.abs(coarse.pitch(0.05).neutralPoint - fine.pitch(0.05).neutralPoint)).toBeLessThan(0.005 * 0.2);
    expectWithin(coarse.lateral(0.05).yawStiffness, fine.lateral(0.05).yawStiffness, 0.02);
  });
});

describe('traps', () => {
  const withTailAt = (z: number) => {
    const aircraft = structuredClone(simpleAircraft());
    aircraft.surfaces[1]!.position.z = z;
    aircraft.surfaces[0]!.stations[0]!.dihedral = 0;
    return aircraft;
  };

  test('a tail in the plane of the wake gives one neutral point on every grid', () => {
    const points = [
      { strips: 8, chordwise: 3 },
      { strips: 13, chordwise: 4 },
      { strips: 18, chordwise: 5 },
      { strips: 31, chordwise: 7 },
    ].map((grid) => solveSurfaces(withTailAt(0), grid).pitch(0.03).neutralPoint);
    expect(Math.max(...points) - Math.min(...points)).toBeLessThan(0.01 * 0.2);
  });

  test('and it moves smoothly as the tail rises through the wake', () => {
    const points = [-10, -3, -1, 0, 1, 3, 10].map(
      (z) => solveSurfaces(withTailAt(z), DEFAULT_GRID).pitch(0.03).neutralPoint,
    );
    for (let i = 1; i < points.length; i++) expect(Math.abs(points[i]! - points[i - 1]!)).toBeLessThan(0.004 * 0.2);
  });

  test('a fin crossed by the tailplane keeps its yaw stiffness from grid to grid', () => {
    const values = [{ strips: 12, chordwise: 4 }, DEFAULT_GRID, { strips: 30, chordwise: 6 }].map(
      (grid) => solveSurfaces(simpleAircraft(), grid).lateral(0.05).yawStiffness,
    );
    for (const value of values) expectWithin(value, values.at(-1)!, 0.02);
  });

  test('an aileron yaws the wrong way at lift: a wing alone', () => {
    // Lift by incidence, so that body axes are wind axes.
    const controls = [{ id: 'a', function: 'aileron' as const, from: 0.6, to: 1 }];
    const { roll } = solveSurfaces(designOf([trapezoid(600, 150, 150, { incidence: 6, controls })])).lateral(0);
    expect(roll!.roll).toBeGreaterThan(0);
    expect(roll!.yaw).toBeLessThan(0);
  });

  test('a hinge loses nothing wherever it falls: elevator power grows smoothly with its chord', () => {
    const power = (hinge: number) => {
      const aircraft = structuredClone(simpleAircraft());
      Object.assign(aircraft.surfaces[1]!.controls[0]!, { hingeInboard: hinge, hingeOutboard: hinge });
      return -solveSurfaces(aircraft, DEFAULT_GRID).pitch(0, [0.09, 0, 0]).momentFromElevator!;
    };
    // Against the plane flap (Glauert): the ratio may drift with the chord, but not jump with the grid.
    const ratios = [0.6, 0.63, 0.66, 0.7, 0.74, 0.78, 0.82, 0.86].map((hinge) => {
      const theta = Math.acos(1 - 2 * hinge);
      return power(hinge) / (Math.PI - theta + Math.sin(theta));
    });
    for (let i = 1; i < ratios.length; i++) expectWithin(ratios[i], ratios[i - 1]!, 0.015);
  });
});

describe('induced drag', () => {
  test('an elliptic wing: span efficiency 1, downwash constant (Prandtl)', () => {
    const stations = Array.from({ length: 30 }, (_, index) => {
      const share = Math.sin((Math.PI / 2) * (index / 29.6));
      const chord = 120 * Math.sqrt(1 - share ** 2);
      return { distanceFromRoot: 600 * share, chord: Math.max(5, chord), leadingEdgeOffset: (120 - chord) / 4 };
    });
    const solved = solveSurfaces(designOf([{ id: 'wing', role: 'wing', stations }]), { strips: 30, chordwise: 3 });
    const { drag, lift } = solved.farField(0.1);
    const cl = (2 * lift) / solved.reference.area;
    const cd = (2 * drag) / solved.reference.area;
    expectWithin(cl ** 2 / (Math.PI * solved.reference.aspectRatio * cd), 1, 0.01);
  });

  test('force on the vortices and wake far behind agree on lift and drag', () => {
    const solved = solveSurfaces(rectangle(6));
    const { force } = solved.model.loadAt(0.08, 0, [0, 0, 0]);
    const lift = force[2] * Math.cos(0.08) - force[0] * Math.sin(0.08);
    const drag = force[0] * Math.cos(0.08) + force[2] * Math.sin(0.08);
    const far = solved.farField(0.08);
    expectWithin(lift, far.lift, 0.01);
    expectWithin(drag, far.drag, 0.02);
  });
});
