import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Glider } from './glider';

/** What a glider may differ in from its drawing, in the order in which it is worked with. */
export const UNKNOWNS = ['decalage', 'balance', 'drag', 'warp'] as const;
export type Unknown = (typeof UNKNOWNS)[number];

/** Hot glue holds a tail to 0.8°, shims a wing to 0.5°. */
const DECALAGE = radiansFromDegrees(Math.hypot(0.5, 0.8));
/** A balance point is told to 2.5 mm, and the neutral point lies within so much of the chord. */
const BALANCE_READ = 2.5e-3;
const NEUTRAL_POINT = 0.02;
const DRAG = 0.13;
const WARP = radiansFromDegrees(0.7);

/** Bands that are there before the first toss (hand building, ±1σ): radians, shares of the chord and of the least drag. C. */
export function priorOf({ chord, scale }: Pick<Glider, 'chord' | 'scale'>): Readonly<Record<Unknown, number>> {
  return {
    decalage: DECALAGE,
    balance: Math.hypot(BALANCE_READ / (chord * scale), NEUTRAL_POINT),
    drag: DRAG,
    warp: WARP,
  };
}
