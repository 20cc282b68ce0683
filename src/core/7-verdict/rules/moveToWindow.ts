import { field } from '@/core/2-document/edit/field';
import { grams, millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { balanceWays } from '../ways/ways';
import { ballastFor, placeForBalance, slidingItems } from '@/core/4-weight/placement';
import type { Design } from '@/core/2-document/schema/design';
import { kilogramsFromGrams, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Remedy } from '../finding';
import type { Numbers } from '@/core/6-groups/page';

/** A shift smaller than this is lost in building [mm]. */
const WORTH_MOVING = 0.5;

/**
 * Ways to bring the balance to a target [m]: slide what slides, move
 * a pod or the wing with what sits on it, or add to ballast that is there. Candidates only: the rule set tries them.
 */
export function waysToBalanceAt(design: Design, numbers: Numbers, target: number): Remedy[] {
  const { mass } = numbers;
  if (mass.total === null || mass.cg === null) return [];
  const balance = { total: mass.total, x: mass.cg[0] };
  const remedies: Remedy[] = [];
  for (const item of slidingItems(design)) {
    const { reachable } = placeForBalance(item, target, balance);
    const position = tenths(reachable);
    if (Math.abs(position - item.position.x) < WORTH_MOVING) continue;
    const way = position < item.position.x ? 'forward' : 'back';
    remedies.push({
      label: say`Slide ${nameOf(item)} ${way} by ${millimetres(Math.abs(position - item.position.x))}`,
      change: [field('massItems', item.id, 'position', 'x').to(position)],
    });
  }
  for (const item of design.massItems.filter(
    ({ category, measuredMass }) => category === 'ballast' && measuredMass === undefined,
  )) {
    const without = balance.total - kilogramsFromGrams(item.mass);
    const x =
      (balance.total * balance.x - kilogramsFromGrams(item.mass) * metresFromMillimetres(item.position.x)) / without;
    const needed = ballastFor(item.position.x, target, { total: without, x });
    if (needed === null) continue;
    remedies.push({
      label: say`Make ${nameOf(item)} ${grams(needed)}`,
      change: [field('massItems', item.id, 'mass').to(Math.round(needed))],
    });
  }
  for (const way of balanceWays(design, numbers, target))
    if ((way.kind === 'wing' || way.kind === 'pod') && way.works)
      remedies.push({ label: say`Move ${way.label}`, change: way.change });
  return remedies;
}
