import type { Design } from '@/core/2-document/schema/design';
import { believableFinding } from './believableFinding';
import type { Finding, Stage } from './finding';
import type { Numbers } from '@/core/6-groups/page';
import type { Rule } from './rule';

/** What a rule found: all of a finding but what is the same each time. */
export type Found = Pick<Finding, 'severity' | 'message' | 'numbers'> & { readonly remedies?: Finding['remedies'] };

interface RuleHead {
  readonly id: string;
  readonly stage: Stage;
  readonly source: string;
}

/** A rule from its name, its stage, its source and what it looks at; what it finds tells nothing that nobody can know. */
export function makeRule(
  { id, stage, source }: RuleHead,
  look: (design: Design, analysis: Numbers) => Found | null,
): Rule {
  return {
    id,
    check: (design, analysis) => {
      const found = look(design, analysis);
      return found && believableFinding({ id, stage, source, ...found, remedies: found.remedies ?? [] });
    },
  };
}
