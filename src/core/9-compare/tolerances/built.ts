import type { Fraction, Kilograms, Metres, MetresPerSecond, Radians } from '@/core/1-base/units/convert';

/** How one built aircraft is off: a value for every tolerance, in its unit. */
export type Off = ArrayLike<number>;

/** What is told of one that was built; null where it has none. */
export interface Built {
  readonly staticMargin: Fraction;
  readonly neutralPoint: Metres;
  readonly balance: Metres;
  readonly window: { readonly forward: Metres; readonly aft: Metres } | null;
  /** Null where nothing holds the nose. */
  readonly handsOffLift: number | null;
  readonly handsOffSpeed: MetresPerSecond | null;
  readonly levelLift: number | null;
  readonly elevator: Radians | null;
  readonly mass: Kilograms;
  readonly maximumLift: number | null;
  readonly stallSpeed: MetresPerSecond | null;
  /** Roll command that holds the wings level, to the right positive; null where rudder or nothing holds them. */
  readonly rollCommand: Radians | null;
  /** Share of the travel that holding them takes. */
  readonly rollShare: Fraction;
  /** Lift coefficient that the outer wing has left when the inner one stalls; less than nought where a tip goes first. */
  readonly tipLeft: number | null;
}
