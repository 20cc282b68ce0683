import { metres, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { waysToBalanceAt } from './moveToWindow';

/** Share of the window from its aft end at which a remedy aims. */
const AIM = 0.65;

/** The centre of gravity lies ahead of the window: the pitch control runs out. */
export const balanceForward = makeRule(
  { id: 'balanceForward', stage: 'balance', source: 'Etkin & Reid, Dynamics of Flight, section 2.4' },
  (design, analysis) => {
    const { window, mass } = analysis;
    if (window.aft === null || window.forward === null || mass.cg === null) return null;
    const ahead = window.forward - mass.cg[0];
    // Limits that cross are one sentence, and another rule’s.
    if (ahead <= 1e-6 || window.forward > window.aft) return null;
    const target = window.aft - AIM * (window.aft - window.forward);
    return {
      severity: 'caution',
      message: say`It balances ${metres(ahead)} ahead of the window. ${window.forwardBecause ?? ''}`,
      numbers: { ahead: metres(ahead) },
      remedies: waysToBalanceAt(design, analysis, target),
    };
  },
);
