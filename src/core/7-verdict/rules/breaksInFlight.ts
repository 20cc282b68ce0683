import { metresPerSecond, plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { rodRemedies, shorterSpan } from '../stiffenings';

/** Less than that a wing meets in any turn; or less than such a share of what a pull-up out of its dive may ask for; C, practice. */
const LEAST = 3.5;
const POOR = 0.4;
const SHORT = 0.7;

/** A wing that breaks before its own lift lets go of it in a pull-up. */
export const breaksInFlight = makeRule(
  { id: 'breaksInFlight', stage: 'strength', source: 'Megson, Aircraft Structures; strengths of boards ±30 %' },
  (design, { strength }) => {
    const { breakingAtDive: breaks, flightLoadFactor: asked, diveSpeed, breaksAt } = strength;
    if (breaks === null || asked === null || diveSpeed === null || breaks >= SHORT * asked) return null;
    const isPoor = breaks < LEAST || breaks < POOR * asked;
    return {
      severity: isPoor ? 'caution' : 'note',
      message: say`In a dive at ${metresPerSecond(diveSpeed, 0)} it bears ${plain(
        breaks,
        1,
      )} times its weight, and a hard pull-up there may ask for ${plain(asked, 1)}; ${
        breaksAt?.surface ?? 'the wing'
      } gives way first. Dive gently and pull softly, or stiffen it.`,
      numbers: { breaks: plain(breaks, 1), asked: plain(asked, 1) },
      remedies: isPoor ? [...rodRemedies(design, breaksAt?.surface), ...shorterSpan(design, breaksAt?.surface)] : [],
    };
  },
);
