import { isWing } from '@/core/2-document/schema/roles';
import { millimetres, nameOf, plain, say } from '@/core/1-base/words/phrase';
import type { Station } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import { makeRule } from '../makeRule';

/** Half spans over depth of the root section beyond which board alone bends in a pull-up; practice of the field. */
const SLENDER = 55;

/** From the lowest to the highest place of a section, its curve counted: what bends works over that [mm]. */
function depthAt({ section, chord }: Station): number {
  const { upper, lower } = contourOf(section, chord);
  return (Math.max(...upper) - Math.min(...lower)) * chord;
}

/** A slender wing of board alone. */
export const wingUnspared = makeRule(
  { id: 'wingUnspared', stage: 'wing', source: 'Practice of the field' },
  (design) => {
    for (const wing of design.surfaces.filter(isWing)) {
      if (wing.spars.length > 0) continue;
      const thickness = depthAt(wing.stations[0]!);
      const half = wing.stations.at(-1)!.distanceFromRoot;
      if (half / thickness <= SLENDER) continue;
      return {
        severity: 'note',
        message: say`${nameOf(wing)} reaches ${millimetres(half)} out on a section ${millimetres(thickness, 0)} deep without a rod. Wings as slender as that usually bend and twist: load one by hand before you fly it.`,
        numbers: { slenderness: plain(half / thickness, 0) },
      };
    }
    return null;
  },
);
