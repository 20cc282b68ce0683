import { isFin } from '@/core/2-document/schema/roles';
import { field } from '@/core/2-document/edit/field';
import { plain, say } from '@/core/1-base/words/phrase';
import { YAW } from '@/core/6-groups/motion/verdicts';
import { makeRule } from '../makeRule';

/** Too little fin: it wanders, or turns away from its path. */
export const weakFin = makeRule(
  { id: 'weakFin', stage: 'tail', source: 'Etkin & Reid, Dynamics of Flight, section 3.9' },
  (design, { lateral }) => {
    const { yawStiffnessInWind: yawStiffness } = lateral;
    if (yawStiffness === null || yawStiffness >= YAW.least) return null;
    const fins = design.surfaces.filter(isFin);
    const grow = (factor: number, words: string) => ({
      label: say`Make the fin ${words} taller`,
      change: fins.flatMap((fin) =>
        fin.stations
          .slice(1)
          .map((station, index) =>
            field('surfaces', fin.id, 'stations', index + 1, 'distanceFromRoot').to(
              Math.round(station.distanceFromRoot * factor),
            ),
          ),
      ),
    });
    return {
      severity: yawStiffness <= 0 ? 'stop' : 'caution',
      message:
        yawStiffness <= 0
          ? say`Nothing turns the nose back into the wind: the yaw stiffness is ${plain(yawStiffness, 3)} per radian.`
          : say`The fin is small: a yaw stiffness of ${plain(yawStiffness, 3)} per radian lets it wander (0.04 to 0.12 is usual).`,
      numbers: { yawStiffness: plain(yawStiffness, 3) },
      remedies: fins.length > 0 ? [grow(1.2, 'a fifth'), grow(1.4, 'two fifths')] : [],
    };
  },
);
