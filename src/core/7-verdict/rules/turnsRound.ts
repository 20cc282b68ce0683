import { metresPerSecond, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Nearer than that to cruise speed a gust or a short dive is enough; C, practice. */
const NEAR_CRUISE = 1.4;

/** A command that acts backward at a speed that it may reach, since what it turns bends the other way. */
export const turnsRound = makeRule(
  { id: 'turnsRound', stage: 'strength', source: 'Bisplinghoff, Ashley & Halfman, Aeroelasticity, ch. 8' },
  (design, { strength: { aileronReversalSpeed, rudderReversalSpeed, diveSpeed } }) => {
    if (diveSpeed === null) return null;
    const found = (
      [
        ['roll', aileronReversalSpeed],
        ['yaw', rudderReversalSpeed],
      ] as const
    ).flatMap(([axis, speed]) => (speed !== null && speed < diveSpeed ? [{ axis, speed }] : []));
    const first = found.toSorted((a, b) => a.speed - b.speed)[0];
    if (!first) return null;
    const cruise = design.conditions.cruiseSpeed;
    return {
      severity: first.speed <= cruise ? 'stop' : first.speed < NEAR_CRUISE * cruise ? 'caution' : 'note',
      message:
        first.axis === 'roll'
          ? say`From ${metresPerSecond(first.speed)} on the wing twists so far that the roll command acts backward. Stiffen it against twist, or move the ailerons inboard.`
          : say`From ${metresPerSecond(first.speed)} on the tail bends so far that the yaw command acts backward. Take a stiffer boom, or a shorter one.`,
      numbers: { speed: metresPerSecond(first.speed), dive: metresPerSecond(diveSpeed) },
    };
  },
);
