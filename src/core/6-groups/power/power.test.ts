import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { withFields } from '@/core/2-document/edit/withFields';
import { GRAVITY, airAt } from '@/core/5-aero/atmosphere';
import { chargeOf, energyBetween } from '@/core/5-power/pack/pack';
import { numbersOf } from '../solve';

const numbers = (name: string, change: Parameters<typeof withFields>[1] = []) =>
  numbersOf(withFields(demoDesign(name), change), { without: ['bands', 'workings'] });
/** Fields of the only drive of a fleet design. */
const drive = (name: string, field: string, value: unknown) => [
  { field: `/propulsion/${demoDesign(name).propulsion[0]!.id}/${field}`, value } as never,
];

describe('a slow design of the fleet', () => {
  const { power, drag, reference, mass, stall } = numbers('lagoon-postman');
  const design = demoDesign('lagoon-postman');
  const { cruiseSpeed, elevation, temperature } = design.conditions;
  const { density } = airAt(elevation, temperature);
  // Level flight by hand: drag times speed, a propeller of 0.53, a motor of 0.75 at part load, the controller 0.95.
  const dragForce = drag.total! * (density / 2) * cruiseSpeed ** 2 * reference.area!;

  test('takes the power that its drag and usual efficiencies ask for', () => {
    expectWithin(
      (dragForce * cruiseSpeed) / (power.propellerEfficiency! * 0.75 * 0.95),
      power.cruiseElectricPower!,
      0.1,
    );
    expect(power.propellerEfficiency!).toBeGreaterThan(0.45);
    expect(power.propellerEfficiency!).toBeLessThan(0.65);
  });

  test('lasts as long as four fifths of its pack give that power', () => {
    const [{ pack }] = design.propulsion as [(typeof design.propulsion)[number]];
    const energy = energyBetween({ cells: pack!.cells, charge: chargeOf(pack!.capacity), resistance: 0 }, 0.2, 1);
    expectWithin(energy / power.cruiseElectricPower!, power.duration!, 0.03);
  });

  test('thrust and weight, throttle and top speed hang together', () => {
    expectWithin(power.staticThrust! / (mass.total! * GRAVITY), power.thrustToWeight!, 1e-9);
    expect(power.cruiseThrottle!).toBeGreaterThan(0.4);
    expect(power.cruiseThrottle!).toBeLessThan(0.8);
    expect(power.maximumSpeed!).toBeGreaterThan(cruiseSpeed);
    expect(power.climbRateSpeed!).toBeGreaterThan(stall.speed!);
    expect(power.climbRate!).toBeLessThan(power.maximumSpeed!);
  });

  test('cruising at its top speed opens the throttle fully; faster it is refused with a reason', () => {
    const conditions = (speed: number) =>
      numbers('lagoon-postman', [{ field: '/conditions/cruiseSpeed', value: speed } as never]).power;
    // The pack is half full in the one and full in the other.
    const top = power.maximumSpeed!;
    expect(conditions(0.88 * top).cruiseThrottle!).toBeGreaterThan(0.85);
    const beyond = conditions(1.05 * top);
    expect(beyond.cruiseThrottle).toBeNull();
    expect(beyond.duration).toBeNull();
    expect(beyond.reasons['duration']).toMatch(/does not hold level flight/);
  });

  test('a larger pack lasts longer, a propeller of more pitch flies faster, a third blade pulls more', () => {
    const of = (field: string, value: unknown) =>
      numbers('lagoon-postman', drive('lagoon-postman', field, value)).power;
    expectWithin(of('pack/capacity', 2600).duration! / power.duration!, 2, 0.02);
    expect(of('propellerPitch', 150).maximumSpeed!).toBeGreaterThan(power.maximumSpeed! + 1);
    expect(of('blades', 3).staticThrust!).toBeGreaterThan(1.05 * power.staticThrust!);
    expect(of('pack/cells', 2).climbRate!).toBeLessThan(power.climbRate!);
  });
});

test('two motors on one pack are counted as two', () => {
  const name = 'atoll-freighter';
  const [two, one] = [numbers(name).power, numbers(name, drive(name, 'mirrored', false)).power];
  expect(two.staticThrust! / one.staticThrust!).toBeGreaterThan(1.9);
  expect(two.staticMotorCurrent!).toBeLessThan(0.55 * two.staticCurrent!);
});

describe('what is missing or cannot be is said', () => {
  const reason = (field: string, value: unknown) => {
    const { power } = numbers('lagoon-postman', drive('lagoon-postman', field, value));
    expect(power.staticThrust).toBeNull();
    expect(power.stoppedPropellerDragArea).not.toBeNull();
    return power.reasons['staticThrust'];
  };

  test.each([
    ['motor', undefined, /motor: type/],
    ['pack', undefined, /pack: type/],
    ['motor/resistance', 0, /no resistance/],
    ['propellerPitch', 0, /no pitch/],
    ['propellerPitch', 500, /over twice its diameter/],
    ['propellerDiameter', 0, /no size/],
  ])('%s %s', (field, value, words) => {
    expect(reason(field, value)).toMatch(words);
  });

  test('no drive', () => {
    expect(numbersOf(simpleAircraft(90), {}).power.reasons['duration']).toMatch(/No drive/);
  });

  test('a motor that cannot lift it climbs nowhere, and says so', () => {
    const { power } = numbers('lagoon-postman', drive('lagoon-postman', 'motor/speedConstant', 200));
    expect(power.climbRate).toBeNull();
    expect(power.maximumSpeed).toBeNull();
    expect(power.reasons['climbRate']).toMatch(/does not lift/);
    expect(power.staticThrust!).toBeGreaterThan(0);
  });
});
