import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { badNumbers, expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import { type LateralSystem, lateralModes, type LongitudinalSystem, longitudinalModes, type Mode } from './linearModes';

/** The large jet transport of Etkin & Reid, section 6.1, 40 000 ft, Mach 0.8: slugs, feet, seconds. */
const JET = { mass: 636_600 / 32.2, gravity: 32.2 };
const LONGITUDINAL: LongitudinalSystem = {
  ...JET,
  inertiaY: 0.331e8,
  speed: 774,
  xu: -1.358e2,
  xw: 2.758e2,
  zu: -1.778e3,
  zw: -6.188e3,
  zq: -1.017e5,
  zwDot: 1.308e2,
  mu: 3.581e3,
  mw: -3.515e4,
  mq: -1.122e7,
  mwDot: -3.826e3,
};
const LATERAL: LateralSystem = {
  ...JET,
  inertiaX: 0.183e8,
  inertiaZ: 0.497e8,
  inertiaXZ: -0.156e7,
  speedX: 774,
  speedZ: 0,
  pitchAngle: 0,
  yv: -1.103e3,
  yp: 0,
  yr: 0,
  lv: -6.885e4,
  lp: -7.934e6,
  lr: 7.302e6,
  nv: 4.79e4,
  np: -9.809e5,
  nr: -6.59e6,
};

const named = (modes: readonly Mode[], kind: Mode['kind']) => modes.find((mode) => mode.kind === kind)!;

describe('a published aircraft', () => {
  const longitudinal = longitudinalModes(LONGITUDINAL);
  const lateral = lateralModes(LATERAL);

  test.each([
    ['phugoid', -0.003289, 0.06723, 0.01],
    ['shortPeriod', -0.3719, 0.8875, 0.01],
  ] as const)('%s', (kind, real, imaginary, tolerance) => {
    const mode = named(longitudinal, kind);
    expectWithin(mode.real, real, tolerance);
    expectWithin(mode.imaginary, imaginary, tolerance);
  });

  test.each([
    ['dutchRoll', -0.033011, 0.01],
    ['roll', -0.56248, 0.01],
    ['spiral', -0.0072973, 0.1],
  ] as const)('%s', (kind, real, tolerance) => {
    expectWithin(named(lateral, kind).real, real, tolerance);
  });

  test('swing and damping in seconds', () => {
    expectWithin(named(lateral, 'dutchRoll').imaginary, 0.94655, 0.01);
    expectWithin(named(longitudinal, 'phugoid').period, 93.4, 0.01);
    expectWithin(named(longitudinal, 'phugoid').timeToHalf, 211, 0.01);
    expect(named(lateral, 'roll').period).toBeNull();
  });
});

describe('made-up aircraft', () => {
  test.each(DEMO_NAMES)('%s: motions are numbers, roll dies away at once', (name) => {
    const { motion } = analyse(demoDesign(name), { without: ['remedies'] });
    expect(badNumbers(motion)).toEqual([]);
    expect(motion.longitudinal.length).toBeGreaterThanOrEqual(2);
    const roll = motion.lateral.find(({ kind }) => kind === 'roll' || kind === 'rollSpiral')!;
    expect(roll.grows).toBe(false);
    expect(roll.timeToHalf).toBeLessThan(0.5);
  });

  test('a heavy, stiff aircraft has the phugoid of Lanchester, √2 π V/g; a light one swings slower', () => {
    const heavy = simpleAircraft(20, {
      massItems: [{ id: 'all', mass: 20_000, position: { x: 20 }, size: { length: 600, width: 900, height: 60 } }],
      conditions: { cruiseSpeed: 60 },
    });
    const period = (design: typeof heavy) => {
      const { motion, trim } = analyse(design, { without: ['remedies'] });
      const phugoid = motion.longitudinal.find(({ kind }) => kind === 'phugoid')!;
      return phugoid.period! / ((Math.SQRT2 * Math.PI * trim.speed!) / 9.80665);
    };
    expectWithin(period(heavy), 1, 0.12);
    expect(period(demoDesign('polly-drift'))).toBeGreaterThan(1.3);
  });

  test('thrust that holds the nose up lets the speed run away, and holds it where it pushes the nose down', () => {
    const speeds = (height: number) => {
      const postman = demoDesign('lagoon-postman');
      const changed = withFields(postman, [
        { field: `/propulsion/${postman.propulsion[0]!.id}/position/z`, value: height },
      ]);
      const { motion, trim } = analyse(changed, { without: ['remedies'] });
      return { grows: motion.longitudinal.some((mode) => mode.grows), moment: trim.thrustMoment! };
    };
    const [low, high] = [speeds(-60), speeds(60)];
    expect(low.moment).toBeGreaterThan(0);
    expect(low.grows).toBe(true);
    expect(high.moment).toBeLessThan(low.moment);
    expect(high.grows).toBe(false);
  });

  test('behind its neutral point a motion grows without swinging', () => {
    const { motion, pitch } = analyse(simpleAircraft(125), { without: ['remedies'] });
    expect(pitch.staticMargin).toBeLessThan(0);
    expect(motion.longitudinal.some(({ grows, period }) => grows && period === null)).toBe(true);
  });

  test('more dihedral mends a spiral that grows', () => {
    const spiral = (dihedral: number) => {
      const { motion } = analyse(
        withFields(simpleAircraft(), [{ field: '/surfaces/wing/stations/0/dihedral', value: dihedral }]),
        { without: ['remedies'] },
      );
      return motion.lateral.find(({ kind }) => kind === 'spiral')!.real;
    };
    expect(spiral(0)).toBeGreaterThan(spiral(6));
  });

  test('without mass, or with all of it in one point, the reason is told', () => {
    const why = (design: Parameters<typeof analyse>[0]) =>
      analyse(design, { without: ['remedies'] }).motion.reasons['longitudinal'];
    expect(why(designOf([trapezoid(500, 200)]))).toMatch(/mass/);
    expect(why(simpleAircraft(90, { massItems: [{ id: 'point', mass: 500, position: { x: 90 } }] }))).toMatch(
      /one point/,
    );
  });
});
