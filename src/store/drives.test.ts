import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { USUAL_DRIVE_PARTS } from '@/core/2-document/catalogue/driveParts';
import { drawerEntryOf, partsOfDrawer } from './drives';

const gannet = demoDesign('gannet-vee');
const entry = (category: string) =>
  drawerEntryOf(
    gannet,
    gannet.massItems.find((item) => item.category === category)!,
  );

describe('what goes into the drawer', () => {
  test('a motor takes the winding that its bench test showed, a propeller its factors, a pack its cells', () => {
    const motor = entry('motor').motor!;
    // (12 V − 2π 193.3/K_v)/(14.2 A/1.035) less 5 mΩ of the controller.
    const omega = (2 * Math.PI * 11600) / 60;
    const constant = (1100 * 2 * Math.PI) / 60;
    expectWithin(motor.resistance, (12 - omega / constant) / (14.2 / 1.035) - 0.005, 1e-9);
    const { thrustFactor, torqueFactor, propellerDiameter } = entry('propeller').propeller!;
    expect(thrustFactor!).toBeGreaterThan(0.8);
    expect(torqueFactor!).toBeLessThan(1.3);
    expect(propellerDiameter).toBe(gannet.propulsion[0]!.propellerDiameter);
    expect(entry('battery').pack).toEqual(gannet.propulsion[0]!.pack);
    expect(entry('receiver')).not.toHaveProperty('motor');
  });

  test('only what is known enough drives', () => {
    const parts = partsOfDrawer([entry('motor'), entry('propeller'), entry('battery'), entry('receiver')]);
    expect([parts.motors, parts.propellers, parts.packs].map(({ length }) => length)).toEqual([1, 1, 1]);
    expect(USUAL_DRIVE_PARTS.motors.length).toBeGreaterThan(10);
  });
});
