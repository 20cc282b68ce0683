import type { Design } from '@/core/2-document/schema/design';
import type { JobClient } from '@/workers/lanes';
import { analysisArrived, analysisFailed, remediesArrived, remediesAsked, remediesFailed } from './analysisSlice';
import { answerPause } from './answerPause';
import { framesOf } from './frames';
import type { AppStore } from './reduxStore';

/** A drag asks at most so often [ms]: every second frame, so that the drawing keeps its own. */
const ASK_EVERY = 33;

/** Asks for the numbers of the document as it is, and then for what may help; what was overtaken is not shown. */
export function computing(store: AppStore, jobs: JobClient) {
  let askedAt = 0;
  /** How long the last answer of a drag took [ms]. */
  let took = 0;
  /** Answers that were asked for, and the newest that was told. */
  let [count, told] = [0, 0];
  const frames = framesOf(store);
  let later: ReturnType<typeof setTimeout> | null = null;
  const ask = () => {
    if (later !== null) return;
    const { dragging } = store.getState().session;
    if (dragging) frames.watch();
    const wait = dragging ? askedAt + Math.max(ASK_EVERY, answerPause(took, frames.lateness())) - performance.now() : 0;
    const begin = () => {
      later = null;
      askedAt = performance.now();
      void compute();
    };
    if (wait > 0) later = setTimeout(begin, wait);
    else begin();
  };

  const compute = async () => {
    const { document, session } = store.getState();
    const { present: design, key } = document;
    if (!design) return;
    const options = { without: ['remedies'], quick: session.dragging } as const;
    // What may help the state before is not shown any more, and would take the time of the drag.
    if (options.quick) jobs.cancel('remedies');
    const number = ++count;
    const outcome = await jobs.live({ design, options });
    if (options.quick && outcome.kind === 'done') {
      took = outcome.output.milliseconds;
      await new Promise<void>((done) => void frames.inTurn(done));
    }
    // One that waited for its turn does not replace what was told meanwhile, such as all numbers at the end of the drag.
    if (store.getState().session.id !== session.id || number < told) return;
    told = number;
    if (outcome.kind === 'failed') store.dispatch(analysisFailed(outcome.message));
    if (outcome.kind !== 'done') return;
    // A drag shows every answer in its order; apart from that what belongs to an older state is not shown.
    if (!store.getState().session.dragging && store.getState().document.key !== key) return;
    const settled = !session.dragging && store.getState().document.key === key;
    store.dispatch(analysisArrived({ ...outcome.output, key, remediesFollow: !session.dragging }));
    // Remedies are tried one by one, each a whole analysis: the numbers do not wait for them.
    if (settled) await findRemedies(design, key);
  };

  /** Tries what may help, in the long lane; a newer state of the document ends it. */
  const findRemedies = async (design: Design, key: number) => {
    const outcome = await jobs.ask('remedies', { design }, { lane: 'long', slot: 'remedies' });
    if (outcome.kind === 'done') store.dispatch(remediesArrived({ findings: outcome.output, key }));
    if (outcome.kind === 'failed') store.dispatch(remediesFailed({ message: outcome.message, key }));
  };

  return {
    ask,
    /** Tries the remedies again after that failed. */
    retryRemedies: async () => {
      const { present, key } = store.getState().document;
      if (!present || store.getState().analysis.key !== key) return;
      store.dispatch(remediesAsked());
      await findRemedies(present, key);
    },
  };
}
