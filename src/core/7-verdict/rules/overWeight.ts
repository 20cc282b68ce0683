import { grams, kilograms, say } from '@/core/1-base/words/phrase';
import { gramsFromKilograms } from '@/core/1-base/units/convert';
import { makeRule } from '../makeRule';

/** Heavier than the brief allows. */
export const overWeight = makeRule({ id: 'overWeight', stage: 'weights', source: 'Brief' }, (design, { mass }) => {
  const most = design.brief.maximumMass;
  if (most === undefined || mass.total === null || gramsFromKilograms(mass.total) <= most) return null;
  return {
    severity: 'caution',
    message: say`It weighs ${kilograms(mass.total)}, over the ${grams(most)} of the brief. Weight classes are set by local rules: check them.`,
    numbers: { mass: kilograms(mass.total), limit: grams(most) },
    remedies: [],
  };
});
