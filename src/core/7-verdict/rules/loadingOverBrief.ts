import { isWing } from '@/core/2-document/schema/roles';
import { kilogramsOverArea, percent, say } from '@/core/1-base/words/phrase';
import { kilogramsPerSquareMetre } from '@/core/1-base/units/convert';
import { LIMITS } from '@/core/2-document/schema/limits';
import { makeRule } from '../makeRule';
import { withChords } from '../changes';

const MOST = 1.1;
/** From here on it is another model than was asked for. */
const FAR_OVER = 1.25;

/** More wing loading than the brief asked for. */
export const loadingOverBrief = makeRule(
  { id: 'loadingOverBrief', stage: 'weights', source: 'Brief' },
  (design, { mass }) => {
    const wanted = design.brief.targetWingLoading;
    // Less than the lightest board weighs is no target.
    if (wanted === undefined || wanted < LIMITS.arealDensity.minimum || mass.wingLoading === null) return null;
    const over = mass.wingLoading / kilogramsPerSquareMetre(wanted);
    if (over <= MOST) return null;
    const wings = design.surfaces.filter(isWing);
    const more = Math.ceil((over / MOST - 1) * 160) / 100;
    return {
      severity: over > FAR_OVER ? 'caution' : 'note',
      message: say`It carries ${kilogramsOverArea(mass.wingLoading, 1)}, ${percent(over - 1, 0)} more than the ${kilogramsOverArea(kilogramsPerSquareMetre(wanted))} of the brief: it will fly and land that much faster.`,
      numbers: {
        wingLoading: kilogramsOverArea(mass.wingLoading),
        wanted: kilogramsOverArea(kilogramsPerSquareMetre(wanted)),
      },
      remedies: [
        {
          label: say`Make the wing ${percent(more, 0)} deeper`,
          change: wings.flatMap((wing) => withChords(wing, 1 + more)),
        },
      ],
    };
  },
);
