import { metresPerSecond, plain, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { rodRemedies, shorterSpan } from '../stiffenings';

/** Less than that a wing meets in any turn; or less than such a share of what a pull-up out of its dive may ask for; C, practice. */
const LEAST = 3.5;
const POOR = 0.4;
/** A turn at sixty degrees of bank asks for that [exact]. */
const TURN = 2;

/** A wing that breaks before its own lift lets go of it in a pull-up. */
export const breaksInFlight = makeRule(
  { id: 'breaksInFlight', stage: 'strength', source: 'Megson, Aircraft Structures; strengths of boards ±30 %' },
  (design, { strength }) => {
    const {
      breakingLoadFactor: level,
      breakingAtDive: breaks,
      flightLoadFactor: asked,
      diveSpeed,
      breaksAt,
    } = strength;
    const part = breaksAt?.surface ?? 'the wing';
    const remedies = () => [...rodRemedies(design, breaksAt?.surface), ...shorterSpan(design, breaksAt?.surface)];
    if (level !== null && level < TURN)
      return {
        severity: 'stop',
        message:
          level === 0
            ? say`At cruise speed the air alone bends and twists ${part} further than it bears, whatever it pulls. Stiffen it, or fly slower.`
            : say`At cruise speed it bears ${plain(level, 1)} times its weight: less than any turn or gust asks for; ${part} gives way first. Stiffen it before it flies.`,
        numbers: { breaks: plain(level, 1), asked: plain(asked ?? TURN, 1) },
        remedies: remedies(),
      };
    if (breaks === null || asked === null || diveSpeed === null || breaks >= asked) return null;
    return {
      severity: breaks < LEAST || breaks < POOR * asked ? 'caution' : 'note',
      message: say`In a dive at ${metresPerSecond(diveSpeed, 0)} it bears ${plain(
        breaks,
        1,
      )} times its weight, and a hard pull-up there may ask for ${plain(asked, 1)}; ${part} gives way first. Dive gently and pull softly, or stiffen it.`,
      numbers: { breaks: plain(breaks, 1), asked: plain(asked, 1) },
      remedies: remedies(),
    };
  },
);
