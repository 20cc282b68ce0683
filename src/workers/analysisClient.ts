import { type Remote, wrap } from 'comlink';
import type { AnalyseOptions } from '@/core/analyse';
import type { Design } from '@/core/document/schema/design';
import type { AnalysisService, JobOutcome } from './contract';

interface Job {
  readonly design: Design;
  readonly options: AnalyseOptions;
  readonly settle: (outcome: JobOutcome) => void;
}

/** The slice of a Worker that the client needs; tests give their own. */
export interface WorkerLike {
  addEventListener(type: 'error' | 'messageerror', listener: (event: Event) => void): void;
  terminate(): void;
}

export interface AnalysisClient {
  /** Computes a design. A newer request supersedes one that still waits. */
  request(design: Design, options?: AnalyseOptions): Promise<JobOutcome>;
  close(): void;
}

/**
 * Keeps one job at work and at most one waiting. A worker that dies fails its
 * job in words and is replaced at the next request.
 */
export function createAnalysisClient(
  start: () => {
    worker: WorkerLike;
    service: Remote<AnalysisService> | AnalysisService;
  } = startWorker,
): AnalysisClient {
  let running: ReturnType<typeof start> | null = null;
  let atWork: Job | null = null;
  let waiting: Job | null = null;

  const died = (which: ReturnType<typeof start>) => {
    // A dead worker may complain more than once; its successor is not to suffer for it.
    if (running !== which) return;
    which.worker.terminate();
    running = null;
    const job = atWork;
    atWork = null;
    job?.settle({
      kind: 'failed',
      message: 'The computation stopped unexpectedly. Change anything to try again.',
    });
    next();
  };

  const next = () => {
    if (atWork || !waiting) return;
    const job = waiting;
    waiting = null;
    atWork = job;
    if (!running) {
      const fresh = start();
      running = fresh;
      fresh.worker.addEventListener('error', () => died(fresh));
      fresh.worker.addEventListener('messageerror', () => died(fresh));
    }
    Promise.resolve(running.service.analyse(job.design, job.options)).then(
      (answer) => finish(job, answer),
      (error: unknown) =>
        finish(job, {
          kind: 'failed',
          message: error instanceof Error ? error.message : String(error),
        }),
    );
  };

  const finish = (job: Job, outcome: JobOutcome) => {
    if (atWork !== job) return;
    atWork = null;
    job.settle(outcome);
    next();
  };

  return {
    request: (design, options = {}) =>
      new Promise((settle) => {
        waiting?.settle({ kind: 'superseded' });
        waiting = { design, options, settle };
        next();
      }),
    close: () => {
      waiting?.settle({ kind: 'superseded' });
      waiting = null;
      atWork?.settle({ kind: 'superseded' });
      atWork = null;
      running?.worker.terminate();
      running = null;
    },
  };
}

function startWorker() {
  const worker = new Worker(new URL('./analysis.worker.ts', import.meta.url), { type: 'module' });
  return { worker, service: wrap<AnalysisService>(worker) };
}
