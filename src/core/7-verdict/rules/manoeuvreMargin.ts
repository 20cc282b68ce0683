import { percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { waysToBalanceAt } from './moveToWindow';

const LEAST = 0.03;

/** Little is left in a pull-up: a small movement of the stick makes a large load factor. */
export const manoeuvreMargin = makeRule(
  { id: 'manoeuvreMargin', stage: 'stability', source: 'Etkin & Reid, Dynamics of Flight, section 3.1' },
  (design, analysis) => {
    const { manoeuvreMargin: margin, neutralPoint, staticMargin } = analysis.pitch;
    const chord = analysis.reference.meanChord;
    if (margin === null || margin >= LEAST || neutralPoint === null || staticMargin === null || chord === null)
      return null;
    const target = neutralPoint - (staticMargin + LEAST - margin + 0.02) * chord;
    return {
      severity: margin <= 0 ? 'stop' : 'caution',
      message: say`The manoeuvre margin is ${percent(margin)} of the mean chord, the damping of the tail counted: ${margin <= 0 ? 'a pull-up tightens by itself' : 'a touch of the stick makes a hard pull-up'}.`,
      numbers: { manoeuvreMargin: percent(margin) },
      remedies: waysToBalanceAt(design, analysis, target),
    };
  },
);
