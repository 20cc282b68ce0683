import type { Fraction } from '@/core/1-base/units/convert';

/** Points along a flap, dense at its hinge, and terms of the series. */
const POINTS = 60;
const TERMS = 60;

const known = new Map<number, number>();

/**
 * Hinge moment per radian of a plain flap in thin-aerofoil theory, over its own
 * chord squared and the dynamic pressure, positive as it resists: the load
 * Δc_p = 4 [A₀ (1 + cos θ)/sin θ + Σ A_n sin nθ], A₀ = (π − θ_h)/π,
 * A_n = 2 sin(nθ_h)/(nπ), about its hinge. Source: Glauert, The Elements of
 * Aerofoil and Airscrew Theory, 1926 (ARC R&M 1095). A flap that is the whole
 * chord: π/2. @param flap chord of the flap over the whole chord, 0…1
 */
export function hingeMomentSlope(flap: Fraction): number {
  const before = known.get(flap);
  if (before !== undefined) return before;
  const hinge = Math.acos(1 - 2 * (1 - Math.min(1, Math.max(1e-3, flap))));
  const step = (Math.PI - hinge) / POINTS;
  let sum = 0;
  for (let point = 0; point < POINTS; point++) {
    const angle = hinge + (point + 0.5) * step;
    let load = ((Math.PI - hinge) / Math.PI) * (1 + Math.cos(angle));
    for (let n = 1; n <= TERMS; n++)
      load += ((2 * Math.sin(n * hinge)) / (n * Math.PI)) * Math.sin(n * angle) * Math.sin(angle);
    // x = (1 − cos θ)/2, so dx = sin θ dθ/2.
    sum += 4 * load * ((Math.cos(hinge) - Math.cos(angle)) / 2) * (step / 2);
  }
  const slope = sum / Math.max(1e-6, flap) ** 2;
  known.set(flap, slope);
  return slope;
}

/** What friction of the air leaves of it; ±30 % (practice; Hoak & Finck, Datcom, section 6.1.3, for its size). */
export const LEFT_BY_FRICTION = 0.7;
