import type { Fraction, Metres, MetresPerSecond, Seconds } from '@/core/1-base/units/convert';

/** What a recorder wrote down at one moment. */
export interface TrackPoint {
  readonly t: Seconds;
  /** Through the air. */
  readonly speed: MetresPerSecond;
  readonly height: Metres;
  /** 0 to 1; missing where the recorder does not know it. */
  readonly throttle?: Fraction;
}

/** A recording, in the order of time. */
export type Track = readonly TrackPoint[];
