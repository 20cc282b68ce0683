import { finish, type Steps } from '@/core/1-base/steps';
import type { Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { openDatabase } from '@/storage/database';
import { type DesignStore, designStore } from '@/storage/designStore';
import { makeStore, type Session } from '@/store/store';
import type { AnalyseInput } from '@/workers/contract';
import { WORK } from '@/workers/jobs';
import type { JobClient } from '@/workers/lanes';

/** On a coarse lattice and without bands, whatever else is left out. */
const coarse = ({ design, options }: AnalyseInput): AnalyseInput => ({
  design,
  options: { ...options, grid: { strips: 6, chordwise: 3 }, without: [...(options?.without ?? []), 'bands'] },
});

/** Computes at once, in this thread and coarsely, remedies too where they are asked for: each costs an analysis. */
export const thorough: JobClient = {
  pool: 2,
  live: async (input) => ({ kind: 'done', output: finish(WORK.analyse(coarse(input))) }),
  ask: async (name, input) => {
    const isAnalysis = name === 'analyse' || name === 'remedies';
    const work = WORK[name] as (given: unknown) => Steps<never>;
    return { kind: 'done', output: finish(work(isAnalysis ? coarse(input as AnalyseInput) : input)) };
  },
  cancel: () => {},
  close: () => {},
};

/** The same without remedies: whoever waits for them asks for `thorough`. */
export const direct: JobClient = {
  ...thorough,
  ask: async (name, input, how) => (name === 'remedies' ? { kind: 'superseded' } : thorough.ask(name, input, how)),
};

/** Computes nothing: for what is about the document alone. */
export const idle: JobClient = {
  pool: 1,
  live: async () => ({ kind: 'superseded' }),
  ask: async () => ({ kind: 'superseded' }),
  cancel: () => {},
  close: () => {},
};

export const settle = () => new Promise((done) => setTimeout(done, 25));

export interface TestSession {
  readonly session: Session;
  readonly designs: DesignStore;
  readonly id: string;
  readonly dispatch: Session['store']['dispatch'];
  readonly design: () => Design;
  readonly analysis: () => Analysis;
}

let count = 0;

/** A store with one design open and computed; needs an IndexedDB in the test. */
export async function openSession(design: Design, jobs: JobClient = direct): Promise<TestSession> {
  const designs = designStore(openDatabase(`session-${++count}-${Math.random()}`));
  const session = makeStore({ designs, jobs });
  const { id } = await designs.create(design);
  await session.open(id);
  await settle();
  return {
    session,
    designs,
    id,
    dispatch: session.store.dispatch,
    design: () => session.store.getState().document.present!,
    analysis: () => session.store.getState().analysis.current!,
  };
}
