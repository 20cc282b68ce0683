import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { KilogramsPerSquareMetre, Metres, MetresPerSecond } from '@/core/1-base/units/convert';

export interface GustInput {
  /** Mass over wing area. */
  readonly wingLoading: KilogramsPerSquareMetre;
  readonly meanChord: Metres;
  /** Lift slope of the whole per radian. */
  readonly liftSlope: number;
  readonly speed: MetresPerSecond;
  readonly gust: MetresPerSecond;
  /** Air density [kg/m³]. */
  readonly density: number;
}

/**
 * Load factor that an upward gust adds: Δn = ½ρ V a U K_g/(W/S) with
 * K_g = 0.88μ/(5.3 + μ), μ = 2(W/S)/(ρ c a g). A gust of 1 − cos, 25 chords
 * long. Source: Pratt & Walker, NACA Report 1206, 1954. 30 N/m², c 0.2 m,
 * a 4.5, 10 m/s, gust 4 m/s: 1.654.
 */
export function gustLoadFactor({ wingLoading, meanChord, liftSlope, speed, gust, density }: GustInput): number {
  const loading = wingLoading * GRAVITY;
  const massRatio = (2 * loading) / (density * meanChord * liftSlope * GRAVITY);
  const alleviation = (0.88 * massRatio) / (5.3 + massRatio);
  return (density * speed * liftSlope * gust * alleviation) / (2 * loading);
}
