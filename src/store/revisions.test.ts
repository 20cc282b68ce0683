import 'fake-indexeddb/auto';
import { ActionCreators } from 'redux-undo';
import { beforeEach, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { openSession, settle, type TestSession } from '#/tests/session';
import { readDesignText } from '@/core/2-document/readDesign';
import { designText } from '@/files/designFile';
import { setFields } from './edit';
import { branchFrom, compareWith, dropRevision, keepRevision, stateOfRevision } from './revisions';

let open: TestSession;
beforeEach(async () => {
  open = await openSession(demoDesign('tern-tender'));
});
const chord = () => open.design().surfaces[0]!.stations[0]!.chord;
const setChord = (value: number) => open.dispatch(setFields([{ field: '/surfaces/wing/stations/0/chord', value }]));

test('a state is kept without the record inside it, and survives a file', () => {
  const start = chord();
  open.dispatch(keepRevision('First'));
  setChord(start + 11);
  open.dispatch(keepRevision('Second', 'more wing'));
  const [first, second] = open.design().revisions;
  expect(second).toMatchObject({ name: 'Second', notes: 'more wing', parent: first!.id });
  expect(Object.keys(first!.design)).not.toContain('revisions');
  const read = readDesignText(designText(open.design()));
  expect(read.ok && read.design).toEqual(open.design());
  const state = stateOfRevision(open.design(), first!.id);
  expect('design' in state && state.design.surfaces[0]!.stations[0]!.chord).toBe(start);
});

test('going on from a kept state keeps the record, the flights and the name; one step back', () => {
  const start = chord();
  open.dispatch(keepRevision('First'));
  const { id } = open.design().revisions[0]!;
  setChord(start + 20);
  open.dispatch(setFields([{ field: '/name', value: 'Renamed since' }]));
  const before = open.design();
  expect(open.dispatch(branchFrom(id))).toBeNull();
  expect(chord()).toBe(start);
  expect(open.design()).toMatchObject({ name: 'Renamed since', basedOn: id });
  expect(open.design().revisions).toHaveLength(1);
  open.dispatch(ActionCreators.undo());
  expect(open.design()).toBe(before);
});

test('branches remember where they came from, also when a state between is dropped', () => {
  for (const name of ['One', 'Two', 'Three']) open.dispatch(keepRevision(name));
  const [one, two, three] = open.design().revisions;
  expect(three!.parent).toBe(two!.id);
  open.dispatch(dropRevision(two!.id));
  expect(open.design().revisions.map(({ name }) => name)).toEqual(['One', 'Three']);
  expect(open.design().revisions[1]!.parent).toBe(one!.id);
  open.dispatch(dropRevision(three!.id));
  expect(open.design().basedOn).toBe(one!.id);
});

test('a comparison is computed beside the present, and taken away', async () => {
  open.dispatch(keepRevision('First'));
  const { id } = open.design().revisions[0]!;
  setChord(chord() + 30);
  await settle();
  expect(open.dispatch(compareWith(id))).toBeNull();
  await settle();
  const { compared } = open.session.store.getState().session;
  expect(compared).toMatchObject({ id, name: 'First' });
  expect(compared!.analysis!.reference.area!).toBeLessThan(open.analysis().reference.area!);
  open.dispatch(compareWith(null));
  expect(open.session.store.getState().session.compared).toBeNull();
});

test('a kept state that cannot be read says why and changes nothing', () => {
  open.dispatch(keepRevision('First'));
  const { id } = open.design().revisions[0]!;
  open.dispatch(setFields([{ field: `/revisions/${id}/design`, value: { format: 'inclinar-design', version: 99 } }]));
  const before = open.design();
  expect(open.dispatch(branchFrom(id))?.message).toMatch(/newer/);
  expect(open.dispatch(compareWith(id))?.message).toMatch(/newer/);
  expect(open.design()).toBe(before);
  expect(stateOfRevision(before, 'none')).toEqual({ because: 'There is no such revision.' });
});

describe('identity', () => {
  test('names of the record are not used twice after one was dropped', () => {
    open.dispatch(keepRevision('One'));
    open.dispatch(keepRevision('Two'));
    open.dispatch(dropRevision(open.design().revisions[0]!.id));
    open.dispatch(keepRevision('Three'));
    const ids = open.design().revisions.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});
