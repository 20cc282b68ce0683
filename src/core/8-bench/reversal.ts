import type { Degrees } from '@/core/1-base/units/convert';

/** A meter on one face, read as it lies and turned round end for end. */
export interface Reversed {
  readonly forward: Degrees;
  readonly turned: Degrees;
}

/** What the meter shows when level: on a slope θ it shows z + θ, turned round z − θ. [exact] */
export const zeroByReversal = ({ forward, turned }: Reversed): Degrees => (forward + turned) / 2;

/** The slope itself, whatever the meter shows when level. [exact] */
export const slopeByReversal = ({ forward, turned }: Reversed): Degrees => (forward - turned) / 2;
