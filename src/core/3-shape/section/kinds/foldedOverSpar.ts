import type { Millimetres } from '@/core/1-base/units/convert';
import type { SectionOf } from '@/core/2-document/schema/section';
import { type Point, polygon } from '../../outline/path';
import { foldPattern } from '../../pattern/foldPattern';
import { type Contour, type Face, fromFaces } from '../faces';
import { bothSkins } from '../sheet';
import { type FoldedSpar, foldedSpar, type SparWeb } from '../foldedSpar';
import { type SectionWall, type SectionWalls, skinsOf, wallAlong, webAt } from '../walls';
import { type Bluntness, bluntRear, type InnerOutline, overSpar, type SectionBuild, THICK } from './kind';
import { foldNose } from '../foldNose';

/** Slope of a bevel up to which the air follows it; steeper ones it leaves at their corner (practice of the field, ±30 %). */
const FOLLOWED = 0.5;

/**
 * A sheet folded at the nose over a spar: ahead of the spar both skins run to
 * the nose, behind it they are straight to the trailing edge. There the lower
 * one may end early, or the upper one come down on it and leave a single sheet.
 * What a steep bevel takes off the rear edge turns the air only in part.
 */
function folded(section: SectionOf<'foldedOverSpar'>, chord: Millimetres): Contour {
  const { sparPosition: spar } = section;
  const { board, top, end, rear, tail, bevel } = facesOf(section, chord);
  const { heightAt } = foldNose(section, chord);
  const nose = (x: number) => heightAt(x * chord) / chord;
  // The lower skin lies flat on the building board; the upper one rises to the spar and falls behind it.
  const straight: Face = (x) =>
    x < spar ? top / 2 + nose(x) : x <= rear ? top + ((tail - top) * (x - spar)) / (rear - spar) : board;
  // The bevel is sanded off the upper face; what lies below stays.
  const cut = section.singleFrom === undefined ? tail / 2 : tail - board;
  const bevelled = (depth: number): Face => {
    const from = rear - bevel;
    return (x) => straight(x) - (bevel > 0 && x > from && x <= rear ? (depth * (x - from)) / bevel : 0);
  };
  const lower: Face = (x) => (x < spar ? top / 2 - nose(x) : x <= end ? 0 : straight(x) - board);
  const drawn = fromFaces(bevelled(cut), lower);
  const slope = bevel > 0 ? cut / bevel : 0;
  if (slope <= FOLLOWED) return drawn;
  const followed = fromFaces(bevelled(cut * (FOLLOWED / slope) ** 2), lower);
  return { ...drawn, followed: { upper: followed.upper, lower: followed.lower } };
}

/** Measures of a fold as fractions of its chord. */
function facesOf(section: SectionOf<'foldedOverSpar'>, chord: Millimetres) {
  const board = section.boardThickness / chord;
  const spar = section.sparPosition;
  const isSingle = section.singleFrom !== undefined;
  const rear = isSingle ? Math.min(1, Math.max(section.singleFrom!, spar + LEAST_REAR)) : 1;
  const end = isSingle ? 1 : Math.max(section.bottomLength, spar);
  return {
    board,
    top: section.sparHeight / chord + 2 * board,
    /** Where the lower and the upper skin end. */
    end,
    rear,
    /** Height there before it is bevelled. */
    tail: board * (end >= 1 ? 2 : 1),
    bevel: Math.min(section.rearBevel / chord, rear - spar),
  };
}

/** A skin that comes down behind the spar takes at least this share of the chord. */
const LEAST_REAR = 0.05;

/** Steps: where the lower skin ends, or the upper one comes down square on a single sheet. */
function bluntFold(section: SectionOf<'foldedOverSpar'>, contour: Contour, chord: Millimetres): Bluntness {
  const { board, top, end, rear, tail, bevel } = facesOf(section, chord);
  const drop = top + ((tail - top) * (end - section.sparPosition)) / (1 - section.sparPosition) - board;
  const step = section.singleFrom === undefined ? (end < 1 ? Math.max(0, drop) : 0) : bevel > 0 ? 0 : tail - board;
  return { ...bluntRear(section, contour), step: rear > section.sparPosition ? step : 0 };
}

/** Skins that end this near one another, in boards, are glued there and close the cell. */
const GLUED = 1.5;

/**
 * Both skins and the strip of board that stands between them as a spar. They
 * close the cell where they meet at the trailing edge or where the upper one
 * comes down; a lower skin that ends short leaves only the part ahead of the
 * spar closed.
 */
