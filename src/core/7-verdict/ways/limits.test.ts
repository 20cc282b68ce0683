import { said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { ceilingInput } from '@/core/6-groups/ceilings/ceilingInput';
import { ballastForSpeed, type CeilingInput, massCeilings, PULL_UP } from '@/core/6-groups/ceilings/massCeiling';
import { bellyClearance, undercarriageOf } from '@/core/4-weight/undercarriage';

const degrees = (radians: number) => (radians * 180) / Math.PI;

describe('how heavy it may get', () => {
  const input: CeilingInput = {
    density: 1.225,
    area: 0.25,
    maximumLift: 1,
    stallSpeed: 6,
    stallBecause: 'of the field',
    stallKind: 'habit',
    launchSpeedOf: () => 9,
    thrust: { standing: 5, at: (speed) => (speed > 0 ? 3.5 : 5), isGuessed: true },
    liftOverDrag: 8,
    total: 0.5,
    wingMass: 0.1,
    breaks: { factor: 10, band: 0.3, part: 'Wing' },
    limit: 0.9,
  };
  const by = (more: Partial<CeilingInput> = {}) =>
    Object.fromEntries(massCeilings({ ...input, ...more }).map((ceiling) => [ceiling.reason, ceiling]));

  test('stall: ½ρV²S C_L/g by hand', () => {
    // 0.5 · 1.225 · 36 · 0.25 / 9.80665 = 0.5621 kg.
    expect(by()['stall']!.mass).toBeCloseTo(0.56212, 4);
    // A launch at 9 m/s leaves 7.5 m/s of stall.
    expect(by()['launch']!.mass).toBeCloseTo((0.5 * 1.225 * 7.5 ** 2 * 0.25) / GRAVITY, 9);
  });

  test('climb: seven tenths of the thrust against weight times slope and drag', () => {
    expect(by()['climb']!.mass).toBeCloseTo((0.7 * 5) / (0.15 + 1 / 8) / GRAVITY, 9);
    expect(by({ thrust: null })['climb']).toMatchObject({ mass: null, because: 'there is no motor' });
  });

  test('strength: what the wings carry beside themselves breaks them, times four', () => {
    // 10 g of 0.4 kg beside the wings are 4 g of 1 kg beside them.
    expect(by()['strength']!.mass).toBeCloseTo(1.1, 12);
    expect(said(by()['strength']!.because)).toBe('heavier, Wing gives way in a pull-up of 4 times the weight (±30 %)');
    expect(by({ breaks: 'never' })['strength']).toMatchObject({ mass: null, because: 'never' });
    expect(by({ total: null })['strength']!.mass).toBeNull();
  });

  test('strength of a design: at that weight it breaks at four times its weight', () => {
    const heavier = (mass: number) =>
      withFields(demoDesign('heron-canard'), [{ field: '/massItems/pack/mass', value: mass }]);
    const of = (design: Design) => analyse(design, { without: ['remedies', 'bands', 'workings'] });
    const drawn = demoDesign('heron-canard').massItems.find(({ id }) => id === 'pack')!.mass;
    const before = of(heavier(drawn));
    const ceiling = before.ceilings.find(({ reason }) => reason === 'strength')!.mass!;
    const after = of(heavier(drawn + (ceiling - before.mass.total!) * 1000));
    expect(after.mass.total!).toBeCloseTo(ceiling, 6);
    // Wings weigh and are lifted nearly alike, and it flies at another angle.
    expect(Math.abs(after.strength.breakingLoadFactor! / PULL_UP - 1)).toBeLessThan(0.06);
  });

  test('what is not known is not guessed; a class is only named where there is one', () => {
    expect(by({ maximumLift: null })['stall']).toMatchObject({ mass: null, because: 'the stall is not known' });
    expect(Object.keys(by({ limit: null, launchSpeedOf: null })).sort()).toEqual(['climb', 'stall', 'strength']);
  });

  test('ballast grows with the square of the speed', () => {
    expect(ballastForSpeed(0.5, 10, 12)).toBeCloseTo(0.5 * 0.44, 12);
    expect(ballastForSpeed(0.5, 10, 9)).toBe(0);
  });

  test('of a design: its motor, its brief, its glide', () => {
    const design = demoDesign('lagoon-postman');
    const analysis = analyse(design, { without: ['remedies'] });
    const found = ceilingInput(design, analysis)!;
    expect(found).toMatchObject({
      area: analysis.reference.area,
      limit: 0.9,
      liftOverDrag: analysis.speeds.glideRatio,
    });
    expect(found.thrust).toMatchObject({ standing: analysis.power.staticThrust, isGuessed: false });
    // Without what the motor is, what it weighs has to do.
    const bare = withFields(design, [{ field: '/propulsion/drive/motor', value: undefined }]);
    const guess = ceilingInput(bare, analysis)!.thrust!;
    expect(guess.isGuessed).toBe(true);
    expect(guess.standing).toBeCloseTo(0.056 * 16.5 * GRAVITY, 9);
    expect(
      ceilingInput(
        withFields(design, [{ field: '/surfaces', value: [] }]),
        analyse({ ...design, surfaces: [] }, { without: ['remedies'] }),
      ),
    ).toBeNull();
  });
});

describe('undercarriage', () => {
  const drive = {
    id: 'd',
    name: '',
    kind: 'tractor',
    mirrored: false,
    position: { x: -40, y: 0, z: 0 },
    downThrust: 0,
    rightThrust: 0,
    propellerDiameter: 200,
    propellerPitch: 110,
    blades: 2,
    blade: [],
  };
  const standing = (wheels: readonly [number, number, number, number, boolean][], withDrive = true) =>
    withFields(simpleAircraft(90), [
      {
        field: '/wheels',
        value: wheels.map(([x, y, z, diameter, mirrored], index) => ({
          id: `w${index}`,
          position: { x, y, z },
          diameter,
          mirrored,
        })),
      },
      { field: '/propulsion', value: withDrive ? [drive] : [] },
    ]);
  const cg = [0.1, 0, 0] as const;

  test('a tail wheel: tip angle and turnover by elementary geometry', () => {
    // Balance point 120 mm over the ground, 40 mm behind the main wheels.
    const gear = undercarriageOf(
      standing([
        [60, 120, -95, 50, true],
        [600, 0, -110, 20, false],
      ]),
      cg,
    )!;
    expect(gear.layout).toBe('tailDragger');
    expect(degrees(gear.tipAngle)).toBeCloseTo(degrees(Math.atan(40 / 120)), 9);
    // Foot of the balance point to the line from (60, 120) to (600, 0), on the plan.
    const distance = (120 * (600 - 100)) / Math.hypot(540, 120);
    expect(degrees(gear.turnoverAngle!)).toBeCloseTo(degrees(Math.atan(120 / distance)), 6);
    expect(gear.propellerClearance).toBeCloseTo(0.02, 9);
  });

  test.each([
    [
      'over its nose',
      [
        [110, 120, -95, 50, true],
        [600, 0, -110, 20, false],
      ],
      /falls on its nose/,
    ],
    [
      'back on its tail',
      [
        [90, 120, -95, 50, true],
        [-40, 0, -100, 40, false],
      ],
      /sits on its tail/,
    ],
    [
      'a nose that will not lift',
      [
        [230, 120, -95, 50, true],
        [-40, 0, -100, 40, false],
      ],
      /can hardly lift the nose/,
    ],
    [
      'a narrow track',
      [
        [60, 25, -95, 50, true],
        [600, 0, -110, 20, false],
      ],
      /track is narrow/,
    ],
    [
      'a propeller near the ground',
      [
        [60, 120, -60, 50, true],
        [600, 0, -70, 20, false],
      ],
      /propeller tip is −15 mm over the ground|20 mm or more spares it/,
    ],
  ] as const)('%s is told', (_, wheels, message) => {
    const gear = undercarriageOf(standing(wheels as never), cg)!;
    expect(gear.words.map(said).join(' ')).toMatch(message);
  });

  test('at lift-off a tractor’s propeller rises, a pusher’s comes down', () => {
    const wheels = [
      [130, 120, -115, 50, true],
      [-20, 0, -120, 40, false],
    ] as const;
    const tractor = undercarriageOf(standing(wheels as never), cg)!;
    expect(tractor.rotationClearance!).toBeGreaterThan(tractor.propellerClearance!);
    const pusher = withFields(standing(wheels as never), [{ field: '/propulsion/d/position/x', value: 400 }]);
    const behind = undercarriageOf(pusher, cg)!;
    // 270 mm behind the axle, turned by 12°: sin 12° · 270 lower, the tip a little nearer its hub.
    const turn = (12 * Math.PI) / 180;
    expect(behind.rotationClearance!).toBeCloseTo(
      0.14 * Math.cos(turn) - 0.27 * Math.sin(turn) - 0.1 * Math.cos(turn),
      9,
    );
    expect(behind.words.join(' ')).toMatch(/At lift-off/);
  });

  test('without wheels or a drive there is nothing to say', () => {
    expect(undercarriageOf(simpleAircraft(), cg)).toBeNull();
    expect(undercarriageOf(standing([[60, 120, -95, 50, true]], false), cg)!.propellerClearance).toBeNull();
    expect(bellyClearance(simpleAircraft())).toBeNull();
    expect(bellyClearance(demoDesign('lagoon-postman'))).toBeLessThan(0);
  });
});
