import type { Seconds } from '@/core/1-base/units/convert';

/** What an instrument shows at a time. */
export interface Shown {
  readonly t: Seconds;
  readonly value: number;
}

/** When a reading counts as steady: so long within such a spread, seen so many times. */
export interface SteadyRule {
  readonly window: Seconds;
  readonly spread: number;
  readonly least: number;
}

/** The last readings, as far back as a rule looks: their middle, how far they spread, and whether that is steady. */
export interface Steadiness {
  readonly value: number;
  readonly spread: number;
  readonly isSteady: boolean;
}

/** Of the window so much has to be covered: an instrument that has just begun is not steady yet. */
const COVERED = 0.8;

/** Null where nothing was shown. Readings that are no numbers count as a jolt: nothing is steady with one in sight. */
export function steadiness(shown: readonly Shown[], { window, spread: allowed, least }: SteadyRule): Steadiness | null {
  const last = shown.at(-1);
  if (!last) return null;
  const recent = shown.filter(({ t }) => t >= last.t - window);
  const values = recent.map(({ value }) => value);
  if (!values.every(Number.isFinite)) return { value: NaN, spread: Infinity, isSteady: false };
  const sorted = values.toSorted((a, b) => a - b);
  const half = (sorted.length - 1) / 2;
  const value = (sorted[Math.floor(half)]! + sorted[Math.ceil(half)]!) / 2;
  const spread = sorted.at(-1)! - sorted[0]!;
  const covered = last.t - recent[0]!.t;
  return { value, spread, isSteady: recent.length >= least && covered >= COVERED * window && spread <= allowed };
}
