import type { Analysis } from '../analysis/types';
import type { Design } from '../document/schema/design';
import type { Finding } from './finding';

/** What rules look at: all numbers, before any judgement. */
export type AnalysisWithoutFindings = Omit<Analysis, 'findings'>;

/** A rule looks at a design and its numbers, and says what is wrong and what may help. */
export interface Rule {
  readonly id: string;
  readonly check: (design: Design, analysis: AnalysisWithoutFindings) => Finding | null;
}
