import { distance, say } from '@/core/1-base/words/phrase';
import { type Found, makeRule } from '../makeRule';

/** Half of a field is for the run, the other for climbing out of it. */
const HALF = 0.5;

/** On wheels it takes more than half of the field, or never lifts off. */
export const longGroundRun = makeRule(
  {
    id: 'longGroundRun',
    stage: 'power',
    source: 's = ∫ V dV/a on short grass; Anderson, Introduction to Flight, ch. 6',
  },
  ({ brief, wheels }, { takeOff: { groundRun, landingRun }, power: { staticThrust } }): Found | null => {
    if (brief.launch !== 'wheels' || !wheels.some(({ diameter }) => diameter > 0) || staticThrust === null) return null;
    if (groundRun === null)
      return {
        severity: 'stop',
        message: say`On grass full throttle does not bring it to its flying speed: friction and drag hold it. Take more thrust, larger wheels, or throw it.`,
        numbers: {},
      };
    const room = brief.fieldLength;
    if (room === undefined || groundRun <= HALF * room) return null;
    return {
      severity: 'caution',
      message: say`It rolls ${distance(groundRun)} on grass before it lifts off${landingRun === null ? '' : say` and ${distance(landingRun)} after it has touched down`}: more than half of a field of ${distance(room)}. Take more thrust or less weight, or go into the wind.`,
      numbers: { groundRun: distance(groundRun), field: distance(room) },
    };
  },
);
