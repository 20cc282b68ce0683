import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { badNumbers, expectWithin, said } from '#/tests/matchers';
import { CONTRACT } from '#/tests/contract';
import { airAt, GRAVITY } from '@/core/5-aero/atmosphere';
import { analyse, type Analysis } from './analyse';
import { forgetInfluence } from '@/core/6-groups/solution/influenceCache';
import { withFields } from '@/core/2-document/edit/withFields';

const groupsOf = (analysis: object) =>
  analysis as unknown as Record<string, Record<string, unknown> & { reasons: Record<string, string> }>;

function expectContract(analysis: ReturnType<typeof analyse>): void {
  expect(badNumbers(analysis)).toEqual([]);
  for (const [group, keys] of Object.entries(CONTRACT)) {
    for (const key of keys) {
      const holder = groupsOf(analysis)[group]!;
      expect(Object.hasOwn(holder, key), `${group}.${key}`).toBe(true);
      if (holder[key] === null) expect(said(holder.reasons[key]), `reason of ${group}.${key}`).toMatch(/\w{3}/);
    }
  }
}

describe('contract', () => {
  test.each(DEMO_NAMES)('%s: every key a number or a reason, whole and surfaces only, both wakes', (name) => {
    for (const surfacesOnly of [false, true]) {
      for (const wake of ['datum', 'wind'] as const)
        expectContract(analyse(demoDesign(name), { surfacesOnly, wake, without: ['remedies'] }));
    }
  });

  test.each([
    ['nothing at all', designOf([])],
    ['a wing and nothing else', designOf([trapezoid(500, 200)])],
    ['a tail without a wing', designOf([{ ...trapezoid(200, 100), role: 'tailplane' }])],
    [
      'a fin without a wing',
      designOf([
        {
          id: 'fin',
          role: 'fin',
          mirrored: false,
          stations: [
            { distanceFromRoot: 0, chord: 100, dihedral: 90 },
            { distanceFromRoot: 100, chord: 80, dihedral: 90 },
          ],
        },
      ]),
    ],
    [
      'an upright wing',
      designOf([
        {
          ...trapezoid(500, 200),
          stations: [
            { distanceFromRoot: 0, chord: 200, dihedral: 90 },
            { distanceFromRoot: 500, chord: 200 },
          ],
        },
      ]),
    ],
    [
      'two wings in one place',
      designOf([trapezoid(500, 200), { ...trapezoid(500, 200), id: 'b', role: 'secondWing' }]),
    ],
    [
      'no control travel',
      withFields(simpleAircraft(40), [
        { field: '/surfaces/tail/controls/elevator/throwUp', value: 0 },
        { field: '/surfaces/tail/controls/elevator/throwDown', value: 0 },
      ]),
    ],
    [
      'a weighed body of no size',
      simpleAircraft(90, {
        bodies: [
          {
            id: 'b',
            measuredMass: 30,
            frames: [
              { x: 0, width: 0, top: 0, bottom: 0 },
              { x: 500, width: 0, top: 0, bottom: 0 },
            ],
          },
        ],
      }),
    ],
    [
      'eighty stations',
      designOf([
        {
          id: 'w',
          role: 'wing',
          stations: Array.from({ length: 80 }, (_, i) => ({
            distanceFromRoot: i * 10,
            chord: 200 - i * 2,
            dihedral: (i % 7) * 3,
            leadingEdgeOffset: (i % 5) * 4,
          })),
        },
      ]),
    ],
    [
      'a needle',
      designOf([
        {
          id: 'w',
          role: 'wing',
          stations: [
            { distanceFromRoot: 0, chord: 3000 },
            { distanceFromRoot: 2, chord: 5 },
          ],
        },
      ]),
    ],
    ['a wing on end', withFields(simpleAircraft(), [{ field: '/surfaces/wing/stations/0/dihedral', value: 89 }])],
    [
      'masses of nothing',
      simpleAircraft(90, {
        massItems: [
          { id: 'm', mass: 0 },
          { id: 'pack', mass: 0, attachment: { kind: 'slides', from: 0, to: 10 } },
        ],
      }),
    ],
    ['mass without a wing', designOf([], { massItems: [{ id: 'm', mass: 100 }] })],
    ['far too heavy', simpleAircraft(90, { massItems: [{ id: 'm', mass: 50000, position: { x: 90 } }] })],
    ['a balance point a metre behind', simpleAircraft(1500)],
  ])('%s', (_, design) => {
    expectContract(analyse(design));
  });
});

