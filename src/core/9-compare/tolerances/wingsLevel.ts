import { degreesFromRadians, type Fraction, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Numbers } from '@/core/6-groups/page';
import { solve } from '@/core/6-groups/solve';
import { rollAsked } from '@/core/7-verdict/rules/leftRight';
import { OUTBOARD } from '@/core/7-verdict/rules/tipStall';
import { type Drawn, widestWing, withFault } from '@/core/8-field/faults';

/** What a warp of the wing does, tip to tip, with so much of their effect left to the controls. */
export interface WingsLevel {
  /** Roll command that holds the wings level, to the right positive; null where rudder or nothing holds them. */
  readonly command: (warp: Radians, effect: Fraction) => Radians | null;
  /** The change of that with a warp alone; null likewise. */
  readonly against: (warp: Radians) => Radians | null;
  /** Share of the travel that holding them takes. */
  readonly share: (warp: Radians, effect: Fraction) => Fraction;
  /** Lift coefficient that the outer wing has left over the inner one, on the side that the warp lifts. */
  readonly tipLeft: (warp: Radians) => number | null;
}

/** Share of a linear twist whose lift a wing has: A/(A + 4) of the section’s where A/(A + 2) is that of an even angle. Source: Etkin & Reid, Dynamics of Flight, app. B. */
const ofTwist = (aspectRatio: number) => (aspectRatio + 2) / (aspectRatio + 4);

/** Roll command in proportion to the warp: one analysis more. */
export function wingsLevel(drawn: Drawn, numbers: Numbers, liftSlope: number): WingsLevel {
  const { design } = drawn;
  const rollOf = (of: Numbers) => rollAsked(design, of);
  const straight = rollOf(numbers);
  const warped = rollOf(solve(withFault(drawn, 'warp', 1).design, { without: ['bands'] }).numbers);
  const perWarp = straight && warped ? warped.asked - straight.asked : 0;
  const hasAilerons = straight?.command === 'aileron';
  // Where nothing holds it the rate counts, as the rule has it.
  const isHeld = straight !== null && straight.command !== null && Number.isFinite(straight.travel);
  const travel = straight?.travel ?? 0;
  const asked = (warp: Radians, effect: Fraction) =>
    ((straight?.asked ?? 0) + perWarp * degreesFromRadians(warp)) / effect;

  const wing = widestWing(design.surfaces);
  const strips = numbers.stall.strips.filter(({ surface }) => surface === wing?.id);
  const perTwist = liftSlope * ofTwist(numbers.reference.aspectRatio ?? 6);
  return {
    command: (warp, effect) => (hasAilerons ? radiansFromDegrees(asked(warp, effect)) : null),
    // What holds it against the warp is the opposite of what the warp is.
    against: (warp) => (hasAilerons ? -radiansFromDegrees(perWarp * degreesFromRadians(warp)) : null),
    share: (warp, effect) => (isHeld && travel > 0 ? Math.abs(asked(warp, effect)) / travel : (straight?.share ?? 0)),
    tipLeft: (warp) => {
      let [outer, inner] = [Infinity, Infinity];
      for (const { spanFraction, lift, limit } of strips) {
        const left = limit - lift - perTwist * (Math.abs(warp) / 2) * spanFraction;
        if (spanFraction > OUTBOARD) outer = Math.min(outer, left);
        else inner = Math.min(inner, left);
      }
      return Number.isFinite(outer - inner) ? outer - inner : null;
    },
  };
}
