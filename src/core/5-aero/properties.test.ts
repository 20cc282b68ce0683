import { NoFlowError } from './noFlow';
import { forAll, SKIPPED } from '#/tests/forAll';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { type Design, designSchema, DESIGN_VERSION } from '@/core/2-document/schema/design';
import { badNumbers, expectWithin } from '#/tests/matchers';
import { solveSurfaces } from '#/tests/published/solve';
import { analyse } from '@/core/analyse';
import { longitudinal } from './aeroModel';
import { trim } from './trim';

const GRID = { strips: 7, chordwise: 3 };
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Random airframes of every kind that the schema allows and people might cut. */
const airframes: fc.Arbitrary<Design> = fc
  .record({
    half: between(250, 900),
    root: between(100, 320),
    taper: between(0.3, 1),
    sweep: between(-60, 250),
    dihedral: between(-3, 10),
    washout: between(-5, 1),
    incidence: between(-1, 5),
    camber: between(0, 0.07),
    layout: fc.constantFrom('tail', 'vee', 'canard', 'tandem', 'tailless' as const),
    // Behind the wing, not within it.
    arm: between(340, 900),
    tailHalf: between(100, 280),
    tailChord: between(70, 180),
    tailZ: between(-60, 120),
    veeAngle: between(25, 50),
    cruiseSpeed: between(8, 20),
    mass: between(150, 1500),
    balance: between(-0.2, 0.5),
  })
  .map((r) => {
    const section = { kind: 'curvedPlate', thickness: 5, camber: r.camber };
    const wing = {
      id: 'wing',
      role: 'wing',
      incidence: r.incidence,
      stations: [
        { distanceFromRoot: 0, chord: r.root, dihedral: r.dihedral, section },
        { distanceFromRoot: r.half, chord: r.root * r.taper, leadingEdgeOffset: r.sweep, twist: r.washout, section },
      ],
      controls: [{ id: 'roll', function: r.layout === 'tailless' ? 'elevon' : 'aileron', from: 0.5, to: 0.95 }],
    };
    const other = (role: string, x: number, dihedral: number, kind: string) => ({
      id: 'other',
      role,
      position: { x, z: r.tailZ },
      stations: [
        { distanceFromRoot: 0, chord: r.tailChord, dihedral },
        { distanceFromRoot: r.tailHalf, chord: r.tailChord * 0.8 },
      ],
      controls: [{ id: 'pitch', function: kind }],
    });
    const fin = {
      id: 'fin',
      role: 'fin',
      mirrored: false,
      position: { x: r.layout === 'tail' ? r.arm + 10 : 120 },
      stations: [
        { distanceFromRoot: 0, chord: 130, dihedral: 90 },
        { distanceFromRoot: 150, chord: 90, leadingEdgeOffset: 40, dihedral: 90 },
      ],
      controls: [{ id: 'yaw', function: 'rudder' }],
    };
    const surfaces = {
      tail: [wing, other('tailplane', r.arm, 0, 'elevator'), fin],
      vee: [wing, other('vTail', r.arm, r.veeAngle, 'ruddervator')],
      canard: [wing, other('canard', -r.arm, 0, 'elevator'), fin],
      tandem: [wing, other('secondWing', r.arm, 0, 'elevator'), fin],
      tailless: [wing, fin],
    }[r.layout];
    return designSchema.parse({
      format: 'inclinar-design',
      version: DESIGN_VERSION,
      name: r.layout,
      surfaces,
      conditions: { cruiseSpeed: r.cruiseSpeed },
      massItems: [
        { id: 'all', mass: r.mass, position: { x: r.balance * r.root }, size: { length: 300, width: 400, height: 50 } },
      ],
    });
  });

/** The same airframe with every length multiplied. */
function scaled(design: Design, factor: number): Design {
  const copy = structuredClone(design);
  for (const surface of copy.surfaces) {
    surface.position = {
      x: surface.position.x * factor,
      y: surface.position.y * factor,
      z: surface.position.z * factor,
    };
    for (const station of surface.stations) {
      station.chord *= factor;
      station.distanceFromRoot *= factor;
      station.leadingEdgeOffset *= factor;
      if ('thickness' in station.section) station.section.thickness *= factor;
    }
  }
  return copy;
}

/** On so coarse a lattice the tip vortex of a canard in the plane of the wing may give no answer: that says nothing of the property. */
const believed =
  <Values extends unknown[]>(check: (...values: Values) => void | typeof SKIPPED) =>
  (...values: Values) => {
    try {
      return check(...values);
    } catch (error) {
      if (error instanceof NoFlowError) return SKIPPED;
      throw error;
    }
  };
const MOST = 0.95;

