import { isAftTail } from '@/core/2-document/schema/roles';
import { field } from '@/core/2-document/edit/field';
import { millimetres, nameOf, percent, plain, radians, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Share of each degree of angle of attack that the wing takes away from the tail. */
const MOST = 0.6;

/** The tail works in air that follows the wing: less of it counts than its area says. */
export const downwashStrong = makeRule(
  { id: 'downwashStrong', stage: 'tail', source: 'Lattice downwash at the tail; far behind 2C_L/(πA) (Prandtl)' },
  (design, { pitch }) => {
    const { downwashSlope, downwash } = pitch;
    const tail = design.surfaces.find(isAftTail);
    if (downwashSlope === null || downwash === null || !tail || downwashSlope <= MOST) return null;
    const lift = (height: number) => ({
      label: say`Set ${nameOf(tail)} ${millimetres(height)} higher`,
      change: [field('surfaces', tail.id, 'position', 'z').to(Math.round(tail.position.z + height))],
    });
    return {
      severity: 'note',
      message: say`The wing bends the air at ${nameOf(tail).toLowerCase()} down by ${radians(downwash)}, and by ${plain(downwashSlope)}° more for every degree of angle of attack: only ${percent(1 - downwashSlope, 0)} of the tail counts for stability. A longer arm or a higher tail helps.`,
      numbers: { downwash: radians(downwash), downwashSlope: plain(downwashSlope) },
      remedies: [lift(60), lift(120)],
    };
  },
);
