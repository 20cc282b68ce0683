import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { airAt, GRAVITY } from '@/core/5-aero/atmosphere';
import type { Newtons } from '@/core/1-base/units/convert';
import { calibrate } from './drive/benchTest';
import { type Drive, runDrive, SWITCHING } from './drive/drive';
import { currentByHeat, heatOf, heatShed, HOTTEST_RISE, motorByMass, warmed } from './motor/motorByMass';
import { motorAt, noLoadAt, speedConstantOf } from './motor/motor';
import { openVoltage, packOf, type PackLabel, usualPackCurrent } from './pack/pack';
import { usualPropeller } from './propeller/blade';
import { calibrated } from './propeller/calibrated';
import { ownPropeller } from './propeller/ownBlade';
import { turning } from './propeller/bladeElements';
import { coefficients } from './propeller/bladeElements';
import { propellerTable } from './propeller/propellerTable';

const air = airAt(0, 15);
const motor = { speedConstant: speedConstantOf(1000), resistance: 0.1, noLoadCurrent: 0.8 };

describe('a motor of the second order', () => {
  test('half of the no-load current is always there, the other half grows with the revolutions', () => {
    const known = { ...motor, noLoadSpeed: 1000 };
    expect([0, 1000, 2000].map((omega) => noLoadAt(known, omega))).toEqual([0.4, 0.8, 1.2000000000000002]);
    expect(noLoadAt(motor, 5000)).toBe(0.8);
    // Where it was measured both orders agree.
    expectWithin(motorAt(known, 12, 1000).torque, motorAt(motor, 12, 1000).torque, 1e-12);
  });

  test('what is not typed follows the mass: K_m with the power 0.9, idle torque with the mass', () => {
    const [small, large] = [motorByMass(0.05, motor.speedConstant), motorByMass(0.1, motor.speedConstant)];
    // K_m = K_t/√R is 0.03 N·m/√W at 50 g: R = (1/104.72/0.03)² = 0.1013 Ω; it idles against 5.7 mN·m.
    expectWithin(small.resistance, 0.10132, 1e-3);
    expectWithin(small.noLoadCurrent, 0.0057 * 104.72, 1e-4);
    expectWithin(small.resistance / large.resistance, 2 ** 1.8, 1e-9);
    expectWithin(large.noLoadCurrent / small.noLoadCurrent, 2, 1e-9);
  });

  test('heat: I²R and what it takes without a load; 22 W at 50 g for 80 K', () => {
    expectWithin(heatOf(motor, 10, 1000), 100 * 0.1 + (0.8 * 1000) / motor.speedConstant, 1e-12);
    expect(heatShed(0.05)).toBe(22);
    expectWithin(heatShed(0.4), 88, 1e-9);
    const hot = warmed(motor, 0.05, 22);
    expect(hot.rise).toBe(HOTTEST_RISE);
    expectWithin(hot.motor.resistance, 0.1 * (1 + 0.0039 * 80), 1e-12);
    // However much it is given, it is not told to be hotter than where it has burnt.
    expect(warmed(motor, 0.05, 1e4).rise).toBe(160);
    const bears = currentByHeat(motor, 0.05, 2);
    expectWithin(bears ** 2 * hot.motor.resistance + 2, 22, 1e-9);
  });
});

describe('packs from cells', () => {
  const label: PackLabel = {
    chemistry: 'lithiumPolymer',
    cells: 3,
    parallel: 1,
    capacity: 2000,
    temperature: 20,
    cycles: 0,
  };

  test('12 mΩ·Ah a cell, rows side by side, half as much again at 5 °C', () => {
    expectWithin(packOf(label).resistance, (3 * 0.012) / 2, 1e-12);
    const two = packOf({ ...label, parallel: 2 });
    expectWithin(two.resistance, packOf(label).resistance / 2, 1e-12);
    expectWithin(two.charge, 2 * packOf(label).charge, 1e-12);
    expectWithin(packOf({ ...label, temperature: 5 }).resistance, 1.5 * packOf(label).resistance, 1e-12);
    expectWithin(packOf({ ...label, resistance: 0.03, temperature: 5 }).resistance, 0.045, 1e-12);
  });

  test('cold and age take of its charge, and never more than half', () => {
    expectWithin(packOf({ ...label, temperature: 0 }).charge, 0.9 * 7200, 1e-12);
    expectWithin(packOf({ ...label, cycles: 160 }).charge, 0.9 * 7200, 1e-12);
    expectWithin(packOf({ ...label, cycles: 160 }).resistance, 1.4 * packOf(label).resistance, 1e-12);
    expectWithin(packOf({ ...label, cycles: 2000, temperature: -30 }).charge, 0.5 * 7200, 1e-12);
  });

  test('round cells hold less voltage and bear less', () => {
    const round = { ...label, chemistry: 'lithiumIon' } as const;
    expectWithin(openVoltage(packOf(round), 0.5), 3 * 3.62, 1e-12);
    expectWithin(openVoltage(packOf(label), 0.5), 3 * 3.8, 1e-12);
    expect([usualPackCurrent(label), usualPackCurrent(round)]).toEqual([40, 10]);
  });
});

