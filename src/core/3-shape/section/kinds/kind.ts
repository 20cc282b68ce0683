import { metresFromMillimetres, type Millimetres } from '@/core/1-base/units/convert';
import type { UnitKind } from '@/core/1-base/units/unitKind';
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

/** A value that was typed: its symbol, its name, the value in SI. */
export type Given = readonly [symbol: string, name: string, value: number, unit: UnitKind];

/** How thick a section is over its chord, as one works it out by hand. */
export interface ThicknessWorking {
  readonly formula: string;
  readonly given: readonly Given[];
  readonly source: string;
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
  /** How its thickness over the chord c follows from what was typed. */
  readonly working: (section: SectionOf<Kind>) => ThicknessWorking;
  /** What is drawn within its edge, from its contour and its chord [mm]. */
  readonly within: (section: SectionOf<Kind>, contour: Contour, chord: Millimetres) => readonly InnerOutline[];
  /** The flat strip of a sheet that is bent round the nose; null where nothing has to be developed. */
  readonly pattern: ((section: SectionOf<Kind>, chord: Millimetres, fold: FoldOptions) => FoldPattern) | null;
  /** Thickness of the sheet it is made of [mm]; null when it is not made of one. */
  readonly board: (section: SectionOf<Kind>) => Millimetres | null;
  /** A usual one on a board [mm]; null for what only a file can give. */
  readonly fresh: ((board: Millimetres) => SectionOf<Kind>) | null;
}

const AS_BUILT = 'Geometry of the board as it is built';

/** The board by itself, so many layers of it. */
export const layersOfBoard = (layers: number, thickness: Millimetres): ThicknessWorking => ({
  formula: layers === 1 ? 't/c, the board by itself' : `${layers} t/c where the board lies double`,
  given: [['t', 'Board', metresFromMillimetres(thickness), 'length']],
  source: AS_BUILT,
});

/** A sheet folded over a spar. */
export const overSpar = (thickness: Millimetres, sparHeight: Millimetres): ThicknessWorking => ({
  formula: '(h + 2 t)/c at the spar',
  given: [
    ['h', 'Spar height', metresFromMillimetres(sparHeight), 'length'],
    ['t', 'Board', metresFromMillimetres(thickness), 'length'],
  ],
  source: AS_BUILT,
});

/** Thickness over chord from which a section behaves as thick. */
const THICK = 0.055;

/** Cambered sections: thin ones as a curved plate, others as thick sections. */
export const byThickness = (_camber: number, thickness: number): SectionFamily =>
  thickness > THICK ? 'thick' : 'curvedPlate';

/** Nothing is drawn within what is board or foam all through. */
export const filled = (): readonly InnerOutline[] => [];

export const cutFromSheet = { isSolid: false, pattern: null, within: filled } as const;
