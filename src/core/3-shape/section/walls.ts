import type { Contour } from './faces';

/** A point of a section: aft of the nose and above the chord line, as fractions of the chord. */
export type ChordPoint = readonly [x: number, z: number];

/** What a wall is made of: board of the surface, film, or an upright strip of that board. */
export type WallKind = 'board' | 'film' | 'web';

/** A sheet seen from its end, along its middle. */
export interface SectionWall {
  readonly kind: WallKind;
  readonly line: readonly ChordPoint[];
}

/**
 * What bears in a section: walls along their middles, those that close a cell
 * (in the order in which they go round), and a block that fills the contour.
 */
export interface SectionWalls {
  readonly walls: readonly SectionWall[];
  readonly cell: readonly number[];
  readonly isBlock: boolean;
}

/** Points along every wall, so that sections of one kind can be mixed point by point. */
export const WALL_POINTS = 15;

const heightAt = ({ x }: Contour, face: Float64Array, place: number): number => {
  let after = 1;
  while (after < x.length - 1 && x[after]! < place) after++;
  const share = (place - x[after - 1]!) / (x[after]! - x[after - 1]!);
  return face[after - 1]! + (face[after]! - face[after - 1]!) * Math.min(1, Math.max(0, share));
};

/** A wall along a height over the chord from one place to another, denser at the nose. */
export function wallAlong(
  height: (x: number) => number,
  [from, to]: readonly [number, number],
  kind: WallKind = 'board',
): SectionWall {
  const line = Array.from({ length: WALL_POINTS }, (_, index): ChordPoint => {
    const share = (1 - Math.cos((Math.PI * index) / (WALL_POINTS - 1))) / 2;
    const x = from + (to - from) * share;
    return [x, height(x)];
  });
  return { kind, line };
}

/** Midway between both faces. */
export const middleOf =
  (contour: Contour) =>
  (x: number): number =>
    (heightAt(contour, contour.upper, x) + heightAt(contour, contour.lower, x)) / 2;

/** Half a board within the upper or the lower face; where both skins meet they share what room there is. */
export function skinsOf(contour: Contour, board: number): Record<'upper' | 'lower', (x: number) => number> {
  const room = (x: number) => {
    const [top, bottom] = [heightAt(contour, contour.upper, x), heightAt(contour, contour.lower, x)];
    return { top, bottom, inset: Math.min(board / 2, (top - bottom) / 4) };
  };
  return {
    upper: (x) => room(x).top - room(x).inset,
    lower: (x) => room(x).bottom + room(x).inset,
  };
}

/** An upright wall between two heights. */
export const webAt = (x: number, from: number, to: number): SectionWall => ({
  kind: 'web',
  line: Array.from({ length: WALL_POINTS }, (_, index): ChordPoint => [
    x,
    from + ((to - from) * index) / (WALL_POINTS - 1),
  ]),
});

/** One sheet from nose to trailing edge. */
export const oneWall = (contour: Contour): SectionWalls => ({
  walls: [wallAlong(middleOf(contour), [0, 1])],
  cell: [],
  isBlock: false,
});

/** Two skins that close all round. @param board thickness over chord */
export function shell(contour: Contour, board: number, kind: WallKind = 'board'): SectionWalls {
  const { upper, lower } = skinsOf(contour, board);
  return { walls: [wallAlong(upper, [1, 0], kind), wallAlong(lower, [0, 1], kind)], cell: [0, 1], isBlock: false };
}

/** Foam through and through. */
export const block: SectionWalls = { walls: [], cell: [], isBlock: true };
