import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';

/*
 * Inputs that move several numbers together, called by what they do and to
 * which part: `tips/wing` leaves so many percent of both halves of a wing,
 * `chords/wing` makes all its chords so many percent of what is drawn. 100 is
 * as drawn.
 */
export const LINKS = ['tips', 'chords', 'spans'] as const;
export type Link = (typeof LINKS)[number];

/** What a design has of them. */
export const linkedNames = ({ surfaces }: Design): readonly string[] =>
  surfaces
    .filter((surface) => isWing(surface) && surface.mirrored)
    .flatMap(({ id }) => LINKS.map((link) => `${link}/${id}`));
