import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { MetresPerSecond, SquareMetres } from '@/core/1-base/units/convert';
import type { Air } from '@/core/5-aero/atmosphere';
import { bladeAt, type Propeller } from './blade';
import { bladesTurning } from './bladeElements';
import { bladeSection } from './bladeSection';

/** Rings that a blade is cut into. */
const RINGS = 24;
/** Both sides of a blade that lies along the wind. Source: laminar and tripped plates at Reynolds numbers of 2·10⁴ to 10⁵; C. */
const FRICTION = 0.016;

interface Strip {
  readonly chord: number;
  readonly angle: number;
  readonly width: number;
}

function stripsOf({ diameter, places }: Propeller): Strip[] {
  const [hub, tip] = [places[0]!.share, places.at(-1)!.share];
  const width = (((tip - hub) / RINGS) * diameter) / 2;
  return Array.from({ length: RINGS }, (_, index) => ({
    ...bladeAt(places, hub + ((tip - hub) * (index + 0.5)) / RINGS),
    width,
  }));
}

/** Area of all blades, one side of each. */
export const bladeArea = (propeller: Propeller): SquareMetres =>
  propeller.blades * stripsOf(propeller).reduce((sum, { chord, width }) => sum + chord * width, 0);

/** What of a plate’s load across the wind is left on a finite one: C_N = 1.11 + 0.018 A over 1.98. Source: Viterna & Corrigan. */
function finite({ diameter, blades }: Propeller, area: SquareMetres): number {
  const aspectRatio = (blades * (diameter / 2) ** 2) / area;
  return (1.11 + 0.018 * aspectRatio) / 1.98;
}

/** Drag area of a propeller that stands still: every section meets the wind at its angle to the disc. Source: blade elements without rotation; ±25 %. */
export function stoppedDragArea(propeller: Propeller, speed: MetresPerSecond, air: Air): SquareMetres {
  return (
    propeller.blades *
    finite(propeller, bladeArea(propeller)) *
    stripsOf(propeller).reduce((sum, { chord, angle, width }) => {
      const reynolds = (air.density * speed * chord) / air.viscosity;
      return sum + chord * width * bladeSection(Math.PI / 2 - angle, reynolds).drag;
    }, 0)
  );
}

/** Drag area of a propeller whose blades lie back along the body. */
export const foldedDragArea = (propeller: Propeller): SquareMetres => FRICTION * bladeArea(propeller);

/** Fewest and most revolutions that the wind is tried with, as advance ratios. */
const SLOWEST_TURN = 8;
const FASTEST_TURN = 0.15;

/**
 * Drag area of a propeller that the wind turns against a torque that its motor
 * takes [N·m]: the revolutions at which the blades give just that; null where
 * the wind does not turn it. Source: blade elements; ±40 %.
 */
export function windmillingDragArea(
  propeller: Propeller,
  speed: MetresPerSecond,
  air: Air,
  held: number,
): SquareMetres | null {
  const { diameter } = propeller;
  const surplus = (perSecond: number) => -bladesTurning(propeller, speed, perSecond, air).torque - held;
  const [low, high] = [speed / (SLOWEST_TURN * diameter), speed / (FASTEST_TURN * diameter)];
  if (surplus(low) <= 0) return null;
  const found = findRoot(surplus, { low, high, tolerance: 1e-4 * low });
  if (found.kind === 'notBracketed') return null;
  const pressure = (air.density * speed ** 2) / 2;
  return Math.max(0, -bladesTurning(propeller, speed, found.x, air).thrust / pressure);
}
