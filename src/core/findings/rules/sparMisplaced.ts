import { sparPlaces } from '../../pattern/sparPlace';
import { makeRule } from '../makeRule';
import { nameOf, tenths } from '../words';

/** Chord fraction between a rod and the thickest place of a section that has one. */
const MOST = 0.12;

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
        const thick = surface.stations[0]!.section.kind;
        // Sheets of even thickness have no thickest place.
        if (thick === 'flatPlate' || thick === 'curvedPlate' || thick === 'reflexed') continue;
        const places = sparPlaces(surface, spar.id);
        const off = places.reduce((most, { fraction, thickest }) => Math.max(most, Math.abs(fraction - thickest)), 0);
        if (off <= MOST) continue;
        const [first, last] = [places[0]!, places.at(-1)!];
        const at = (place: typeof first) => {
          const share = place.fraction * place.chord;
          return tenths((place === first ? spar.start.x : spar.end.x) + (place.thickest * place.chord - share));
        };
        return {
          severity: 'caution',
          message: `${nameOf(spar)} in ${nameOf(surface).toLowerCase()} lies up to ${Math.round(off * 100)} % of the chord away from the thickest place (${Math.round(first.fraction * 100)} % at its inner end, thickest at ${Math.round(first.thickest * 100)} %): it gives away height.`,
          numbers: { off },
          remedies: [
            {
              label: 'Lay it through the thickest place',
              change: [
                { field: `/surfaces/${surface.id}/spars/${spar.id}/start/x`, value: at(first) },
                { field: `/surfaces/${surface.id}/spars/${spar.id}/end/x`, value: at(last) },
              ],
            },
          ],
        };
      }
    }
    return null;
  },
);
