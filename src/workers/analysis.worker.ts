import '@/core/1-base/zodSetup';
import { expose } from 'comlink';
import { analyse } from '@/core/analyse';
import { sizeDesign } from '@/core/8-sizing/sizeDesign';
import { sizeTail } from '@/core/8-sizing/tail/tailSizing';
import type { AnalysisService, Answer } from './contract';

/** Errors become data on this side: a thrown one would lose all but its message. */
function guarded<Done>(work: () => Done): Answer<Done> {
  try {
    return work();
  } catch (error) {
    return { kind: 'failed', message: error instanceof Error ? error.message : String(error) };
  }
}

const service: AnalysisService = {
  analyse: (design, options) =>
    guarded(() => {
      const start = performance.now();
      const analysis = analyse(design, options);
      return { kind: 'done', analysis, milliseconds: performance.now() - start };
    }),
  size: (input) => guarded(() => ({ kind: 'done', result: sizeDesign(input) })),
  sizeTail: (input) => guarded(() => ({ kind: 'done', result: sizeTail(input) })),
};

expose(service);
