import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { designOf } from '#/tests/designs';
import { storedDesign } from '#/tests/stored';
import { readFileSync } from 'node:fs';
import { DESIGN_VERSION } from '@/core/2-document/schema/design';
import { createAutosave, RETRY_AFTER, SAVE_WITHIN } from './autosave';
import { type InclinarDatabase, openDatabase, type StoredDesign } from './database';
import { type DesignStore, designStore } from './designStore';
import { isUnreadable } from './readStored';
import { storageFault } from './storageFault';

let database: InclinarDatabase;
let store: DesignStore;
let count = 0;

beforeEach(() => {
  database = openDatabase(`test-${++count}`);
  store = designStore(database);
});
afterEach(() => database.delete());

const named = (name: string) => ({ ...designOf([]), name });

describe('designs', () => {
  test('are kept, listed newest first, copied and renamed', async () => {
    const first = await store.create(named('First'));
    await new Promise((done) => setTimeout(done, 5));
    await store.create(named('Second'));
    expect((await store.list()).map(({ name }) => name)).toEqual(['Second', 'First']);
    const copy = await store.duplicate(first.id);
    expect(copy).toMatchObject({ name: 'First copy', design: { name: 'First copy' } });
    expect(copy!.id).not.toBe(first.id);
    await store.rename(first.id, 'Renamed');
    expect(await storedDesign(store, first.id)).toMatchObject({ name: 'Renamed', design: { name: 'Renamed' } });
  });

  test('go to the bin and come back whole', async () => {
    const { id } = await store.create(named('Kept'));
    await store.putInBin(id);
    expect(await store.list()).toEqual([]);
    expect((await store.bin()).map(({ name }) => name)).toEqual(['Kept']);
    await store.takeFromBin(id);
    expect((await store.list())[0]).toMatchObject({ name: 'Kept', generation: 1 });
  });

  test('are put in once, and not again after they were removed', async () => {
    await store.seedOnce([{ design: named('A') }, { design: named('B') }]);
    expect((await store.list()).map(({ name }) => name).sort()).toEqual(['A', 'B']);
    for (const { id } of await store.list()) await store.putInBin(id);
    await store.seedOnce([{ design: named('A') }, { design: named('B') }]);
    expect(await store.list()).toEqual([]);
  });

  test('settings are read back, unknown ones are undefined', async () => {
    await store.changeSetting('settings', () => ({ units: 'x' }));
    expect(await store.readSetting('settings')).toEqual({ units: 'x' });
    expect(await store.changeSetting('settings', (there) => [there, 1])).toEqual([{ units: 'x' }, 1]);
    expect(await store.readSetting('nothing')).toBeUndefined();
  });
});

describe('two tabs', () => {
  test('the later writer is told, and overwrites nothing', async () => {
    const { id } = await store.create(named('Start'));
    expect(await store.save(id, named('Mine'), 1)).toEqual({ kind: 'saved', generation: 2, broughtBack: false });
    const outcome = await store.save(id, named('Theirs'), 1);
    expect(outcome).toEqual({ kind: 'conflict', generation: 2 });
    expect((await storedDesign(store, id)).name).toBe('Mine');
  });

  test('what was removed in one and edited in another comes back, and so does what is gone', async () => {
    const { id } = await store.create(named('Start'));
    await store.putInBin(id);
    expect(await store.save(id, named('Edited'), 1)).toMatchObject({ kind: 'saved', broughtBack: true });
    expect((await store.list()).map(({ name }) => name)).toEqual(['Edited']);
    expect(await store.save('erased', named('From memory'), 7)).toMatchObject({ kind: 'saved', broughtBack: true });
    expect((await storedDesign(store, 'erased')).design.name).toBe('From memory');
  });
});

