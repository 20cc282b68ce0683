import { metresPerSecond, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { boomRemedies, softestBoom } from '../stiffenings';

/** Nearer than that to cruise speed a gust or a short dive is enough; C, practice. */
const NEAR_CRUISE = 1.4;

/**
 * Yaw is asked for half as much dynamic pressure again as in the fastest dive,
 * √1.5 in speed, as divergence is; the figure of roll is on the safe side, since
 * a section that a hinge cuts counts as open.
 */
const YAW_MARGIN = 1.22;

/** A command that acts backward at a speed that it may reach, since what it turns bends the other way. */
export const turnsRound = makeRule(
  { id: 'turnsRound', stage: 'strength', source: 'Bisplinghoff, Ashley & Halfman, Aeroelasticity, ch. 8' },
  (design, { strength: { aileronReversalSpeed, rudderReversalSpeed, divergenceSpeed, diveSpeed, booms } }) => {
    if (diveSpeed === null) return null;
    const found = (
      [
        ['roll', aileronReversalSpeed, 1],
        ['yaw', rudderReversalSpeed, YAW_MARGIN],
      ] as const
    ).flatMap(([axis, speed, margin]) =>
      // What has twisted away before is told of by itself.
      speed !== null && speed < margin * diveSpeed && speed < (divergenceSpeed ?? Infinity) ? [{ axis, speed }] : [],
    );
    const first = found.toSorted((a, b) => a.speed - b.speed)[0];
    if (!first) return null;
    const cruise = design.conditions.cruiseSpeed;
    return {
      severity: first.speed <= cruise ? 'stop' : first.speed < NEAR_CRUISE * cruise ? 'caution' : 'note',
      message:
        first.axis === 'roll'
          ? say`From ${metresPerSecond(first.speed)} on the wing twists so far that the roll command acts backward. Stiffen it against twist, or move the ailerons inboard.`
          : say`From ${metresPerSecond(first.speed)} on the tail bends so far that the yaw command acts backward. Take a stiffer boom, or a shorter one.`,
      remedies: first.axis === 'yaw' ? boomRemedies(design, softestBoom(booms)) : [],
      numbers: { speed: metresPerSecond(first.speed), dive: metresPerSecond(diveSpeed) },
    };
  },
);
