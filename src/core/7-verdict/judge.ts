import type { Steps } from '@/core/1-base/steps';
import { checkChange } from '@/core/2-document/edit/checkChange';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import type { Finding, Remedy, Severity } from './finding';
import { joined, kilograms, percent, say, type Words } from '@/core/1-base/words/phrase';
import { keptOnTips } from '@/core/3-shape/geometry/keptOnTips';
import { RULES } from './rules';

const RANK: Record<Severity, number> = { stop: 2, caution: 1, note: 0 };

export interface Trials {
  /** The numbers of a changed copy. */
  readonly tryOut: (changed: Design) => Numbers;
  /** How many remedies may be tried, all findings together. */
  readonly most: number;
}

/** What every rule says, gravest first; remedies are candidates that nobody tried yet. */
export function checkRules(design: Design, numbers: Numbers): Finding[] {
  return RULES.flatMap((rule) => rule.check(design, numbers) ?? []).sort((a, b) => RANK[b.severity] - RANK[a.severity]);
}

export const withoutRemedies = (findings: readonly Finding[]): Finding[] =>
  findings.map((finding) => ({ ...finding, remedies: [] }));

/**
 * Findings with the remedies that hold: each candidate is applied to a copy,
 * computed again, and kept only if its finding is gone and nothing graver or
 * new of the same weight has come. Gravest findings first, as many as may be
 * tried; those left over are counted. Pauses after each, so that whoever drives
 * it may stop.
 */
export function* tryRemedies(design: Design, candidates: readonly Finding[], trials: Trials): Steps<Finding[]> {
  const shares = sharedOut(
    candidates.map(({ remedies }) => remedies.length),
    trials.most,
  );
  const total = shares.reduce((sum, share) => sum + share, 0);
  const asItIs = total > 0 ? trials.tryOut(design) : null;
  let done = 0;
  const findings: Finding[] = [];
  for (const [index, finding] of candidates.entries()) {
    const share = shares[index]!;
    const held: Remedy[] = [];
    for (const remedy of finding.remedies.slice(0, share)) {
      const after = holds(design, finding, remedy, candidates, trials.tryOut);
      if (after && asItIs) held.push({ ...remedy, ...broughtBy(asItIs, after) });
      yield { done: ++done, total };
    }
    const untried = finding.remedies.length - share;
    findings.push({ ...finding, remedies: held, ...(untried > 0 ? { untried } : {}) });
  }
  return findings;
}

/** How many each gets when all may have so many: one after another in turn, so that none goes without while others have many. */
function sharedOut(wanted: readonly number[], most: number): number[] {
  const shares = wanted.map(() => 0);
  let left = most;
  for (let round = 0; left > 0 && shares.some((share, index) => share < wanted[index]!); round++)
    for (let index = 0; index < wanted.length && left > 0; index++) {
      if (wanted[index]! <= round) continue;
      shares[index]!++;
      left--;
    }
  return shares;
}

/** The numbers with a remedy in place; null where it does not help or does harm. */
function holds(
  design: Design,
  finding: Finding,
  { change }: Remedy,
  before: readonly Finding[],
  tryOut: Trials['tryOut'],
): Numbers | null {
  const changed = checkChange(design, keptOnTips(design, withFields(design, change)));
  if (!changed.ok) return null;
  const numbers = tryOut(changed.design);
  const after = checkRules(changed.design, numbers);
  const helps =
    after.every(({ id }) => id !== finding.id) &&
    after.every((other) => {
      const known = before.find(({ id }) => id === other.id);
      return known ? RANK[other.severity] <= RANK[known.severity] : RANK[other.severity] < RANK[finding.severity];
    });
  return helps ? numbers : null;
}

/** Less than that is no change that anyone could weigh [kg], or tell of a balance [share of the chord]. */
const WEIGHED = 5e-4;
const TOLD = 0.002;

/** What a remedy does to weight and balance beside what it is for. */
function broughtBy(before: Numbers, after: Numbers): Pick<Remedy, 'brings'> {
  const pieces: Words[] = [];
  const [was, is] = [before.mass.total, after.mass.total];
  if (was !== null && is !== null && Math.abs(is - was) >= WEIGHED)
    pieces.push(say`${kilograms(Math.abs(is - was))} ${is > was ? 'heavier' : 'lighter'}`);
  const [from, to] = [before.pitch.staticMargin, after.pitch.staticMargin];
  if (from !== null && to !== null && Math.abs(to - from) >= TOLD)
    pieces.push(say`static margin ${percent(from)} to ${percent(to)}`);
  return pieces.length > 0 ? { brings: joined(pieces, ', ') } : {};
}
