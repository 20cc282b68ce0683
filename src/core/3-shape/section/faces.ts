/**
 * A section as it is built, as fractions of its chord: the height of the upper
 * and lower face at equal stations from nose (0) to trailing edge (1). Camber
 * line and thickness follow from the two.
 */
export interface Contour {
  readonly x: Float64Array;
  readonly upper: Float64Array;
  readonly lower: Float64Array;
  /** The faces that the air follows, where it leaves a corner of the drawn ones. */
  readonly followed?: { readonly upper: Float64Array; readonly lower: Float64Array };
}

/** Stations are cosine spaced: θ from 0 at the nose to π at the trailing edge, x = (1 − cos θ)/2. */
export const CONTOUR_STATIONS = 161;

const STATIONS: Float64Array = Float64Array.from(
  { length: CONTOUR_STATIONS },
  (_, index) => (1 - Math.cos((Math.PI * index) / (CONTOUR_STATIONS - 1))) / 2,
);

/** Height over the chord line at a place, both as fractions of the chord. */
export type Face = (x: number) => number;

export function fromFaces(upper: Face, lower: Face): Contour {
  return { x: STATIONS, upper: STATIONS.map(upper), lower: STATIONS.map(lower) };
}

export const fromCamber = (camber: Face, thickness: Face): Contour =>
  fromFaces(
    (x) => camber(x) + thickness(x) / 2,
    (x) => camber(x) - thickness(x) / 2,
  );

/**
 * Camber line of two parabolas that meet at their common summit (the
 * four-digit family). Source: Jacobs, Ward & Pinkerton, NACA Report 460, 1933.
 */
export function twoParabolas(camber: number, position: number): Face {
  return (x) => {
    const p = position;
    return x < p
      ? (camber / p ** 2) * (2 * p * x - x ** 2)
      : (camber / (1 - p) ** 2) * (1 - 2 * p + 2 * p * x - x ** 2);
  };
}