describe('the net of a propeller', () => {
  const small = usualPropeller(0.127, 0.114, 3);
  const table = propellerTable(small, air);
  const scale = (perSecond: number) => air.density * perSecond ** 2 * small.diameter ** 4;

  test.each([15, 40, 100, 240])('at %d turns a second it is what the blade elements give', (perSecond) => {
    for (const advance of [0, 0.3, 0.6]) {
      const speed = advance * perSecond * small.diameter;
      const { thrust, power } = coefficients(small, speed, perSecond, air);
      const got = table.at(speed, perSecond);
      expect(Math.abs(got.thrust / scale(perSecond) - thrust)).toBeLessThan(2e-3);
      expect(Math.abs((got.torque * 2 * Math.PI) / (scale(perSecond) * small.diameter) - power)).toBeLessThan(2e-3);
    }
  });

  test('faster than it reaches it keeps the coefficients of its end, not those of slow blades', () => {
    const of = (perSecond: number) => table.at(0, perSecond).torque / perSecond ** 2;
    expectWithin(of(240.01), of(240), 1e-4);
    expectWithin(of(400), of(240), 1e-9);
    expect(Math.abs(of(40) / of(240) - 1)).toBeGreaterThan(0.01);
  });
});

describe('a bench test', () => {
  const table = propellerTable(usualPropeller(0.229, 0.127, 2), air);
  const drive: Drive = { motor, propeller: table, count: 1, pack: { cells: 3, charge: 7200, resistance: 0.03 } };
  /** What a bench reads of a drive whose propeller gives and takes otherwise, with another winding. */
  const truth: Drive = {
    ...drive,
    motor: { ...motor, resistance: 0.13 },
    propeller: calibrated(table, 0.9, 1.15),
  };
  const read = runDrive(truth, 0, 1, 1);
  const readings = {
    thrust: read.thrust,
    turns: read.perSecond,
    volts: read.packVoltage,
    current: read.motorCurrent * (1 + SWITCHING),
  };
  const drifted = (more: object) => calibrate(drive, { ...readings, ...more });

  test('all four readings find winding, torque and thrust again', () => {
    const set = calibrate(drive, readings);
    if (!set.ok) throw new Error(set.reason);
    expectWithin(set.drive.motor.resistance, 0.13, 1e-5);
    expectWithin(set.torque, 1.15, 1e-5);
    expectWithin(set.thrust, 0.9, 1e-5);
    const again = runDrive(set.drive, 0, 1, 1);
    expectWithin(again.thrust, read.thrust, 1e-4);
    expectWithin(again.perSecond, read.perSecond, 1e-4);
  });

  test('thrust alone sets the thrust it reaches; revolutions with volts the torque', () => {
    const alone = calibrate(drive, { thrust: 6 as Newtons });
    if (!alone.ok) throw new Error(alone.reason);
    expectWithin(runDrive(alone.drive, 0, 1, 1).thrust, 6, 1e-4);
    const same = { ...truth, motor };
    const { perSecond, packVoltage } = runDrive(same, 0, 1, 1);
    const turned = calibrate(drive, { turns: perSecond, volts: packVoltage });
    if (!turned.ok) throw new Error(turned.reason);
    expectWithin(turned.torque, 1.15, 1e-4);
  });

  test.each([
    ['turns faster than its voltage', { turns: 300 }],
    ['no more current than without a propeller', { current: 0.7, volts: undefined }],
    ['two and a half times off', { thrust: 20 as Newtons }],
    ['no resistance', { current: 60 }],
  ])('%s is refused in words', (_, more) => {
    const set = drifted(more);
    expect(set).toMatchObject({ ok: false, reason: expect.stringMatching(/^The bench test .+ again\.$/) });
  });

  test('more thrust than a disc can give from that power is refused', () => {
    const set = calibrate(drive, { thrust: (1.55 * runDrive(drive, 0, 1, 1).thrust) as Newtons });
    expect(set).toMatchObject({ ok: false, reason: expect.stringContaining('more thrust than a disc') });
  });
});

describe('a blade that was measured', () => {
  test('as the usual one it gives the same', () => {
    const usual = usualPropeller(0.2, 0.12, 2);
    const stations = usual.places.map(({ share, chord, angle }) => ({
      share,
      chord: chord * 1000,
      angle: (angle * 180) / Math.PI,
    }));
    const [a, b] = [usual, ownPropeller(0.2, 2, stations)].map((one) => turning(one, 8, 120, air));
    expectWithin(b!.thrust, a!.thrust, 1e-12);
    expectWithin(b!.torque, a!.torque, 1e-12);
  });

  test('twice the chord gives more, twice the thrust factor twice the thrust', () => {
    const usual = usualPropeller(0.2, 0.12, 2);
    const broad = { ...usual, places: usual.places.map((place) => ({ ...place, chord: 2 * place.chord })) };
    expect(turning(broad, 0, 100, air).thrust).toBeGreaterThan(1.25 * turning(usual, 0, 100, air).thrust);
    const table = propellerTable(usual, air);
    expectWithin(calibrated(table, 2, 3).at(5, 90).thrust, 2 * table.at(5, 90).thrust, 1e-12);
    expectWithin(calibrated(table, 2, 3).at(5, 90).torque, 3 * table.at(5, 90).torque, 1e-12);
    expect(GRAVITY).toBeCloseTo(9.80665, 9);
  });
});
