import { isWing } from '@/core/2-document/schema/roles';
import { field } from '@/core/2-document/edit/field';
import { plain, say, seconds } from '@/core/1-base/words/phrase';
import { withDihedral } from '../changes';
import { MANY_SWINGS } from '@/core/6-groups/motion/verdicts';
import { makeRule } from '../makeRule';

/** The tail wags for long after a gust: much dihedral for little fin. */
export const wallows = makeRule(
  { id: 'wallows', stage: 'stability', source: 'Etkin & Reid, Dynamics of Flight, section 6.8' },
  (design, { motion }) => {
    const mode = motion.lateral.find(({ kind }) => kind === 'dutchRoll');
    if (!mode || mode.period === null) return null;
    const swings = mode.timeToHalf === null ? Infinity : mode.timeToHalf / mode.period;
    if (!mode.grows && swings <= MANY_SWINGS) return null;
    const wings = design.surfaces.filter(isWing);
    const fins = design.surfaces.filter(({ role }) => role === 'fin');
    return {
      severity: mode.grows ? 'stop' : 'caution',
      message: mode.grows
        ? say`It wallows more and more: the tail wags with a period of ${seconds(mode.period, 1)} and doubles in ${mode.timeToHalf === null ? 'no time' : seconds(mode.timeToHalf)}.`
        : say`It wallows: after a gust the tail wags for ${Number.isFinite(swings) ? plain(swings, 1) : 'ever so many'} swings of ${seconds(mode.period, 1)} until half of it is gone.`,
      numbers: { period: seconds(mode.period), ...(Number.isFinite(swings) ? { swings: plain(swings, 1) } : {}) },
      remedies: [
        { label: 'Take 2° of dihedral out', change: wings.flatMap((wing) => withDihedral(wing, -2)) },
        { label: 'Take 4° of dihedral out', change: wings.flatMap((wing) => withDihedral(wing, -4)) },
        ...(fins.length > 0
          ? [1.25, 1.5].map((factor) => ({
              label: say`Make the fin ${factor === 1.25 ? 'a quarter' : 'half as much'} taller`,
              change: fins.flatMap((fin) =>
                fin.stations
                  .slice(1)
                  .map((station, index) =>
                    field('surfaces', fin.id, 'stations', index + 1, 'distanceFromRoot').to(
                      Math.round(station.distanceFromRoot * factor),
                    ),
                  ),
              ),
            }))
          : []),
      ],
    };
  },
);
