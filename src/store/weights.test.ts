import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { openSession, settle, type TestSession } from '#/tests/session';
import { EQUIPMENT, equipmentById, packFor } from '@/core/2-document/catalogue/library';
import { BOARDS } from '@/core/2-document/catalogue/boards';
import { ROD_STOCK } from '@/core/2-document/catalogue/rods';
import { addItem, pasteWeights, removeItem } from './weights';
import { keptInDrawer, settingsSchema, takenFromDrawer } from './settingsSlice';
import { undone } from './documentSlice';

let open: TestSession;
beforeEach(async () => {
  open = await openSession(demoDesign('lagoon-postman'));
});
const items = () => open.design().massItems;

describe('equipment', () => {
  test('comes in where it balances, so that nothing moves until it is placed', async () => {
    const before = open.analysis().mass;
    expect(open.dispatch(addItem(equipmentById('cameraAction')))).toBeNull();
    await settle();
    const after = open.analysis().mass;
    expect(after.total! - before.total!).toBeCloseTo(0.075, 9);
    expect(Math.abs(after.cg![0] - before.cg![0])).toBeLessThan(0.0002);
    expect(items().at(-1)).toMatchObject({ name: 'Camera, action size', category: 'payload', mass: 75 });
  });

  test('an empty line is a part like any other; two have names of their own', () => {
    open.dispatch(addItem(null));
    open.dispatch(addItem(null));
    expect(new Set(items().map(({ id }) => id)).size).toBe(items().length);
  });

  test('what goes leaves no trace in assemblies and tolerances, and comes back with one step', async () => {
    const tangled = await openSession({
      ...demoDesign('lagoon-postman'),
      tolerances: [{ field: '/massItems/aileronServos/mass', plusMinus: 1 }],
    });
    tangled.dispatch(removeItem('aileronServos'));
    expect(tangled.design().assemblies[0]!.massItems).toEqual([]);
    expect(tangled.design().tolerances).toEqual([]);
    tangled.dispatch(undone());
    expect(tangled.design().assemblies[0]!.massItems).toEqual(['aileronServos']);
  });

  test('pasted rows are one step, or nothing at all', () => {
    const before = open.design();
    expect(open.dispatch(pasteWeights('name,mass\nGimbal,42\nAnvil,-4'))).toMatchObject({ ok: false });
    expect(open.design()).toBe(before);
    expect(open.dispatch(pasteWeights('name,mass,weighed\nGimbal,42,\nWing,0,150'))).toEqual({
      ok: true,
      changed: 1,
      added: 1,
    });
    expect(open.design().surfaces[0]!.measuredMass).toBe(150);
    open.dispatch(undone());
    expect(open.design()).toEqual(before);
  });
});

describe('the drawer', () => {
  const entry = { name: 'Old motor', category: 'motor' as const, mass: 31.5 };

  test('keeps, replaces by name, and gives back after a reload', async () => {
    open.dispatch(keptInDrawer(entry));
    open.dispatch(keptInDrawer({ ...entry, mass: 33 }));
    const drawer = () => open.session.store.getState().settings.drawer;
    // What the first change finds in the browser does not undo the second.
    await vi.waitFor(async () => {
      expect(drawer()).toEqual([{ ...entry, mass: 33 }]);
      const stored = settingsSchema.parse(await open.designs.readSetting('settings'));
      expect(stored.drawer).toEqual([{ ...entry, mass: 33 }]);
    });
    expect(drawer()).toEqual([{ ...entry, mass: 33 }]);
    open.dispatch(takenFromDrawer('Old motor'));
    expect(open.session.store.getState().settings.drawer).toEqual([]);
  });

  test('settings from before there was a drawer are read', () => {
    expect(settingsSchema.parse({ units: { length: 'mm', mass: 'g', speed: 'm/s' } }).drawer).toEqual([]);
  });
});

describe('the libraries', () => {
  test('name everything once, with masses and sizes that exist', () => {
    for (const list of [EQUIPMENT, BOARDS]) expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
    for (const { mass, size } of EQUIPMENT) {
      expect(mass).toBeGreaterThan(0);
      expect(Math.min(size.length, size.width, size.height)).toBeGreaterThan(0);
    }
    expect(() => equipmentById('anvil')).toThrow(RangeError);
  });

  test('a pack suits its motor, peeled board is lighter than faced', () => {
    expect(packFor(equipmentById('motor50')).mass).toBeGreaterThan(48);
    expect(packFor(equipmentById('motor12')).mass).toBe(18);
    const weight = (id: string) => BOARDS.find((board) => board.id === id)!.arealDensity;
    expect(weight('bare5')).toBeLessThan(weight('oneFace5'));
    expect(weight('oneFace5')).toBeLessThan(weight('faced5'));
  });

  test('rods weigh what their section and density say', () => {
    // π/4 (6² − 4²) mm² × 1.55 g/cm³ = 24.3 g/m; 8 × 8 mm² × 0.5 g/cm³ = 32 g/m.
    const weight = (name: string) => ROD_STOCK.find((stock) => stock.name === name)!.linearDensity;
    expect(weight('Carbon tube 6 × 4 mm')).toBeCloseTo((Math.PI / 4) * 20 * 1.55, 1);
    expect(weight('Pine stick 8 × 8 mm')).toBe(32);
  });
});
