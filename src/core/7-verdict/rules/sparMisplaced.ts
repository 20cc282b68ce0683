import { field } from '@/core/2-document/edit/field';
import { nameOf, percent, say } from '@/core/1-base/words/phrase';
import { tenths } from '../changes';
import { MOST_OFF_THICKEST, offThickest, sparPlaces, type SparPlace } from '@/core/3-shape/pattern/sparPlace';
import { makeRule } from '../makeRule';

/** A rod does not lie where the section is thickest: it is lower there, and stiffness goes with the square of height. */
export const sparMisplaced = makeRule(
  {
    id: 'sparMisplaced',
    stage: 'section',
    source: 'Gere, Mechanics of Materials, ch. 5: bending stiffness grows with height squared',
  },
  (design) => {
    for (const surface of design.surfaces) {
      for (const spar of surface.spars) {
        const places = sparPlaces(surface, spar.id);
        const off = Math.max(0, ...places.map(offThickest));
        if (off <= MOST_OFF_THICKEST) continue;
        const [first, last] = [places[0]!, places.at(-1)!];
        if (first.thickest === null || last.thickest === null) continue;
        const at = (x: number, { fraction, chord }: SparPlace, thickest: number) =>
          tenths(x + (thickest - fraction) * chord);
        return {
          severity: 'caution',
          message: say`${nameOf(spar)} in ${nameOf(surface).toLowerCase()} lies up to ${percent(off, 0)} of the chord away from the thickest place (${percent(first.fraction, 0)} at its inner end, thickest at ${percent(first.thickest, 0)}): it gives away height.`,
          numbers: { off: percent(off, 0) },
          remedies: [
            {
              label: 'Lay it through the thickest place',
              change: [
                field('surfaces', surface.id, 'spars', spar.id, 'start', 'x').to(
                  at(spar.start.x, first, first.thickest),
                ),
                field('surfaces', surface.id, 'spars', spar.id, 'end', 'x').to(at(spar.end.x, last, last.thickest)),
              ],
            },
          ],
        };
      }
    }
    return null;
  },
);
