import { isHollow } from '@/core/3-shape/section/kinds';
import { sparPlaces } from '@/core/3-shape/pattern/sparPlace';
import { rodSection } from '@/core/3-shape/section/rod';
import { boardOf } from '@/core/3-shape/section/freshSection';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { millimetres, nameOf, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** A rod may stand proud by so much: glue and tape take it up [mm]. */
const PROUD = 0.2;

/** A rod is thicker than the board it sits in, or than the room between the skins. */
export const rodTooThick = makeRule(
  {
    id: 'rodTooThick',
    stage: 'section',
    source: 'Geometry: height of the rod against the room at its ends and breaks',
  },
  (design) => {
    for (const surface of design.surfaces) {
      for (const spar of surface.spars) {
        const height = millimetresFromMetres(rodSection(spar).height);
        const rooms = sparPlaces(surface, spar.id).map(({ height: outside, section, distance }) => ({
          distance,
          room: isHollow(section) ? outside - 2 * boardOf(section) : outside,
        }));
        const least = rooms.toSorted((a, b) => a.room - b.room)[0];
        if (!least || height <= 0 || height - least.room <= PROUD) continue;
        return {
          severity: 'note',
          message: say`${nameOf(spar)} in ${nameOf(surface).toLowerCase()} is ${millimetres(height, 1)} thick, but ${
            least.distance < 1 ? 'at the root' : say`${millimetres(least.distance, 0)} out`
          } there are only ${millimetres(Math.max(0, least.room), 1)} for it: it stands out of the board.`,
          numbers: { height: millimetres(height), room: millimetres(least.room) },
        };
      }
    }
    return null;
  },
);
