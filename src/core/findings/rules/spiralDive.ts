import { withDihedral } from '../changes';
import { makeRule } from '../makeRule';

/** Doubling faster than this a bank runs away before it is seen [s]. */
const FASTEST = 5;

/** Left alone in a turn it winds in quickly. */
export const spiralDive = makeRule(
  { id: 'spiralDive', stage: 'stability', source: 'Etkin & Reid, Dynamics of Flight, section 6.7' },
  (design, { motion }) => {
    const spiral = motion.lateral.find(({ kind }) => kind === 'spiral');
    if (!spiral || !spiral.grows || spiral.timeToHalf === null || spiral.timeToHalf >= FASTEST) return null;
    const wings = design.surfaces.filter(({ role }) => role === 'wing' || role === 'secondWing');
    const more = (degrees: number) => ({
      label: `Give the wing ${degrees}° more dihedral`,
      change: wings.flatMap((wing) => withDihedral(wing, degrees)),
    });
    return {
      severity: spiral.timeToHalf < 2 ? 'caution' : 'note',
      message: `It spirals in: a small bank doubles in ${spiral.timeToHalf.toFixed(1)} s when nothing is done. More dihedral, or less fin, brings it back.`,
      numbers: { timeToDouble: spiral.timeToHalf },
      remedies: [more(1), more(2), more(4)],
    };
  },
);
