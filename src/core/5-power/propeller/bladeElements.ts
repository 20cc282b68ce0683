import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Air } from '@/core/5-aero/atmosphere';
import type { MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import { bladeSection, ZERO_LIFT } from './bladeSection';
import { bladeAt, type Propeller } from './blade';

/** What a turning propeller does: thrust [N], torque it takes [N·m]. */
export interface Turning {
  readonly thrust: Newtons;
  readonly torque: number;
}

/** Rings that a disc is cut into. */
const RINGS = 18;
/** Of the inflow angle [rad]. */
const TOLERANCE = 1e-7;
const LEAST = 1e-4;

interface Ring {
  /** Radius, width and half of the solidity B c/(2π r) there. */
  readonly radius: number;
  readonly width: number;
  readonly chord: number;
  readonly angle: number;
  readonly solidity: number;
}

function ringsOf({ diameter, blades, places }: Propeller): Ring[] {
  const [hub, tip] = [places[0]!.share, places.at(-1)!.share];
  return Array.from({ length: RINGS }, (_, index) => {
    const share = hub + ((tip - hub) * (index + 0.5)) / RINGS;
    const radius = (share * diameter) / 2;
    const { chord, angle } = bladeAt(places, share);
    return {
      radius,
      width: (((tip - hub) / RINGS) * diameter) / 2,
      chord,
      angle,
      solidity: (blades * chord) / (2 * Math.PI * radius),
    };
  });
}

/**
 * Thrust and torque of the blades at a speed along the axis and revolutions per second. On
 * every ring the blade sections and the momentum of the air through it agree:
 * with the inflow angle φ, normal and tangential coefficients c_n and c_t,
 * V/W = sin φ − σ c_n/(4 F sin φ) and Ωr/W = cos φ + σ c_t/(4 F sin φ), F the
 * tip loss (2/π) acos e^(−f), f = (B/2)(R − r)/(r sin φ). Source: Glauert,
 * Airplane Propellers, in Durand, Aerodynamic Theory IV, 1935; Prandtl’s tip
 * loss. Subsonic, axial flow.
 */
export function bladesTurning(propeller: Propeller, speed: MetresPerSecond, perSecond: number, air: Air): Turning {
  const omega = 2 * Math.PI * perSecond;
  if (!(omega > 0)) return { thrust: 0 as Newtons, torque: 0 };
  const { diameter, blades } = propeller;
  let [thrust, torque] = [0, 0];
  for (const { radius, width, chord, angle, solidity } of ringsOf(propeller)) {
    const reynolds = (air.density * Math.hypot(speed, omega * radius) * chord) / air.viscosity;
    const at = (inflow: number) => {
      const { lift, drag } = bladeSection(angle - inflow, reynolds);
      const [sine, cosine] = [Math.sin(inflow), Math.cos(inflow)];
      const normal = lift * cosine - drag * sine;
      const tangential = lift * sine + drag * cosine;
      const f = ((blades / 2) * (diameter / 2 - radius)) / (radius * Math.max(LEAST, Math.abs(sine)));
      const loss = Math.max(1e-3, (2 / Math.PI) * Math.acos(Math.exp(-f)));
      const induced = solidity / (4 * loss * sine);
      return { normal, tangential, axial: sine - induced * normal, around: cosine + induced * tangential };
    };
    // Where the section lifts nothing the air passes unturned: below it thrust, above it the wind turns the blade.
    const idle = Math.max(2 * LEAST, angle - ZERO_LIFT);
    const missing = (inflow: number) => {
      const { axial, around } = at(inflow);
      return axial * omega * radius - speed * around;
    };
    const [low, high] = missing(idle) > 0 ? [LEAST, idle] : [idle, Math.PI / 2 - LEAST];
    const found = findRoot(missing, { low, high, tolerance: TOLERANCE });
    // Without a bracket the blade stands across the wind at one end of it.
    const inflow =
      found.kind === 'notBracketed' ? (Math.abs(found.atLow) < Math.abs(found.atHigh) ? low : high) : found.x;
    const { normal, tangential, around } = at(inflow);
    const meeting = (omega * radius) / Math.max(1e-6, around);
    const pressure = (air.density * meeting ** 2 * blades * chord * width) / 2;
    thrust += pressure * normal;
    torque += pressure * tangential * radius;
  }
  return { thrust: thrust as Newtons, torque };
}

/** Drag of the hub on the disc that it covers, and its share of the diameter: a blunt body in the wind. Source: fit to the peak efficiencies that were measured, within what a flat disc has (Hoerner, Fluid-Dynamic Drag, ch. 3); ±30 %. */
const HUB_DRAG = 0.52;
const HUB = 0.15;

/** Blades and hub: what a propeller gives and takes on the whole. */
export function turning(propeller: Propeller, speed: MetresPerSecond, perSecond: number, air: Air): Turning {
  const { thrust, torque } = bladesTurning(propeller, speed, perSecond, air);
  if (!(perSecond > 0)) return { thrust, torque };
  const hub = (Math.PI / 4) * (HUB * propeller.diameter) ** 2;
  return { thrust: (thrust - ((HUB_DRAG * air.density * speed ** 2) / 2) * hub) as Newtons, torque };
}

/** Coefficients at a speed: C_T = T/(ρ n² D⁴), C_P = 2π Q/(ρ n² D⁵), J = V/(n D), η = J C_T/C_P. */
export function coefficients(propeller: Propeller, speed: MetresPerSecond, perSecond: number, air: Air) {
  const { thrust, torque } = turning(propeller, speed, perSecond, air);
  const { diameter } = propeller;
  const scale = air.density * perSecond ** 2 * diameter ** 4;
  const advance = speed / (perSecond * diameter);
  const power = (2 * Math.PI * torque) / (scale * diameter);
  return { advance, thrust: thrust / scale, power, efficiency: power > 0 ? (advance * thrust) / scale / power : 0 };
}
