import { analyse, type Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import { sizeDesign } from '@/core/8-sizing/sizeDesign';
import { sizeTail } from '@/core/8-sizing/tail/tailSizing';
import { openDatabase } from '@/storage/database';
import { type DesignStore, designStore } from '@/storage/designStore';
import { makeStore, type Session } from '@/store/store';
import type { AnalysisClient } from '@/workers/analysisClient';

const GRID = { strips: 6, chordwise: 3 } as const;

/** Computes at once, in this thread, on a coarse lattice. */
export const direct: AnalysisClient = {
  request: async (design, options) => ({
    kind: 'done',
    analysis: analyse(design, { ...options, grid: GRID }),
    milliseconds: 1,
  }),
  size: async (input) => ({ kind: 'done', result: sizeDesign(input) }),
  sizeTail: async (input) => ({ kind: 'done', result: sizeTail(input) }),
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
export async function openSession(design: Design): Promise<TestSession> {
  const designs = designStore(openDatabase(`session-${++count}-${Math.random()}`));
  const session = makeStore({ designs, analysis: direct, preview: direct });
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
