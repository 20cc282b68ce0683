import { inPercent } from '../words';
import type { Rule } from '../rule';
import { waysToBalanceAt } from './moveToWindow';

/** More static margin than the designer wanted: it will answer slowly and trim far from neutral. */
export const stifferThanWanted: Rule = {
  id: 'stifferThanWanted',
  check: (design, analysis) => {
    const { pitch, reference, window } = analysis;
    const wanted = design.balance.maximumStaticMargin;
    if (pitch.staticMargin === null || pitch.neutralPoint === null || pitch.staticMargin <= wanted + 1e-9) return null;
    // Ahead of the window the other rule speaks.
    if (window.forward !== null && analysis.mass.cg !== null && analysis.mass.cg[0] < window.forward) return null;
    const target = pitch.neutralPoint - 0.9 * wanted * (reference.meanChord ?? 0);
    return {
      id: 'stifferThanWanted',
      severity: 'note',
      stage: 'balance',
      message: `The static margin of ${inPercent(pitch.staticMargin)} is more than the ${inPercent(wanted)} that was wanted: it answers slowly to the pitch control and needs more of it away from cruise.`,
      numbers: { staticMargin: pitch.staticMargin, wanted },
      source: 'Etkin & Reid, Dynamics of Flight, section 2.4',
      remedies: waysToBalanceAt(design, analysis, target),
    };
  },
};
