import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { withFields } from '@/core/2-document/edit/withFields';
import { missionPhaseSchema } from '@/core/2-document/schema/mission';
import { propulsionSchema } from '@/core/2-document/schema/propulsion';
import { airAt, GRAVITY } from '@/core/5-aero/atmosphere';
import { runDrive } from '@/core/5-power/drive/drive';
import { numbersOf } from '../solve';
import { drivesOf } from './drives';
import { restingPropellerArea } from './restingPropellers';

const OPTIONS = { without: ['bands', 'workings'] } as const;
const postman = demoDesign('lagoon-postman');
const numbers = (...fields: [string, unknown][]) =>
  numbersOf(
    withFields(
      postman,
      fields.map(([field, value]) => ({ field, value })),
    ),
    OPTIONS,
  );
const drawn = numbersOf(postman, OPTIONS);
const air = airAt(postman.conditions.elevation, postman.conditions.temperature);

describe('as long and as far as it goes', () => {
  const { sustained, power, stall } = drawn;

  test('the longest lasts longer than its neighbours, the farthest comes farther', () => {
    const at = (speed: number) => numbers(['/conditions/cruiseSpeed', speed]);
    const [slower, best, faster] = [0.93, 1, 1.07].map(
      (share) => at(sustained.rangeSpeed! * share).sustained.cruiseRange!,
    );
    expect(best).toBeGreaterThan(Math.max(slower!, faster!) * 0.999);
    expect(sustained.duration!).toBeGreaterThanOrEqual(power.duration!);
    expect(sustained.rangeSpeed!).toBeGreaterThan(sustained.durationSpeed!);
    expectWithin(sustained.range, best!, 0.01);
    expectWithin(sustained.cruiseRange, power.duration! * postman.conditions.cruiseSpeed, 1e-9);
  });

  test('between the stall and the top; wind as the brief counts it', () => {
    expect(sustained.slowestSpeed!).toBeGreaterThanOrEqual(stall.speed! * 0.999);
    expect(sustained.fastestSpeed!).toBeLessThan(power.maximumSpeed!);
    expectWithin(sustained.windBeaten, (sustained.fastestSpeed! - 2) / 1.6, 1e-9);
  });

  test('the turn: R = V²/(g tan φ), and at that bank n D(V/√n) is all the thrust, or the stall is near', () => {
    const { steepestBank, steepestBankSpeed, turnRadius } = sustained;
    expectWithin(turnRadius, steepestBankSpeed! ** 2 / (GRAVITY * Math.tan(steepestBank!)), 1e-9);
    const load = 1 / Math.cos(steepestBank!);
    expect(steepestBankSpeed!).toBeGreaterThanOrEqual(1.1 * stall.speed! * Math.sqrt(load) * 0.999);
  });

  test('full throttle that holds it nowhere is said', () => {
    const weak = numbers(['/propulsion/drive/motor/speedConstant', 150]).sustained;
    expect(weak.duration).toBeNull();
    expect(weak.reasons['duration']).toMatch(/holds level flight at no speed/);
  });
});

describe('one of two motors stands still', () => {
  const pair = (y: number) => numbers(['/propulsion/drive/mirrored', true], ['/propulsion/drive/position/y', y]);

  test('thrust and stopped drag times their arm, against the rudder', () => {
    const { engineOut, lateral, reference, stall } = pair(200);
    expectWithin(engineOut.speed, 1.3 * stall.speed!, 1e-9);
    const design = withFields(postman, [
      { field: '/propulsion/drive/mirrored', value: true },
      { field: '/propulsion/drive/position/y', value: 200 },
    ]);
    const drives = drivesOf(design, air);
    if (typeof drives === 'string') throw new Error(drives);
    const { thrust } = runDrive({ ...drives[0]!, count: 1 }, engineOut.speed!, 1, 1);
    const one = restingPropellerArea(
      { ...postman, conditions: { ...postman.conditions, cruiseSpeed: engineOut.speed! } },
      air,
    );
    const pressure = (air.density * engineOut.speed! ** 2) / 2;
    expectWithin(engineOut.yawMoment, 0.2 * (thrust + one * pressure), 0.005);
    expectWithin(
      engineOut.rudder,
      engineOut.yawMoment! / (pressure * reference.area! * reference.span!) / lateral.yawFromRudder!,
      1e-9,
    );
  });

  test('farther out it takes more rudder; on the centre line there is none to tell of', () => {
    expect(pair(300).engineOut.rudderShare!).toBeGreaterThan(pair(150).engineOut.rudderShare!);
    expect(drawn.engineOut.drive).toBeNull();
    expect(drawn.engineOut.reasons['rudder']).toMatch(/No motor sits beside/);
  });
});

