import { checkChange } from '@/core/2-document/edit/checkChange';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import type { Finding, Remedy } from '@/core/7-verdict/finding';
import { checkRules } from '@/core/7-verdict/judge';

/** Findings that a rod may settle. */
const OF_STRENGTH = new Set(['breaksInFlight', 'twistsAway', 'turnsRound', 'flexUnsettles', 'softBoom']);
/** So many rods are added at most. */
const MOST_RODS = 3;

const laysRods = ({ change }: Remedy) =>
  change.every(({ field }) => field.endsWith('/spars') || field.endsWith('/rods'));

/** What asks for more than to be known. */
const graveOf = (design: Design): Finding[] =>
  checkRules(design, numbersOf(design, { without: ['bands'] })).filter(({ severity }) => severity !== 'note');

/**
 * The rods that a builder would add before the first cut: while bending or
 * twisting of the drawn airframe asks for more than a note, the first of the
 * offered rods is laid that leaves a note of it at most and brings nothing
 * grave of its own.
 */
export function stiffened(drawn: Design): Design {
  let design = drawn;
  let grave = graveOf(design);
  for (let rods = 0; rods < MOST_RODS; rods++) {
    const weak = grave.find(({ id }) => OF_STRENGTH.has(id));
    const better = weak && firstThatHelps(design, grave, weak);
    if (!better) return design;
    ({ design, grave } = better);
  }
  return design;
}

function firstThatHelps(design: Design, before: readonly Finding[], weak: Finding) {
  const known = new Set(before.filter((finding) => finding !== weak).map(({ id }) => id));
  for (const { change } of weak.remedies.filter(laysRods)) {
    const changed = checkChange(design, withFields(design, change));
    if (!changed.ok) continue;
    const grave = graveOf(changed.design);
    if (grave.every(({ id }) => known.has(id))) return { design: changed.design, grave };
  }
  return null;
}
