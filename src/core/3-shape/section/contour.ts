import type { Section } from '@/core/2-document/schema/section';
import type { Contour } from './faces';
import { buildOf } from './kinds';

export { type Contour, CONTOUR_STATIONS, twoParabolas } from './faces';

/** Contours by section: a document's sections never change, a changed one is a new object. */
const known = new WeakMap<Section, Map<number, Contour>>();

/** Chords of one section whose contours are kept. */
const MOST_CHORDS = 64;

/** Contour of a section on a chord. @param chord the chord it is built on [mm], since boards have a thickness, not a ratio */
export function contourOf(section: Section, chord: number): Contour {
  const byChord = known.get(section) ?? new Map<number, Contour>();
  known.set(section, byChord);
  const before = byChord.get(chord);
  if (before) return before;
  const contour = buildOf(section).contour(section, chord);
  // A dragged chord leaves one for every place it was at.
  if (byChord.size >= MOST_CHORDS) byChord.clear();
  byChord.set(chord, contour);
  return contour;
}

/** Keeps what follows from a contour beside it. */
export function onceFor<Result>(derive: (contour: Contour) => Result): (contour: Contour) => Result {
  const results = new WeakMap<Contour, Result>();
  return (contour) => {
    const before = results.get(contour);
    if (before !== undefined) return before;
    const result = derive(contour);
    results.set(contour, result);
    return result;
  };
}

/** Camber that thin-aerofoil theory knows, as a fraction of the chord. */
const MOST_CAMBER = 0.2;

/**
 * Height of the camber line above the chord line through nose and trailing
 * edge, at the contour's stations, midway between the faces that the air follows. More than theory knows, as on a tip narrower
 * than the board it is folded from, counts as the most that it knows.
 */
export const camberLine = onceFor((contour): Float64Array => {
  const { x } = contour;
  const { upper, lower } = contour.followed ?? contour;
  const middle = x.map((_, index) => (upper[index]! + lower[index]!) / 2);
  const nose = middle[0]!;
  const rise = middle.at(-1)! - nose;
  const line = middle.map((height, index) => height - nose - rise * x[index]!);
  const most = line.reduce((largest, height) => Math.max(largest, Math.abs(height)), 0);
  return most > MOST_CAMBER ? line.map((height) => (height * MOST_CAMBER) / most) : line;
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
