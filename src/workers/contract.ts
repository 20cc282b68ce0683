import type { AnalyseOptions, Analysis } from '@/core/analyse';
import type { Design } from '@/core/document/schema/design';

/** What the computing worker offers. Plain data both ways. */
export interface AnalysisService {
  analyse(design: Design, options: AnalyseOptions): WorkerAnswer;
}

/** Errors cross as data: a thrown one would lose all but its message. */
export type WorkerAnswer =
  | { readonly kind: 'done'; readonly analysis: Analysis; readonly milliseconds: number }
  | { readonly kind: 'failed'; readonly message: string };

/** How a request ended for the one who asked. */
export type JobOutcome = WorkerAnswer | { readonly kind: 'superseded' };
