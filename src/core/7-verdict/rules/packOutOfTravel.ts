import { field } from '@/core/2-document/edit/field';
import { millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { placeForBalance, slidingItems } from '@/core/4-weight/placement';
import type { Design } from '@/core/2-document/schema/design';
import { makeRule } from '../makeRule';
import { waysToBalanceAt } from './moveToWindow';

/** What slides for balance would have to leave its bay to bring the aircraft into the window. */
export const packOutOfTravel = makeRule(
  { id: 'packOutOfTravel', stage: 'balance', source: 'Sum of moments' },
  (design, analysis) => {
    const { window, mass } = analysis;
    if (window.aft === null || window.forward === null || mass.cg === null || mass.total === null) return null;
    const x = mass.cg[0];
    if ((x <= window.aft && x >= window.forward) || window.forward > window.aft) return null;
    const item = slidingItems(design)[0];
    if (!item || item.attachment.kind !== 'slides') return null;
    const target = x > window.aft ? window.aft : window.forward;
    const placement = placeForBalance(item, target, { total: mass.total, x });
    if (placement.withinTravel) return null;
    const beyond = placement.position - placement.reachable;
    return {
      severity: 'stop',
      message: say`${nameOf(item)} would have to sit at ${millimetres(placement.position)} to bring the balance into the window, ${millimetres(Math.abs(beyond))} ${beyond < 0 ? 'ahead of' : 'behind'} the end of its bay.`,
      numbers: { wanted: millimetres(placement.position), reachable: millimetres(placement.reachable) },
      remedies: [
        ...(fitsInside(design, placement.position)
          ? [
              {
                label: say`Lengthen the bay to ${millimetres(placement.position)} and slide it there`,
                change: [
                  field('massItems', item.id, 'attachment', beyond < 0 ? 'from' : 'to').to(
                    tenths(placement.position + Math.sign(beyond)),
                  ),
                  field('massItems', item.id, 'position', 'x').to(tenths(placement.position + Math.sign(beyond))),
                ],
              },
            ]
          : []),
        ...waysToBalanceAt(design, analysis, target + Math.sign(x - target) * -0.1 * (window.aft - window.forward)),
      ],
    };
  },
);

/** A bay can only be as long as the fuselage. */
function fitsInside({ bodies }: Design, position: number): boolean {
  const places = bodies.flatMap((body) => body.frames.map(({ x }) => body.position.x + x));
  return places.length === 0 || (position > Math.min(...places) && position < Math.max(...places));
}
