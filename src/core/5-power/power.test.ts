import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { airAt } from '@/core/5-aero/atmosphere';
import type { Newtons } from '@/core/1-base/units/convert';
import { driveAtThrust, type Drive, runDrive } from './drive/drive';
import { bestEfficiency, motorAt, speedConstantOf } from './motor/motor';
import { chargeOf, energyBetween, openVoltage } from './pack/pack';
import { usualPropeller } from './propeller/blade';
import { coefficients, turning } from './propeller/bladeElements';
import { figureOfMerit, idealEfficiency, idealStaticThrust } from './propeller/momentum';
import { propellerTable } from './propeller/propellerTable';

const air = airAt(0, 15);
const INCH = 0.0254;

describe('momentum', () => {
  test('C_T 0.10, C_P 0.045 on 0.2286 m at 6000 rev/min: 3.345 N from 34.41 W, of 4.920 N at best, M 0.5607', () => {
    const [turns, diameter] = [100, 0.2286];
    const thrust = 0.1 * 1.225 * turns ** 2 * diameter ** 4;
    const power = 0.045 * 1.225 * turns ** 3 * diameter ** 5;
    expectWithin(thrust, 3.345, 0.001);
    expectWithin(power, 34.41, 0.001);
    const ideal = idealStaticThrust(power, (Math.PI * diameter ** 2) / 4, 1.225);
    expectWithin(ideal, 4.92, 0.001);
    expectWithin(figureOfMerit(0.1, 0.045), 0.5607, 0.001);
    expectWithin((thrust / ideal) ** 1.5, 0.5607, 0.001);
    expectWithin(idealEfficiency(0), 1, 1e-12);
    expectWithin(idealEfficiency(8), 0.5, 1e-12);
  });
});

describe('propellers by blade elements', () => {
  const sizes = [5, 6, 7, 8, 9, 10, 11].flatMap((inch) =>
    [0.4, 0.45, 0.6, 0.75, 0.9, 1].map((ratio) => [inch, ratio] as const),
  );

  test.each(sizes)('%f in, pitch %f diameters: within what was measured on propellers of such sizes', (inch, ratio) => {
    const diameter = inch * INCH;
    const propeller = usualPropeller(diameter, ratio * diameter, 2);
    const turns = (inch < 8 ? 11_000 : 6_000) / 60;
    const still = coefficients(propeller, 0, turns, air);
    expect(still.thrust).toBeGreaterThan(0.08);
    expect(still.thrust).toBeLessThan(0.14);
    expect(still.power).toBeGreaterThan(0.03);
    expect(still.power).toBeLessThan(0.07);
    const merit = figureOfMerit(still.thrust, still.power);
    expect(merit).toBeGreaterThan(0.45);
    expect(merit).toBeLessThan(0.65);
    const run = Array.from({ length: 140 }, (_, index) => 0.01 * (index + 1)).map((advance) =>
      coefficients(propeller, advance * turns * diameter, turns, air),
    );
    const pulling = run.filter(({ thrust }) => thrust > 0);
    const [last, first] = [pulling.at(-1)!, run[pulling.length]!];
    const between = last.thrust / (last.thrust - first.thrust);
    const idle = (last.advance + between * (first.advance - last.advance)) / ratio;
    expect(idle).toBeGreaterThan(1.1);
    expect(idle).toBeLessThan(1.3);
    const best = pulling.reduce((a, b) => (b.efficiency > a.efficiency ? b : a));
    // Half of what was measured lies there.
    const [least, most] =
      ratio <= 0.45 ? [0.45, 0.58] : ratio < 0.7 ? [0.5, 0.62] : ratio < 0.8 ? [0.55, 0.65] : [0.58, 0.65];
    expect(best.efficiency).toBeGreaterThan(least);
    expect(best.efficiency).toBeLessThan(most);
    expect(best.advance / (idle * ratio)).toBeGreaterThan(0.7);
    expect(best.advance / (idle * ratio)).toBeLessThan(0.8);
    // No more than momentum allows, at any speed.
    for (const { advance, thrust, efficiency } of pulling)
      expect(efficiency).toBeLessThan(idealEfficiency((8 * thrust) / (Math.PI * advance ** 2)));
  });

  test('slower turning costs thrust and efficiency by the Reynolds number; thin air by its density', () => {
    const diameter = 10 * INCH;
    const propeller = usualPropeller(diameter, 5 * INCH, 2);
    const best = (turns: number) =>
      Math.max(
        ...Array.from(
          { length: 40 },
          (_, index) => coefficients(propeller, 0.015 * (index + 1) * turns * diameter, turns, air).efficiency,
        ),
      );
    const ratio = coefficients(propeller, 0, 2500 / 60, air).thrust / coefficients(propeller, 0, 100, air).thrust;
    expect(ratio).toBeGreaterThan(0.9);
    expect(ratio).toBeLessThan(0.95);
    expect(best(100) - best(2500 / 60)).toBeGreaterThan(0.015);
    expect(best(100) - best(2500 / 60)).toBeLessThan(0.1);
    const high = airAt(2000, 15);
    expectWithin(
      turning(propeller, 0, 100, high).thrust / turning(propeller, 0, 100, air).thrust,
      high.density / air.density,
      0.03,
    );
  });

  test('driven by the wind it brakes and turns its shaft; without turns it does nothing', () => {
    const propeller = usualPropeller(0.2, 0.1, 2);
    const wild = turning(propeller, 25, 60, air);
    expect(wild.thrust).toBeLessThan(0);
    expect(wild.torque).toBeLessThan(0);
    expect(turning(propeller, 12, 0, air)).toEqual({ thrust: 0, torque: 0 });
  });

  test('a third blade gives more thrust, not half as much again', () => {
    const thrust = (blades: number) => turning(usualPropeller(0.23, 0.13, blades), 0, 100, air).thrust;
    expect(thrust(3) / thrust(2)).toBeGreaterThan(1.15);
    expect(thrust(3) / thrust(2)).toBeLessThan(1.45);
  });

  test('the table gives what the blades give, within two percent of its greatest', () => {
    const propeller = usualPropeller(0.229, 0.13, 2);
    const table = propellerTable(propeller, air);
    for (const turns of [30, 75, 160])
      for (const advance of [0, 0.21, 0.45, 0.83]) {
        const speed = advance * turns * propeller.diameter;
        const [rough, fine] = [table.at(speed, turns), turning(propeller, speed, turns, air)];
        const most = turning(propeller, 0, turns, air);
        expect(Math.abs(rough.thrust - fine.thrust)).toBeLessThan(0.02 * most.thrust);
        expect(Math.abs(rough.torque - fine.torque)).toBeLessThan(0.02 * most.torque);
      }
  });
});