describe('autosave', () => {
  const events = () => ({ onState: vi.fn(), onHeld: vi.fn(), onBroughtBack: vi.fn() });
  const wait = (milliseconds: number) => new Promise((done) => setTimeout(done, milliseconds));

  test('a change is on disk within half a second, the newest of many wins', async () => {
    const { id } = await store.create(named('Start'));
    const heard = events();
    const autosave = createAutosave(store, id, 1, heard);
    for (let step = 0; step < 20; step++) autosave.change(named(`Step ${step}`));
    expect(autosave.hasUnsaved()).toBe(true);
    // It says so from the first change on, not from the write.
    expect(heard.onState.mock.calls).toEqual([['saving']]);
    await wait(SAVE_WITHIN + 150);
    expect((await storedDesign(store, id)).name).toBe('Step 19');
    expect((await storedDesign(store, id)).generation).toBe(2);
    expect(autosave.hasUnsaved()).toBe(false);
    expect(heard.onState.mock.calls.map(([state]) => state)).toEqual(['saving', 'saving', 'saved']);
  });

  test('a steady stream of changes does not put the save off', async () => {
    const { id } = await store.create(named('Start'));
    const autosave = createAutosave(store, id, 1, events());
    for (let step = 0; step < 12; step++) {
      autosave.change(named(`Step ${step}`));
      await wait(50);
    }
    expect((await storedDesign(store, id)).generation).toBeGreaterThan(1);
    await autosave.stop();
    expect((await storedDesign(store, id)).name).toBe('Step 11');
  });

  test('flush writes at once, as when the tab is hidden', async () => {
    const { id } = await store.create(named('Start'));
    const autosave = createAutosave(store, id, 1, events());
    autosave.change(named('Hidden'));
    await autosave.flush();
    expect((await storedDesign(store, id)).name).toBe('Hidden');
  });

  test('after a conflict it holds still until it is told which state counts', async () => {
    const { id } = await store.create(named('Start'));
    const heard = events();
    const autosave = createAutosave(store, id, 1, heard);
    await store.save(id, named('Other tab'), 1);
    autosave.change(named('Mine'));
    await autosave.flush();
    expect(heard.onHeld).toHaveBeenLastCalledWith(named('Mine'));
    autosave.change(named('Mine again'));
    await wait(SAVE_WITHIN + 100);
    // What was typed meanwhile is told as well, so that it can be kept.
    expect(heard.onHeld).toHaveBeenLastCalledWith(named('Mine again'));
    expect((await storedDesign(store, id)).name).toBe('Other tab');
    autosave.continueFrom(2);
    autosave.change(named('Agreed'));
    await autosave.flush();
    expect((await storedDesign(store, id)).name).toBe('Agreed');
  });

  test('a failed write is told, kept, and tried again by itself until there is space', async () => {
    const { id } = await store.create(named('Start'));
    const heard = events();
    let broken = true;
    const full = new DOMException('no room', 'QuotaExceededError');
    const fragile: DesignStore = {
      ...store,
      save: (...input) => (broken ? Promise.reject(full) : store.save(...input)),
    };
    const autosave = createAutosave(fragile, id, 1, heard);
    autosave.change(named('Lost?'));
    await autosave.flush();
    expect(heard.onState).toHaveBeenLastCalledWith('failed', expect.stringMatching(/storage is full/));
    expect([autosave.hasUnsaved(), autosave.isFailing()]).toEqual([true, true]);
    // Typing goes on, and what is typed does not change the word to “Saving…” back and forth.
    heard.onState.mockClear();
    autosave.change(named('Lost??'));
    expect(heard.onState).not.toHaveBeenCalled();
    broken = false;
    await wait(RETRY_AFTER[0] + 200);
    expect((await storedDesign(store, id)).name).toBe('Lost??');
    expect(heard.onState).toHaveBeenLastCalledWith('saved');
    expect(autosave.isFailing()).toBe(false);
  });
});

