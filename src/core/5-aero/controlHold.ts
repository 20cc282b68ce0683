import { findRoot } from '@/core/1-base/numeric/findRoot';
import { degreesFromRadians, type Fraction, radiansFromDegrees, type Radians } from '@/core/1-base/units/convert';
import type { Control } from '@/core/2-document/schema/surface';

/**
 * What a plain flap keeps of its thin-aerofoil effect at small turns: 0.75 to
 * 0.85, ±12 %. Source: Hoak & Finck, USAF Stability and Control Datcom, section 6.1.1.1.
 */
const FLAP_EFFECT = 0.8;
/** What is left of it when air leaks through the hinge: 0.85 to 0.95 (same source). */
const OPEN_GAP = 0.9;

/** Turn of a plain flap [°] against the share of its linear effect that is left (same source); ±10 %. */
const HOLD: readonly (readonly [number, number])[] = [
  [0, 1],
  [12, 1],
  [25, 0.75],
  [35, 0.62],
  [60, 0.47],
];
const STEEPEST = radiansFromDegrees(60);

/** Share of the linear effect that a plain flap keeps at a deflection. */
export function flapHold(deflection: Radians): Fraction {
  const degrees = Math.min(60, degreesFromRadians(Math.abs(deflection)));
  const after = HOLD.findIndex(([angle]) => angle >= degrees);
  if (after <= 0) return 1;
  const [from, high] = HOLD[after - 1]!;
  const [to, low] = HOLD[after]!;
  return high + ((low - high) * (degrees - from)) / (to - from);
}

/** The small turn that does as much as a large one: δ K'(δ). */
export const effectiveTurn = (deflection: Radians): Radians => deflection * flapHold(deflection);

/** The turn that does as much as a small one; 60° where none does. */
export function turnFor(effective: Radians): Radians {
  const size = Math.abs(effective);
  const found = findRoot((turn) => effectiveTurn(turn) - size, { low: 0, high: STEEPEST, tolerance: 1e-9 });
  return Math.sign(effective) * (found.kind === 'root' ? found.x : STEEPEST);
}

/**
 * Share of its thin-aerofoil effect that a control has on a strip whose lift
 * slope is so much of the theoretical one already: both say what friction
 * takes. What moves as a whole loses nothing at a hinge.
 */
export function hingeEffect({ allMoving, gap }: Control, liftSlopeFactor: Fraction): Fraction {
  if (allMoving) return 1;
  return Math.min(1, FLAP_EFFECT / liftSlopeFactor) * (gap === 'open' ? OPEN_GAP : 1);
}
