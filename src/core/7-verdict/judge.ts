import type { Steps } from '@/core/1-base/steps';
import { checkChange } from '@/core/2-document/edit/checkChange';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import type { Finding, Remedy, Severity } from './finding';
import { RULES } from './rules';

const RANK: Record<Severity, number> = { stop: 2, caution: 1, note: 0 };

/** The numbers of a changed copy. */
export type TryOut = (changed: Design) => Numbers;

/** What every rule says, gravest first; remedies are candidates that nobody tried yet. */
export function checkRules(design: Design, numbers: Numbers): Finding[] {
  return RULES.flatMap((rule) => rule.check(design, numbers) ?? []).sort((a, b) => RANK[b.severity] - RANK[a.severity]);
}

export const withoutRemedies = (findings: readonly Finding[]): Finding[] =>
  findings.map((finding) => ({ ...finding, remedies: [] }));

/**
 * Findings with the remedies that hold: each candidate is applied to a copy,
 * computed again, and kept only if its finding is gone and nothing graver or
 * new of the same weight has come. Pauses after each, so that whoever drives
 * it may stop.
 */
export function* tryRemedies(design: Design, candidates: readonly Finding[], tryOut: TryOut): Steps<Finding[]> {
  const total = candidates.reduce((sum, { remedies }) => sum + remedies.length, 0);
  let done = 0;
  const findings: Finding[] = [];
  for (const finding of candidates) {
    const held: Remedy[] = [];
    for (const remedy of finding.remedies) {
      if (holds(design, finding, remedy, candidates, tryOut)) held.push(remedy);
      yield { done: ++done, total };
    }
    findings.push({ ...finding, remedies: held });
  }
  return findings;
}

function holds(
  design: Design,
  finding: Finding,
  { change }: Remedy,
  before: readonly Finding[],
  tryOut: TryOut,
): boolean {
  const changed = checkChange(design, withFields(design, change));
  if (!changed.ok) return false;
  const after = checkRules(changed.design, tryOut(changed.design));
  return (
    after.every(({ id }) => id !== finding.id) &&
    after.every((other) => {
      const known = before.find(({ id }) => id === other.id);
      return known ? RANK[other.severity] <= RANK[known.severity] : RANK[other.severity] < RANK[finding.severity];
    })
  );
}
