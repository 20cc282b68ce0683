import { describe, expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { makeService } from './host';

const design = simpleAircraft(130);
const options = { grid: { strips: 6, chordwise: 3 } } as const;

describe('what runs in a worker', () => {
  test('remedies come as the core finds them, with progress on the way', async () => {
    const seen: [number, number][] = [];
    // Each step of the job takes a while.
    let clock = 0;
    const now = vi.spyOn(performance, 'now').mockImplementation(() => (clock += 60));
    const answer = await makeService(Promise.resolve()).run(1, 'remedies', { design, options }, ({ done, total }) =>
      seen.push([done, total]),
    );
    now.mockRestore();
    expect(answer).toEqual({ kind: 'done', output: analyse(design, options).findings });
    expect(seen.length).toBeGreaterThan(0);
    expect(seen.every(([done, total]) => done <= total)).toBe(true);
  });

  test('a job is cancelled at its next pause, and another gets in between', async () => {
    const service = makeService(Promise.resolve());
    const long = service.run(1, 'remedies', { design, options }, null);
    const quick = service.run(2, 'analyse', { design, options: { ...options, without: ['remedies'] } }, null);
    service.cancel(1);
    expect((await quick).kind).toBe('done');
    expect((await long).kind).toBe('cancelled');
  });

  test('every job stops the rehearsal, and numbers that stay begin it again', async () => {
    const told: string[] = [];
    const service = makeService(Promise.resolve(), {
      interrupt: () => told.push('stop'),
      awaitQuiet: (of) => told.push(of === design ? 'begin' : 'other'),
    });
    const ask = (quick: boolean) => service.run(1, 'analyse', { design, options: { ...options, quick } }, null);
    await ask(true);
    expect(told).toEqual(['stop']);
    await ask(false);
    expect(told).toEqual(['stop', 'stop', 'begin']);
    // A longer job goes on after it: nothing is rehearsed beside that.
    const long = service.run(2, 'remedies', { design, options }, null);
    await ask(false);
    service.cancel(2);
    expect((await long).kind).toBe('cancelled');
    expect(told).toEqual(['stop', 'stop', 'begin', 'stop', 'stop']);
  });

  test('an error is an answer in words', async () => {
    const broken = { design: { ...design, surfaces: null } } as never;
    expect(await makeService(Promise.resolve()).run(1, 'analyse', broken, null)).toMatchObject({ kind: 'failed' });
  });
});
