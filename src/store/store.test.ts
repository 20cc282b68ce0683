import { field } from '@/core/2-document/edit/field';
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { direct, idle, settle, thorough } from '#/tests/session';
import { storedDesign } from '#/tests/stored';
import { type InclinarDatabase, openDatabase } from '@/storage/database';
import { type DesignStore, designStore } from '@/storage/designStore';
import type { Design } from '@/core/2-document/schema/design';
import type { JobClient } from '@/workers/lanes';
import { previewDropped } from './analysisSlice';
import { applyRemedy, editDesign, endDrag, previewRemedy, setFields, startDrag } from './edit';
import { stateOfRevision } from './revisions';
import { keptInDrawer, takenFromDrawer, unitsChanged } from './settingsSlice';
import { sizeCandidates, startFrom } from './sizing';
import { sizingCancelled } from './sizingSlice';
import { makeStore, type Session } from './store';
import { sentence } from '@/words/formatQuantity';
import { HISTORY_LIMIT, redone, undone } from './documentSlice';

let database: InclinarDatabase;
let designs: DesignStore;
let session: Session;
let id: string;
let words: string[];
let count = 0;
const incidence = () => session.store.getState().document.present!.surfaces[0]!.incidence;
const set = (value: unknown, gesture?: string) =>
  session.store.dispatch(setFields([field('surfaces', 'wing', 'incidence').to(value as number)], gesture));

/** The same design on a bench that computes nothing, for many edits in a row. */
async function openWithoutNumbers(): Promise<void> {
  session = makeStore({ designs, jobs: idle, tell: (text) => words.push(text) });
  await session.open(id);
}

beforeEach(async () => {
  database = openDatabase(`store-${++count}`);
  designs = designStore(database);
  words = [];
  session = makeStore({ designs, jobs: direct, tell: (text) => words.push(text) });
  id = (await designs.create(simpleAircraft())).id;
  expect(await session.open(id)).toEqual({ kind: 'open' });
  await settle();
});

describe('answers that come late', () => {
  test('of a state that is gone are not shown; while a drag goes on they are, in their order', async () => {
    const waiting: (() => void)[] = [];
    const late: JobClient = {
      ...direct,
      live: async (input) => {
        await new Promise<void>((resolve) => void waiting.push(resolve));
        return direct.live(input);
      },
    };
    session = makeStore({ designs, jobs: late });
    await session.open(id);
    const shown = () => session.store.getState().analysis.key;
    const key = () => session.store.getState().document.key;
    set(2);
    await settle();
    expect(waiting.length).toBeGreaterThanOrEqual(2);
    waiting[0]!();
    await settle();
    expect(shown()).toBeNull();
    waiting.at(-1)!();
    await settle();
    expect(shown()).toBe(key());

    session.store.dispatch(startDrag());
    const first = waiting.length;
    set(3, 'drag');
    await settle();
    set(4, 'drag');
    waiting[first]!();
    await settle();
    expect(shown()).toBe(key() - 1);
  });
});

describe('while something is dragged', () => {
  test('the next numbers are asked for after twice the time that the last took, so that the drawing has the rest', async () => {
    let asked = 0;
    const slow: JobClient = {
      ...direct,
      live: async (input) => {
        asked += 1;
        const outcome = await direct.live(input);
        return outcome.kind === 'done' ? { ...outcome, output: { ...outcome.output, milliseconds: 400 } } : outcome;
      },
    };
    session = makeStore({ designs, jobs: slow });
    await session.open(id);
    await settle();
    session.store.dispatch(startDrag());
    set(2, 'drag');
    await vi.waitFor(() => expect(session.store.getState().analysis.key).toBe(session.store.getState().document.key));
    const begun = performance.now();
    const before = asked;
    set(3, 'drag');
    set(3.1, 'drag');
    await vi.waitFor(() => expect(asked).toBe(before + 1), 3000);
    expect(performance.now() - begun).toBeGreaterThan(300);
  });
});

