import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { type DriveParts, USUAL_DRIVE_PARTS } from '@/core/2-document/catalogue/driveParts';
import { withFields } from '@/core/2-document/edit/withFields';
import { numbersOf } from '../6-groups/solve';
import { chooseDrive, type Choice, type Demands } from './chooseDrive';

const postman = demoDesign('lagoon-postman');
const EASY: Demands = { climbRate: 1.5, duration: 300, throttle: 0.85 };
const choose = (parts: DriveParts, demands: Demands = EASY, design = postman): Choice => {
  const result = finish(chooseDrive({ design, drive: 'drive', parts, demands }));
  if (!result.ok) throw new Error(result.reason);
  return result;
};

/** What the design carries now, as parts of a drawer. */
const [drawn] = postman.propulsion as [(typeof postman.propulsion)[number]];
const massOf = (id: string) => postman.massItems.find((item) => item.id === id)!.mass;
const own: DriveParts = {
  motors: [{ name: 'Motor', mass: massOf('motor'), motor: drawn.motor!, price: 12 }],
  propellers: [
    {
      name: 'Propeller',
      mass: massOf('propeller'),
      propeller: {
        propellerDiameter: drawn.propellerDiameter,
        propellerPitch: drawn.propellerPitch,
        blades: drawn.blades,
      },
      price: 3,
    },
  ],
  packs: [{ name: 'Pack', mass: massOf('pack'), pack: drawn.pack!, price: 15 }],
};

describe('choosing a drive', () => {
  test('the drive that is drawn comes out as the analysis has it', () => {
    const { power, mass } = numbersOf(postman);
    const [one] = choose(own).combinations;
    expectWithin(one!.mass, mass.total!, 1e-9);
    expectWithin(one!.duration!, power.duration!, 1e-6);
    expectWithin(one!.throttle!, power.cruiseThrottle!, 1e-6);
    expectWithin(one!.current!, power.staticCurrent!, 1e-6);
    // The best of three speeds is not quite the best of all.
    expectWithin(one!.climbRate!, power.climbRate!, 0.05);
    expect(one).toMatchObject({ failing: null, price: 30 });
  });

  test('each is ranked or has its first failing limit; those that do come first, the longest flight on top', () => {
    const { combinations } = choose(USUAL_DRIVE_PARTS);
    const { motors, propellers, packs } = USUAL_DRIVE_PARTS;
    expect(combinations).toHaveLength(motors.length * propellers.length * packs.length);
    const good = combinations.findIndex(({ failing }) => failing !== null);
    expect(good).toBeGreaterThan(10);
    expect(combinations.slice(good).every(({ failing }) => failing !== null)).toBe(true);
    const times = combinations.slice(0, good).map(({ duration }) => duration!);
    expect(times).toEqual(times.toSorted((a, b) => b - a));
    expect(new Set(combinations.map(({ failing }) => failing)).size).toBeGreaterThan(4);
  });

  test.each([
    ['climb', { climbRate: 40 }],
    ['duration', { duration: 36000 }],
    ['throttle', { throttle: 0.2 }],
  ] as const)('what asks too much fails by %s', (failing, more) => {
    expect(choose(own, { ...EASY, ...more }).combinations[0]!.failing).toBe(failing);
  });

  test('a motor that bears less than it takes, and one that nobody knows, are told apart', () => {
    const having = (motor: object) => ({
      ...own,
      motors: [{ ...own.motors[0]!, motor: { ...drawn.motor!, ...motor } }],
    });
    expect(choose(having({ maximumCurrent: 5 })).combinations[0]!.failing).toBe('motorCurrent');
    expect(choose(having({ resistance: undefined, mass: undefined })).combinations[0]!.failing).toBe('data');
    const steep = [{ ...own.propellers[0]!, propeller: { propellerDiameter: 100, propellerPitch: 300, blades: 2 } }];
    expect(choose({ ...own, propellers: steep }).combinations[0]!.failing).toBe('data');
  });

  test('a pack too heavy for its bay fails by balance', () => {
    const heavy = { ...own, packs: [{ ...own.packs[0]!, mass: 900 }] };
    const anything = { climbRate: 0, duration: 0, throttle: 1 };
    const free = withFields(postman, [{ field: '/brief/maximumMass', value: undefined }]);
    expect(choose(heavy, anything).combinations[0]!.failing).toBe('mass');
    expect(choose(heavy, anything, free).combinations[0]!.failing).toBe('balance');
  });

  test('large propellers strike the grass under low wheels', () => {
    const wheels = [
      { id: 'w', position: { x: 60, y: 80, z: -110 }, diameter: 40, legDiameter: 2, retracts: false, mirrored: true },
    ];
    const low = withFields(postman, [{ field: '/wheels', value: wheels }]);
    const large = [{ ...own.propellers[0]!, propeller: { propellerDiameter: 330, propellerPitch: 150, blades: 2 } }];
    expect(choose(own, EASY, low).combinations[0]!.failing).not.toBe('clearance');
    expect(choose({ ...own, propellers: large }, EASY, low).combinations[0]!.failing).toBe('clearance');
  });

  test('nothing to choose from, or nothing to choose for, is said', () => {
    const bare = finish(chooseDrive({ design: postman, drive: 'drive', parts: { ...own, packs: [] }, demands: EASY }));
    expect(bare).toMatchObject({ ok: false, reason: expect.stringContaining('nothing to choose from') });
    const gone = finish(chooseDrive({ design: postman, drive: 'other', parts: own, demands: EASY }));
    expect(gone).toMatchObject({ ok: false, reason: expect.stringContaining('not drawn') });
  });

  test('it pauses often, so that it can be ended and shows how far it is', () => {
    const steps = [...chooseDrive({ design: postman, drive: 'drive', parts: USUAL_DRIVE_PARTS, demands: EASY })];
    expect(steps.length).toBeGreaterThan(20);
    expect(steps.every(({ done, total }) => done < total)).toBe(true);
  });
});
