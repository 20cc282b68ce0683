import { isFin } from '@/core/2-document/schema/roles';
import type { Surface } from '@/core/2-document/schema/surface';
import { degrees, nameOf, percent, plain, say } from '@/core/1-base/words/phrase';
import { YAW } from '@/core/6-groups/motion/verdicts';
import { scaledSurface } from '@/core/3-shape/planform/scaleSurface';
import { withDihedral, withLength } from '../changes';
import type { Remedy } from '../finding';
import { makeRule } from '../makeRule';

/** Too little fin, or a V-tail that gives too little of one: it wanders, or turns away from its path. */
export const weakFin = makeRule(
  { id: 'weakFin', stage: 'tail', source: 'Etkin & Reid, Dynamics of Flight, section 3.9' },
  (design, { lateral }) => {
    const { yawStiffnessInWind: yawStiffness } = lateral;
    if (yawStiffness === null || yawStiffness >= YAW.least) return null;
    const fins = design.surfaces.filter(isFin);
    const vee = fins.length === 0 ? design.surfaces.find(({ role }) => role === 'vTail') : undefined;
    const what = vee ? say`${nameOf(vee)} is small for yaw` : fins.length > 0 ? 'The fin is small' : 'There is no fin';
    return {
      severity: yawStiffness <= 0 ? 'stop' : 'caution',
      message:
        yawStiffness <= 0
          ? say`Nothing turns the nose back into the wind: the yaw stiffness is ${plain(yawStiffness, 3)} per radian.`
          : say`${what}: a yaw stiffness of ${plain(yawStiffness, 3)} per radian lets it wander (0.04 to 0.12 is usual).`,
      numbers: { yawStiffness: plain(yawStiffness, 3) },
      remedies: vee
        ? veeRemedies(vee)
        : fins.length > 0
          ? [taller(fins, 1.2, 'a fifth'), taller(fins, 1.4, 'two fifths')]
          : [],
    };
  },
);

const taller = (fins: readonly Surface[], factor: number, words: string): Remedy => ({
  label: say`Make the fin ${words} taller`,
  change: fins.flatMap((fin) => withLength(fin, factor)),
});

/** More of the V, or more of it upright. */
const veeRemedies = (vee: Surface): Remedy[] => [
  ...[1.2, 1.45].map((factor) => ({
    label: say`Give ${nameOf(vee)} ${percent(factor - 1, 0)} more area`,
    change: scaledSurface(vee, factor),
  })),
  ...[4, 8].map((angle) => ({
    label: say`Set its panels ${degrees(angle, 0)} steeper`,
    change: withDihedral(vee, Math.sign(vee.stations[0]!.dihedral) * angle),
  })),
];
