import type { Radians } from '@/core/1-base/units/convert';
import { contourOf, onceFor } from './contour';
import type { Contour } from './faces';
import type { Section } from '@/core/2-document/schema/section';

/** What a tilt meter can be laid on: a face that is straight for long enough, or nose and trailing edge by a jig. */
export interface MeasurableFace {
  readonly face: 'lower' | 'upper' | 'chord';
  /** Nose-up angle of that face against the chord line through mid-nose and mid trailing edge. */
  readonly angle: Radians;
}

/** A meter rests on a straight stretch of at least this share of the chord. */
const LEAST_STRETCH = 0.4;
/** Points of a stretch lie off a straight line by at most this share of the chord. */
const STRAIGHT = 0.0004;

/** The face of a section on which its angle is read, the lower one first. @param chord [mm] */
export const measurableFace = (section: Section, chord: number): MeasurableFace => faceOf(contourOf(section, chord));

const faceOf = onceFor((contour): MeasurableFace => {
  const chordSlope = meanAt(contour, contour.x.length - 1) - meanAt(contour, 0);
  for (const face of ['lower', 'upper'] as const) {
    const { length, slope } = straightest(contour.x, contour[face]);
    if (length >= LEAST_STRETCH) return { face, angle: Math.atan(chordSlope) - Math.atan(slope) };
  }
  return { face: 'chord', angle: 0 };
});

const meanAt = ({ upper, lower }: Contour, index: number) => (upper[index]! + lower[index]!) / 2;

/** Longest straight stretch of a face, and its slope. */
function straightest(x: Float64Array, height: Float64Array): { readonly length: number; readonly slope: number } {
  let best = { length: 0, slope: 0 };
  for (let from = 0; from + 1 < x.length; from++) {
    // Bounds of the slopes that pass every point from here within the allowance.
    let [least, most] = [-Infinity, Infinity];
    for (let to = from + 1; to < x.length; to++) {
      const run = x[to]! - x[from]!;
      const rise = height[to]! - height[from]!;
      least = Math.max(least, (rise - STRAIGHT) / run);
      most = Math.min(most, (rise + STRAIGHT) / run);
      if (least > most) break;
      if (run > best.length) best = { length: run, slope: rise / run };
    }
  }
  return best;
}
