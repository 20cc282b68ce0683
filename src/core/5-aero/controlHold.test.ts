import { describe, expect, test } from 'vitest';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { controlSchema } from '@/core/2-document/schema/surface';
import { downwashLost } from '@/core/6-groups/solution/groundEffect';
import { evenReach, oddReach } from './commandReach';
import { effectiveTurn, flapHold, hingeEffect, turnFor } from './controlHold';

const rad = (degrees: number) => (degrees * Math.PI) / 180;
const change = (design: Design, ...fields: [string, unknown][]) =>
  withFields(
    design,
    fields.map(([field, value]) => ({ field, value })),
  );
const run = (design: Design, surfacesOnly = false) => analyse(design, { surfacesOnly, without: ['remedies'] });
const control = (more: object = {}) => controlSchema.parse({ id: 'c', function: 'aileron', ...more });

describe('what a control keeps of its effect', () => {
  // Datcom 6.1.1.1, plain flaps.
  test.each([
    [0, 1],
    [12, 1],
    [25, 0.75],
    [-35, 0.62],
  ])('turned by %d° it keeps %d', (degrees, kept) => {
    expect(flapHold(rad(degrees))).toBeCloseTo(kept, 12);
    expect(effectiveTurn(rad(degrees))).toBeCloseTo(kept * rad(degrees), 12);
  });

  test('more turn never does less, and the way back is the same', () => {
    let before = 0;
    for (let degrees = 1; degrees <= 60; degrees++) {
      const held = effectiveTurn(rad(degrees));
      expect(held).toBeGreaterThan(before);
      expectWithin(turnFor(-held), -rad(degrees), 1e-6);
      before = held;
    }
  });

  test('at the hinge: four fifths of theory, what friction took already counted once; less with a gap; nothing when all moves', () => {
    expect(hingeEffect(control(), 1)).toBeCloseTo(0.8, 12);
    expect(hingeEffect(control(), 0.9) * 0.9).toBeCloseTo(0.8, 12);
    expect(hingeEffect(control(), 0.7)).toBe(1);
    expect(hingeEffect(control({ gap: 'open' }), 1)).toBeCloseTo(0.72, 12);
    expect(hingeEffect(control({ allMoving: true, gap: 'open' }), 0.9)).toBe(1);
  });

  test('in the whole aircraft: elevator, aileron and rudder lose a fifth at the hinge, and the rest at full throw', () => {
    const base = simpleAircraft();
    const open = change(
      base,
      ...(['wing/controls/aileron', 'tail/controls/elevator', 'fin/controls/rudder'] as const).map(
        (path): [string, unknown] => [`/surfaces/${path}/gap`, 'open'],
      ),
    );
    const [sealed, leaking] = [run(base), run(open)];
    for (const key of ['rollFromAileron', 'yawFromRudder'] as const)
      expectWithin(leaking.lateral[key]! / sealed.lateral[key]!, 0.9, 1e-6);
    expectWithin(leaking.pitch.momentFromElevator! / sealed.pitch.momentFromElevator!, 0.9, 0.01);
    const share = sealed.pitch.momentFromElevator! / run(base, true).pitch.momentFromElevator!;
    expect(share).toBeGreaterThan(0.74);
    expect(share).toBeLessThan(0.86);
  });

  test('the forward limit moves aft by what full up elevator loses', () => {
    const forward = (more: Design) => run(more).window.forward!;
    const short = change(simpleAircraft(), ['/surfaces/tail/controls/elevator/throwUp', 12]);
    const long = change(simpleAircraft(), ['/surfaces/tail/controls/elevator/throwUp', 25]);
    const leaking = change(short, ['/surfaces/tail/controls/elevator/gap', 'open']);
    expect(forward(leaking)).toBeGreaterThan(forward(short));
    // 25° hold 18.75°: linear theory would go 13/12 of the way from none to 12° further, the flap half of that.
    const none = change(simpleAircraft(), ['/surfaces/tail/controls/elevator/throwUp', 0.01]);
    const perDegree = (forward(none) - forward(short)) / 12;
    expectWithin((forward(short) - forward(long)) / perDegree, 18.75 - 12, 0.25);
  });
});

test('the forward limit is a place of the aircraft: it does not hang on where it balances now', () => {
  const limits = [-10, 30, 85, 140].map((x) => run(simpleAircraft(x)).window.forward!);
  for (const limit of limits) expect(limit).toBeCloseTo(limits[0]!, 9);
});

describe('travel', () => {
  const mix = (of: object, left: number, right: number, mirrored = true) => ({
    surface: 's',
    mirrored,
    control: control(of),
    left,
    right,
  });

  test('an even command stops at the first stop, its hold is that of the control', () => {
    const reach = evenReach([mix({ throwUp: 25, throwDown: 12 }, 1, 1), mix({ throwUp: 30, throwDown: 30 }, 0.5, 0.5)]);
    expect([reach.up, reach.down]).toEqual([rad(25), rad(12)]);
    expect(reach.held(-rad(25))).toBeCloseTo(-0.75 * rad(25), 12);
    expect(reach.turnFor(reach.held(rad(20)))).toBeCloseTo(rad(20), 8);
  });

  test('differential throw is kept: each side goes to its own stop', () => {
    const { right, left } = oddReach([mix({ throwUp: 12, throwDown: 6 }, 1, -1)]);
    expect([right, left]).toEqual([rad(9), rad(9)]);
  });

  test('a rudder has one side, with a stop of its own each way', () => {
    const { right, left } = oddReach([mix({ throwUp: 6, throwDown: 12 }, -1, 1, false)]);
    expect([right, left]).toEqual([rad(12), rad(6)]);
  });

  test('from a neutral that is up already, more up does less', () => {
    const from = (neutral: number) => evenReach([mix({ neutral }, 1, 1)]).held(-rad(15));
    expect(from(-12)).toBeGreaterThan(from(0));
    expect(from(0)).toBeCloseTo(-rad(15) * flapHold(rad(15)), 12);
  });
});

