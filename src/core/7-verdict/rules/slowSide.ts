import { isPitchTail } from '@/core/2-document/schema/roles';
import { metresPerSecond, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Approach below this share of the speed of best glide lies where slower means more drag. */
const LEAST = 0.8;

/** Tailless: the approach lies on the back of the drag curve, where speed runs away from itself. */
export const slowSide = makeRule(
  {
    id: 'slowSide',
    stage: 'stability',
    source: 'Speed stability: dD/dV < 0 below the speed of least drag (Etkin & Reid, section 6.2)',
  },
  (design, { speeds }) => {
    const isTailless = !design.surfaces.some((surface) => isPitchTail(surface) || surface.role === 'secondWing');
    if (!isTailless || speeds.approach === null || speeds.bestGlide === null) return null;
    if (speeds.approach >= LEAST * speeds.bestGlide) return null;
    return {
      severity: 'note',
      message: say`An approach at ${metresPerSecond(speeds.approach)} is well below the ${metresPerSecond(speeds.bestGlide)} of best glide: slower there means more drag, and with little pitch damping the speed wanders. Come in faster.`,
      numbers: { approach: metresPerSecond(speeds.approach), bestGlide: metresPerSecond(speeds.bestGlide) },
    };
  },
);