describe('editing', () => {
  test('an edit changes the document, is computed and saved', async () => {
    const before = session.store.getState().analysis.current!.trim.alpha!;
    expect(set(4.5)).toBeNull();
    await settle();
    expect(session.store.getState().analysis.current!.trim.alpha).not.toBe(before);
    await session.flush();
    expect((await storedDesign(designs, id)).design.surfaces[0]!.incidence).toBe(4.5);
  });

  test.each([
    [90, /between -20/],
    [Number.NaN, /must be a number/],
    ['x', /must be a number/],
  ])('%s is refused in words and changes nothing', (value, message) => {
    const present = session.store.getState().document.present;
    expect(set(value)).toMatchObject({ path: '/surfaces/0/incidence', message: expect.stringMatching(message) });
    expect(session.store.getState().document.present).toBe(present);
  });

  test('undo and redo walk the steps; a gesture is one of them', () => {
    set(1);
    for (let step = 0; step < 10; step++) set(2 + step / 10, 'drag-1');
    set(5, 'drag-2');
    const undo = () => session.store.dispatch(undone());
    expect(incidence()).toBe(5);
    undo();
    expect(incidence()).toBe(2.9);
    undo();
    expect(incidence()).toBe(1);
    undo();
    expect(incidence()).toBe(3);
    session.store.dispatch(redone());
    session.store.dispatch(redone());
    expect(incidence()).toBe(2.9);
  });

  test('what an edit did not touch keeps its identity, there and back', () => {
    const before = session.store.getState().document.present!;
    set(4);
    const after = session.store.getState().document.present!;
    expect(after.surfaces[1]).toBe(before.surfaces[1]);
    expect(after.surfaces[0]!.stations).toBe(before.surfaces[0]!.stations);
    expect(after.massItems).toBe(before.massItems);
    session.store.dispatch(undone());
    const back = session.store.getState().document.present!;
    expect(back).toEqual(before);
    expect(back.massItems).toBe(before.massItems);
    expect(back.surfaces[1]).toBe(before.surfaces[1]);
  });

  test('history is patches: a long drag is one small step, and steps beyond the limit go', async () => {
    await openWithoutNumbers();
    for (let step = 0; step < 300; step++) set(1 + step / 1000, 'one drag');
    expect(session.store.getState().document.past.length).toBe(1);
    session.store.dispatch(undone());
    const { past, future } = session.store.getState().document;
    expect(past).toEqual([]);
    expect(future).toEqual([
      {
        patches: [{ op: 'replace', path: ['surfaces', 0, 'incidence'], value: 1.299 }],
        inverse: [{ op: 'replace', path: ['surfaces', 0, 'incidence'], value: expect.any(Number) }],
      },
    ]);
    session.store.dispatch(redone());
    expect(incidence()).toBe(1.299);
    for (let step = 0; step < HISTORY_LIMIT + 20; step++) set(2 + step / 1000);
    expect(session.store.getState().document.past.length).toBe(HISTORY_LIMIT);
    for (let step = 0; step < HISTORY_LIMIT; step++) session.store.dispatch(undone());
    expect(session.store.getState().document.past).toEqual([]);
    expect(incidence()).toBeCloseTo(2.019, 9);
  });

  test('opening starts a history of its own', async () => {
    set(1);
    await session.open(id);
    expect(session.store.getState().document.past).toEqual([]);
    expect(await session.open('missing')).toEqual({ kind: 'missing' });
    expect(session.store.getState().document.present).toBeNull();
  });

  test('with no document open nothing happens', async () => {
    await session.open(null);
    expect(set(1)).toBeNull();
    expect(session.store.dispatch(editDesign((design) => design))).toBeNull();
  });
});

