import { proxy, type Remote, wrap } from 'comlink';
import type { Answer, InputOf, JobName, OutputOf, Progress, WorkerService } from './contract';

/** A worker that says when it dies. Tests give their own. */
export interface WatchedWorker {
  run<Name extends JobName>(
    id: number,
    name: Name,
    input: InputOf<Name>,
    report: ((progress: Progress) => void) | null,
  ): Promise<Answer<OutputOf<Name>>>;
  cancel(id: number): void;
  end(): void;
}

let started = 0;

/** Starts a worker and watches it. @param onDeath called once, when it ends without being asked to */
export function startWorker(onDeath: () => void): WatchedWorker {
  const name = `inclinar-${++started}-${crypto.getRandomValues(new Uint32Array(1))[0]}`;
  const worker = new Worker(new URL('./analysis.worker.ts', import.meta.url), { type: 'module', name });
  const service: Remote<WorkerService> = wrap<WorkerService>(worker);
  const watching = new AbortController();
  const died = () => {
    if (watching.signal.aborted) return;
    watching.abort();
    worker.terminate();
    onDeath();
  };
  worker.addEventListener('error', died);
  worker.addEventListener('messageerror', died);
  void watchLock(name, service, watching.signal).then((ended) => ended && died());
  return {
    run: (id, job, input, report) =>
      service.run(id, job, input, report && proxy(report)) as Promise<Answer<OutputOf<typeof job>>>,
    cancel: (id) => void service.cancel(id),
    end: () => {
      watching.abort();
      worker.terminate();
    },
  };
}

/** True when the lock that the worker holds came free, false when nobody watches any more. */
async function watchLock(name: string, service: Remote<WorkerService>, signal: AbortSignal): Promise<boolean> {
  if (!('locks' in navigator)) return false;
  try {
    await service.ready();
    await navigator.locks.request(name, { signal }, () => {});
    return true;
  } catch {
    return false;
  }
}
