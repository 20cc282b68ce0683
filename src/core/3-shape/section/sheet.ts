import type { Contour } from './faces';

/** Board that a section takes per metre of span, as lengths of sheet over the chord, and where its middle lies. */
export interface SectionSheet {
  readonly lengthRatio: number;
  readonly centroid: number;
}

/** One flat sheet from nose to trailing edge. */
export const ONE_SHEET: SectionSheet = { lengthRatio: 1, centroid: 0.5 };

/** A sheet along one face. */
export function sheetAlong({ x }: Contour, face: Float64Array): SectionSheet {
  let lengthRatio = 0;
  let first = 0;
  for (let i = 0; i + 1 < x.length; i++) {
    const piece = Math.hypot(x[i + 1]! - x[i]!, face[i + 1]! - face[i]!);
    lengthRatio += piece;
    first += (piece * (x[i]! + x[i + 1]!)) / 2;
  }
  return { lengthRatio, centroid: first / lengthRatio };
}

/** Sheets along both faces, the lower one ending at a fraction of the chord. */
export function bothSkins(contour: Contour, end = 1): SectionSheet {
  const upper = sheetAlong(contour, contour.upper);
  const lower = sheetAlong(contour, contour.lower);
  const lengthRatio = upper.lengthRatio + lower.lengthRatio * end;
  return {
    lengthRatio,
    centroid: (upper.lengthRatio * upper.centroid + lower.lengthRatio * end * lower.centroid * end) / lengthRatio,
  };
}

/** A solid core weighs as much as a stack of sheets as high as its mean thickness. @param chord [mm] */
export function solidCore({ x, upper, lower }: Contour, chord: number): SectionSheet {
  let area = 0;
  let first = 0;
  for (let i = 0; i + 1 < x.length; i++) {
    const slab = ((x[i + 1]! - x[i]!) * (upper[i]! - lower[i]! + upper[i + 1]! - lower[i + 1]!)) / 2;
    area += slab;
    first += (slab * (x[i]! + x[i + 1]!)) / 2;
  }
  return { lengthRatio: area * chord, centroid: first / area };
}
