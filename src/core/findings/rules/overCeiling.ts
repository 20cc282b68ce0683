import { massCeilings } from '../../balance/massCeiling';
import { ceilingInput } from '../../balance/ceilingInput';
import { makeRule } from '../makeRule';
import { inGrams } from '../words';

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
      message: `It weighs ${inGrams(total)}, more than the ${inGrams(over.mass!)} up to which ${over.because}.`,
      numbers: { total, ceiling: over.mass! },
    };
  },
);
