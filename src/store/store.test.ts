import { field } from '@/core/2-document/edit/field';
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { direct, settle } from '#/tests/session';
import { openDatabase } from '@/storage/database';
import { type DesignStore, designStore } from '@/storage/designStore';
import type { JobClient } from '@/workers/lanes';
import { previewDropped } from './analysisSlice';
import { applyRemedy, editDesign, endDrag, previewRemedy, setFields, startDrag } from './edit';
import { unitsChanged } from './settingsSlice';
import { sizeCandidates, startFrom } from './sizing';
import { sizingCancelled } from './sizingSlice';
import { makeStore, type Session } from './store';
import { sentence } from '@/words/formatQuantity';
import { HISTORY_LIMIT, redone, undone } from './documentSlice';

let designs: DesignStore;
let session: Session;
let id: string;
let count = 0;
const incidence = () => session.store.getState().document.present!.surfaces[0]!.incidence;
const set = (value: unknown, gesture?: string) =>
  session.store.dispatch(setFields([field('surfaces', 'wing', 'incidence').to(value as number)], gesture));

beforeEach(async () => {
  designs = designStore(openDatabase(`store-${++count}`));
  session = makeStore({ designs, jobs: direct });
  id = (await designs.create(simpleAircraft())).id;
  expect(await session.open(id)).toBe(true);
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

describe('editing', () => {
  test('an edit changes the document, is computed and saved', async () => {
    const before = session.store.getState().analysis.current!.trim.alpha!;
    expect(set(4.5)).toBeNull();
    await settle();
    expect(session.store.getState().analysis.current!.trim.alpha).not.toBe(before);
    await session.flush();
    expect((await designs.load(id))!.design.surfaces[0]!.incidence).toBe(4.5);
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

  test('history is patches: a long drag is one small step, and steps beyond the limit go', () => {
    for (let step = 0; step < 300; step++) set(1 + step / 1000, 'one drag');
    const { past } = session.store.getState().document;
    expect(past.length).toBe(1);
    expect(past[0]!.patches).toEqual([{ op: 'replace', path: ['surfaces', 0, 'incidence'], value: 1.299 }]);
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
    expect(await session.open('missing')).toBe(false);
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
        : direct.ask(name, input, options);
    const other = makeStore({ designs, jobs: { ...direct, ask } });
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
  test('units are remembered; a broken setting is left aside', async () => {
    session.store.dispatch(unitsChanged({ length: 'in' }));
    await settle();
    const again = makeStore({ designs, jobs: direct });
    await again.loadSettings();
    expect(again.store.getState().settings.units.length).toBe('in');
    await designs.writeSetting('settings', { units: { length: 'cubit' } });
    const third = makeStore({ designs, jobs: direct });
    await third.loadSettings();
    expect(third.store.getState().settings.units.length).toBe('mm');
  });

  test('another tab’s state is followed when nothing here is unsaved', async () => {
    const theirs = { ...simpleAircraft(), name: 'From the other tab' };
    await designs.save(id, theirs, 1);
    await session.followOtherTabs(id, 2);
    expect(session.store.getState().document.present!.name).toBe('From the other tab');
  });

  test.each(['theirs', 'copy'] as const)('a conflict is resolved: %s', async (choice) => {
    await designs.save(id, { ...simpleAircraft(), name: 'Theirs' }, 1);
    set(7);
    await session.flush();
    expect(session.store.getState().session.save).toBe('conflict');
    const open = await session.resolveConflict(choice);
    const names = (await designs.list()).map(({ name }) => name).sort();
    expect(names).toEqual(choice === 'copy' ? ['Test (this tab)', 'Theirs'] : ['Theirs']);
    expect(incidence()).toBe(choice === 'copy' ? 7 : 3);
    expect(open === id).toBe(choice === 'theirs');
  });
});
