import { makeRule } from '../makeRule';
import { inGrams } from '../words';

const MOST = 0.06;

/** What was weighed is more than what was computed: weight creeps in. */
export const weightCreep = makeRule(
  { id: 'weightCreep', stage: 'weights', source: 'Weighed against computed masses' },
  (_design, { mass }) => {
    const weighed = mass.parts.filter(({ measured }) => measured !== null);
    const computed = weighed.reduce((sum, part) => sum + part.computed, 0);
    const measured = weighed.reduce((sum, part) => sum + part.measured!, 0);
    if (computed <= 0 || measured <= (1 + MOST) * computed) return null;
    const worst = weighed.reduce((a, b) => (b.measured! - b.computed > a.measured! - a.computed ? b : a));
    return {
      severity: 'note',
      message: `What was weighed comes to ${inGrams(measured)} where ${inGrams(computed)} was computed (${Math.round((measured / computed - 1) * 100)} % more); ${worst.name.toLowerCase()} gained most. Tape, glue and paint: reckon the same on what is not weighed yet.`,
      numbers: { measured, computed },
    };
  },
);