describe('neutral', () => {
  test('a reflex set as neutral trims as the same turn of the stick does', () => {
    const plank = (neutral: number) =>
      designOf(
        [
          trapezoid(600, 220, 220, {
            controls: [{ id: 'elevons', function: 'elevon', hingeInboard: 0.8, hingeOutboard: 0.8, neutral }],
          }),
        ],
        { massItems: [{ id: 'lump', mass: 500, position: { x: 40 } }], conditions: { cruiseSpeed: 12 } },
      );
    const [plain, reflexed] = [run(plank(0)), run(plank(-6))];
    expect(plain.trim.elevator!).toBeLessThan(0);
    expect(reflexed.trim.elevator!).toBeCloseTo(plain.trim.elevator! + rad(6), 6);
    expect(reflexed.trim.alpha).toBeCloseTo(plain.trim.alpha!, 9);
    expect(reflexed.rigging.handsOffLift!).toBeGreaterThan(plain.rigging.handsOffLift!);
  });

  test('a rudder off its middle asks for what takes it back', () => {
    const off = change(simpleAircraft(), ['/surfaces/fin/controls/rudder/neutral', 5]);
    const { asymmetry } = run(off);
    expect(asymmetry!.yaw).toBeGreaterThan(0);
    expectWithin(asymmetry!.rudder!, -rad(5), 1e-6);
  });
});

describe('greatest lift follows what is turned', () => {
  const at = (field: string, value: number) => run(change(simpleAircraft(60), [field, value])).stall;

  test('drooped ailerons lift more, raised ones less', () => {
    const lift = (neutral: number) => at('/surfaces/wing/controls/aileron/neutral', neutral).liftCoefficient!;
    expect(lift(8)).toBeGreaterThan(lift(0));
    expect(lift(-8)).toBeLessThan(lift(0));
  });

  test('flaps mixed to elevator go up with it and take greatest lift', () => {
    const terms = (gain: number) => [
      { control: 'elevator', left: 1, right: 1 },
      { control: 'aileron', left: gain, right: gain },
    ];
    const lift = (gain: number) =>
      run(change(simpleAircraft(40), ['/mixes', [{ command: 'pitch', terms: terms(gain), drives: [] }]])).stall
        .liftCoefficient!;
    expect(lift(0.5)).toBeLessThan(lift(0.01));
    // Against the elevator they droop when it pulls.
    expect(lift(-0.5)).toBeGreaterThan(lift(0.01));
  });
});

describe('ground effect at the flare', () => {
  test('worked by hand: b_e 1.116, h_w 0.12, h_t 0.16 takes 0.803 of the downwash', () => {
    expectWithin(downwashLost(1.24, 0.12, 0.16), 0.803, 1e-3);
    expect(downwashLost(1.24, 5, 5.1)).toBeLessThan(0.02);
  });

  test('a model that stands low has its forward limit further aft than one that flares high', () => {
    const onWheels = (z: number) =>
      run(
        change(simpleAircraft(), [
          '/wheels',
          [{ id: 'w', position: { x: 80, y: 0, z }, diameter: 0, legDiameter: 0, retracts: false, mirrored: false }],
        ]),
      );
    const [low, high] = [onWheels(-100), onWheels(-3000)];
    expect(low.window.forward!).toBeGreaterThan(high.window.forward! + 0.005);
    expect(low.speeds.pitchFloor!).toBeGreaterThanOrEqual(high.speeds.pitchFloor!);
  });
});

test('a canard and elevons pitch the same way: what one lifts ahead the other drops behind', () => {
  const both = designOf(
    [
      trapezoid(600, 200, 200, { position: { x: 500 }, controls: [{ id: 'elevons', function: 'elevon' }] }),
      {
        ...trapezoid(200, 120),
        id: 'canard',
        role: 'canard',
        controls: [{ id: 'front', function: 'elevator' }],
      },
    ],
    { massItems: [{ id: 'lump', mass: 500, position: { x: 380 } }] },
  );
  const alone = (id: string) =>
    change(both, ['/mixes', [{ command: 'pitch', terms: [{ control: id, left: 1, right: 1 }], drives: [] }]]);
  const moment = (design: Design) => run(design, true).pitch.momentFromElevator!;
  expect(moment(alone('elevons'))).toBeLessThan(0);
  expect(moment(alone('front'))).toBeGreaterThan(0);
  expectWithin(moment(both), moment(alone('elevons')) - moment(alone('front')), 0.01);
});
