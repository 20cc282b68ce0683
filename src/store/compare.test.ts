import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { direct, openSession } from '#/tests/session';
import type { JobClient } from '@/workers/lanes';
import type { InputOf } from '@/workers/contract';
import { setBeside, stopComparing, sweepInputs } from './compare';
import { MOST_VARIANTS } from './compareSlice';

const design = demoDesign('tern-tender');
const asked = {
  inputs: [{ name: '/surfaces/wing/incidence', from: 0, to: 2 }],
  slides: null,
  output: 'mass.total',
};

/** Workers that leave everything open until it is told. */
function held(pool: number) {
  const open: { name: string; input: unknown; slot: string; end: (outcome: never) => void; report: () => void }[] = [];
  const cancelled: string[] = [];
  const jobs: JobClient = {
    ...direct,
    pool,
    ask: (name, input, { slot, onProgress }) =>
      new Promise((end) => {
        open.push({ name, input, slot: slot!, end, report: () => onProgress?.({ done: 3, total: 7 }) });
      }),
    cancel: (slot) => void cancelled.push(slot),
  };
  return { jobs, open, cancelled };
}

test('a sweep goes to all workers at once, in parts that follow one another; it ends when all have', async () => {
  const { jobs, open } = held(3);
  const { dispatch, session } = await openSession(design, jobs);
  const compare = () => session.store.getState().compare;
  const done = dispatch(sweepInputs(design, asked, ['mass.total']));
  const parts = open.filter(({ name }) => name === 'sweep');
  const values = parts.map(({ input }) => (input as InputOf<'sweep'>).inputs[0]!.values);
  expect(values.map(({ length }) => length)).toEqual([7, 7, 7]);
  expect(values.flat()).toEqual(values.flat().toSorted((a, b) => a - b));
  expect([values[0]![0], values[2]!.at(-1)]).toEqual([0, 2]);
  parts.forEach(({ report }) => report());
  expect(compare().progress.sweep).toEqual({ done: 9, total: 21 });
  // The last part is ready first.
  for (const { input, end } of parts.toReversed()) {
    expect(compare().swept).toBeNull();
    const places = (input as InputOf<'sweep'>).inputs[0]!.values.map((at) => ({ at: [at], outputs: {} }));
    end({ kind: 'done', output: { ok: true, places } } as never);
    await Promise.resolve();
  }
  await done;
  const { swept } = compare();
  expect(swept!.result.ok && swept!.result.places.map(({ at }) => at[0])).toEqual(values.flat());
});

test('what is stopped is stopped in every worker, and what it brings is not taken', async () => {
  const { jobs, open, cancelled } = held(2);
  const { dispatch, session } = await openSession(design, jobs);
  const done = dispatch(sweepInputs(design, asked, ['mass.total']));
  dispatch(stopComparing('sweep'));
  expect(cancelled).toEqual(['compare-sweep-0', 'compare-sweep-1']);
  open
    .filter(({ name }) => name === 'sweep')
    .forEach(({ end }) => end({ kind: 'done', output: { ok: true, places: [] } } as never));
  await done;
  expect(session.store.getState().compare).toMatchObject({ swept: null, failure: null });
});

test('one part that fails says why for all of it', async () => {
  const { jobs, open } = held(2);
  const { dispatch, session } = await openSession(design, jobs);
  const done = dispatch(sweepInputs(design, asked, ['mass.total']));
  const [first, second] = open.filter(({ name }) => name === 'sweep');
  first!.end({ kind: 'done', output: { ok: true, places: [] } } as never);
  second!.end({ kind: 'failed', message: 'a worker broke' } as never);
  await done;
  expect(session.store.getState().compare).toMatchObject({ swept: null, failure: 'a worker broke' });
});

test('six stand side by side, no more; an older answer for one of them is not taken', async () => {
  const { jobs, open } = held(1);
  const { dispatch, session } = await openSession(design, jobs);
  const variants = () => session.store.getState().compare.variants;
  for (let number = 0; number < MOST_VARIANTS + 2; number++)
    void dispatch(setBeside(`one ${number}`, `Number ${number}`, design));
  expect(variants()).toHaveLength(MOST_VARIANTS);
  void dispatch(setBeside('one 0', 'Number 0 again', design));
  expect(variants()).toHaveLength(MOST_VARIANTS);
  const [older, newer] = open.filter(({ slot }) => slot === 'variant-one 0');
  older!.end({ kind: 'failed', message: 'older' } as never);
  newer!.end({ kind: 'failed', message: 'newer' } as never);
  await new Promise((done) => setTimeout(done, 5));
  expect(variants()[0]).toMatchObject({ name: 'Number 0 again', failure: 'newer' });
});
