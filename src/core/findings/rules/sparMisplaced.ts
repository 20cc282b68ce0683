import { MOST_OFF_THICKEST, offThickest, sparPlaces, type SparPlace } from '../../pattern/sparPlace';
import { makeRule } from '../makeRule';
import { nameOf, tenths } from '../words';

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
          message: `${nameOf(spar)} in ${nameOf(surface).toLowerCase()} lies up to ${Math.round(off * 100)} % of the chord away from the thickest place (${Math.round(first.fraction * 100)} % at its inner end, thickest at ${Math.round(first.thickest * 100)} %): it gives away height.`,
          numbers: { off },
          remedies: [
            {
              label: 'Lay it through the thickest place',
              change: [
                {
                  field: `/surfaces/${surface.id}/spars/${spar.id}/start/x`,
                  value: at(spar.start.x, first, first.thickest),
                },
                { field: `/surfaces/${surface.id}/spars/${spar.id}/end/x`, value: at(spar.end.x, last, last.thickest) },
              ],
            },
          ],
        };
      }
    }
    return null;
  },
);
