import type { Section, SectionKind } from '@/core/2-document/schema/section';
import { coordinates } from './coordinates';
import { curvedPlate } from './curvedPlate';
import { flatPlate } from './flatPlate';
import { foldedOverSpar } from './foldedOverSpar';
import { fourDigit } from './fourDigit';
import type { SectionBuild } from './kind';
import { reflexed } from './reflexed';
import { ribsUnderFilm } from './ribsUnderFilm';
import { steppedPlate } from './steppedPlate';

/** How sections are built; a kind of the document that is not here does not compile. */
export const SECTION_BUILDS: { readonly [Kind in SectionKind]: SectionBuild<Kind> } = {
  flatPlate,
  steppedPlate,
  curvedPlate,
  foldedOverSpar,
  fourDigit,
  ribsUnderFilm,
  reflexed,
  coordinates,
};

export const SECTION_KINDS = Object.keys(SECTION_BUILDS) as SectionKind[];

/** True where skins leave room between them. */
export const isHollow = ({ kind }: Section): boolean => kind === 'foldedOverSpar';

/** The build of a section, typed for it. */
export const buildOf = (section: Section): SectionBuild<SectionKind> =>
  SECTION_BUILDS[section.kind] as unknown as SectionBuild<SectionKind>;
