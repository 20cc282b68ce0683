import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { evenReach } from './commandReach';
import { mixOf } from './commands';
import { flapHold } from './controlHold';
import { sharedThrow } from './sharedThrow';

const mixes = (design: Design) => {
  const placed = design.surfaces.map(placeSurface);
  return (command: 'pitch' | 'roll' | 'yaw' | 'flap') => mixOf(design, placed, command);
};
const gains = (terms: ReturnType<typeof mixOf>) => terms.map(({ control, left, right }) => [control.id, left, right]);
const rad = (degrees: number) => (degrees * Math.PI) / 180;
const solve = (design: Design) => analyse(design, { surfacesOnly: true, without: ['remedies'] });

describe('mixes', () => {
  test('what answers to what, and which way', () => {
    const usual = mixes(simpleAircraft());
    expect(gains(usual('pitch'))).toEqual([['elevator', 1, 1]]);
    expect(gains(usual('roll'))).toEqual([['aileron', 1, -1]]);
    expect(gains(usual('yaw'))).toEqual([['rudder', -1, 1]]);
    expect(gains(usual('flap'))).toEqual([]);
  });

  test.each([
    [38, 1],
    [-36, -1],
  ])('a V-tail at %d° turns right with its right half %d', (dihedral, right) => {
    const tail = trapezoid(250, 120, 100, {
      id: 'v',
      role: 'vTail',
      position: { x: 600 },
      controls: [{ id: 'r', function: 'ruddervator' }],
    });
    tail.stations[0]!.dihedral = dihedral;
    const design = designOf([trapezoid(500, 200), tail], { massItems: [{ id: 'm', mass: 400, position: { x: 60 } }] });
    expect(gains(mixes(design)('yaw'))).toEqual([['r', -right, right]]);
    const { lateral, pitch } = solve(design);
    expect(lateral.yawFromRudder).toBeGreaterThan(0);
    expect(pitch.momentFromElevator).toBeLessThan(0);
    // An upright V rolls against its turn, an inverted one with it.
    expect(Math.sign(lateral.rollFromRudder!)).toBe(-right);
  });

  test('twin fins turn both trailing edges to the right', () => {
    const { lateral } = solve(demoDesign('tern-tender'));
    expect(lateral.yawFromRudder).toBeGreaterThan(0);
  });

  test('a design’s own mix replaces the usual one of that command only', () => {
    const own = withFields(simpleAircraft(), [
      {
        field: '/mixes',
        value: [{ command: 'roll', terms: [{ control: 'rudder', left: 0.5, right: 0.5 }], drives: [] }],
      },
    ]);
    expect(gains(mixes(own)('roll'))).toEqual([['rudder', 0.5, 0.5]]);
    expect(gains(mixes(own)('pitch'))).toEqual([['elevator', 1, 1]]);
  });

  test('a canard’s elevator lifts the nose with its trailing edge down', () => {
    const { pitch, trim } = solve(demoDesign('heron-canard'));
    expect(pitch.momentFromElevator).toBeGreaterThan(0);
    expect(Number.isFinite(trim.elevator)).toBe(true);
  });

  test('travel is that of the first control to meet its stop, over its gain', () => {
    const { up, down } = evenReach(mixes(demoDesign('storm-courier'))('pitch'));
    expect([up, down].map((angle) => Math.round((angle * 180e3) / Math.PI) / 1e3)).toEqual([22, 22]);
    expect(evenReach([])).toMatchObject({ up: 0, down: 0 });
  });
});

describe('pitch and roll on the same controls', () => {
  const elevons = mixes(demoDesign('storm-courier'));

  test('what one takes the other lacks: 22° each way', () => {
    const share = sharedThrow(elevons('pitch'), elevons('roll'), rad(-5.5), rad(-22))!;
    // The one that rises has 16.5° of its 22°, the one that falls all of them.
    expectWithin(share.rollLeftAtTrim, (16.5 + 22) / 44, 1e-9);
    // 11° of roll and 5.5° of trim leave 5.5° of 22°.
    expectWithin(share.pitchLeftAtHalfRoll, 0.25, 1e-9);
    expect(share.pitchLeftAtFullRoll).toBeCloseTo(0, 12);
    // With full up elevon only the side that falls still rolls.
    expect(share.rollLeftAtFullPitch).toBeCloseTo(0.5, 12);
  });

  test('separate controls share nothing', () => {
    const usual = mixes(simpleAircraft());
    expect(sharedThrow(usual('pitch'), usual('roll'), 0.1, -0.3)).toBeNull();
  });
});

