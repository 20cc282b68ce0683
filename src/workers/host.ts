import type { Progress, Steps } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import type { AnalyseInput, Answer, JobName, OutputOf, WorkerService } from './contract';
import { WORK } from './jobs';
import type { Rehearsal } from './rehearsal';

/** Longest stretch without a pause [ms]: previews and cancels get through that soon. */
const STRETCH = 12;

/** Signs of life cross the border at most so often [ms]. */
const SIGN_EVERY = 200;

/** Lets waiting messages in; a timer would wait four milliseconds, a message does not. */
function nextTurn(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.addEventListener('message', () => {
      port1.close();
      resolve();
    });
    port1.start();
    port2.postMessage(null);
  });
}

/** The design whose numbers a job tells as they stay; null for those of a drag, and for other jobs. */
function settledBy(name: JobName, input: unknown): Design | null {
  if (name !== 'analyse') return null;
  const { design, options } = input as AnalyseInput;
  return options?.quick ? null : design;
}

/**
 * Does jobs step by step, several in turn.
 * @param locked resolves once the worker can be watched
 * @param rehearsal what it does while nothing is asked
 */
export function makeService(locked: Promise<void>, rehearsal?: Rehearsal): WorkerService {
  const cancelled = new Set<number>();
  let atWork = 0;

  const drive = async <Output>(
    id: number,
    steps: Steps<Output>,
    report: ((progress: Progress) => void) | null,
  ): Promise<Answer<Output>> => {
    let since = performance.now();
    let signed = since;
    for (;;) {
      const step = steps.next();
      if (step.done) return { kind: 'done', output: step.value };
      if (performance.now() - since < STRETCH) continue;
      if (performance.now() - signed >= SIGN_EVERY) {
        signed = performance.now();
        report?.(step.value);
      }
      await nextTurn();
      if (cancelled.has(id)) return { kind: 'cancelled' };
      since = performance.now();
    }
  };

  return {
    ready: () => locked,
    run: async <Name extends JobName>(
      ...[id, name, input, report]: Parameters<WorkerService['run']>
    ): Promise<Answer<OutputOf<Name>>> => {
      rehearsal?.interrupt();
      atWork += 1;
      try {
        const work = WORK[name] as (given: unknown) => Steps<OutputOf<Name>>;
        return await drive(id, work(input), report);
      } catch (error) {
        return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
      } finally {
        cancelled.delete(id);
        atWork -= 1;
        const settled = settledBy(name, input);
        // Another job may be at work between its pauses.
        if (settled && atWork === 0) rehearsal?.awaitQuiet(settled);
      }
    },
    cancel: (id) => void cancelled.add(id),
  };
}