describe('numbers beside the document', () => {
  test('a drag leaves a ghost and asks for remedies only when it ends', async () => {
    session = makeStore({ designs, jobs: thorough });
    await session.open(id);
    await settle();
    session.store.dispatch(setFields([field('massItems', 'lump', 'position', 'x').to(130)]));
    await settle();
    session.store.dispatch(startDrag());
    session.store.dispatch(setFields([field('massItems', 'lump', 'position', 'x').to(131)], 'drag'));
    await settle();
    const { ghost, current } = session.store.getState().analysis;
    expect(ghost!.mass.cg![0]).toBeLessThan(current!.mass.cg![0]);
    expect(current!.findings.length).toBeGreaterThan(0);
    expect(current!.findings.flatMap(({ remedies }) => remedies)).toEqual([]);
    session.store.dispatch(endDrag());
    await settle();
    expect(
      session.store.getState().analysis.current!.findings.flatMap(({ remedies }) => remedies).length,
    ).toBeGreaterThan(0);
  });

  test('an answer of a drag that waited for its turn does not replace the numbers at its end', async () => {
    const quick: (boolean | undefined)[] = [];
    let turn = (_time: number) => {};
    vi.stubGlobal('requestAnimationFrame', (back: typeof turn) => void (turn = back));
    const live: JobClient['live'] = (input) => (quick.push(input.options?.quick), thorough.live(input));
    const other = makeStore({ designs, jobs: { ...direct, live } });
    vi.unstubAllGlobals();
    await other.open(id);
    await settle();
    other.store.dispatch(startDrag());
    other.store.dispatch(setFields([field('massItems', 'lump', 'position', 'x').to(134)], 'drag'));
    await settle();
    // Frames come late: the next answer waits.
    for (let time = 40; time < 4000; time += 40) turn(time);
    other.store.dispatch(setFields([field('massItems', 'lump', 'position', 'x').to(135)], 'drag'));
    await new Promise((done) => setTimeout(done, 400));
    const { arrivals } = other.store.getState().analysis;
    other.store.dispatch(endDrag());
    await settle();
    const { current } = other.store.getState().analysis;
    expect(other.store.getState().analysis.arrivals).toBe(arrivals + 1);
    expect(quick.slice(-2)).toEqual([true, false]);
    turn(5000);
    await settle();
    expect(other.store.getState().analysis.current).toBe(current);
  });

  test('what may help the state before is not tried any more once a drag changes it', async () => {
    const ended: string[] = [];
    const other = makeStore({ designs, jobs: { ...direct, cancel: (slot) => void ended.push(slot) } });
    await other.open(id);
    await settle();
    expect(ended).toEqual([]);
    other.store.dispatch(startDrag());
    other.store.dispatch(setFields([field('massItems', 'lump', 'position', 'x').to(133)], 'drag'));
    await settle();
    expect(ended).toContain('remedies');
  });

  test('a remedy previews without changing anything, and is one step when taken', async () => {
    const remedy = { label: 'Slide', change: [field('massItems', 'pack', 'position', 'x').to(20)] };
    const present = session.store.getState().document.present;
    session.store.dispatch(previewRemedy(remedy));
    await settle();
    const { preview, current } = session.store.getState().analysis;
    expect(preview!.analysis.mass.cg![0]).toBeLessThan(current!.mass.cg![0]);
    expect(session.store.getState().document.present).toBe(present);
    session.store.dispatch(applyRemedy(remedy));
    await settle();
    expect(session.store.getState().analysis.preview).toBeNull();
    expect(session.store.getState().analysis.current!.mass.cg).toEqual(preview!.analysis.mass.cg);
    session.store.dispatch(undone());
    expect(session.store.getState().document.present).toEqual(present);
  });

  test('a preview that was left before it came is not shown', async () => {
    session.store.dispatch(
      previewRemedy({ label: 'Slide', change: [field('massItems', 'pack', 'position', 'x').to(20)] }),
    );
    session.store.dispatch(previewDropped());
    await settle();
    expect(session.store.getState().analysis.preview).toBeNull();
  });

  test('a failure is told, and the numbers from before stay', async () => {
    const failing: JobClient = { ...direct, live: async () => ({ kind: 'failed', message: 'broke' }) };
    const other = makeStore({ designs, jobs: failing });
    await other.open(id);
    await settle();
    expect(other.store.getState().analysis.failure).toBe('broke');
  });

  test('remedies that could not be tried are said, and can be tried again', async () => {
    let broken = true;
    const ask: JobClient['ask'] = (name, input, options) =>
      broken && name === 'remedies'
        ? Promise.resolve({ kind: 'failed', message: 'the worker died' })
        : thorough.ask(name, input, options);
    const other = makeStore({ designs, jobs: { ...thorough, ask } });
    await other.open(id);
    await settle();
    expect(other.store.getState().analysis.remedies).toEqual({ failed: 'the worker died' });
    broken = false;
    await other.retryRemedies();
    expect(other.store.getState().analysis.remedies).toBe('here');
  });

  test('an answer of a state that was left behind is not shown', async () => {
    const answers: (() => void)[] = [];
    const live: JobClient['live'] = async (input) => {
      const outcome = await direct.live(input);
      await new Promise<void>((go) => answers.push(go));
      return outcome;
    };
    const other = makeStore({ designs, jobs: { ...direct, live } });
    await other.open(id);
    await settle();
    other.store.dispatch(setFields([field('conditions', 'cruiseSpeed').to(14)]));
    await settle();
    expect(answers.length).toBe(2);
    answers[1]!();
    await settle();
    expect(other.store.getState().analysis.current!.trim.speed).toBe(14);
    answers[0]!();
    await settle();
    expect(other.store.getState().analysis.current!.trim.speed).toBe(14);
  });
});

