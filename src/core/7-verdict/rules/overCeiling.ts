import { kilograms, say } from '@/core/1-base/words/phrase';
import { massCeilings } from '@/core/6-groups/ceilings/massCeiling';
import { ceilingInput } from '@/core/6-groups/ceilings/ceilingInput';
import { makeRule } from '../makeRule';

/** Heavier than thrust or rods bear. Stall, launch and class have rules of their own. */
export const overCeiling = makeRule(
  {
    id: 'overCeiling',
    stage: 'weights',
    source: 'Anderson, Introduction to Flight, ch. 6; Gere, Mechanics of Materials, ch. 5',
  },
  (design, analysis) => {
    const { total } = analysis.mass;
    const input = ceilingInput(design, analysis);
    if (total === null || !input) return null;
    const over = massCeilings(input)
      .filter(({ reason, mass }) => (reason === 'climb' || reason === 'strength') && mass !== null && mass < total)
      .sort((a, b) => a.mass! - b.mass!)[0];
    if (!over) return null;
    return {
      severity: 'caution',
      message: say`It weighs ${kilograms(total)}, more than the ${kilograms(over.mass!)} up to which ${over.because}.`,
      numbers: { total: kilograms(total), ceiling: kilograms(over.mass!) },
    };
  },
);