describe('torque', () => {
  test('rolls left where the propeller turns clockwise, as much as its shaft gives; the other way with the other', () => {
    const { torque, lateral, reference } = drawn;
    const drives = drivesOf(postman, air);
    if (typeof drives === 'string') throw new Error(drives);
    const running = runDrive(drives[0]!, torque.speed!, 1, 1);
    expectWithin(torque.torque, -running.shaftPower / (2 * Math.PI * running.perSecond), 1e-9);
    const pressure = (air.density * torque.speed! ** 2) / 2;
    expectWithin(
      torque.aileron! * lateral.rollFromAileron! * pressure * reference.area! * reference.span!,
      -torque.torque!,
      1e-9,
    );
    const other = numbers(['/propulsion/drive/turns', 'anticlockwise']).torque;
    for (const key of ['torque', 'bladeYaw', 'gyroYaw', 'aileron'] as const)
      expectWithin(other[key], -torque[key]!, 1e-9);
  });

  test('a pair turns against one another', () => {
    const { torque } = numbers(['/propulsion/drive/mirrored', true], ['/propulsion/drive/position/y', 200]);
    expect(torque.torque).toBeNull();
    expect(torque.reasons['torque']).toMatch(/against one another/);
  });
});

describe('a planned flight', () => {
  const plan = (...phases: object[]) =>
    numbers(['/mission', phases.map((phase, index) => missionPhaseSchema.parse({ id: `p${index}`, ...phase }))])
      .mission;

  test('level phases take what level flight takes; the wind against costs time', () => {
    const { power } = drawn;
    const speed = postman.conditions.cruiseSpeed;
    const { phases, left, time } = plan(
      { kind: 'cruise', distance: 1000, speed },
      { kind: 'return', distance: 1000, speed, wind: 5 },
      { kind: 'loiter', minutes: 3, speed },
    );
    expectWithin(phases[0]!.time, 1000 / speed, 1e-9);
    expectWithin(phases[1]!.time, 1000 / (speed - 5), 1e-9);
    const charge = (postman.propulsion[0]!.pack!.capacity * 3.6) as number;
    expectWithin(phases[2]!.charge, (180 * power.cruiseCurrent!) / charge, 1e-6);
    expectWithin(
      1 - left!,
      phases.reduce((sum, phase) => sum + phase.charge!, 0),
      1e-9,
    );
    expectWithin(
      time,
      phases.reduce((sum, phase) => sum + phase.time!, 0),
      1e-9,
    );
  });

  test('a climb and the glide back down: the one takes of the pack, the other nothing', () => {
    const [up, down] = plan({ kind: 'climb', height: 80 }, { kind: 'glide', height: 80 }).phases;
    expect(up!.height).toBe(80);
    expect(up!.charge!).toBeGreaterThan(0.005);
    expect(down!.charge).toBe(0);
    // From that height as far as its glide lets it.
    expectWithin(down!.distance, 80 * drawn.speeds.glideRatio!, 0.08);
  });

  test('what cannot be flown says why, and nothing is summed beyond it', () => {
    const blown = plan({ kind: 'return', distance: 500, speed: 9, wind: 12 });
    expect(blown.phases[0]!.problem).toBe('the wind is faster than it flies');
    expect(blown.left).toBeNull();
    expect(plan({ kind: 'cruise', distance: 500, speed: 60 }).phases[0]!.problem).toMatch(/does not hold it/);
    expect(numbers(['/mission', []]).mission.reasons['left']).toMatch(/No flight is planned/);
  });
});

