import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { said } from '#/tests/matchers';
import { openSession, settle, type TestSession } from '#/tests/session';
import { field } from '@/core/2-document/edit/field';
import { readDesignText } from '@/core/2-document/readDesign';
import { designText } from '@/files/designFile';
import { undone } from './documentSlice';
import { setFields } from './edit';
import { branchFrom, compareWith, dropRevision, keepRevision, stateOfRevision } from './revisions';
import { addTrialFold, changeTrialFold, dropTrialFold } from './trialFolds';

let open: TestSession;
beforeEach(async () => {
  open = await openSession(demoDesign('tern-tender'));
});
const chord = () => open.design().surfaces[0]!.stations[0]!.chord;
const setChord = (value: number) =>
  open.dispatch(setFields([field('surfaces', 'wing', 'stations', 0, 'chord').to(value)]));
const revisions = () => open.designs.records.heads('revisions', open.id);

test('a state is kept as a row beside the design, and both survive a file', async () => {
  const start = chord();
  await open.dispatch(keepRevision('First'));
  setChord(start + 11);
  await open.dispatch(keepRevision('Second', 'more wing'));
  const [first, second] = await revisions();
  expect(second).toMatchObject({ name: 'Second', notes: 'more wing', parent: first!.id });
  const { records } = await open.designs.records.allOf(open.id);
  const read = readDesignText(designText({ design: open.design(), records }));
  expect(read.ok && read.design).toEqual(open.design());
  expect(read.ok && read.records).toEqual(records);
  const state = await open.dispatch(stateOfRevision(first!.id));
  expect('design' in state && state.design.surfaces[0]!.stations[0]!.chord).toBe(start);
});

test('undo never takes a kept state back, nor a trial fold', async () => {
  setChord(chord() + 5);
  await open.dispatch(keepRevision('Kept'));
  await open.dispatch(addTrialFold('board5'));
  open.dispatch(undone());
  open.dispatch(undone());
  expect((await revisions()).map(({ name }) => name)).toEqual(['Kept']);
  expect(await open.designs.records.count('trialFolds', open.id)).toBe(1);
  expect(open.design().basedOn).toBe('revision1');
});

test('a trial fold names the revision it belongs to, changes in place, and comes back when taken out', async () => {
  await open.dispatch(keepRevision('Kept'));
  await open.dispatch(addTrialFold('board5'));
  const [fold] = await open.designs.records.heads('trialFolds', open.id);
  expect(fold).toMatchObject({ material: 'board5', revision: 'revision1', shortfall: 0 });
  await open.dispatch(changeTrialFold(fold!, { shortfall: 2.5 }));
  const putBack = await open.dispatch(dropTrialFold(fold!.id));
  expect(await open.designs.records.count('trialFolds', open.id)).toBe(0);
  await putBack();
  expect(await open.designs.records.heads('trialFolds', open.id)).toEqual([{ ...fold, shortfall: 2.5 }]);
});

test('going on from a kept state keeps the record and the name; one step back', async () => {
  const start = chord();
  await open.dispatch(keepRevision('First'));
  const [{ id } = { id: '' }] = await revisions();
  setChord(start + 20);
  open.dispatch(setFields([field('name').to('Renamed since')]));
  const before = open.design();
  expect(await open.dispatch(branchFrom(id))).toBeNull();
  expect(chord()).toBe(start);
  expect(open.design()).toMatchObject({ name: 'Renamed since', basedOn: id });
  expect(await revisions()).toHaveLength(1);
  open.dispatch(undone());
  expect(open.design()).toEqual(before);
});

test('branches remember where they came from, also when a state between is dropped and put back', async () => {
  for (const name of ['One', 'Two', 'Three']) await open.dispatch(keepRevision(name));
  const [one, two, three] = await revisions();
  expect(three!.parent).toBe(two!.id);
  const putBack = await open.dispatch(dropRevision(two!.id));
  expect((await revisions()).map(({ name, parent }) => [name, parent])).toEqual([
    ['One', undefined],
    ['Three', one!.id],
  ]);
  await putBack();
  expect((await revisions()).map(({ name, parent }) => [name, parent])).toEqual([
    ['One', undefined],
    ['Two', one!.id],
    ['Three', two!.id],
  ]);
  await open.dispatch(dropRevision(three!.id));
  expect(open.design().basedOn).toBe(two!.id);
});

test('a comparison is computed beside the present, and taken away', async () => {
  await open.dispatch(keepRevision('First'));
  setChord(chord() + 30);
  await settle();
  expect(await open.dispatch(compareWith('revision1'))).toBeNull();
  await settle();
  const { compared } = open.session.store.getState().session;
  expect(compared).toMatchObject({ id: 'revision1', name: 'First' });
  expect(compared!.analysis!.reference.area!).toBeLessThan(open.analysis().reference.area!);
  await open.dispatch(compareWith(null));
  expect(open.session.store.getState().session.compared).toBeNull();
});

test('a kept state that cannot be read says why and changes nothing', async () => {
  const at = '2026-05-01T10:00:00Z';
  const design = { format: 'inclinar-design', version: 99 };
  await open.designs.records.put('revisions', open.id, { id: 'odd', name: 'Odd', at, notes: '', design });
  const before = open.design();
  expect(said((await open.dispatch(branchFrom('odd')))?.message)).toMatch(/newer/);
  expect(said((await open.dispatch(compareWith('odd')))?.message)).toMatch(/newer/);
  expect(open.design()).toBe(before);
  expect(await open.dispatch(stateOfRevision('none'))).toEqual({ because: 'There is no such revision.' });
});

describe('identity', () => {
  test('names of the record are not used twice after one was dropped', async () => {
    await open.dispatch(keepRevision('One'));
    await open.dispatch(keepRevision('Two'));
    await open.dispatch(dropRevision('revision1'));
    await open.dispatch(keepRevision('Three'));
    const ids = (await revisions()).map(({ id }) => id);
    expect(ids.length).toBe(2);
    expect(new Set(ids).size).toBe(2);
  });
});
