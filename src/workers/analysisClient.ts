import { type Remote, wrap } from 'comlink';
import type { AnalyseOptions } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import type { SizingInput, SizingResult } from '@/core/8-sizing/sizeDesign';
import type { TailSizingInput, TailSizingResult } from '@/core/8-sizing/tail/tailSizing';
import type { AnalysisService, JobOutcome, Outcome } from './contract';

type Service = Remote<AnalysisService> | AnalysisService;

interface Job {
  readonly run: (service: Service) => unknown;
  readonly settle: (outcome: never) => void;
  readonly fail: (message: string) => void;
  readonly supersede: () => void;
}

/** The slice of a Worker that the client needs; tests give their own. */
export interface WorkerLike {
  addEventListener(type: 'error' | 'messageerror', listener: (event: Event) => void): void;
  terminate(): void;
}

export interface AnalysisClient {
  /** Computes a design. A newer request supersedes one that still waits. */
  request(design: Design, options?: AnalyseOptions): Promise<JobOutcome>;
  /** Sizes one layout for a brief. */
  size(input: SizingInput): Promise<Outcome<{ readonly kind: 'done'; readonly result: SizingResult }>>;
  /** Sizes a tail by each school. */
  sizeTail(input: TailSizingInput): Promise<Outcome<{ readonly kind: 'done'; readonly result: TailSizingResult }>>;
  close(): void;
}

/**
 * Keeps one job at work and at most one waiting. A worker that dies fails its
 * job in words and is replaced at the next request.
 */
export function createAnalysisClient(
  start: () => {
    worker: WorkerLike;
    service: Service;
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
    job?.fail('The computation stopped unexpectedly. Change anything to try again.');
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
    Promise.resolve(job.run(running.service)).then(
      (answer) => finish(job, () => job.settle(answer as never)),
      (error: unknown) => finish(job, () => job.fail(error instanceof Error ? error.message : String(error))),
    );
  };

  const finish = (job: Job, settle: () => void) => {
    if (atWork !== job) return;
    atWork = null;
    settle();
    next();
  };

  const ask = <Done>(run: (service: Service) => unknown): Promise<Outcome<Done>> =>
    new Promise((resolve) => {
      waiting?.supersede();
      waiting = {
        run,
        settle: resolve,
        fail: (message) => resolve({ kind: 'failed', message }),
        supersede: () => resolve({ kind: 'superseded' }),
      };
      next();
    });

  return {
    request: (design, options = {}) => ask((service) => service.analyse(design, options)),
    size: (input) => ask((service) => service.size(input)),
    sizeTail: (input) => ask((service) => service.sizeTail(input)),
    close: () => {
      waiting?.supersede();
      waiting = null;
      atWork?.supersede();
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
