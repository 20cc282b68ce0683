import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { designOf } from '#/tests/designs';
import { createAutosave, SAVE_WITHIN } from './autosave';
import { type InclinarDatabase, openDatabase } from './database';
import { type DesignStore, designStore } from './designStore';

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
    expect(await store.load(first.id)).toMatchObject({ name: 'Renamed', design: { name: 'Renamed' } });
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
    await store.writeSetting('settings', { units: 'x' });
    expect(await store.readSetting('settings')).toEqual({ units: 'x' });
    expect(await store.readSetting('nothing')).toBeUndefined();
  });
});

describe('two tabs', () => {
  test('the later writer is told, and overwrites nothing', async () => {
    const { id } = await store.create(named('Start'));
    expect(await store.save(id, named('Mine'), 1)).toEqual({ kind: 'saved', generation: 2 });
    const outcome = await store.save(id, named('Theirs'), 1);
    expect(outcome).toMatchObject({ kind: 'conflict', theirs: { name: 'Mine', generation: 2 } });
    expect((await store.load(id))!.name).toBe('Mine');
    expect(await store.save('missing', named('x'), 1)).toEqual({ kind: 'gone' });
  });
});

describe('autosave', () => {
  const events = () => ({ onState: vi.fn(), onConflict: vi.fn() });
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
    expect((await store.load(id))!.name).toBe('Step 19');
    expect((await store.load(id))!.generation).toBe(2);
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
    expect((await store.load(id))!.generation).toBeGreaterThan(1);
    await autosave.stop();
    expect((await store.load(id))!.name).toBe('Step 11');
  });

  test('flush writes at once, as when the tab is hidden', async () => {
    const { id } = await store.create(named('Start'));
    const autosave = createAutosave(store, id, 1, events());
    autosave.change(named('Hidden'));
    await autosave.flush();
    expect((await store.load(id))!.name).toBe('Hidden');
  });

  test('after a conflict it holds still until it is told which state counts', async () => {
    const { id } = await store.create(named('Start'));
    const heard = events();
    const autosave = createAutosave(store, id, 1, heard);
    await store.save(id, named('Other tab'), 1);
    autosave.change(named('Mine'));
    await autosave.flush();
    expect(heard.onConflict).toHaveBeenCalledWith(expect.objectContaining({ kind: 'conflict' }));
    autosave.change(named('Mine again'));
    await autosave.flush();
    expect((await store.load(id))!.name).toBe('Other tab');
    autosave.continueFrom(2);
    autosave.change(named('Agreed'));
    await autosave.flush();
    expect((await store.load(id))!.name).toBe('Agreed');
  });

  test('a failed write is told and tried again with the next change', async () => {
    const { id } = await store.create(named('Start'));
    const heard = events();
    let broken = true;
    const fragile: DesignStore = {
      ...store,
      save: (...input) => (broken ? Promise.reject(new Error('disk full')) : store.save(...input)),
    };
    const autosave = createAutosave(fragile, id, 1, heard);
    autosave.change(named('Lost?'));
    await autosave.flush();
    expect(heard.onState).toHaveBeenLastCalledWith('failed', 'disk full');
    expect(autosave.hasUnsaved()).toBe(true);
    broken = false;
    await autosave.flush();
    expect((await store.load(id))!.name).toBe('Lost?');
  });
});
