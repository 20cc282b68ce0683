import { kilograms, say } from '@/core/1-base/words/phrase';
import { massCeilings } from '@/core/6-groups/ceilings/massCeiling';
import { ceilingInput } from '@/core/6-groups/ceilings/ceilingInput';
import { makeRule } from '../makeRule';

/** Heavier than its thrust lifts. Stall, launch, class and what wings bear have rules of their own. */
export const overCeiling = makeRule(
  {
    id: 'overCeiling',
    stage: 'weights',
    source: 'Anderson, Introduction to Flight, ch. 6',
  },
  (design, analysis) => {
    const { total } = analysis.mass;
    const input = ceilingInput(design, analysis);
    if (total === null || !input) return null;
    const over = massCeilings(input).find(({ reason }) => reason === 'climb');
    if (!over || over.mass === null || over.mass >= total) return null;
    return {
      severity: 'caution',
      message: say`It weighs ${kilograms(total)}, more than the ${kilograms(over.mass)} up to which ${over.because}.`,
      numbers: { total: kilograms(total), ceiling: kilograms(over.mass) },
    };
  },
);