describe('numbers', () => {
  const design = simpleAircraft();
  const analysis = analyse(design);

  test('stall speed by hand from its own C_Lmax', () => {
    const { density } = airAt(0, 15);
    expect(density).toBeCloseTo(1.225, 3);
    const wanted = Math.sqrt(
      (2 * 0.6 * GRAVITY) / (density * analysis.reference.area! * analysis.stall.liftCoefficient!),
    );
    expectWithin(analysis.stall.speed, wanted, 1e-9);
  });

  test('static margin and approach speed by their definitions', () => {
    expectWithin(analysis.pitch.staticMargin, (analysis.pitch.neutralPoint! - 0.09) / 0.2, 1e-9);
    expect(analysis.speeds.approach).toBe(Math.max(1.3 * analysis.stall.speed!, analysis.speeds.pitchFloor!));
  });

  test('the moment slope is the margin times the normal-force slope', () => {
    const slope = -analysis.pitch.staticMargin! * analysis.pitch.liftSlope!;
    expectWithin(analysis.pitch.momentSlope, slope, 0.02);
  });

  test('two wings in one place are told to part', () => {
    const { pitch } = analyse(designOf([trapezoid(500, 200), { ...trapezoid(500, 200), id: 'b', role: 'secondWing' }]));
    expect(said(pitch.reasons['neutralPoint'])).toMatch(/close together.*move one of them/);
  });

  test('shares of lift add up to one', () => {
    expect(Object.values(analysis.lift.shares!).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 12);
  });

  test('a stated C_Lmax replaces the computed one', () => {
    const stated = analyse(withFields(design, [{ field: '/balance/statedMaximumLift', value: 0.7 }]), {
      without: ['remedies'],
    });
    expect(stated.stall.liftCoefficient).toBe(0.7);
    expectWithin(stated.stall.speed, analysis.stall.speed! * Math.sqrt(analysis.stall.liftCoefficient! / 0.7), 1e-9);
  });

  test('thin air on a hot plateau raises the stall speed with the root of the density', () => {
    const high = analyse(
      withFields(design, [
        { field: '/conditions/elevation', value: 2500 },
        { field: '/conditions/temperature', value: 30 },
        { field: '/balance/statedMaximumLift', value: 0.9 },
      ]),
      { without: ['remedies'] },
    );
    const low = analyse(withFields(design, [{ field: '/balance/statedMaximumLift', value: 0.9 }]), {
      without: ['remedies'],
    });
    expectWithin(high.stall.speed! / low.stall.speed!, Math.sqrt(airAt(0, 15).density / airAt(2500, 30).density), 1e-9);
  });

  test('signs: stable fin, stable dihedral, damped roll and yaw, controls to the right', () => {
    const { lateral, pitch } = analysis;
    expect(lateral.yawStiffness).toBeGreaterThan(0);
    expect(lateral.dihedralEffect).toBeLessThan(0);
    expect(lateral.sideForceSlope).toBeLessThan(0);
    expect(lateral.rollDamping).toBeLessThan(0);
    expect(lateral.yawDamping).toBeLessThan(0);
    expect(lateral.rollFromYawRate).toBeGreaterThan(0);
    expect(lateral.rollFromAileron).toBeGreaterThan(0);
    expect(lateral.yawFromRudder).toBeGreaterThan(0);
    expect(pitch.momentFromElevator).toBeLessThan(0);
    expect(pitch.pitchDamping).toBeLessThan(0);
    expect(pitch.downwash).toBeGreaterThan(0);
    expect(pitch.neutralPointWithoutTail).toBeLessThan(pitch.neutralPoint!);
  });

  test('the fast way equals the slow one: cached factors change no digit', () => {
    const changed = withFields(design, [{ field: '/surfaces/tail/incidence', value: -1.5 }]);
    const reused = analyse(changed);
    forgetInfluence();
    expect(analyse(changed)).toEqual(reused);
  });

  test('every headline number has its working, and its value is the number', () => {
    const byId = new Map(analysis.workings.map((working) => [working.id, working]));
    expect(byId.get('neutralPoint')!.value).toBe(analysis.pitch.neutralPoint);
    expect(byId.get('meanChord')!.value).toBe(analysis.reference.meanChord);
    expect(byId.get('centreOfGravity')!.value).toBe(analysis.mass.cg![0]);
    expect(byId.get('staticMargin')!.value).toBe(analysis.pitch.staticMargin);
    expect(byId.get('stallSpeed')!.value).toBe(analysis.stall.speed);
    for (const working of analysis.workings) {
      expect(working.inputs.length).toBeGreaterThan(0);
      for (const words of [working.formula, working.source, working.range, working.bandBecause])
        expect(words.length).toBeGreaterThan(4);
    }
  });

  test.each(DEMO_NAMES.filter((_, index) => index % 3 === 0))(
    '%s: the bands cover the other choice of wake',
    (name) => {
      const both = (['datum', 'wind'] as const).map((wake) => analyse(demoDesign(name), { wake, surfacesOnly: true }));
      const [datum, wind] = both as [Analysis, Analysis];
      if (datum.trim.alpha === null) return expect(wind.trim.alpha).toBeNull();
      const within = (of: (analysis: Analysis) => number | null, band: number | null) =>
        expect(Math.abs(of(wind)! - of(datum)!)).toBeLessThan(1.15 * band! + 2e-4);
      within(({ pitch }) => pitch.neutralPoint, datum.bands.neutralPoint);
      within(({ lateral }) => lateral.dihedralEffect, datum.bands.dihedralEffect);
      within(({ lateral }) => lateral.yawStiffness, datum.bands.yawStiffness);
      expect(datum.pitch.neutralPointBand).toBe(datum.bands.neutralPoint);
    },
  );
});
