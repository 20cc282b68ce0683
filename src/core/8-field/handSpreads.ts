import type { Degrees, Fraction, Millimetres } from '@/core/1-base/units/convert';

/**
 * How hands, scales and tables are off, ±1σ: half of the bands that are shown
 * elsewhere. Angles of a surface that is shimmed, and of one in hot glue, which
 * pulls as it cools; tip to tip; a balance point read on fingers; lift slopes
 * and bodies together as a share of the mean chord; what weighs, and what
 * drags, as a share of itself. C (practice).
 */
export const HAND_SPREADS = {
  shimmed: 0.5 as Degrees,
  hotGlue: 0.8 as Degrees,
  warp: 0.7 as Degrees,
  balance: 2.5 as Millimetres,
  neutralPoint: 0.02 as Fraction,
  mass: 0.04 as Fraction,
  drag: 0.13 as Fraction,
} as const;
