import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import old from '#/tests/samples/database-2.json';
import sample from '#/tests/samples/version-2.json';
import { designOf } from '#/tests/designs';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import { readDesign, readDesignText } from '@/core/2-document/readDesign';
import { type InclinarDatabase, openDatabase } from './database';
import { type DesignStore, designStore } from './designStore';

let database: InclinarDatabase;
let designs: DesignStore;
let count = 0;
beforeEach(() => {
  database = openDatabase(`records-${++count}`);
  designs = designStore(database);
});
afterEach(() => database.delete());

const flight = (number: number): RecordOf<'flights'> => ({
  id: `flight${number}`,
  at: new Date(Date.UTC(2026, 4, 1, 10, 0, number)).toISOString(),
  trims: [],
  did: [],
  runs: [],
  pack: '',
  ticked: [],
  changed: '',
  verdict: 'unknown',
  notes: '',
});

function wholeSample() {
  const read = readDesign(sample);
  if (!read.ok) throw new Error('The sample must be readable.');
  return { ...read, pictures: new Map([['photo1', new Uint8Array(12).fill(7)]]) };
}

describe('records', () => {
  test('are paged, newest first, each design by itself', async () => {
    const [a, b] = [await designs.create(designOf([])), await designs.create(designOf([]))];
    for (let number = 0; number < 25; number++) await designs.records.put('flights', a.id, flight(number));
    await designs.records.put('flights', b.id, flight(99));
    const second = await designs.records.page('flights', a.id, { from: 10, size: 10 });
    expect(second.total).toBe(25);
    expect(second.records.map(({ id }) => id)).toEqual(Array.from({ length: 10 }, (_, k) => `flight${14 - k}`));
    expect(await designs.records.count('flights', b.id)).toBe(1);
  });

  test('what is no record of its kind is refused, and nothing is written', async () => {
    const { id } = await designs.create(designOf([]));
    const odd = { ...flight(1), verdict: 'splendid' } as unknown as RecordOf<'flights'>;
    await expect(designs.records.put('flights', id, odd)).rejects.toThrow(/verdict/);
    expect(await designs.records.count('flights', id)).toBe(0);
  });

  test('of every kind go into a file and come back, pictures and kept states with them', async () => {
    const { design, records, pictures } = wholeSample();
    const { id } = await designs.create(design, { records, pictures });
    const out = await designs.records.allOf(id);
    expect(out.records).toEqual(records);
    expect([...out.pictures]).toEqual([...pictures]);
    const copy = await designs.duplicate(id);
    expect((await designs.records.allOf(copy!.id)).records).toEqual(records);
  });

  test('heads are light: the state of a revision is read singly', async () => {
    const { design, records } = wholeSample();
    const { id } = await designs.create(design, { records });
    const [head] = await designs.records.heads('revisions', id);
    expect(head).not.toHaveProperty('design');
    expect(await designs.records.body('revisions', id, head!.id)).toEqual(records.revisions[0]!.design);
  });

  test('a design whose records do not fit is not half taken', async () => {
    const { design, records } = wholeSample();
    const broken = { ...records, flights: [{ id: undefined } as unknown as RecordOf<'flights'>] };
    await expect(designs.create(design, { records: broken })).rejects.toThrow();
    expect(await designs.list()).toEqual([]);
    expect(await database.revisions.count()).toBe(0);
  });
});

describe('a browser from before', () => {
  test('keeps every design, and what lay in it becomes rows', async () => {
    const name = `old-${count}`;
    const before = new Dexie(name);
    before.version(1).stores({ designs: 'id, updatedAt, deletedAt', settings: 'key' });
    before.version(2).stores({ sharedParts: 'id, kind' });
    await before.table('designs').bulkAdd(old.designs);
    await before.table('settings').bulkAdd(old.settings);
    before.close();
    const now = openDatabase(name);
    const store = designStore(now);
    const read = readDesignText(JSON.stringify(old.designs[0]!.design));
    if (!read.ok) throw new Error('The old design must be readable.');
    const [listed] = await store.list();
    expect(listed).toMatchObject({ id: old.designs[0]!.id, generation: 7, design: read.design });
    expect((await store.bin()).map(({ name: binned }) => binned)).toEqual(['In the bin']);
    for (const { id } of old.designs) expect((await store.records.allOf(id)).records).toEqual(read.records);
    expect(await store.readSetting('seeded')).toBe(true);
    await now.delete();
  });
});
