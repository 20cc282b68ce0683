import type { Section, SectionKind, SectionOf } from '@/core/2-document/schema/section';

/** A usual section of each kind on a board of a thickness [mm]; coordinates come from a file only. */
const FRESH: { [Kind in SectionKind]: ((thickness: number) => SectionOf<Kind>) | null } = {
  flatPlate: (thickness) => ({ kind: 'flatPlate', thickness, edge: 'rounded' }),
  steppedPlate: (thickness) => ({ kind: 'steppedPlate', thickness, stepPosition: 0.5, stepSide: 'upper' }),
  curvedPlate: (thickness) => ({ kind: 'curvedPlate', thickness, camber: 0.05, camberPosition: 0.35, openBelow: true }),
  foldedOverSpar: (thickness) => ({
    kind: 'foldedOverSpar',
    boardThickness: thickness,
    bottomLength: 0.75,
    sparHeight: 12,
    sparPosition: 0.28,
    rearBevel: 12,
  }),
  fourDigit: () => ({ kind: 'fourDigit', camber: 0.03, camberPosition: 0.4, thicknessRatio: 0.1 }),
  reflexed: (thickness) => ({
    kind: 'reflexed',
    thickness,
    camber: 0.03,
    camberPosition: 0.3,
    bendPosition: 0.75,
    bendAngle: 5,
  }),
  coordinates: null,
};

/** Thickness of the sheet that a section is made of [mm]. */
export const boardOf = (section: Section): number =>
  'thickness' in section ? section.thickness : 'boardThickness' in section ? section.boardThickness : 5;

/** A fresh section of another kind from the same board; null for kinds that only a file can give. */
export const freshSection = (kind: SectionKind, before: Section): Section | null =>
  FRESH[kind]?.(boardOf(before)) ?? null;
