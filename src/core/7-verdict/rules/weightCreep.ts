import { kilograms, percent, say } from '@/core/1-base/words/phrase';
import { LEAST_MASS } from '@/core/4-weight/massElement';
import { makeRule } from '../makeRule';

const MOST = 0.06;

/** What was weighed is more than what was computed: weight creeps in. */
export const weightCreep = makeRule(
  { id: 'weightCreep', stage: 'weights', source: 'Weighed against computed masses' },
  (_design, { mass }) => {
    const weighed = mass.parts.filter(({ measured }) => measured !== null);
    const computed = weighed.reduce((sum, part) => sum + part.computed, 0);
    const measured = weighed.reduce((sum, part) => sum + part.measured!, 0);
    if (computed < LEAST_MASS || measured <= (1 + MOST) * computed) return null;
    const worst = weighed.reduce((a, b) => (b.measured! - b.computed > a.measured! - a.computed ? b : a));
    return {
      severity: 'note',
      message: say`What was weighed comes to ${kilograms(measured)} where ${kilograms(computed)} was computed (${percent(measured / computed - 1, 0)} more); ${worst.name.toLowerCase()} gained most. Tape, glue and paint: reckon the same on what is not weighed yet.`,
      numbers: { measured: kilograms(measured), computed: kilograms(computed) },
    };
  },
);
