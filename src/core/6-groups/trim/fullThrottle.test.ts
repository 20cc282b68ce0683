import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { withFields } from '@/core/2-document/edit/withFields';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { numbersOf } from '../solve';

const powered = (z: number, downThrust = 0) =>
  withFields(simpleAircraft(), [
    { field: '/propulsion', value: [{ ...drive, position: { x: -60, y: 0, z }, downThrust }] },
    { field: '/massItems', value: [...simpleAircraft().massItems, motor] },
  ]);
const drive = {
  id: 'd',
  name: '',
  kind: 'tractor',
  mirrored: false,
  downThrust: 0,
  rightThrust: 0,
  propellerDiameter: 200,
  propellerPitch: 110,
  blades: 2,
  blade: [],
  atRest: 'stops',
};
const motor = {
  id: 'motor',
  name: '',
  category: 'motor',
  mass: 50,
  mirrored: false,
  inWind: false,
  position: { x: -40, y: 0, z: 0 },
  attachment: { kind: 'fixed' },
};

describe('full throttle', () => {
  // 50 g of motor pull about 16.5 times their weight: 8.09 N.
  const thrust = 0.05 * 16.5 * GRAVITY;

  test('a thrust line below the balance point lifts the nose by thrust times its distance', () => {
    const { trim, mass, reference, speeds } = numbersOf(powered(-100));
    const arm = 0.1 + mass.cg![2];
    expect(trim.staticThrustMoment).toBeCloseTo(thrust * arm, 9);
    // Seven tenths of it are left at 1.3 stall speeds.
    const pressure = 0.5 * 1.225 * (1.3 * speeds.stall!) ** 2;
    expect(trim.climbThrustMoment!).toBeCloseTo(
      (0.7 * thrust * arm) / (pressure * reference.area! * reference.meanChord!),
      4,
    );
    expect(trim.climbElevator!).toBeGreaterThan(0);
  });

  test('through the balance point it does nothing, and without a motor nothing is said', () => {
    const { mass } = numbersOf(powered(0));
    const down = (Math.atan2(-mass.cg![2], -0.06 - mass.cg![0]) * 180) / Math.PI;
    const through = numbersOf(powered(0, down > 90 ? down - 180 : down < -90 ? down + 180 : down));
    expect(Math.abs(through.trim.staticThrustMoment!)).toBeLessThan(1e-3);
    expect(numbersOf(simpleAircraft()).trim.reasons['staticThrustMoment']).toBeTruthy();
  });
});
