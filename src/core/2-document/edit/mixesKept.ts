import type { Mix } from '../schema/brief';
import type { Design } from '../schema/design';

/** Mixes without what is gone; one that moves nothing is none. */
const kept = (mixes: readonly Mix[], isThere: (control: string) => boolean): Mix[] =>
  mixes
    .map((mix) => ({ ...mix, terms: mix.terms.filter(({ control }) => isThere(control)) }))
    .filter(({ terms, drives }) => terms.length > 0 || drives.length > 0);

/** A design whose mixes and flight modes name only controls that are there. */
export const withControlsThatAre = (design: Design, isThere: (control: string) => boolean): Design => ({
  ...design,
  mixes: kept(design.mixes, isThere),
  modes: design.modes.map((mode) => ({
    ...mode,
    neutrals: mode.neutrals.filter(({ control }) => isThere(control)),
    mixes: kept(mode.mixes, isThere),
  })),
});

/** The same for drives that were taken out. */
export const withoutDrive = (design: Design, gone: string): Design => {
  const still = (mixes: readonly Mix[]) =>
    mixes
      .map((mix) => ({ ...mix, drives: mix.drives.filter(({ drive }) => drive !== gone) }))
      .filter(({ terms, drives }) => terms.length > 0 || drives.length > 0);
  return {
    ...design,
    mixes: still(design.mixes),
    modes: design.modes.map((mode) => ({ ...mode, mixes: still(mode.mixes) })),
  };
};
