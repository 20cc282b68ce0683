import type { AnalyseOptions, Analysis } from '@/core/analyse';
import type { Design } from '@/core/2-document/schema/design';
import type { SizingInput, SizingResult } from '@/core/8-sizing/sizeDesign';
import type { TailSizingInput, TailSizingResult } from '@/core/8-sizing/tail/tailSizing';

/** What the computing worker offers. Plain data both ways. */
export interface AnalysisService {
  analyse(design: Design, options: AnalyseOptions): Answer<AnalysisDone>;
  size(input: SizingInput): Answer<{ readonly kind: 'done'; readonly result: SizingResult }>;
  sizeTail(input: TailSizingInput): Answer<{ readonly kind: 'done'; readonly result: TailSizingResult }>;
}

export interface AnalysisDone {
  readonly kind: 'done';
  readonly analysis: Analysis;
  readonly milliseconds: number;
}

/** Errors cross as data: a thrown one would lose all but its message. */
export type Answer<Done> = Done | { readonly kind: 'failed'; readonly message: string };

/** How a request ended for the one who asked. */
export type Outcome<Done> = Answer<Done> | { readonly kind: 'superseded' };

export type WorkerAnswer = Answer<AnalysisDone>;
export type JobOutcome = Outcome<AnalysisDone>;