describe('rows that are no designs', () => {
  const sound = async () => (await store.create(named('Sound'))).id;

  test.each([
    ['a torn design', { design: { format: 'inclinar-design', version: 2 } }, /A design without a name/],
    ['no design at all', { design: null }, /A design without a name/],
    ['a design of a later version', { name: 'Later', design: { ...named('Later'), version: 99 } }, /Later/],
    ['a number of the wrong kind', { name: 'Odd', design: { ...named('Odd'), surfaces: 3 } }, /Odd/],
  ])('%s stands in the list and harms no other', async (_, row, name) => {
    const id = await sound();
    const now = Date.now();
    await database.designs.put({
      id: 'bad',
      generation: 1,
      createdAt: now,
      updatedAt: now,
      deletedAt: 0,
      ...row,
    } as unknown as StoredDesign);
    const list = await store.list();
    expect(list).toHaveLength(2);
    const bad = list.find((entry) => entry.id === 'bad')!;
    expect(isUnreadable(bad) && bad.issues.length).toBeGreaterThan(0);
    expect(bad.name).toMatch(name);
    expect((await storedDesign(store, id)).name).toBe('Sound');
    expect(await store.load('bad')).toMatchObject({ raw: expect.objectContaining(row) });
    expect(await store.duplicate('bad')).toBeUndefined();
    const putBack = await store.erase('bad');
    expect((await store.list()).map((entry) => entry.id)).toEqual([id]);
    await putBack();
    expect(await store.list()).toHaveLength(2);
  });

  test('a row that no index finds is found all the same', async () => {
    await sound();
    await database.designs.put({ id: 'stray', name: 'Stray', design: named('Stray') } as unknown as StoredDesign);
    const stray = (await store.list()).find(({ id }) => id === 'stray');
    expect(stray).toMatchObject({ name: 'Stray', deletedAt: 0 });
  });

  test('a design of an older version is brought along when it is opened, with what happened to it', async () => {
    const old = JSON.parse(readFileSync('tests/samples/version-1.json', 'utf8')) as { revisions: unknown[] };
    const now = Date.now();
    await database.designs.put({
      id: 'old',
      name: 'Old',
      design: old,
      generation: 3,
      createdAt: now,
      updatedAt: now,
      deletedAt: 0,
    } as unknown as StoredDesign);
    expect((await storedDesign(store, 'old')).design.version).toBe(DESIGN_VERSION);
    expect(await store.records.count('revisions', 'old')).toBe(old.revisions.length);
    expect((await database.designs.get('old'))!.design.version).toBe(DESIGN_VERSION);
  });

  test('a record that is none leaves the others in sight, and its name is not given again', async () => {
    const id = await sound();
    const fold = {
      id: 'fold1',
      at: '2026-05-04T10:00:00.000Z',
      material: 'board',
      noseRadius: 12,
      angle: 180,
      shortfall: 0,
      scoredFace: 'inner',
      notes: '',
    } as const;
    await store.records.put('trialFolds', id, fold);
    await database.trialFolds.put({ ...fold, id: 'fold2', angle: 'a lot', designId: id } as never);
    expect((await store.records.heads('trialFolds', id)).map((head) => head.id)).toEqual(['fold1']);
    expect(await store.records.unreadable('trialFolds', id)).toMatchObject([{ id: 'fold2', raw: { angle: 'a lot' } }]);
    expect([...(await store.records.ids('trialFolds', id))]).toEqual(['fold1', 'fold2']);
    expect((await store.records.allOf(id)).records.trialFolds).toHaveLength(1);
    await store.records.remove('trialFolds', id, 'fold2');
    expect(await store.records.unreadable('trialFolds', id)).toEqual([]);
  });
});

test.each([
  [new DOMException('x', 'QuotaExceededError'), /full/],
  [Object.assign(new Error('AbortError'), { name: 'AbortError', inner: { name: 'QuotaExceededError' } }), /full/],
  [new DOMException('x', 'VersionError'), /another version/],
  [new DOMException('x', 'InvalidStateError'), /Load the page again/],
  [new Error('spoon'), /^spoon$/],
  ['fork', /^fork$/],
])('why the storage did not take something is said in words: %s', (error, words) => {
  expect(storageFault(error)).toMatch(words);
});

describe('what a list needs of designs', () => {
  test('heads tell name, tags and what was computed for this very state; a save drops it', async () => {
    const { id } = await store.create({ ...named('A'), tags: ['float'] });
    const summary = {
      span: 1,
      mass: 0.5,
      staticMargin: 0.1,
      balance: { kind: 'inside' },
      findings: { stop: 0, caution: 0, note: 0 },
    } as const;
    await store.keepSummaries(new Map([[id, { generation: 7, summary }]]));
    expect((await store.heads())[0]!.summary).toBeNull();
    await store.keepSummaries(new Map([[id, { generation: 1, summary }]]));
    expect(await store.heads()).toMatchObject([{ id, tags: ['float'], generation: 1, summary }]);
    await store.retag(id, ['snow']);
    expect(await store.heads()).toMatchObject([{ tags: ['snow'], generation: 2, summary: null }]);
  });

  test('some designs in the order asked for; what was removed is left out', async () => {
    const made = [];
    for (const name of ['A', 'B', 'C']) made.push((await store.create({ ...named(name) })).id);
    await store.putInBin(made[1]!, made[2]!);
    expect((await store.some([...made].reverse())).map(({ name }) => name)).toEqual(['A']);
    await store.takeFromBin(made[1]!, made[2]!);
    expect((await store.some([...made].reverse())).map(({ name }) => name)).toEqual(['C', 'B', 'A']);
  });
});
