import type { Rule } from '../rule';
import { inGrams } from '../words';

/** Heavier than the brief allows. */
export const overWeight: Rule = {
  id: 'overWeight',
  check: (design, { mass }) => {
    const most = design.brief.maximumMass;
    if (most === undefined || mass.total === null || mass.total * 1000 <= most) return null;
    return {
      id: 'overWeight',
      severity: 'caution',
      stage: 'weights',
      message: `It weighs ${inGrams(mass.total)}, over the ${Math.round(most)} g of the brief. Weight classes are set by local rules: check them.`,
      numbers: { mass: mass.total, limit: most / 1000 },
      source: 'Brief',
      remedies: [],
    };
  },
};
