import { metresFromMillimetres, type Millimetres } from '@/core/1-base/units/convert';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import type { SectionKind, SectionOf } from '@/core/2-document/schema/section';
import type { Path } from '../../outline/path';
import type { FoldOptions, FoldPattern } from '../../pattern/foldPattern';
import type { Contour } from '../faces';
import type { SectionSheet } from '../sheet';
import { oneWall, type SectionWalls } from '../walls';

/** How a section behaves in the table of low Reynolds numbers. */
export const SECTION_FAMILIES = ['flatPlate', 'curvedPlate', 'reflexed', 'folded', 'thick'] as const;
export type SectionFamily = (typeof SECTION_FAMILIES)[number];

/** What lies within a section: the inside of its skins, or a spar across it. */
export interface InnerOutline {
  readonly kind: 'skin' | 'spar';
  readonly path: Path;
}

/** What of a section meets the air bluntly, as fractions of its chord. */
export interface Bluntness {
  /** Height of the base at the trailing edge that drags as cut square. */
  readonly rear: number;
  /** Height of a step across the chord. */
  readonly step: number;
  /** 1 where bays between ribs are open to the air below, 0 where they are not. */
  readonly openBays: number;
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
  /** What bears in it, from its contour, its chord and the board of its surface [mm]. */
  readonly walls: (section: SectionOf<Kind>, contour: Contour, chord: Millimetres, sheet: Millimetres) => SectionWalls;
  /** True when it is cut from a block rather than from sheets. */
  readonly isSolid: boolean;
  /** Where it is blunt, from its contour and its chord [mm]. */
  readonly bluntness: (section: SectionOf<Kind>, contour: Contour, chord: Millimetres) => Bluntness;
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
export const THICK = 0.055;

/** Cambered sections: thin ones as a curved plate, others as thick sections. */
export const byThickness = (_camber: number, thickness: number): SectionFamily =>
  thickness > THICK ? 'thick' : 'curvedPlate';

/** Nothing is drawn within what is board or foam all through. */
export const filled = (): readonly InnerOutline[] => [];

/** Nothing but the base that its contour ends in. */
export const bluntRear = (_section: unknown, { upper, lower }: Contour): Bluntness => ({
  rear: Math.max(0, upper.at(-1)! - lower.at(-1)!),
  step: 0,
  openBays: 0,
});

export const cutFromSheet = {
  isSolid: false,
  pattern: null,
  within: filled,
  bluntness: bluntRear,
  walls: (_section: unknown, contour: Contour): SectionWalls => oneWall(contour),
} as const;
