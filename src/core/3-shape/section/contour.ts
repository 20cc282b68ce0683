import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Section, SectionKind, SectionOf } from '@/core/2-document/schema/section';

/**
 * A section as it is built, as fractions of its chord: the height of the upper
 * and lower face at equal stations from nose (0) to trailing edge (1). Camber
 * line and thickness follow from the two.
 */
export interface Contour {
  readonly x: Float64Array;
  readonly upper: Float64Array;
  readonly lower: Float64Array;
}

/** Stations are cosine spaced: θ from 0 at the nose to π at the trailing edge, x = (1 − cos θ)/2. */
export const CONTOUR_STATIONS = 161;

const STATIONS: Float64Array = Float64Array.from(
  { length: CONTOUR_STATIONS },
  (_, index) => (1 - Math.cos((Math.PI * index) / (CONTOUR_STATIONS - 1))) / 2,
);

type Face = (x: number) => number;

function fromFaces(upper: Face, lower: Face): Contour {
  return { x: STATIONS, upper: STATIONS.map(upper), lower: STATIONS.map(lower) };
}

const fromCamber = (camber: Face, thickness: Face): Contour =>
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

/** Thickness of the four-digit family with a blunt trailing edge. Source: NACA Report 460, 1933. */
function fourDigitThickness(ratio: number): Face {
  return (x) => 10 * ratio * (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - 0.1015 * x ** 4);
}

/**
 * A sheet folded at the nose over a spar: both skins are straight from the
 * spar's edges; ahead of the spar they run to the nose on a half ellipse-like
 * arc, behind it to the trailing edge, where the lower skin may end early.
 */
function folded(section: SectionOf<'foldedOverSpar'>, chord: number): Contour {
  const board = section.boardThickness / chord;
  const spar = section.sparPosition;
  const free = section.sparHeight / chord;
  const end = Math.max(section.bottomLength, spar);
  const bevelled = section.rearBevel > 0;
  const bevel = Math.min(section.rearBevel / chord, 1 - spar);
  // The lower skin lies flat on the building board; the upper one rises to the spar and falls behind it.
  const tail = board * (end >= 1 ? 2 : 1);
  const top = free + 2 * board;
  const nose = (x: number) => Math.sqrt(Math.max(0, 1 - ((spar - x) / spar) ** 2));
  const straight: Face = (x) =>
    x < spar ? top / 2 + (top / 2) * nose(x) : top + ((tail - top) * (x - spar)) / (1 - spar);
  // The bevel is sanded off the upper face; what lies below stays.
  const upper: Face = (x) => straight(x) - (bevelled && x > 1 - bevel ? (tail / 2) * ((x - 1 + bevel) / bevel) : 0);
  const lower: Face = (x) => {
    if (x < spar) return top / 2 - (top / 2) * nose(x);
    return x <= end ? 0 : straight(x) - board;
  };
  return fromFaces(upper, lower);
}

/** Splits a contour given as points (trailing edge, upper side, nose, lower side) and resamples it. */
function resample(points: SectionOf<'coordinates'>['points']): Contour {
  const noseAt = points.reduce((best, point, index) => (point[0] < points[best]![0] ? index : best), 0);
  const [noseX, noseY] = points[noseAt]!;
  const rear = Math.max(points[0]![0], points.at(-1)![0]);
  const rearY = (points[0]![1] + points.at(-1)![1]) / 2;
  const scale = 1 / (rear - noseX);
  // Turn the chord line level, so that the angle of the section is that of its chord.
  const slope = (rearY - noseY) * scale;
  const normalised = points.map(([x, y]) => {
    const along = (x - noseX) * scale;
    return [along, (y - noseY) * scale - slope * along] as const;
  });
  const face =
    (side: readonly (readonly [number, number])[]): Face =>
    (x) => {
      const after = side.findIndex(([place]) => place >= x);
      if (after <= 0) return side[after === 0 ? 0 : side.length - 1]![1];
      const [x0, y0] = side[after - 1]!;
      const [x1, y1] = side[after]!;
      return x1 === x0 ? y1 : y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
    };
  return fromFaces(face(normalised.slice(0, noseAt + 1).reverse()), face(normalised.slice(noseAt)));
}

