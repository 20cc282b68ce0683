import type { Fraction, Metres, Radians } from '@/core/1-base/units/convert';

/** A place of a blade: share of the radius, chord and angle against the disc. */
interface BladePlace {
  readonly share: Fraction;
  readonly chord: Metres;
  readonly angle: Radians;
}

/** A closed line in the plane of a template: along its foot, up [m]. */
export interface TwistTemplate {
  readonly share: number;
  readonly outline: readonly (readonly [along: Metres, up: Metres])[];
}

/** Under the lowest edge of the blade so much stays, to stand on; beside it so much [m]. */
const FOOT: Metres = 0.012;
const MARGIN: Metres = 0.004;

/**
 * Templates that hold a blade at its angles over a flat board: a block for each
 * place whose upper side slopes as the chord does there, all of one height at
 * the middle of the chord, where the line of the blade lies.
 */
export function twistTemplates(places: readonly BladePlace[]): TwistTemplate[] {
  const highest = Math.max(...places.map(({ chord, angle }) => (Math.sin(angle) * chord) / 2));
  const middle = FOOT + highest;
  return places.map(({ share, chord, angle }) => {
    const half = (Math.cos(angle) * chord) / 2 + MARGIN;
    const rise = Math.tan(angle) * half;
    return {
      share,
      outline: [
        [-half, 0],
        [half, 0],
        [half, middle + rise],
        [-half, middle - rise],
      ],
    };
  });
}
