import type { Millimetres } from '@/core/1-base/units/convert';
import type { Section, SectionKind } from '@/core/2-document/schema/section';
import { buildOf, SECTION_BUILDS } from './kinds';

/** The sheet that most builders start with [mm]. */
const USUAL_BOARD = 5;

/** Thickness of the sheet that a section is made of, the usual one where it is made of none. */
export const boardOf = (section: Section): Millimetres => buildOf(section).board(section) ?? USUAL_BOARD;

/** A fresh section of another kind from the same board; null for kinds that only a file can give. */
export const freshSection = (kind: SectionKind, before: Section): Section | null =>
  SECTION_BUILDS[kind].fresh?.(boardOf(before)) ?? null;
