import { metresPerSecond, percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Slower than that it hardly leaves the hand [m/s]; more throttle than that in level flight leaves nothing for a gust; C, practice. */
const LEAST_CLIMB = 1;
const MOST_THROTTLE = 0.85;

/** A drive that lifts it slowly or not at all. */
export const weakDrive = makeRule(
  { id: 'weakDrive', stage: 'power', source: 'sin γ = (T − D)/W; thrust by blade elements ±15 %' },
  (design, { power: { staticThrust, climbRate, cruiseThrottle } }) => {
    if (staticThrust === null) return null;
    const { cruiseSpeed } = design.conditions;
    if (climbRate === null)
      return {
        severity: 'stop',
        message: say`Full throttle does not lift it: at no speed is its thrust more than the drag. Take more cells, a larger propeller or a stronger motor, or make it lighter.`,
        numbers: { speed: metresPerSecond(cruiseSpeed) },
      };
    if (climbRate < LEAST_CLIMB)
      return {
        severity: 'caution',
        message: say`It climbs no faster than ${metresPerSecond(climbRate)} at full throttle: too little to leave the hand or to come over trees. Take more thrust, or make it lighter.`,
        numbers: { speed: metresPerSecond(climbRate) },
      };
    if (cruiseThrottle !== null && cruiseThrottle <= MOST_THROTTLE) return null;
    return {
      severity: 'note',
      message:
        cruiseThrottle === null
          ? say`With half a pack full throttle does not hold ${metresPerSecond(cruiseSpeed)}: it flies slower than it is meant to.`
          : say`Level flight at ${metresPerSecond(cruiseSpeed)} takes ${percent(cruiseThrottle, 0)} of the throttle: little is left against gusts and for turns.`,
      numbers: { speed: metresPerSecond(cruiseSpeed) },
    };
  },
);
