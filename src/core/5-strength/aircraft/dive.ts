import type { Kilograms, Metres, MetresPerSecond, Radians, SquareMetres } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';

interface DiveInput {
  readonly mass: Kilograms;
  /** Drag area without lift [m²]. */
  readonly dragArea: SquareMetres;
  /** Air density [kg/m³]. */
  readonly density: number;
  /** Speed at which it begins, path under the horizon, height lost. */
  readonly from: MetresPerSecond;
  readonly angle: Radians;
  readonly height: Metres;
}

/**
 * Speed at the end of a straight dive without lift or power: with
 * V∞² = 2 m g sin γ/(ρ S C_D) the energy along the path gives
 * V² = V∞² − (V∞² − V₀²) exp(−ρ S C_D s/m), s = h/sin γ. [exact] Source: point
 * mass, e.g. von Mises, Theory of Flight, ch. XIV.
 */
export function diveSpeed({ mass, dragArea, density, from, angle, height }: DiveInput): MetresPerSecond {
  const steep = Math.sin(angle);
  if (!(steep > 1e-3) || height <= 0) return from;
  const rate = (density * dragArea) / mass;
  const path = height / steep;
  if (rate * path < 1e-9) return Math.sqrt(from ** 2 + 2 * GRAVITY * height);
  const last = (2 * GRAVITY * steep) / rate;
  return Math.sqrt(last - (last - from ** 2) * Math.exp(-rate * path));
}
