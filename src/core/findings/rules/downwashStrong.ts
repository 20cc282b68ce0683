import { makeRule } from '../makeRule';
import { inDegrees, nameOf } from '../words';

/** Share of each degree of angle of attack that the wing takes away from the tail. */
const MOST = 0.6;

/** The tail works in air that follows the wing: less of it counts than its area says. */
export const downwashStrong = makeRule(
  { id: 'downwashStrong', stage: 'tail', source: 'Lattice downwash at the tail; far behind 2C_L/(πA) (Prandtl)' },
  (design, { pitch }) => {
    const { downwashSlope, downwash } = pitch;
    const tail = design.surfaces.find(({ role }) => role === 'tailplane' || role === 'vTail');
    if (downwashSlope === null || downwash === null || !tail || downwashSlope <= MOST) return null;
    const lift = (height: number) => ({
      label: `Set ${nameOf(tail)} ${height} mm higher`,
      change: [{ field: `/surfaces/${tail.id}/position/z`, value: Math.round(tail.position.z + height) }],
    });
    return {
      severity: 'note',
      message:
        `The wing bends the air at ${nameOf(tail).toLowerCase()} down by ${inDegrees(downwash)}, and by ${downwashSlope.toFixed(2)}° more for every degree of angle of attack: ` +
        `only ${Math.round((1 - downwashSlope) * 100)} % of the tail counts for stability. A longer arm or a higher tail helps.`,
      numbers: { downwash, downwashSlope },
      remedies: [lift(60), lift(120)],
    };
  },
);