describe('first sizing', () => {
  test('three layouts arrive one by one, and one is started from in a single step', async () => {
    const sizing = () => session.store.getState().sizing;
    const work = session.store.dispatch(sizeCandidates());
    expect(sizing().left).toBe(3);
    await work;
    expect(sizing()).toMatchObject({ left: 0, failure: null });
    const first = sizing().results[0]!;
    if (first.kind !== 'sized') throw new Error(sentence(first.because));
    const before = session.store.getState().document.present!;
    expect(session.store.dispatch(startFrom(first))).toBeNull();
    const after = session.store.getState().document.present!;
    expect(after.surfaces).toEqual(first.candidate.design.surfaces);
    expect(after.name).toBe(before.name);
    session.store.dispatch(undone());
    expect(session.store.getState().document.present).toEqual(before);
  });

  test('a cancel ends it and late answers are not shown', async () => {
    const work = session.store.dispatch(sizeCandidates());
    session.store.dispatch(sizingCancelled());
    await work;
    expect(session.store.getState().sizing).toMatchObject({ left: 0, results: [] });
  });
});

describe('settings and tabs', () => {
  test('units are remembered; a broken unit is the usual one', async () => {
    session.store.dispatch(unitsChanged({ length: 'in' }));
    await settle();
    const again = makeStore({ designs, jobs: direct });
    await again.loadSettings();
    expect(again.store.getState().settings.units.length).toBe('in');
    await designs.changeSetting('settings', () => ({ units: { length: 'cubit' } }));
    const third = makeStore({ designs, jobs: direct });
    await third.loadSettings();
    expect(third.store.getState().settings.units.length).toBe('mm');
  });

  test('settings that cannot be read to their end are read as far as they go, and all of them laid aside', async () => {
    const servo = { name: 'Tern servo', category: 'servo', mass: 9 };
    const lying = { units: { length: 'cubit', mass: 'oz' }, drawer: [servo, { name: 'Half' }, 7], colour: 'sea' };
    const inDrawer = (tab: Session) => tab.store.getState().settings.drawer.map(({ name }) => name);
    await designs.changeSetting('settings', () => lying);
    const tab = makeStore({ designs, jobs: direct });
    const another = makeStore({ designs, jobs: direct });
    await Promise.all([tab.loadSettings(), another.loadSettings()]);
    expect(tab.store.getState().settings.units).toEqual({ length: 'mm', mass: 'oz', speed: 'm/s' });
    expect([inDrawer(tab), inDrawer(another)]).toEqual([['Tern servo'], ['Tern servo']]);
    tab.store.dispatch(takenFromDrawer('Tern servo'));
    await settle();
    const [aside, ...more] = await designs.settingsAside();
    expect([aside!.value, more]).toEqual([lying, []]);
    const putBack = await designs.removeAside(aside!.key);
    expect(await designs.settingsAside()).toEqual([]);
    await putBack();
    expect(await designs.settingsAside()).toEqual([aside]);
  });

  test.each([7, 'x', null, [], { units: [], drawer: {} }])('settings that are %j are laid aside', async (lying) => {
    await designs.changeSetting('settings', () => lying);
    session.store.dispatch(unitsChanged({ mass: 'oz' }));
    await settle();
    expect(session.store.getState().settings.units).toEqual({ length: 'mm', mass: 'oz', speed: 'm/s' });
    expect((await designs.settingsAside()).map(({ value }) => value)).toEqual([lying]);
  });

  test('what two tabs put in the drawer is in both', async () => {
    const other = makeStore({ designs, jobs: direct });
    const put = (tab: Session, name: string) =>
      tab.store.dispatch(keptInDrawer({ name, category: 'servo', mass: 9, size: undefined }));
    const inDrawer = (tab: Session) => tab.store.getState().settings.drawer.map(({ name }) => name);
    put(session, 'Tern servo');
    put(other, 'Gull servo');
    await settle();
    expect(inDrawer(other)).toEqual(['Tern servo', 'Gull servo']);
    await session.loadSettings();
    expect(inDrawer(session)).toEqual(['Tern servo', 'Gull servo']);
    other.store.dispatch(takenFromDrawer('Tern servo'));
    await settle();
    put(session, 'Plover servo');
    await settle();
    expect(inDrawer(session)).toEqual(['Gull servo', 'Plover servo']);
  });

  test('a setting that cannot be written holds here, and that is said', async () => {
    const full: DesignStore = { ...designs, changeSetting: () => Promise.reject(new Error('no room')) };
    const other = makeStore({ designs: full, jobs: direct, tell: (text) => words.push(text) });
    other.store.dispatch(unitsChanged({ length: 'in' }));
    await settle();
    expect(other.store.getState().settings.units.length).toBe('in');
    expect(words).toEqual(['The setting holds for this tab only: no room.']);
  });
});

