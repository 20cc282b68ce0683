import type { Rule } from '../rule';
import { inMillimetres } from '../words';
import { waysToBalanceAt } from './moveToWindow';

/** Share of the window from its aft end at which a remedy aims. */
const AIM = 0.65;

/** The centre of gravity lies ahead of the window: the pitch control runs out. */
export const balanceForward: Rule = {
  id: 'balanceForward',
  check: (design, analysis) => {
    const { window, mass } = analysis;
    if (window.aft === null || window.forward === null || mass.cg === null) return null;
    const ahead = window.forward - mass.cg[0];
    if (ahead <= 1e-6) return null;
    const target = window.aft - AIM * (window.aft - window.forward);
    return {
      id: 'balanceForward',
      severity: 'caution',
      stage: 'balance',
      message: `It balances ${inMillimetres(ahead)} ahead of the window. ${window.forwardBecause ?? ''}`.trim(),
      numbers: { ahead },
      source: 'Etkin & Reid, Dynamics of Flight, section 2.4',
      remedies: window.aft > window.forward ? waysToBalanceAt(design, analysis, target) : [],
    };
  },
};