describe('a motor glider', () => {
  const glider = (size: number, atRest: string) =>
    numbers(['/propulsion/drive/propellerDiameter', size], ['/propulsion/drive/atRest', atRest]).speeds.glideRatio!;

  test('a small stopped propeller costs less of its glide than a large one, a folded one least', () => {
    expect(glider(150, 'stops')).toBeGreaterThan(glider(280, 'stops') + 0.5);
    expect(glider(280, 'folds')).toBeGreaterThan(glider(150, 'stops'));
  });
});

describe('what is known of drives', () => {
  const reasonFor = (more: object) => {
    const drive = propulsionSchema.parse({ id: 'drive', ...more });
    const drives = drivesOf({ propulsion: [drive] }, air);
    return typeof drives === 'string' ? drives : null;
  };
  const motor = { speedConstant: 1000, resistance: 0.1, noLoadCurrent: 0.8 };
  const pack = { cells: 3, capacity: 1300 };

  test.each([
    ['Nothing is known of the motor', { pack }],
    ['Winding and no-load current', { motor: { speedConstant: 1000 }, pack }],
    ['Nothing is known of the pack', { motor }],
    ['takes as much without a load', { motor: { ...motor, maximumCurrent: 0.7 }, pack }],
    ['over twice its diameter', { motor, pack, propellerDiameter: 100, propellerPitch: 220 }],
    ['One place of a blade', { motor, pack, blade: [{ share: 0.5, chord: 12, angle: 20 }] }],
    ['Rubber drives it', { rubber: { strands: 4, length: 300, width: 3, thickness: 1 } }],
    ['The bench test', { motor, pack, benchTest: { thrust: 9000 } }],
  ])('%s', (words, more) => {
    expect(reasonFor(more)).toContain(words);
  });

  test('with its mass alone a motor is enough', () => {
    expect(reasonFor({ motor: { speedConstant: 1000, mass: 50 }, pack })).toBeNull();
  });
});

describe('launch', () => {
  test('thrown it leaves as fast as the launch speed says; on wheels it runs', () => {
    const { takeOff } = drawn;
    expect(takeOff.launchHeightLost!).toBeLessThan(0.2);
    expect(takeOff.reasons['groundRun']).toBe('It has no wheels.');
    const heavy = numbers(['/massItems/motor/mass', 900]).takeOff;
    expect(heavy.launchHeightLost!).toBeGreaterThan(takeOff.launchHeightLost!);
  });

  test('a pusher: from the balance point back to its disc', () => {
    const { takeOff, mass } = numbers(['/propulsion/drive/kind', 'pusher'], ['/propulsion/drive/position/x', 420]);
    expectWithin(takeOff.handToDisc, 0.42 - mass.cg![0], 1e-9);
  });
});

describe('rubber', () => {
  test('a heavy model with strands far too weak is told so by energy; the weights of a light one suit it', () => {
    const strung = (strands: number) =>
      numbers(
        [
          '/propulsion/drive/rubber',
          { strands, length: 500, width: 3, thickness: 1, energy: 9, returned: 0.67, turnsConstant: 200, woundTo: 0.8 },
        ],
        ['/propulsion/drive/propellerDiameter', 320],
        ['/propulsion/drive/propellerPitch', 380],
      );
    const weak = strung(4).rubber;
    expect(weak.heightByEnergy!).toBeLessThan(4);
    expectWithin(weak.energy, strung(8).rubber.energy! / 2, 1e-9);
    expect(strung(200).rubber.height ?? 0).toBeGreaterThan(weak.height ?? 0);
    expect(strung(4).power.reasons['staticThrust']).toMatch(/Rubber drives it/);
  });
});