type Builders = { [Kind in SectionKind]: (section: SectionOf<Kind>, chord: number) => Contour };

/** One builder per kind: a new kind does not compile until it has one. */
const BUILDERS: Builders = {
  flatPlate: (section, chord) =>
    fromCamber(
      () => 0,
      () => section.thickness / chord,
    ),
  steppedPlate: (section, chord) => {
    const board = section.thickness / chord;
    const doubled: Face = (x) => (x <= section.stepPosition ? board : 0);
    return section.stepSide === 'upper'
      ? fromFaces(
          (x) => board / 2 + doubled(x),
          () => -board / 2,
        )
      : fromFaces(
          () => board / 2,
          (x) => -board / 2 - doubled(x),
        );
  },
  curvedPlate: (section, chord) =>
    fromCamber(twoParabolas(section.camber, section.camberPosition), () => section.thickness / chord),
  foldedOverSpar: folded,
  fourDigit: (section) =>
    fromCamber(twoParabolas(section.camber, section.camberPosition), fourDigitThickness(section.thicknessRatio)),
  reflexed: (section, chord) => {
    const base = twoParabolas(section.camber, section.camberPosition);
    const rise = Math.tan(radiansFromDegrees(section.bendAngle));
    const tip = rise * (1 - section.bendPosition);
    // The chord line runs from the nose to the raised trailing edge.
    return fromCamber(
      (x) => base(x) + rise * Math.max(0, x - section.bendPosition) - tip * x,
      () => section.thickness / chord,
    );
  },
  coordinates: (section) => resample(section.points),
};

/** Contours by section: a document's sections never change, a changed one is a new object. */
const known = new WeakMap<Section, Map<number, Contour>>();

/** Contour of a section on a chord. @param chord the chord it is built on [mm], since boards have a thickness, not a ratio */
export function contourOf(section: Section, chord: number): Contour {
  const byChord = known.get(section) ?? new Map<number, Contour>();
  known.set(section, byChord);
  const before = byChord.get(chord);
  if (before) return before;
  const build = BUILDERS[section.kind] as (section: Section, chord: number) => Contour;
  const contour = build(section, chord);
  byChord.set(chord, contour);
  return contour;
}

/** Keeps what follows from a contour beside it. */
function onceFor<Result>(derive: (contour: Contour) => Result): (contour: Contour) => Result {
  const results = new WeakMap<Contour, Result>();
  return (contour) => {
    const before = results.get(contour);
    if (before !== undefined) return before;
    const result = derive(contour);
    results.set(contour, result);
    return result;
  };
}

/** Height of the camber line above the chord line through nose and trailing edge, at the contour's stations. */
export const camberLine = onceFor(({ x, upper, lower }): Float64Array => {
  const middle = x.map((_, index) => (upper[index]! + lower[index]!) / 2);
  const nose = middle[0]!;
  const rise = middle.at(-1)! - nose;
  return middle.map((height, index) => height - nose - rise * x[index]!);
});

export interface Thickness {
  /** Greatest thickness as a fraction of the chord. */
  readonly ratio: number;
  /** Where it is, as a fraction of the chord. */
  readonly position: number;
}

/** Greatest thickness and where it is; the middle of the stretch when it is constant. */
export const thicknessOf = onceFor(({ x, upper, lower }): Thickness => {
  const thickness = x.map((_, index) => upper[index]! - lower[index]!);
  const ratio = Math.max(...thickness);
  const at = [...x].filter((_, index) => thickness[index]! > ratio - 1e-9);
  return { ratio, position: (at[0]! + at.at(-1)!) / 2 };
});
