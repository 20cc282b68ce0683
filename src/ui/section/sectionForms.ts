import type { SectionKind, SectionOf } from '@/core/2-document/schema/section';
import type { QuantityKind } from '@/words/parseQuantity';

/** Numbers that a form may set in one kind of section. */
type NumberKey<Kind extends SectionKind> = {
  [Key in keyof SectionOf<Kind>]-?: NonNullable<SectionOf<Kind>[Key]> extends number ? Key : never;
}[keyof SectionOf<Kind>] &
  string;

/** A number of any kind of section. */
export type SectionKey = { [Kind in SectionKind]: NumberKey<Kind> }[SectionKind];

export interface SectionField<Key extends string = SectionKey> {
  readonly key: Key;
  readonly label: string;
  readonly kind: QuantityKind;
  /** What it is while nothing is typed, where it may be left out. */
  readonly without?: string;
}

/** Choices that a form may set in one kind of section: what is written in the document, and in words. */
type ChoiceKey<Kind extends SectionKind> = {
  [Key in keyof SectionOf<Kind>]-?: NonNullable<SectionOf<Kind>[Key]> extends number | object ? never : Key;
}[keyof SectionOf<Kind>] &
  string;

export interface SectionChoice<Key extends string = string> {
  readonly key: Key;
  readonly label: string;
  readonly options: readonly (readonly [value: string | boolean, words: string])[];
}

interface SectionForm<Kind extends SectionKind> {
  readonly fields: readonly SectionField<NumberKey<Kind>>[];
  readonly choices?: readonly SectionChoice<Exclude<ChoiceKey<Kind>, 'kind'>>[];
  /** How what is to be cut is drawn and said below the contour. */
  readonly cut: 'fold' | 'faces' | 'block' | 'ribs';
}

const BOARD = { key: 'thickness', label: 'Board', kind: 'length' } as const;
const CAMBER = [
  { key: 'camber', label: 'Camber', kind: 'percent' },
  { key: 'camberPosition', label: 'Camber at', kind: 'percent' },
] as const;

/** What is typed and what is drawn for each way to build a section; a kind without does not compile. */
export const SECTION_FORMS: { readonly [Kind in SectionKind]: SectionForm<Kind> } = {
  flatPlate: {
    fields: [BOARD],
    choices: [
      {
        key: 'edge',
        label: 'Edges',
        options: [
          ['square', 'cut square'],
          ['rounded', 'sanded round'],
          ['sharpened', 'rear tapered thin'],
        ],
      },
    ],
    cut: 'faces',
  },
  steppedPlate: {
    fields: [BOARD, { key: 'stepPosition', label: 'Step at', kind: 'percent' }],
    choices: [
      {
        key: 'stepSide',
        label: 'Doubled on the',
        options: [
          ['upper', 'upper side'],
          ['lower', 'lower side'],
        ],
      },
    ],
    cut: 'faces',
  },
  curvedPlate: {
    fields: [BOARD, ...CAMBER, { key: 'ribSpacing', label: 'Rib to rib', kind: 'length', without: 'no ribs' }],
    choices: [
      {
        key: 'openBelow',
        label: 'Below',
        options: [
          [true, 'open between ribs'],
          [false, 'closed with film'],
        ],
      },
    ],
    cut: 'faces',
  },
  foldedOverSpar: {
    fields: [
      { key: 'boardThickness', label: 'Board', kind: 'length' },
      { key: 'sparHeight', label: 'Spar height', kind: 'length' },
      { key: 'sparPosition', label: 'Spar at', kind: 'percent' },
      { key: 'bottomLength', label: 'Lower skin to', kind: 'percent' },
      { key: 'rearBevel', label: 'Rear bevel', kind: 'length' },
      { key: 'singleFrom', label: 'Single sheet from', kind: 'percent', without: 'not at all' },
      { key: 'spacers', label: 'Spacers every', kind: 'length', without: 'none' },
    ],
    choices: [
      {
        key: 'spar',
        label: 'Spar',
        options: [
          ['strip', 'a strip on edge'],
          ['folded', 'a channel, folded of one strip'],
        ],
      },
    ],
    cut: 'fold',
  },
  fourDigit: { fields: [...CAMBER, { key: 'thicknessRatio', label: 'Thickness', kind: 'percent' }], cut: 'block' },
  ribsUnderFilm: {
    fields: [
      ...CAMBER,
      { key: 'thicknessRatio', label: 'Thickness', kind: 'percent' },
      { key: 'ribSpacing', label: 'Rib to rib', kind: 'length' },
      { key: 'ribCutOut', label: 'Cut out of ribs', kind: 'percent' },
      { key: 'filmDensity', label: 'Film, g/m²', kind: 'number' },
    ],
    cut: 'ribs',
  },
  reflexed: {
    fields: [
      BOARD,
      ...CAMBER,
      { key: 'bendPosition', label: 'Bent up at', kind: 'percent' },
      { key: 'bendAngle', label: 'Bend', kind: 'angle' },
    ],
    cut: 'faces',
  },
  coordinates: { fields: [], cut: 'faces' },
};
