import type { Contour } from './faces';

/** Board that a section takes per metre of span, as lengths of sheet over the chord, and where its middle lies. */
export interface SectionSheet {
  readonly lengthRatio: number;
  readonly centroid: number;
  /** Ribs of the same board, as lengths of sheet over the chord. */
  readonly ribs?: { readonly lengthRatio: number; readonly centroid: number };
  /** Film over it: length over the chord times what it weighs [g/m²], and where its middle lies. */
  readonly film?: { readonly weight: number; readonly centroid: number };
}

/** One flat sheet from nose to trailing edge. */
export const ONE_SHEET: SectionSheet = { lengthRatio: 1, centroid: 0.5 };

/** A sheet along one face from the nose to a fraction of the chord. */
export function sheetAlong({ x }: Pick<Contour, 'x'>, face: Float64Array, end = 1): SectionSheet {
  let lengthRatio = 0;
  let first = 0;
  for (let i = 0; i + 1 < x.length && x[i]! < end; i++) {
    const along = Math.min(end, x[i + 1]!) - x[i]!;
    // Where it ends within a cell, the face may step away: that is no sheet.
    const piece = end < x[i + 1]! ? along : Math.hypot(along, face[i + 1]! - face[i]!);
    lengthRatio += piece;
    first += piece * (x[i]! + along / 2);
  }
  return { lengthRatio, centroid: lengthRatio > 0 ? first / lengthRatio : 0 };
}

/** Sheets along both faces, each ending at a fraction of the chord. */
export function bothSkins(contour: Contour, lowerEnd = 1, upperEnd = 1): SectionSheet {
  const upper = sheetAlong(contour, contour.upper, upperEnd);
  const lower = sheetAlong(contour, contour.lower, lowerEnd);
  const lengthRatio = upper.lengthRatio + lower.lengthRatio;
  return {
    lengthRatio,
    centroid: (upper.lengthRatio * upper.centroid + lower.lengthRatio * lower.centroid) / lengthRatio,
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
