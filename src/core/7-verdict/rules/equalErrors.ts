import { plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { builtErrors, standing, WORTH_A_WORD } from './builtErrors';

/** Wing and tail that err alike only turn the fuselage in the air. */
export const equalErrors = makeRule(
  { id: 'equalErrors', stage: 'rigging', source: 'ΔC_m of all measured angles together' },
  (design, analysis) => {
    const built = builtErrors(design, analysis);
    if (!built || Math.abs(built.total) >= WORTH_A_WORD * built.maximumLift) return null;
    return {
      severity: 'note',
      message: say`${standing(design, built)}: together they leave the trim as it was, and only the fuselage hangs differently in the air. Nothing to mend.`,
      numbers: { moved: plain(built.total) },
    };
  },
);
