import { describe, expect, test } from 'vitest';
import { designOf } from '#/tests/designs';
import type { Answer } from './contract';
import { createLanes } from './lanes';
import type { WatchedWorker } from './watchedWorker';

interface Asked {
  readonly worker: number;
  readonly name: string;
  readonly label: string;
  readonly answer: (answer: Answer<never>) => void;
  readonly fail: (error: Error) => void;
  readonly report: ((progress: { done: number; total: number }) => void) | null;
}

/** Workers whose answers the test gives by hand. */
function bench(pool = 1, silence?: number, isAwaited?: boolean) {
  const asked: Asked[] = [];
  const cancelled: number[] = [];
  const workers: { die: () => void; ended: boolean }[] = [];
  const start = (onDeath: () => void): WatchedWorker => {
    const handle = { die: onDeath, ended: false };
    const worker = workers.push(handle) - 1;
    return {
      run: (_id, name, input, report) =>
        new Promise((answer, fail) => {
          const { name: label } = (input as { design: { name: string } }).design;
          asked.push({ worker, name, label, answer: answer as Asked['answer'], fail, report });
        }),
      cancel: (id) => void cancelled.push(id),
      end: () => void (handle.ended = true),
    };
  };
  const restarts: string[] = [];
  const onRestart = (text: string) => restarts.push(text);
  return { lanes: createLanes({ pool, start, onRestart, silence, isAwaited }), asked, cancelled, workers, restarts };
}

const named = (name: string) => ({ design: { ...designOf([]), name } });
const done = { kind: 'done', output: {} as never } as const;
const tick = () => new Promise((resolve) => setTimeout(resolve, 0));
const labels = (asked: readonly Asked[]) => asked.map(({ label }) => label);

describe('the live lane', () => {
  test('begins to load its worker at once where numbers are awaited, else when they are asked for', () => {
    const [early, late] = [bench(1, undefined, true), bench()];
    expect([early.workers.length, late.workers.length]).toEqual([1, 0]);
    for (const { lanes, asked, workers } of [early, late]) {
      void lanes.live(named('first'));
      expect([workers.length, asked[0]!.worker]).toEqual([1, 0]);
    }
  });

  test('one is at work, the newest waits, those between are superseded', async () => {
    const { lanes, asked } = bench();
    const [first, second, third] = ['first', 'second', 'third'].map((name) => lanes.live(named(name)));
    expect((await second!).kind).toBe('superseded');
    expect(labels(asked)).toEqual(['first']);
    asked[0]!.answer(done);
    expect((await first!).kind).toBe('done');
    expect(labels(asked)).toEqual(['first', 'third']);
    asked[1]!.answer(done);
    expect((await third!).kind).toBe('done');
  });

  test('has a worker to itself: previews and long jobs never hold it up', async () => {
    const { lanes, asked } = bench(1);
    for (const label of ['a', 'b', 'c']) void lanes.ask('remedies', named(label), { lane: 'long' });
    void lanes.ask('analyse', named('look'), { lane: 'preview' });
    void lanes.live(named('live'));
    const live = asked.find(({ label }) => label === 'live')!;
    expect(asked.filter(({ worker }) => worker === live.worker)).toEqual([live]);
  });
});

describe('the pool', () => {
  test('several at once, previews first, a preview between the steps of a long job', async () => {
    const { lanes, asked } = bench(2);
    for (const label of ['one', 'two', 'three']) void lanes.ask('remedies', named(label), { lane: 'long' });
    expect(labels(asked)).toEqual(['one', 'two']);
    void lanes.ask('analyse', named('look'), { lane: 'preview' });
    expect(labels(asked)).toEqual(['one', 'two', 'look']);
    asked[0]!.answer(done);
    await tick();
    expect(labels(asked).at(-1)).toBe('three');
  });

  test('jobs of others go on: only the same slot supersedes', async () => {
    const { lanes, asked, cancelled } = bench(4);
    const slots = ['remedy', 'tail', 'remedy'].map((slot, index) =>
      lanes.ask('analyse', named(`${slot}${index}`), { lane: 'preview', slot }),
    );
    expect((await slots[0]!).kind).toBe('superseded');
    expect(cancelled).toEqual([1]);
    for (const { answer } of asked) answer(done);
    expect((await slots[1]!).kind).toBe('done');
    expect((await slots[2]!).kind).toBe('done');
  });

  test('a cancelled job ends at once for whoever asked; its place is free when the worker answers', async () => {
    const { lanes, asked, cancelled } = bench(1);
    const asking = new AbortController();
    const job = lanes.ask('remedies', named('long'), { lane: 'long', signal: asking.signal });
    void lanes.ask('remedies', named('next'), { lane: 'long' });
    asking.abort();
    expect((await job).kind).toBe('cancelled');
    expect(cancelled.length).toBe(1);
    expect(labels(asked)).toEqual(['long']);
    asked[0]!.answer({ kind: 'cancelled' });
    await tick();
    expect(labels(asked)).toEqual(['long', 'next']);
    expect((await lanes.ask('remedies', named('x'), { lane: 'long', signal: asking.signal })).kind).toBe('cancelled');
  });

  test('progress comes through', async () => {
    const { lanes, asked } = bench(1);
    const seen: number[] = [];
    void lanes.ask('remedies', named('long'), { lane: 'long', onProgress: (progress) => seen.push(progress.done) });
    asked[0]!.report!({ done: 1, total: 3 });
    asked[0]!.report!({ done: 2, total: 3 });
    expect(seen).toEqual([1, 2]);
  });
});