describe('two tabs', () => {
  const theirs = (change: (design: Design) => Design) => async () => {
    const { design, generation } = await storedDesign(designs, id);
    await designs.save(id, change(design), generation);
    await session.followOtherTabs(id, generation + 1);
  };
  const cruise = (speed: number) =>
    theirs((design) => ({ ...design, conditions: { ...design.conditions, cruiseSpeed: speed as never } }));
  const speed = () => session.store.getState().document.present!.conditions.cruiseSpeed;
  const undo = () => session.store.dispatch(undone());
  const revisions = async () => (await designs.records.heads('revisions', id)).map(({ name }) => name);

  test('another tab’s state is followed when nothing here is unsaved, and is not saved again', async () => {
    await cruise(15)();
    expect(speed()).toBe(15);
    await session.flush();
    expect((await storedDesign(designs, id)).generation).toBe(2);
  });

  test('what the other did leaves the undo of this one alone, and is not undone with it', async () => {
    set(4);
    set(5);
    await session.flush();
    await cruise(15)();
    expect(incidence()).toBe(5);
    undo();
    expect([incidence(), speed()]).toEqual([4, 15]);
    undo();
    expect([incidence(), speed()]).toEqual([3, 15]);
    session.store.dispatch(redone());
    session.store.dispatch(redone());
    expect([incidence(), speed()]).toEqual([5, 15]);
  });

  test('a step whose place the other has changed since is left out', async () => {
    set(4);
    session.store.dispatch(setFields([field('conditions', 'cruiseSpeed').to(13)]));
    await session.flush();
    await cruise(15)();
    undo();
    expect([incidence(), speed()]).toEqual([3, 15]);
    undo();
    expect([incidence(), speed()]).toEqual([3, 15]);
  });

  test('where the other added or removed parts, undo starts anew and says so', async () => {
    set(4);
    await session.flush();
    await theirs((design) => ({ ...design, massItems: design.massItems.slice(1) }))();
    expect(session.store.getState().document.past).toEqual([]);
    expect(words).toEqual([expect.stringMatching(/undo starts anew/)]);
  });

  test('the losing state is a revision before anybody chooses, and stays the newest one', async () => {
    await designs.save(id, { ...simpleAircraft(), name: 'Theirs' }, 1);
    set(7);
    await session.flush();
    await vi.waitFor(() =>
      expect(session.store.getState().session).toMatchObject({
        save: 'conflict',
        saveDetail: expect.stringMatching(/^From a second tab/),
      }),
    );
    expect(session.wouldLose()).toBe(false);
    set(8);
    await session.flush();
    await settle();
    expect(await revisions()).toHaveLength(1);
    // The tab is killed here: another one finds the state.
    const again = makeStore({ designs, jobs: direct });
    await again.open(id);
    const [kept] = await designs.records.heads('revisions', id);
    const state = await again.store.dispatch(stateOfRevision(kept!.id));
    expect('design' in state && state.design.surfaces[0]!.incidence).toBe(8);
  });

  test('leaving with an open clash drops nothing', async () => {
    await designs.save(id, { ...simpleAircraft(), name: 'Theirs' }, 1);
    set(7);
    await session.open(null);
    await settle();
    expect(await revisions()).toHaveLength(1);
    expect(session.wouldLose()).toBe(false);
    await session.open(id);
    expect(session.store.getState().document.present!.name).toBe('Theirs');
  });

  test.each(['theirs', 'copy'] as const)('a clash is resolved: %s', async (choice) => {
    await designs.save(id, { ...simpleAircraft(), name: 'Theirs' }, 1);
    set(7);
    await session.flush();
    await settle();
    const open = await session.resolveConflict(choice);
    const names = (await designs.list()).map(({ name }) => name).sort();
    expect(names).toEqual(choice === 'copy' ? ['Test (this tab)', 'Theirs'] : ['Theirs']);
    expect(incidence()).toBe(choice === 'copy' ? 7 : 3);
    expect(open === id).toBe(choice === 'theirs');
    expect(await revisions()).toHaveLength(choice === 'copy' ? 0 : 1);
    expect(words.join()).toMatch(choice === 'copy' ? /^$/ : /Your state is among the revisions as “From a second tab/);
  });

  test('a state that cannot be kept is not replaced', async () => {
    let isFull = true;
    const full: DesignStore = {
      ...designs,
      records: {
        ...designs.records,
        put: (...input) => (isFull ? Promise.reject(new Error('no room')) : designs.records.put(...input)),
      },
    };
    const other = makeStore({ designs: full, jobs: direct, tell: (text) => words.push(text) });
    await other.open(id);
    await designs.save(id, { ...simpleAircraft(), name: 'Theirs' }, 1);
    other.store.dispatch(setFields([field('surfaces', 'wing', 'incidence').to(7)]));
    await other.flush();
    await settle();
    expect(other.wouldLose()).toBe(true);
    expect(await other.resolveConflict('theirs')).toBeNull();
    expect(other.store.getState().document.present!.surfaces[0]!.incidence).toBe(7);
    expect(words.at(-1)).toMatch(/could not be kept.*Export it/);
    // Left all the same it is listed, and when there is space it is kept by itself.
    await other.open(null);
    expect(other.store.getState().session.unsaved).toMatchObject([{ id, detail: 'no room' }]);
    expect(other.leftBehind(id)!.surfaces[0]!.incidence).toBe(7);
    isFull = false;
    await vi.waitFor(() => expect(other.wouldLose()).toBe(false), 4000);
    expect(await revisions()).toHaveLength(1);
  });

  test('removed in one and edited in the other it comes back, with a word', async () => {
    await designs.putInBin(id);
    set(7);
    await session.flush();
    expect((await designs.list()).map((entry) => entry.id)).toEqual([id]);
    expect(words).toEqual([expect.stringMatching(/removed elsewhere: your change brought it back/)]);
  });
});

