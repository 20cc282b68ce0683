import { storedDesign } from '#/tests/stored';
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { type InclinarDatabase, openDatabase } from './database';
import { type DesignStore, designStore } from './designStore';

let database: InclinarDatabase;
let store: DesignStore;
let count = 0;
beforeEach(() => {
  database = openDatabase(`shared-${++count}`);
  store = designStore(database);
});
afterEach(() => database.delete());

const lifter = demoDesign('evening-lifter');
const chordOf = (design: Design) => design.surfaces.find(({ id }) => id === 'wing')!.stations[0]!.chord;
const wider = (design: Design, chord: number) =>
  withFields(design, [{ field: '/surfaces/wing/stations/0/chord', value: chord }]);
const load = (id: string) => storedDesign(store, id);

describe('shared parts in the browser', () => {
  test('are known once a design that shares them comes in, and each once', async () => {
    await store.create(lifter);
    await store.create(lifter);
    expect((await store.sharedParts()).map(({ name, kind }) => [name, kind])).toEqual([
      ['Glider gear', 'equipment'],
      ['Lifter wing', 'wing'],
    ]);
  });

  test('changed in one design they change in all, in one transaction, and the parts with them', async () => {
    const [a, b, c] = [
      await store.create(lifter),
      await store.create(lifter),
      await store.create(demoDesign('polly-drift')),
    ];
    expect(await store.save(a.id, wider(lifter, 171), 1)).toMatchObject({ kind: 'saved', generation: 2 });
    expect(chordOf((await load(b.id)).design)).toBe(171);
    expect((await load(b.id)).generation).toBe(2);
    expect((await load(c.id)).generation).toBe(1);
    const parts = (await store.sharedParts()).find(({ id }) => id === 'orell-lifter-wing')!;
    expect(parts.parts.surfaces[0]!.stations[0]!.chord).toBe(171);
  });

  test('an older tab does not win: its save meets the newer state as a conflict', async () => {
    const [a, b] = [await store.create(lifter), await store.create(lifter)];
    await store.save(a.id, wider(lifter, 171), 1);
    // The tab of b still holds the old wing and saves something else.
    const stale = withFields(lifter, [{ field: '/conditions/cruiseSpeed', value: 8 }]);
    expect(await store.save(b.id, stale, 1)).toMatchObject({ kind: 'conflict' });
    expect(chordOf((await load(a.id)).design)).toBe(171);
  });

  test('a save that does not touch the shared parts leaves the others alone', async () => {
    const [a, b] = [await store.create(lifter), await store.create(lifter)];
    await store.save(a.id, withFields(lifter, [{ field: '/surfaces/tailplane/incidence', value: -1 }]), 1);
    expect((await load(b.id)).generation).toBe(1);
  });

  test('the place where they hang is each design’s own', async () => {
    const further = withFields(lifter, [{ field: '/surfaces/wing/position/x', value: 260 }]);
    const [a, b] = [await store.create(lifter), await store.create(further)];
    await store.save(a.id, wider(lifter, 150), 1);
    const other = (await load(b.id)).design.surfaces.find(({ id }) => id === 'wing')!;
    expect(other.stations[0]!.chord).toBe(150);
    expect(other.position.x).toBe(260);
  });

  test('a file whose shared parts differ from those here keeps its own, apart', async () => {
    await store.create(lifter);
    const { design } = await store.create(wider(lifter, 188));
    expect(design.assemblies[0]!.sharedId).toBeUndefined();
    expect(design.assemblies[1]!.sharedId).toBe('orell-glider-gear');
    expect(chordOf(design)).toBe(188);
    expect(
      (await store.sharedParts()).find(({ id }) => id === 'orell-lifter-wing')!.parts.surfaces[0]!.stations[0]!.chord,
    ).toBe(chordOf(lifter));
  });

  test('where the newer parts do not fit, a design keeps what it has', async () => {
    const tight = withFields(lifter, [{ field: '/surfaces/wing/position/x', value: 9990 }]);
    const [a, b] = [await store.create(lifter), await store.create(tight)];
    // Equipment that would come to lie outside the limits of a document.
    const far = withFields(lifter, [
      { field: '/massItems/pack/position/x', value: 240 },
      { field: '/assemblies/lifterWing/massItems', value: ['nose'] },
    ]);
    await store.save(a.id, far, 1);
    const kept = (await load(b.id)).design;
    expect(kept.surfaces.find(({ id }) => id === 'wing')).toBeDefined();
    expect(kept.massItems.every(({ position }) => Math.abs(position.x) <= 10000)).toBe(true);
  });

  test('parts can be taken out of the browser; the designs that use them stay whole', async () => {
    const { id } = await store.create(lifter);
    await store.removeSharedParts('orell-lifter-wing');
    expect((await store.sharedParts()).map(({ id: part }) => part)).toEqual(['orell-glider-gear']);
    expect(chordOf((await load(id)).design)).toBe(chordOf(lifter));
  });

  test('a browser from before there were shared parts is brought along', async () => {
    await store.create(lifter);
    database.close();
    const again = openDatabase(`shared-${count}`);
    expect(await designStore(again).list()).toHaveLength(1);
    expect(await designStore(again).sharedParts()).toHaveLength(2);
    again.close();
  });
});
