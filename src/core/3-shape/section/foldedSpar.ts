import type { Millimetres } from '@/core/1-base/units/convert';
import type { SectionOf } from '@/core/2-document/schema/section';
import type { Contour } from './faces';

/** Width of the base of a folded spar in boards: two webs, and as much room between them, so that fingers and glue get in. */
const WIDTH_IN_BOARDS = 4;

/** One of the two webs of a folded spar: where its middle stands aft of the nose, and how high the room is there, lower skin to upper one. */
export interface SparWeb {
  readonly x: Millimetres;
  readonly room: Millimetres;
}

/** A spar folded of one strip: a base flat on the lower skin, a web up from either edge of it. */
export interface FoldedSpar {
  /** Of the base, over the outer faces of both webs. */
  readonly width: Millimetres;
  readonly front: SparWeb;
  readonly rear: SparWeb;
}

/** Height between two skins at a place aft of the nose; never below nothing. */
function roomAt({ x, upper, lower }: Contour, chord: Millimetres, board: Millimetres, place: Millimetres): Millimetres {
  const share = Math.min(1, Math.max(0, place / chord));
  const after = Math.max(
    1,
    x.findIndex((at) => at >= share),
  );
  const within = (share - x[after - 1]!) / (x[after]! - x[after - 1]!);
  const height = (index: number) => (upper[index]! - lower[index]!) * chord;
  return Math.max(0, height(after - 1) + (height(after) - height(after - 1)) * within - 2 * board);
}

/** The folded spar of a section; its webs stand to either side of the place of the spar, where the room is lower than at it. */
export function foldedSpar(
  { boardThickness: board, sparPosition }: SectionOf<'foldedOverSpar'>,
  contour: Contour,
  chord: Millimetres,
): FoldedSpar {
  const width = WIDTH_IN_BOARDS * board;
  const web = (side: 1 | -1): SparWeb => {
    const x = sparPosition * chord + (side * (width - board)) / 2;
    // The outer corner of the web meets the skin first: on the lower side of both of its faces.
    const faces = [x - board / 2, x + board / 2].map((place) => roomAt(contour, chord, board, place));
    return { x, room: Math.min(...faces) };
  };
  return { width, front: web(-1), rear: web(1) };
}
