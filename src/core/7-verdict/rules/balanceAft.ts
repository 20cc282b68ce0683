import { metres, percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { waysToBalanceAt } from './moveToWindow';

/** Static margin below which it does not hold its nose by itself; practice of the field. */
const BARELY_STABLE = 0.02;

/** Share of the window from its aft end at which a remedy aims. */
const AIM = 0.35;

/** The centre of gravity lies behind the window: the aircraft is less stable than wanted, or not at all. */
export const balanceAft = makeRule(
  { id: 'balanceAft', stage: 'balance', source: 'Etkin & Reid, Dynamics of Flight, section 2.3' },
  (design, analysis) => {
    const { window, mass, pitch } = analysis;
    if (window.aft === null || window.forward === null || mass.cg === null || pitch.staticMargin === null) return null;
    const behind = mass.cg[0] - window.aft;
    if (behind <= 1e-6) return null;
    const unstable = pitch.staticMargin < BARELY_STABLE;
    // Limits that cross are one sentence, and another rule’s; what does not hold its nose is told all the same.
    if (!unstable && window.forward > window.aft) return null;
    const target =
      window.aft - AIM * Math.max(0, Math.min(window.aft - window.forward, 0.15 * (analysis.reference.meanChord ?? 0)));
    return {
      severity: unstable ? 'stop' : 'caution',
      message: say`It balances ${metres(behind)} behind the window: the static margin is ${percent(pitch.staticMargin)} where at least ${percent(design.balance.minimumStaticMargin)} is wanted${unstable ? ', so it will not hold its nose by itself' : ''}.`,
      numbers: { behind: metres(behind), staticMargin: percent(pitch.staticMargin) },
      remedies: waysToBalanceAt(design, analysis, target),
    };
  },
);