describe('any airframe', () => {
  test('lengths × k leave every coefficient alone and move the neutral point by k', () => {
    forAll(
      60,
      [airframes, between(0.5, 2)],
      believed((design, factor) => {
        const [a, b] = [solveSurfaces(design, GRID), solveSurfaces(scaled(design, factor), GRID)];
        const [p, q] = [a.pitch(0.05), b.pitch(0.05)];
        expectWithin(q.liftSlope, p.liftSlope, 1e-6);
        expect(Math.abs(q.neutralPoint / factor - p.neutralPoint)).toBeLessThan(1e-6 * a.reference.meanChord);
        const [l, m] = [a.lateral(0.05), b.lateral(0.05)];
        expect(m.yawStiffness).toBeCloseTo(l.yawStiffness, 6);
        expect(m.rollDamping).toBeCloseTo(l.rollDamping, 6);
      }),
      MOST,
    );
  });

  test('the neutral point does not care about which point moments are taken', () => {
    forAll(
      60,
      [airframes, between(-0.3, 0.6)],
      believed((design, x) => {
        const solved = solveSurfaces(design, GRID);
        expect(solved.pitch(0.04, [x, 0, 0]).neutralPoint).toBeCloseTo(solved.pitch(0.04, [0, 0, 0]).neutralPoint, 9);
      }),
      MOST,
    );
  });

  test('states superpose: circulation at any angle is the sum of its two parts', () => {
    forAll(
      40,
      [airframes, between(-0.15, 0.2)],
      believed((design, alpha) => {
        const { model } = solveSurfaces(design, GRID);
        const level = model.stateAt(0, 0).circulation;
        const upright = model.stateAt(Math.PI / 2, 0).circulation;
        model.stateAt(alpha, 0).circulation.forEach((strength, i) => {
          expect(strength).toBeCloseTo(Math.cos(alpha) * level[i]! + Math.sin(alpha) * upright[i]!, 9);
        });
      }),
      MOST,
    );
  });

  test('a trimmed state really balances', () => {
    forAll(
      80,
      [airframes, between(0.2, 0.7), between(-0.1, 0.3)],
      believed((design, lift, share) => {
        const { model, reference } = solveSurfaces(design, GRID);
        const about = [reference.meanChordLeadingEdge + share * reference.meanChord, 0, 0] as const;
        const result = trim(model, { lift, about });
        if (!result.ok) {
          expect(result.reason.length).toBeGreaterThan(20);
          return SKIPPED;
        }
        const { alpha, elevator } = result.state;
        const here = longitudinal(model.loadAt(alpha, elevator ?? 0, about), alpha, reference);
        expect(here.lift).toBeCloseTo(lift, 9);
        if (elevator !== null) expect(here.moment).toBeCloseTo(0, 9);
      }),
      0.7,
    );
  });

  test('a symmetric aircraft feels nothing sideways until its sides differ, and sides changed over are equal and opposite', () => {
    forAll(
      25,
      [airframes, between(0.2, 2)],
      believed((design, more) => {
        const { force, moment } = solveSurfaces(design, GRID).model.loadAt(0.05, 0, [0, 0, 0]);
        expect([force[1], moment[0], moment[2]].map(Math.abs)).toEqual([0, 0, 0]);
        const [wing] = design.surfaces;
        const rollOf = (left: number, right: number) => {
          const asBuilt = {
            left: { incidence: wing!.incidence + left },
            right: { incidence: wing!.incidence + right },
          };
          const warped = { ...design, surfaces: [{ ...wing!, asBuilt }, ...design.surfaces.slice(1)] };
          return analyse(warped, { surfacesOnly: true, grid: GRID, without: ['remedies'] }).asymmetry;
        };
        const [one, other] = [rollOf(more, 0), rollOf(0, more)];
        if (!one || !other) return SKIPPED;
        expect(one.steadyRoll).toBeGreaterThan(0);
        expect(other.steadyRoll / one.steadyRoll).toBeCloseTo(-1, 9);
      }),
      0.5,
    );
  });

  test('no analysis holds a number that is not one, whole or surfaces only', () => {
    forAll(120, [airframes, fc.boolean()], (design, surfacesOnly) => {
      const analysis = analyse(design, { surfacesOnly, grid: GRID, without: ['remedies'] });
      expect(badNumbers(analysis)).toEqual([]);
      for (const group of [
        analysis.pitch,
        analysis.trim,
        analysis.stall,
        analysis.speeds,
        analysis.window,
        analysis.lateral,
      ]) {
        const { reasons, ...values } = group as { reasons: Record<string, string> } & Record<string, unknown>;
        for (const [key, value] of Object.entries(values)) if (value === null) expect(reasons[key], key).toBeTruthy();
      }
    });
  });
});