describe('power and trim', () => {
  const postman = demoDesign('lagoon-postman');
  const whole = (design: Design) => analyse(design, { without: ['remedies'] });

  test('a propeller in front blows on the tail it can reach, one behind it does not', () => {
    expect(whole(postman).slipstream!.tailShare).toBeGreaterThan(0.2);
    expect(whole(postman).slipstream!.pressureRatio).toBeGreaterThan(1);
    const pusher = withFields(postman, [{ field: '/propulsion/drive/position/x', value: 1000 }]);
    expect(whole(pusher).slipstream!.tailShare).toBe(0);
    expect(whole(withFields(postman, [{ field: '/propulsion', value: [] }])).slipstream).toBeNull();
  });

  test('a high thrust line pushes the nose down: more up elevator with power', () => {
    const high = whole(
      withFields(postman, [
        { field: '/propulsion/drive/position/z', value: 120 },
        { field: '/propulsion/drive/position/x', value: 1000 },
      ]),
    );
    expect(high.trim.thrustMoment).toBeLessThan(0);
    expect(high.trim.elevator).toBeLessThan(high.trim.elevatorPowerOff!);
  });

  test('the tail angle it names makes the elevator neutral', () => {
    const { trim } = solve(postman);
    const set = withFields(postman, [
      { field: '/surfaces/tailplane/incidence', value: (trim.tailIncidence! * 180) / Math.PI },
    ]);
    expect(Math.abs(solve(set).trim.elevator!)).toBeLessThan(0.002);
  });

  test('drag far above the balance point lifts the nose and changes the trim, hardly the margin', () => {
    const mast = withFields(postman, [
      {
        field: '/dragItems',
        value: [{ id: 'mast', dragArea: 4000, position: { x: 300, y: 0, z: 200 }, name: '', mirrored: false }],
      },
    ]);
    expect(whole(mast).pitch.zeroLiftMoment!).toBeGreaterThan(whole(postman).pitch.zeroLiftMoment!);
    expect(Math.abs(whole(mast).pitch.staticMargin! - whole(postman).pitch.staticMargin!)).toBeLessThan(0.02);
  });

  test('a fuselage costs stability in pitch and yaw', () => {
    const bare = withFields(postman, [
      { field: '/bodies', value: [] },
      { field: '/massItems/pack/mass', value: 112 },
    ]);
    expect(whole(bare).pitch.neutralPoint!).toBeGreaterThan(whole(postman).pitch.neutralPoint!);
  });
});

describe('stall', () => {
  const stall = (design: Design) => analyse(design, { without: ['remedies'] }).stall;
  const tapered = withFields(simpleAircraft(), [
    { field: '/surfaces/wing/stations/0/chord', value: 240 },
    { field: '/surfaces/wing/stations/1/chord', value: 60 },
  ]);

  test('taper moves the start to the tip, and the washout it names moves it inboard', () => {
    const before = stall(tapered);
    expect(before.startsAtSpanFraction).toBeGreaterThan(0.6);
    expect(before.washoutToMoveInboard).toBeGreaterThan(0);
    const washout = (before.washoutToMoveInboard! * 180) / Math.PI;
    const after = stall(withFields(tapered, [{ field: '/surfaces/wing/stations/1/twist', value: -washout - 0.3 }]));
    expect(after.startsAtSpanFraction).toBeLessThan(0.65);
    expect(before.marginAtRollControls).toBeCloseTo(0, 6);
  });

  test('no strip is beyond its limit when the first one reaches it', () => {
    const { strips, surface, liftLeft } = stall(demoDesign('tandem-ferry'));
    const least = Math.min(...strips.map(({ lift, limit }) => limit - lift));
    expect(least).toBeCloseTo(0, 6);
    expect(Object.entries(liftLeft).sort((a, b) => a[1] - b[1])[0]![0]).toBe(surface);
  });

  test('drooped flaps lower the stall speed', () => {
    const freighter = stall(demoDesign('atoll-freighter'));
    expect(freighter.flappedLiftCoefficient).toBeGreaterThan(freighter.liftCoefficient! + 0.03);
    expect(freighter.flapDroop).toBeLessThanOrEqual((35 * Math.PI) / 180);
    expect(freighter.flappedSpeed).toBeLessThan(freighter.speed!);
    expect(said(stall(simpleAircraft()).reasons['flappedSpeed'])).toMatch(/droops/);
  });

  test('the pitch control that flaps ask for is what trims of a mix of both need', () => {
    const freighter = withFields(demoDesign('atoll-freighter'), [{ field: '/propulsion', value: [] }]);
    const { trim, stall: limits } = analyse(freighter, { without: ['remedies'] });
    const perRadian = trim.flapElevator! / (limits.flapDroop! * flapHold(limits.flapDroop!));
    // With flaps geared to the elevator, elevator B = elevator A + k · flaps.
    const gear = 0.3;
    const terms = [
      { control: 'elevator', left: 1, right: 1 },
      { control: 'flap', left: gear, right: gear },
    ];
    const geared = analyse(
      withFields(freighter, [{ field: '/mixes', value: [{ command: 'pitch', terms, drives: [] }] }]),
      {
        without: ['remedies'],
      },
    );
    const flaps = gear * geared.trim.elevator!;
    expectWithin(geared.trim.elevator, trim.elevator! + perRadian * flaps, 0.02);
    expect(said(solve(freighter).trim.reasons['flapElevator'])).toMatch(/droops/);
  });

  test('a canard stalls before its wing', () => {
    expect(stall(demoDesign('heron-canard')).surface).toBe('canard');
  });
});
