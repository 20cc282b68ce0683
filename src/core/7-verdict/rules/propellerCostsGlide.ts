import { airAt, GRAVITY } from '@/core/5-aero/atmosphere';
import { percent, plain, say } from '@/core/1-base/words/phrase';
import { field } from '@/core/2-document/edit/field';
import { makeRule } from '../makeRule';

/** Share of the drag of its best glide that is worth a word, and that spoils a glider; C. */
const WORTH = 0.2;
const SPOILS = 0.3;
const GLIDERS = ['soar', 'float'];

/** Propellers without power take much of the glide. */
export const propellerCostsGlide = makeRule(
  { id: 'propellerCostsGlide', stage: 'power', source: 'Blade elements at rest, ±25 %; windmilling ±40 %' },
  (design, { drag: { restingPropellers }, speeds: { glideRatio, bestGlide }, power, mass, reference }) => {
    if (!GLIDERS.includes(design.brief.purpose) || power.staticThrust === null) return null;
    if (!restingPropellers || !glideRatio || !bestGlide || mass.total === null || !reference.area) return null;
    const drives = design.propulsion.filter(({ atRest }) => atRest !== 'folds');
    if (drives.length === 0) return null;
    const { density } = airAt(design.conditions.elevation, design.conditions.temperature);
    const lift = (mass.total * GRAVITY) / ((density / 2) * bestGlide ** 2 * reference.area);
    const share = (restingPropellers * glideRatio) / lift;
    if (share < WORTH) return null;
    return {
      severity: share >= SPOILS ? 'caution' : 'note',
      message: say`Without power the propeller makes ${percent(share, 0)} of the drag of its best glide, ${plain(glideRatio, 1)} to 1: let it fold, take a smaller one, or let the wind not turn it.`,
      numbers: { share: percent(share, 0), glideRatio: plain(glideRatio, 1) },
      remedies: [
        {
          label: 'Let the propeller fold',
          change: drives.map(({ id }) => field('propulsion', id, 'atRest').to('folds')),
        },
      ],
    };
  },
);
