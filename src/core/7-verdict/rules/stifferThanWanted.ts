import { percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { waysToBalanceAt } from './moveToWindow';

/** More static margin than the designer wanted: it will answer slowly and trim far from neutral. */
export const stifferThanWanted = makeRule(
  { id: 'stifferThanWanted', stage: 'balance', source: 'Etkin & Reid, Dynamics of Flight, section 2.4' },
  (design, analysis) => {
    const { pitch, reference, window } = analysis;
    const wanted = design.balance.maximumStaticMargin;
    if (pitch.staticMargin === null || pitch.neutralPoint === null || pitch.staticMargin <= wanted + 1e-9) return null;
    // Ahead of the window the other rule speaks.
    if (window.forward !== null && analysis.mass.cg !== null && analysis.mass.cg[0] < window.forward) return null;
    const target = pitch.neutralPoint - 0.9 * wanted * (reference.meanChord ?? 0);
    return {
      severity: 'note',
      message: say`The static margin of ${percent(pitch.staticMargin)} is more than the ${percent(wanted)} that was wanted: it answers slowly to the pitch control and needs more of it away from cruise.`,
      numbers: { staticMargin: percent(pitch.staticMargin), wanted: percent(wanted) },
      remedies: waysToBalanceAt(design, analysis, target),
    };
  },
);
