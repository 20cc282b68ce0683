import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { designOf, trapezoid, type SurfaceInput } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { numbersOf } from '@/core/6-groups/solve';

/** A limp plate, alike from root to tip, so high above the datum [mm]. */
const plate = (id: string, z: number, chord = 160): SurfaceInput =>
  trapezoid(500, chord, chord, {
    id,
    name: id,
    role: id === 'Wing' ? 'wing' : 'secondWing',
    position: { x: 0, y: 0, z },
    incidence: 2,
    stations: [0, 500].map((distanceFromRoot) => ({
      distanceFromRoot,
      chord,
      section: { kind: 'flatPlate', thickness: 3 },
    })),
    construction: { material: 'board' },
  });

const strengthOf = (surfaces: SurfaceInput[]) =>
  numbersOf(
    designOf(surfaces, {
      materials: [{ id: 'board', thickness: 3, arealDensity: 300 }],
      massItems: [{ id: 'lump', mass: 200, position: { x: 20, y: 0, z: 0 } }],
      conditions: { cruiseSpeed: 9 },
    }),
    { without: ['bands', 'workings'] },
  ).strength;

describe('two wings that turn away at the same speed', () => {
  const alone = strengthOf([plate('Wing', 0)]);

  test('are found as one is, though the determinant turns its sign twice', () => {
    // Three metres apart the air of the one hardly reaches the other.
    const both = strengthOf([plate('Wing', 0), plate('Upper', 3000)]);
    expectWithin(both.divergenceSpeed!, alone.divergenceSpeed!, 0.02);
  });

  test('the softer one is named', () => {
    const both = strengthOf([plate('Wing', 0), plate('Upper', 3000, 170)]);
    expect(both.divergesBy).toBe('Upper');
    expect(both.divergenceSpeed!).toBeLessThan(alone.divergenceSpeed!);
  });
});

test('what hangs on the wing is not laid on the boom that turns along', () => {
  const { divergesBy } = numbersOf(demoDesign('kittiwake-winglet'), { without: ['bands', 'workings'] }).strength;
  expect(divergesBy).toBe('Wing with winglets');
});

describe('past the speed at which it turns away', () => {
  const at = (cruiseSpeed: number, diveHeight: number, diveAngle: number) => {
    const design = demoDesign('polly-drift');
    const changed = {
      ...design,
      conditions: { ...design.conditions, cruiseSpeed },
      loads: { ...design.loads, diveHeight, diveAngle },
    };
    return numbersOf(changed, { without: ['bands', 'workings'] }).strength;
  };

  test('nothing is told of how it flies there', () => {
    const strength = at(24, 20, 30);
    expect(strength.divergenceSpeed!).toBeLessThan(24);
    for (const key of [
      'breakingLoadFactor',
      'breakingAtDive',
      'tipDeflection',
      'tipTwist',
      'liftSlopeKept',
      'neutralPointShift',
      'rudderYawKept',
      'rudderReversalSpeed',
      'bentUpTo',
    ] as const) {
      expect(strength[key], key).toBeNull();
      expect(strength.reasons[key], key).toBeDefined();
    }
    expect(strength.surfaces).toEqual([]);
    expect(strength.booms.map(({ cruise }) => cruise)).toEqual([null]);
  });

  test('in the dive alone, cruise is told of as before, and it is shown bent to nine tenths of that speed', () => {
    const [gentle, steep] = [at(11, 5, 30), at(11, 200, 80)];
    const away = steep.divergenceSpeed!;
    expect(steep.diveSpeed!).toBeGreaterThan(away);
    expect(gentle.diveSpeed!).toBeLessThan(away);
    expect(steep.tipDeflection).toBe(gentle.tipDeflection);
    expect(steep.breakingLoadFactor).toBe(gentle.breakingLoadFactor);
    expect(steep.breakingAtDive).toBeNull();
    expect(steep.neutralPointShiftAtDive).toBeNull();
    expectWithin(steep.bentUpTo!, 0.9 * away, 1e-9);
    expect(gentle.bentUpTo).toBe(gentle.diveSpeed);
  });
});