describe('a storage that is full', () => {
  let isFull: boolean;
  let saver: Session;
  beforeEach(async () => {
    isFull = true;
    const full: DesignStore = {
      ...designs,
      save: (...input) =>
        isFull ? Promise.reject(new DOMException('x', 'QuotaExceededError')) : designs.save(...input),
    };
    saver = makeStore({ designs: full, jobs: direct });
    await saver.open(id);
    saver.store.dispatch(setFields([field('surfaces', 'wing', 'incidence').to(6)]));
    await saver.flush();
  });
  const onDisk = async () => (await storedDesign(designs, id)).design.surfaces[0]!.incidence;

  test('is said, and leaving would lose', () => {
    expect(saver.store.getState().session).toMatchObject({ save: 'failed', saveDetail: expect.stringMatching(/full/) });
    expect(saver.wouldLose()).toBe(true);
  });

  test('what was left unsaved is kept, listed, and saved when there is space', async () => {
    await saver.open(null);
    expect(saver.store.getState().session.unsaved).toMatchObject([
      { id, name: 'Test', detail: expect.stringMatching(/full/) },
    ]);
    expect(saver.leftBehind(id)!.surfaces[0]!.incidence).toBe(6);
    expect(saver.wouldLose()).toBe(true);
    isFull = false;
    await saver.flush();
    expect(await onDisk()).toBe(6);
    expect(saver.store.getState().session.unsaved).toEqual([]);
    expect(saver.wouldLose()).toBe(false);
  });

  test('opened again it is what it was when it was left', async () => {
    await saver.open(null);
    await saver.open(id);
    expect(saver.store.getState().document.present!.surfaces[0]!.incidence).toBe(6);
    expect(saver.store.getState().session.unsaved).toEqual([]);
    isFull = false;
    await saver.flush();
    expect(await onDisk()).toBe(6);
    expect(saver.store.getState().session.save).toBe('saved');
  });
});

test('what cannot be read is not opened as something else', async () => {
  await database.designs.update(id, { design: { format: 'a tale' } as never });
  expect(await session.open(id)).toMatchObject({ kind: 'unreadable', name: 'Test', issues: [{ path: '/format' }] });
  expect(session.store.getState().document.present).toBeNull();
});

test('306 edits are 306 steps back', async () => {
  await openWithoutNumbers();
  for (let step = 1; step <= 306; step++) set(step / 100);
  for (let step = 0; step < 306; step++) session.store.dispatch(undone());
  expect(incidence()).toBe(3);
  expect(session.store.getState().document.past).toEqual([]);
});