describe('motor', () => {
  const motor = { speedConstant: speedConstantOf(1000), resistance: 0.1, noLoadCurrent: 0.8 };

  test('1000 rev/min/V, 0.10 Ω, 0.8 A at 11.1 V: at best 0.8374 of the power, at 9.423 A', () => {
    const best = bestEfficiency(motor, 11.1);
    expectWithin(best.efficiency, 0.8374, 1e-4);
    expectWithin(best.current, 9.423, 1e-4);
    const omega = motor.speedConstant * (11.1 - best.current * motor.resistance);
    const { current, torque } = motorAt(motor, 11.1, omega);
    expectWithin((torque * omega) / (11.1 * current), best.efficiency, 1e-9);
    for (const off of [0.7, 1.4]) {
      const other = motorAt(motor, 11.1, motor.speedConstant * (11.1 - off * best.current * motor.resistance));
      expect(
        (other.torque * motor.speedConstant * (11.1 - off * best.current * 0.1)) / (11.1 * other.current),
      ).toBeLessThan(best.efficiency);
    }
  });
});

describe('pack', () => {
  const pack = { cells: 3, charge: chargeOf(2200), resistance: 0.03 };

  test('three cells: 12.6 V full, 11.4 V half full', () => {
    expectWithin(openVoltage(pack, 1), 12.6, 1e-9);
    expectWithin(openVoltage(pack, 0.5), 11.4, 1e-9);
    expect(openVoltage(pack, 2)).toBe(openVoltage(pack, 1));
  });

  test('energy between two charges is the sum of its parts', () => {
    expectWithin(energyBetween(pack, 0.2, 1), energyBetween(pack, 0.2, 0.43) + energyBetween(pack, 0.43, 1), 1e-9);
    expectWithin(energyBetween(pack, 0.5, 0.75) / chargeOf(2200), 0.25 * 3 * 3.875, 1e-9);
  });
});

describe('drive', () => {
  const of = (count: number): Drive => ({
    motor: { speedConstant: speedConstantOf(1000), resistance: 0.1, noLoadCurrent: 0.8 },
    propeller: propellerTable(usualPropeller(0.203, 0.112, 2), air),
    count,
    pack: { cells: 3, charge: chargeOf(1500), resistance: 0.03 },
  });

  test('what the pack gives is what shaft, winding, iron, controller and leads take: to a thousandth', () => {
    for (const [speed, duty] of [
      [0, 1],
      [8, 0.6],
      [15, 1],
    ] as const) {
      const drive = of(1);
      const { motorCurrent, packCurrent, packVoltage, electricPower, shaftPower, perSecond } = runDrive(
        drive,
        speed,
        duty,
        0.5,
      );
      const winding = motorCurrent ** 2 * (drive.motor.resistance + 0.005);
      const iron = (drive.motor.noLoadCurrent * 2 * Math.PI * perSecond) / drive.motor.speedConstant;
      const switching = packCurrent * packVoltage * (0.035 / 1.035);
      expectWithin(shaftPower + winding + iron + switching, electricPower, 0.001);
      expectWithin(electricPower + packCurrent ** 2 * drive.pack.resistance, packCurrent * 11.4, 0.001);
    }
  });

  test('the thrust of a throttle asks for that throttle again', () => {
    for (const [count, speed, duty] of [
      [1, 0, 0.5],
      [1, 9, 0.7],
      [2, 11, 0.9],
    ] as const) {
      const drive = of(count);
      const running = runDrive(drive, speed, duty, 0.6);
      const back = driveAtThrust(drive, speed, running.thrust, 0.6)!;
      expectWithin(back.duty, duty, 1e-3);
      expectWithin(back.electricPower, running.electricPower, 1e-3);
    }
  });

  test('more than full throttle gives is refused; with less charge less is left', () => {
    const drive = of(1);
    const full = runDrive(drive, 8, 1, 1).thrust;
    expect(driveAtThrust(drive, 8, (full * 1.02) as Newtons, 1)).toBeNull();
    expect(runDrive(drive, 8, 1, 0.2).thrust).toBeLessThan(full);
    expect(runDrive(drive, 8, 0, 1).thrust).toBe(0);
  });

  test('two motors on one pack give nearly twice the thrust from more than twice the current of a stiff pack', () => {
    const [one, two] = [of(1), of(2)].map((drive) => runDrive(drive, 0, 1, 1));
    expect(two!.thrust).toBeGreaterThan(1.85 * one!.thrust);
    expect(two!.thrust).toBeLessThan(2 * one!.thrust);
    expect(two!.packVoltage).toBeLessThan(one!.packVoltage);
  });
});
