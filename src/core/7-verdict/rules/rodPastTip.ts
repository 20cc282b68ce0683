import { field } from '@/core/2-document/edit/field';
import { millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { makeRule } from '../makeRule';

/** Less than that is a rod that was not filed flush [mm]. */
const FLUSH = 2;

/** A rod goes on beyond the tip of its surface, as where a wing was made shorter after it was laid. */
export const rodPastTip = makeRule(
  {
    id: 'rodPastTip',
    stage: 'section',
    source: 'Geometry: end of the rod against the last station of its surface',
  },
  (design) => {
    for (const surface of design.surfaces) {
      const tip = surface.stations.at(-1)!.distanceFromRoot;
      for (const spar of surface.spars) {
        const { start, end } = spar;
        const past = end.distanceFromRoot - tip;
        if (past <= FLUSH) continue;
        const share = (tip - start.distanceFromRoot) / (end.distanceFromRoot - start.distanceFromRoot);
        const of = (key: 'distanceFromRoot' | 'x') => field('surfaces', surface.id, 'spars', spar.id, 'end', key);
        return {
          severity: 'caution',
          message: say`${nameOf(spar)} goes ${millimetres(past, 0)} beyond the tip of ${nameOf(surface).toLowerCase()}: there is nothing to hold it there.`,
          numbers: { past: millimetres(past) },
          remedies:
            share > 0
              ? [
                  {
                    label: 'Let it end at the tip',
                    change: [
                      of('distanceFromRoot').to(tenths(tip)),
                      of('x').to(tenths(start.x + share * (end.x - start.x))),
                    ],
                  },
                ]
              : [],
        };
      }
    }
    return null;
  },
);
