import type { Millimetres } from '@/core/1-base/units/convert';
import type { SectionOf } from '@/core/2-document/schema/section';
import { type Point, polygon } from '../../outline/path';
import { foldPattern } from '../../pattern/foldPattern';
import { type Contour, type Face, fromFaces } from '../faces';
import { bothSkins } from '../sheet';
import { byThickness, type InnerOutline, overSpar, type SectionBuild } from './kind';

/**
 * A sheet folded at the nose over a spar: both skins are straight from the
 * spar's edges; ahead of the spar they run to the nose on a half ellipse-like
 * arc, behind it to the trailing edge, where the lower skin may end early.
 */
function folded(section: SectionOf<'foldedOverSpar'>, chord: Millimetres): Contour {
  const board = section.boardThickness / chord;
  const spar = section.sparPosition;
  const free = section.sparHeight / chord;
  const end = Math.max(section.bottomLength, spar);
  const bevelled = section.rearBevel > 0;
  const bevel = Math.min(section.rearBevel / chord, 1 - spar);
  // The lower skin lies flat on the building board; the upper one rises to the spar and falls behind it.
  const tail = board * (end >= 1 ? 2 : 1);
  const top = free + 2 * board;
  const nose = (x: number) => Math.sqrt(Math.max(0, 1 - ((spar - x) / spar) ** 2));
  const straight: Face = (x) =>
    x < spar ? top / 2 + (top / 2) * nose(x) : top + ((tail - top) * (x - spar)) / (1 - spar);
  // The bevel is sanded off the upper face; what lies below stays.
  const upper: Face = (x) => straight(x) - (bevelled && x > 1 - bevel ? (tail / 2) * ((x - 1 + bevel) / bevel) : 0);
  const lower: Face = (x) => {
    if (x < spar) return top / 2 - (top / 2) * nose(x);
    return x <= end ? 0 : straight(x) - board;
  };
  return fromFaces(upper, lower);
}

/** Width at which a spar is drawn [mm]; it is the web of board that stands in the fold. */
const SPAR_WIDTH = 2.2;

/** The inside of both skins, one board in, where they leave room between them; and the spar. */
function skinsAndSpar(
  { boardThickness, sparHeight, sparPosition }: SectionOf<'foldedOverSpar'>,
  { x, upper, lower }: Contour,
  chord: Millimetres,
): readonly InnerOutline[] {
  const board = boardThickness / chord;
  const hollow = [...x.keys()].filter((index) => upper[index]! - lower[index]! > 2 * board);
  const spar = polygon(rectangle(sparPosition * chord - SPAR_WIDTH / 2, boardThickness, SPAR_WIDTH, sparHeight));
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

export const foldedOverSpar: SectionBuild<'foldedOverSpar'> = {
  kind: 'foldedOverSpar',
  name: 'Folded over a spar',
  contour: folded,
  family: byThickness,
  sheet: ({ bottomLength }, contour) => bothSkins(contour, bottomLength),
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
