import type { Numbers } from '@/core/6-groups/page';
import type { Design } from '@/core/2-document/schema/design';
import type { Finding } from './finding';

/** A rule looks at a design and its numbers, and says what is wrong and what may help. */
export interface Rule {
  readonly id: string;
  readonly check: (design: Design, analysis: Numbers) => Finding | null;
}