function foldedWalls(section: SectionOf<'foldedOverSpar'>, contour: Contour, chord: Millimetres): SectionWalls {
  const { sparPosition: spar } = section;
  const { board, end, rear, top, tail } = facesOf(section, chord);
  const { upper, lower } = skinsOf(contour, board);
  const gap = top + ((tail - top) * (end - spar)) / Math.max(LEAST_REAR, 1 - spar) - 2 * board;
  const isClosed = rear < 1 || end >= 1 || gap < GLUED * board;
  const [web, ...more] = websOf(section, contour, chord);
  const at = web.line[0]![0];
  const closing = rear < 1 ? rear : end;
  if (!isClosed)
    return {
      walls: [
        wallAlong(upper, [at, 0]),
        wallAlong(lower, [0, at]),
        web,
        wallAlong(upper, [at, 1]),
        wallAlong(lower, [at, Math.max(at, end)]),
        ...more,
      ],
      cell: [0, 1, 2],
      isBlock: false,
    };
  const behind = rear < 1 ? lower : upper;
  return {
    walls: [
      wallAlong(upper, [closing, 0]),
      wallAlong(lower, [0, closing]),
      web,
      ...(closing < 1 ? [wallAlong(behind, [closing, 1])] : []),
      ...more,
    ],
    cell: [0, 1],
    isBlock: false,
  };
}

/** What stands between the skins: the web farthest aft first, since it closes what lies ahead of it. */
function websOf(
  section: SectionOf<'foldedOverSpar'>,
  contour: Contour,
  chord: Millimetres,
): readonly [SectionWall, ...SectionWall[]] {
  const board = section.boardThickness / chord;
  if (section.spar !== 'folded') return [webAt(section.sparPosition, board, board + section.sparHeight / chord)];
  const { front, rear } = foldedSpar(section, contour, chord);
  const standing = ({ x, room }: SparWeb) => webAt(x / chord, board, board + room / chord);
  return [standing(rear), standing(front), wallAlong(() => 1.5 * board, [front.x / chord, rear.x / chord], 'web')];
}

/** Width at which a spar is drawn [mm]; it is the web of board that stands in the fold. */
const SPAR_WIDTH = 2.2;

/** The inside of both skins, one board in, where they leave room between them; and the spar. */
function skinsAndSpar(
  section: SectionOf<'foldedOverSpar'>,
  contour: Contour,
  chord: Millimetres,
): readonly InnerOutline[] {
  const { boardThickness, sparHeight, sparPosition } = section;
  const { x, upper, lower } = contour;
  const board = boardThickness / chord;
  const hollow = [...x.keys()].filter((index) => upper[index]! - lower[index]! > 2 * board);
  const spar = polygon(
    section.spar === 'folded'
      ? channel(boardThickness, foldedSpar(section, contour, chord))
      : rectangle(sparPosition * chord - SPAR_WIDTH / 2, boardThickness, SPAR_WIDTH, sparHeight),
  );
  if (hollow.length < 2) return [{ kind: 'spar', path: spar }];
  const skin = polygon([
    ...hollow.map((index): Point => [x[index]! * chord, (lower[index]! + board) * chord]),
    ...hollow.toReversed().map((index): Point => [x[index]! * chord, (upper[index]! - board) * chord]),
  ]);
  return [
    { kind: 'skin', path: skin },
    { kind: 'spar', path: spar },
  ];
}

const rectangle = (x: Millimetres, y: Millimetres, width: Millimetres, height: Millimetres): Point[] => [
  [x, y],
  [x + width, y],
  [x + width, y + height],
  [x, y + height],
];

/** A base with a web at either edge, seen from its end, on the inner face of the lower skin. */
function channel(board: Millimetres, { width, front, rear }: FoldedSpar): Point[] {
  const left = front.x - board / 2;
  const right = left + width;
  return [
    [left, board],
    [right, board],
    [right, board + rear.room],
    [right - board, board + rear.room],
    [right - board, Math.min(2 * board, board + rear.room)],
    [left + board, Math.min(2 * board, board + front.room)],
    [left + board, board + front.room],
    [left, board + front.room],
  ];
}

export const foldedOverSpar: SectionBuild<'foldedOverSpar'> = {
  kind: 'foldedOverSpar',
  name: 'Folded over a spar',
  contour: folded,
  family: (_camber, thickness) => (thickness > THICK ? 'folded' : 'curvedPlate'),
  bluntness: bluntFold,
  sheet: ({ bottomLength, singleFrom }, contour) =>
    singleFrom === undefined ? bothSkins(contour, bottomLength) : bothSkins(contour, 1, singleFrom),
  walls: foldedWalls,
  isSolid: false,
  within: skinsAndSpar,
  working: ({ boardThickness, sparHeight }) => overSpar(boardThickness, sparHeight),
  pattern: foldPattern,
  board: ({ boardThickness }) => boardThickness,
  fresh: (boardThickness) => ({
    kind: 'foldedOverSpar',
    boardThickness,
    bottomLength: 0.75,
    sparHeight: 12,
    sparPosition: 0.28,
    rearBevel: 12,
  }),
};
