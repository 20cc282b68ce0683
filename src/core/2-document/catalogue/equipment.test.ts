import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { massItemSchema, materialSchema } from '../schema/airframe';
import { BOARDS, COVERINGS, JOINTS } from './boards';
import { EQUIPMENT, equipmentById, packFor } from './library';
import { ROD_STOCK } from './rods';

const unique = (ids: readonly string[]) => expect(new Set(ids).size).toBe(ids.length);

describe('sheets', () => {
  test('each is one that a design can hold, under its own name', () => {
    unique(BOARDS.map(({ id }) => id));
    unique(BOARDS.map(({ name }) => name));
    for (const board of BOARDS) expect(materialSchema.safeParse(board).success, board.name).toBe(true);
  });

  test('paper is what weighs: peeling a face lightens, both faces more', () => {
    const density = (id: string) => BOARDS.find((board) => board.id === id)!.arealDensity;
    expect(density('oneFace5')).toBeLessThan(density('faced5'));
    expect(density('bare5')).toBeLessThan(density('oneFace5'));
    // The two faces together weigh what is missing from the bare core; one weighs half of that.
    expectWithin(density('faced5') - density('oneFace5'), (density('faced5') - density('bare5')) / 2, 0.1);
  });

  test('no foam is heavier than wood, none lighter than air', () => {
    for (const { thickness, arealDensity, name } of BOARDS) {
      const perVolume = arealDensity / thickness;
      expect(perVolume, name).toBeGreaterThan(15);
      expect(perVolume, name).toBeLessThan(200);
    }
  });

  test('coverings and joints begin with nothing or stay below what a board weighs', () => {
    expect(COVERINGS[0]).toEqual(['none', 0]);
    for (const [name, weight] of COVERINGS) expect(weight, name).toBeLessThan(190);
    for (const [name, weight] of JOINTS) expect(weight, name).toBeGreaterThan(0);
  });
});

describe('rods', () => {
  const weight = (name: string) => ROD_STOCK.find((rod) => rod.name === name)!.linearDensity;

  test('weigh section times density: a 3 mm carbon rod 11 g/m, an 8 mm square of pine 32 g/m', () => {
    expectWithin(weight('Carbon rod 3 mm'), (Math.PI / 4) * 9 * 1.55, 0.01);
    expect(weight('Pine stick 8 × 8 mm')).toBe(32);
    expectWithin(weight('Aluminium tube 6 × 5 mm'), (Math.PI / 4) * 11 * 2.7, 0.01);
  });

  test('a tube is lighter than the rod of its outer size', () => {
    const tube = weight('Carbon tube 8 × 6 mm');
    expect(tube).toBeLessThan((Math.PI / 4) * 64 * 1.55);
    // (8² − 6²)/8² of it is left.
    expectWithin(tube / ((Math.PI / 4) * 64 * 1.55), 28 / 64, 0.01);
  });
});

describe('equipment', () => {
  test('each is one that a design can hold', () => {
    unique(EQUIPMENT.map(({ id }) => id));
    for (const { id, name, category, mass, size } of EQUIPMENT) {
      const read = massItemSchema.safeParse({ id, name, category, mass, size, position: { x: 0, y: 0, z: 0 } });
      expect(read.success, name).toBe(true);
    }
  });

  test('bigger motors pull more, between twelve and twenty times their mass', () => {
    const motors = EQUIPMENT.filter(({ category }) => category === 'motor').sort((a, b) => a.mass - b.mass);
    motors.forEach(({ mass, thrust, name }, index) => {
      expect(thrust! / mass, name).toBeGreaterThan(12);
      expect(thrust! / mass, name).toBeLessThan(20);
      if (index > 0) expect(thrust!).toBeGreaterThan(motors[index - 1]!.thrust!);
    });
  });

  test('a pack of about one and a half times the motor goes with it', () => {
    expect(packFor(equipmentById('motor50')).id).toBe('pack3s850');
    expect(packFor(equipmentById('motor12')).id).toBe('pack2s300');
    const motor = equipmentById('motor70');
    const best = packFor(motor);
    for (const pack of EQUIPMENT.filter(({ category }) => category === 'battery'))
      expect(Math.abs(best.mass - 105)).toBeLessThanOrEqual(Math.abs(pack.mass - 105));
  });

  test('an unknown part is refused by name', () =>
    expect(() => equipmentById('motor9000')).toThrow('There is no equipment "motor9000".'));
});
