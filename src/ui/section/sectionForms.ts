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
}

interface SectionForm<Kind extends SectionKind> {
  readonly fields: readonly SectionField<NumberKey<Kind>>[];
  /** How what is to be cut is drawn and said below the contour. */
  readonly cut: 'fold' | 'faces' | 'block';
}

const BOARD = { key: 'thickness', label: 'Board', kind: 'length' } as const;
const CAMBER = [
  { key: 'camber', label: 'Camber', kind: 'percent' },
  { key: 'camberPosition', label: 'Camber at', kind: 'percent' },
] as const;

/** What is typed and what is drawn for each way to build a section; a kind without does not compile. */
export const SECTION_FORMS: { readonly [Kind in SectionKind]: SectionForm<Kind> } = {
  flatPlate: { fields: [BOARD], cut: 'faces' },
  steppedPlate: { fields: [BOARD, { key: 'stepPosition', label: 'Step at', kind: 'percent' }], cut: 'faces' },
  curvedPlate: { fields: [BOARD, ...CAMBER], cut: 'faces' },
  foldedOverSpar: {
    fields: [
      { key: 'boardThickness', label: 'Board', kind: 'length' },
      { key: 'sparHeight', label: 'Spar height', kind: 'length' },
      { key: 'sparPosition', label: 'Spar at', kind: 'percent' },
      { key: 'bottomLength', label: 'Lower skin to', kind: 'percent' },
      { key: 'rearBevel', label: 'Rear bevel', kind: 'length' },
    ],
    cut: 'fold',
  },
  fourDigit: { fields: [...CAMBER, { key: 'thicknessRatio', label: 'Thickness', kind: 'percent' }], cut: 'block' },
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
