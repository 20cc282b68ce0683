import type { Millimetres } from '@/core/1-base/units/convert';
import type { SectionKind, SectionOf } from '@/core/2-document/schema/section';
import type { Path } from '../../outline/path';
import type { FoldOptions, FoldPattern } from '../../pattern/foldPattern';
import type { Contour } from '../faces';
import type { SectionSheet } from '../sheet';

/** How a section behaves in the table of low Reynolds numbers. */
export type SectionFamily = 'flatPlate' | 'curvedPlate' | 'thick';

/** What lies within a section: the inside of its skins, or a spar across it. */
export interface InnerOutline {
  readonly kind: 'skin' | 'spar';
  readonly path: Path;
}

/** Everything that a way to build a section must answer; the document holds its schema. */
export interface SectionBuild<Kind extends SectionKind> {
  readonly kind: Kind;
  /** Name in words. */
  readonly name: string;
  /** Shape on a chord [mm]. */
  readonly contour: (section: SectionOf<Kind>, chord: Millimetres) => Contour;
  /** Family in the section table, from camber and thickness as fractions of the chord. */
  readonly family: (camber: number, thickness: number) => SectionFamily;
  /** Board it takes, from its contour and its chord [mm]. */
  readonly sheet: (section: SectionOf<Kind>, contour: Contour, chord: Millimetres) => SectionSheet;
  /** True when it is cut from a block rather than from sheets. */
  readonly isSolid: boolean;
  /** What is drawn within its edge, from its contour and its chord [mm]. */
  readonly within: (section: SectionOf<Kind>, contour: Contour, chord: Millimetres) => readonly InnerOutline[];
  /** The flat strip of a sheet that is bent round the nose; null where nothing has to be developed. */
  readonly pattern: ((section: SectionOf<Kind>, chord: Millimetres, fold: FoldOptions) => FoldPattern) | null;
  /** Thickness of the sheet it is made of [mm]; null when it is not made of one. */
  readonly board: (section: SectionOf<Kind>) => Millimetres | null;
  /** A usual one on a board [mm]; null for what only a file can give. */
  readonly fresh: ((board: Millimetres) => SectionOf<Kind>) | null;
}

/** Thickness over chord from which a section behaves as thick. */
const THICK = 0.055;

/** Cambered sections: thin ones as a curved plate, others as thick sections. */
export const byThickness = (_camber: number, thickness: number): SectionFamily =>
  thickness > THICK ? 'thick' : 'curvedPlate';

/** Nothing is drawn within what is board or foam all through. */
export const filled = (): readonly InnerOutline[] => [];

export const cutFromSheet = { isSolid: false, pattern: null, within: filled } as const;
