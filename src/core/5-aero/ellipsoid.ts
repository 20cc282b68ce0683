import type { Fraction } from '@/core/1-base/units/convert';

/** Mass of air that moves with an ellipsoid of revolution, as shares of the air that it displaces. */
export interface InertiaCoefficients {
  /** Along its axis. */
  readonly along: Fraction;
  /** Across it. */
  readonly across: Fraction;
}

/** Longer than this many diameters a body has no end. */
const ENDLESS = 1e4;

/**
 * Closed form for a prolate ellipsoid of so many diameters; a sphere has a half
 * each way, and what is shorter counts as one.
 * Source: Lamb, Hydrodynamics, articles 114 and 373; Munk, NACA Report 184, 1924.
 */
export function inertiaCoefficients(fineness: number): InertiaCoefficients {
  if (fineness < 1 + 1e-4) return { along: 0.5, across: 0.5 };
  if (fineness > ENDLESS) return { along: 0, across: 1 };
  const e = Math.sqrt(1 - 1 / fineness ** 2);
  const logarithm = Math.log((1 + e) / (1 - e));
  const alpha = ((2 * (1 - e ** 2)) / e ** 3) * (logarithm / 2 - e);
  const beta = 1 / e ** 2 - ((1 - e ** 2) / (2 * e ** 3)) * logarithm;
  return { along: alpha / (2 - alpha), across: beta / (2 - beta) };
}

/** Share of the moment of an endless body that one of this slenderness has: k₂ − k₁. */
export function munkFactor(fineness: number): Fraction {
  const { along, across } = inertiaCoefficients(fineness);
  return across - along;
}
