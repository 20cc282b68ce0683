import { metresPerSecond, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { boomRemedies, rodRemedies, shorterSpan } from '../stiffenings';

/** Half as much dynamic pressure again as in the fastest dive: √1.5 in speed. Source: practice of light aircraft, CS-23.629 asks 1.2. */
const MARGIN = 1.22;

/** A wing whose twist feeds itself at a speed that it may reach. */
export const twistsAway = makeRule(
  { id: 'twistsAway', stage: 'strength', source: 'Bisplinghoff, Ashley & Halfman, Aeroelasticity, ch. 8' },
  (design, { strength: { divergenceSpeed: away, divergesBy, diveSpeed, booms } }) => {
    if (away === null || diveSpeed === null || away >= MARGIN * diveSpeed) return null;
    const boom = booms.find(({ body }) => body === divergesBy);
    return {
      severity: away <= design.conditions.cruiseSpeed ? 'stop' : 'caution',
      message: boom
        ? say`At ${metresPerSecond(away)} the air turns the tail faster than ${divergesBy!} can hold; a dive reaches ${metresPerSecond(
            diveSpeed,
          )}. Take a stiffer or a shorter boom, or stay slower.`
        : say`At ${metresPerSecond(away)} the air twists ${divergesBy ?? 'the wing'} faster than it can hold; a dive reaches ${metresPerSecond(
            diveSpeed,
          )}. Move a rod forward, close the section, or stay slower.`,
      remedies: boom
        ? boomRemedies(design, boom)
        : [...rodRemedies(design, divergesBy ?? undefined), ...shorterSpan(design, divergesBy ?? undefined)],
      numbers: { away: metresPerSecond(away), dive: metresPerSecond(diveSpeed) },
    };
  },
);
