import { metres, metresPerSecond, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** What may be lost of the height of a hand, and what is too much [m]; C, practice. */
const MAY_LOSE = 0.5;
const TOO_MUCH = 1.2;

/** Thrown at full throttle it sinks before it flies. */
export const launchSinks = makeRule(
  {
    id: 'launchSinks',
    stage: 'power',
    source: 'Point mass after the throw, full throttle, lift at most 0.9 of the most',
  },
  (_design, { takeOff: { launchHeightLost, launchFliesAfter, launchSpeed }, speeds: { stall } }) => {
    if (launchHeightLost === null || launchSpeed === null || stall === null) return null;
    if (launchHeightLost <= MAY_LOSE && launchFliesAfter !== null) return null;
    const isLow = launchHeightLost > TOO_MUCH || launchFliesAfter === null;
    return {
      severity: isLow ? 'caution' : 'note',
      message: say`Thrown at ${metresPerSecond(launchSpeed)} with full throttle it sinks ${metres(launchHeightLost)} ${launchFliesAfter === null ? 'and does not reach a fifth over its stall' : 'before it flies'} (stall ${metresPerSecond(stall)}). Throw from a rise or run with it, level and into the wind; more thrust or less weight helps.`,
      numbers: { heightLost: metres(launchHeightLost), launchSpeed: metresPerSecond(launchSpeed) },
    };
  },
);
