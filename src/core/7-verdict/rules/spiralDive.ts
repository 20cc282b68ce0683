import { isWing } from '@/core/2-document/schema/roles';
import { degrees, say, seconds } from '@/core/1-base/words/phrase';
import { withDihedral } from '../changes';
import { FAST_SPIRAL } from '@/core/6-groups/motion/verdicts';
import { makeRule } from '../makeRule';

/** Doubling faster than this it is on its side before a thumb moves [s]. */
const TOO_QUICK = 2;

/** Left alone in a turn it winds in quickly. */
export const spiralDive = makeRule(
  { id: 'spiralDive', stage: 'stability', source: 'Etkin & Reid, Dynamics of Flight, section 6.7' },
  (design, { motion }) => {
    const spiral = motion.lateral.find(({ kind }) => kind === 'spiral');
    if (!spiral || !spiral.grows || spiral.timeToHalf === null || spiral.timeToHalf >= FAST_SPIRAL) return null;
    const wings = design.surfaces.filter(isWing);
    const more = (angle: number) => ({
      label: say`Give the wing ${degrees(angle, 0)} more dihedral`,
      change: wings.flatMap((wing) => withDihedral(wing, angle)),
    });
    return {
      severity: spiral.timeToHalf < TOO_QUICK ? 'caution' : 'note',
      message: say`It spirals in: a small bank doubles in ${seconds(spiral.timeToHalf, 1)} when nothing is done. More dihedral, or less fin, brings it back.`,
      numbers: { timeToDouble: seconds(spiral.timeToHalf) },
      remedies: [more(1), more(2), more(4)],
    };
  },
);
