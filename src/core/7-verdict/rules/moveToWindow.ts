import { field } from '@/core/2-document/edit/field';
import { grams, millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { ballastFor, placeForBalance, slidingItems } from '@/core/4-weight/placement';
import type { Design } from '@/core/2-document/schema/design';
import { kilogramsFromGrams, metresFromMillimetres, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Remedy } from '../finding';
import type { Numbers } from '@/core/6-groups/page';

/** A shift smaller than this is lost in building [mm]. */
const WORTH_MOVING = 0.5;

/**
 * Ways to bring the balance to a target [m]: slide what slides, move the wing,
 * or add to ballast that is there. Candidates only: the rule set tries them.
 */
export function waysToBalanceAt(design: Design, { mass }: Numbers, target: number): Remedy[] {
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
  remedies.push(...wingShift(design, target - balance.x));
  return remedies;
}

/** Moving the wings by Δ takes the neutral point along almost whole; the balance follows only by their mass. */
function wingShift(design: Design, missing: number): Remedy[] {
  const wings = design.surfaces.filter(({ role }) => role === 'wing');
  const shift = tenths(-millimetresFromMetres(missing) * 1.25);
  if (wings.length !== 1 || Math.abs(shift) < WORTH_MOVING || Math.abs(shift) > wings[0]!.stations[0]!.chord / 2)
    return [];
  const wing = wings[0]!;
  return [
    {
      label: say`Move ${nameOf(wing)} ${shift > 0 ? 'back' : 'forward'} by ${millimetres(Math.abs(shift))}`,
      change: [field('surfaces', wing.id, 'position', 'x').to(tenths(wing.position.x + shift))],
    },
  ];
}
