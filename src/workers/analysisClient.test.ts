import { describe, expect, test } from 'vitest';
import { designOf } from '#/tests/designs';
import type { Design } from '@/core/2-document/schema/design';
import { createAnalysisClient, type WorkerLike } from './analysisClient';
import type { AnalysisService, WorkerAnswer } from './contract';

/** A worker whose answers the test gives by hand. */
function bench() {
  const asked: { name: string; answer: (outcome: WorkerAnswer) => void; fail: (error: Error) => void }[] = [];
  const workers: { die: () => void; ended: boolean }[] = [];
  const start = () => {
    const listeners: ((event: Event) => void)[] = [];
    const handle = { die: () => listeners.forEach((listener) => listener(new Event('error'))), ended: false };
    workers.push(handle);
    const worker: WorkerLike = {
      addEventListener: (_type, listener) => void listeners.push(listener),
      terminate: () => (handle.ended = true),
    };
    const service = {
      analyse: (design: Design) =>
        new Promise<WorkerAnswer>((answer, fail) => asked.push({ name: design.name, answer, fail })),
    } as unknown as AnalysisService;
    return { worker, service };
  };
  return { client: createAnalysisClient(start), asked, workers };
}

const named = (name: string): Design => ({ ...designOf([]), name });
const done = { kind: 'done' } as WorkerAnswer;
const tick = () => new Promise((resolve) => setTimeout(resolve, 0));

describe('requests', () => {
  test('one is at work, the newest waits, those between are superseded', async () => {
    const { client, asked } = bench();
    const first = client.request(named('first'));
    const second = client.request(named('second'));
    const third = client.request(named('third'));
    expect((await second).kind).toBe('superseded');
    expect(asked.map(({ name }) => name)).toEqual(['first']);
    asked[0]!.answer(done);
    expect((await first).kind).toBe('done');
    await tick();
    expect(asked.map(({ name }) => name)).toEqual(['first', 'third']);
    asked[1]!.answer(done);
    expect((await third).kind).toBe('done');
  });

  test('a dead worker fails its job in words and is replaced', async () => {
    const { client, asked, workers } = bench();
    const lost = client.request(named('lost'));
    const waiting = client.request(named('waiting'));
    workers[0]!.die();
    expect(await lost).toMatchObject({ kind: 'failed', message: expect.stringMatching(/stopped unexpectedly/) });
    expect(workers.length).toBe(2);
    expect(workers[0]!.ended).toBe(true);
    await tick();
    asked[1]!.answer(done);
    expect((await waiting).kind).toBe('done');
  });

  test('an answer from a worker that died meanwhile is not taken twice', async () => {
    const { client, asked, workers } = bench();
    const lost = client.request(named('lost'));
    workers[0]!.die();
    asked[0]!.answer(done);
    expect((await lost).kind).toBe('failed');
  });

  test('an error thrown across becomes a failure', async () => {
    const { client, asked } = bench();
    const job = client.request(named('job'));
    asked[0]!.fail(new Error('no clone'));
    expect(await job).toEqual({ kind: 'failed', message: 'no clone' });
  });

  test('closing settles everything', async () => {
    const { client, workers } = bench();
    const jobs = [client.request(named('a')), client.request(named('b'))];
    client.close();
    expect((await Promise.all(jobs)).map(({ kind }) => kind)).toEqual(['superseded', 'superseded']);
    expect(workers[0]!.ended).toBe(true);
  });
});
