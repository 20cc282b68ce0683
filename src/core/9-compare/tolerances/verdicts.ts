import { kilogramsFromGrams } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { ROLL_CAUTION } from '@/core/7-verdict/rules/leftRight';
import { LAUNCH_HEIGHT, MOST_HANDS_OFF, TOO_SOON } from '@/core/7-verdict/rules/handsOffTrim';
import type { Built, Off } from './built';
import type { ToleratedAircraft } from './builtAircraft';

/** Least share of level lift that hands off keeps a throw from the ground for as long as anyone needs: n = 1 − 2 h/(g t²). */
const LEAST_OF_LEVEL = 1 - (2 * LAUNCH_HEIGHT) / (GRAVITY * TOO_SOON ** 2);
const isHandsOff = ({ handsOffLift, levelLift, maximumLift }: Built): boolean =>
  handsOffLift !== null &&
  (levelLift === null || handsOffLift >= LEAST_OF_LEVEL * levelLift) &&
  (maximumLift === null || handsOffLift <= MOST_HANDS_OFF * maximumLift);

const isInWindow = ({ balance, window }: Built): boolean =>
  window !== null && balance >= window.forward && balance <= window.aft;

/** Which verdicts hold for one that was built. */
export const holdsOf = (built: Built) => ({
  inWindow: isInWindow(built),
  handsOff: isHandsOff(built),
  noTipStall: built.tipLeft !== null && built.tipLeft > 0,
  rollTrimmable: built.rollShare <= ROLL_CAUTION,
});

/** Whether all of them hold; what cannot be told holds nothing back. */
export const holdsAll = (built: Built, is = holdsOf(built)): boolean =>
  (is.inWindow || built.window === null) &&
  is.handsOff &&
  (is.noTipStall || built.tipLeft === null) &&
  is.rollTrimmable;

/** What a number should keep to; null where nothing asks for it. */
export interface Limits {
  readonly least: number | null;
  readonly most: number | null;
}

/** What verdicts and the document ask of a number, as drawn. */
export function limitsFor({ design, numbers, built }: ToleratedAircraft, name: string, none: Off): Limits {
  const { levelLift, maximumLift } = built(none);
  switch (name) {
    case 'pitch.staticMargin':
      return { least: design.balance.minimumStaticMargin, most: design.balance.maximumStaticMargin };
    case 'mass.cg.0':
      return { least: numbers.window.forward, most: numbers.window.aft };
    case 'rigging.handsOffLift':
      return {
        least: levelLift === null ? null : LEAST_OF_LEVEL * levelLift,
        most: maximumLift === null ? null : MOST_HANDS_OFF * maximumLift,
      };
    case 'mass.total': {
      const { maximumMass } = design.brief;
      return { least: null, most: maximumMass === undefined ? null : kilogramsFromGrams(maximumMass) };
    }
    default:
      return { least: null, most: null };
  }
}