describe('what goes wrong', () => {
  test('a dead worker fails its jobs in words, is replaced, and the others go on', async () => {
    const { lanes, asked, workers } = bench(1);
    const long = lanes.ask('remedies', named('long'), { lane: 'long' });
    const look = lanes.ask('analyse', named('look'), { lane: 'preview' });
    const waiting = lanes.ask('remedies', named('waiting'), { lane: 'long' });
    const live = lanes.live(named('live'));
    workers[asked[0]!.worker]!.die();
    for (const job of [long, look])
      expect(await job).toMatchObject({ kind: 'failed', message: expect.stringMatching(/stopped unexpectedly/) });
    expect(workers.length).toBe(3);
    asked.find(({ label }) => label === 'waiting')!.answer(done);
    asked.find(({ label }) => label === 'live')!.answer(done);
    expect((await waiting).kind).toBe('done');
    expect((await live).kind).toBe('done');
  });

  test('an answer from a worker that died meanwhile is not taken twice', async () => {
    const { lanes, asked, workers } = bench();
    const lost = lanes.live(named('lost'));
    workers[0]!.die();
    asked[0]!.answer(done);
    expect((await lost).kind).toBe('failed');
  });

  test('an error thrown across becomes a failure', async () => {
    const { lanes, asked } = bench();
    const job = lanes.live(named('job'));
    asked[0]!.fail(new Error('no clone'));
    expect(await job).toEqual({ kind: 'failed', message: 'no clone' });
  });

  test('closing settles everything and ends every worker', async () => {
    const { lanes, workers } = bench(2);
    const jobs = [
      lanes.live(named('a')),
      ...['b', 'c', 'd'].map((label) => lanes.ask('remedies', named(label), { lane: 'long' })),
    ];
    lanes.close();
    expect((await Promise.all(jobs)).map(({ kind }) => kind)).toEqual(Array(4).fill('superseded'));
    expect(workers.map(({ ended }) => ended)).toEqual([true, true, true]);
  });
});

describe('a worker that says nothing', () => {
  const wait = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

  test('is ended and replaced, with a word; what it had at work has failed, what waits goes on', async () => {
    const { lanes, asked, workers, restarts } = bench(1, 40);
    const [stuck, next] = [lanes.live(named('stuck')), lanes.live(named('next'))];
    expect(await stuck).toMatchObject({ kind: 'failed', message: expect.stringMatching(/did not answer/) });
    expect(workers.map(({ ended }) => ended)).toEqual([true, false]);
    expect(restarts).toHaveLength(1);
    expect(labels(asked)).toEqual(['stuck', 'next']);
    asked[1]!.answer(done);
    expect((await next).kind).toBe('done');
  });

  test('signs of life keep a long job going', async () => {
    const { lanes, asked, restarts } = bench(1, 60);
    const seen: number[] = [];
    const long = lanes.ask('remedies', named('long'), { lane: 'long', onProgress: (step) => seen.push(step.done) });
    for (let sign = 1; sign <= 4; sign++) {
      await wait(30);
      asked[0]!.report!({ done: sign, total: 4 });
    }
    asked[0]!.answer(done);
    expect((await long).kind).toBe('done');
    expect([seen, restarts]).toEqual([[1, 2, 3, 4], []]);
  });

  test('one that only waits for work is left alone', async () => {
    const { lanes, asked, workers, restarts } = bench(1, 30);
    const answer = lanes.live(named('a'));
    asked[0]!.answer(done);
    await answer;
    await wait(60);
    expect([workers[0]!.ended, restarts]).toEqual([false, []]);
  });
});
