import type { Steps } from '@/core/1-base/steps';
import {
  degreesFromRadians,
  kilogramsPerSquareMetre,
  radiansFromDegrees,
  squareMetresFromSquareMillimetres,
  type Kilograms,
  type Millimetres,
} from '@/core/1-base/units/convert';
import { millimetres, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { areaOfPart, boundsOfPart, type PartOutline, transformedPart } from '@/core/3-shape/outline/partOutline';
import { lengthOf, reversed } from '@/core/3-shape/outline/path';
import { type Laid, type LaidPose, nest, type NestItem, type Nesting } from './nesting/nest';
import { CARD, type CutList, type CutPart, type PartFault } from './part';
import { asTooled } from './polygons';
import { type SheetSort, sortsOf } from './sheetSorts';
import { splitToFit } from './split';

/** One sheet with the parts that lie on it. */
export interface LaidSheet {
  readonly material: string;
  readonly name: string;
  readonly length: Millimetres;
  readonly width: Millimetres;
  /** Board that is left between parts. */
  readonly gap: Millimetres;
  /** Which sheet of its board, from nought. */
  readonly number: number;
  readonly parts: readonly LaidPart[];
  readonly utilisation: number;
}

export interface LaidPart {
  /** Part of the cut list, and which of its copies. */
  readonly id: string;
  readonly copy: number;
  readonly outline: PartOutline;
  /** As it is drawn by itself, and how it lies. */
  readonly drawn: PartOutline;
  readonly pose: LaidPose;
  /** Only turned by halves; never turned over. */
  readonly isAlongGrain: boolean;
  readonly mayFlip: boolean;
}

/** Everything that is cut, on sheets. */
export interface Layout {
  readonly sheets: readonly LaidSheet[];
  readonly faults: readonly PartFault[];
  /** Part area over sheet area up to the furthest part, all sheets of board. */
  readonly utilisation: number;
}

export interface LayoutOptions {
  readonly margin: Millimetres;
  readonly tries: number;
  /** All lengths times this; 1 for the aircraft itself. */
  readonly scale: number;
}

export const USUAL_LAYOUT: LayoutOptions = { margin: 5, tries: 60, scale: 1 };

const scaled = (outline: PartOutline, scale: number): PartOutline =>
  scale === 1 ? outline : transformedPart(outline, { scale }, reversed);

/** What a sheet holds, and what of an aircraft of full size can be carried, lengthwise. */
function longestPiece({ brief }: Design, { length }: SheetSort, { margin, scale }: LayoutOptions): Millimetres {
  const carried =
    brief.longestPanel !== undefined && brief.longestPanel > 100 && scale === 1 ? brief.longestPanel : Infinity;
  return Math.min((length - 2 * margin) / scale, carried);
}

interface Copy {
  readonly part: CutPart;
  readonly copy: number;
  readonly isMirrored: boolean;
  /** As the tool runs, at the scale of the sheet. */
  readonly drawn: PartOutline;
}

const copiesOf = (parts: readonly CutPart[], scale: number, kerf: Millimetres): Copy[] =>
  parts.flatMap((part) => {
    const drawn = asTooled(scaled(part.outline, scale), kerf);
    return Array.from({ length: part.count }, (_, copy) => ({
      part,
      copy,
      isMirrored: copy >= part.count - part.mirrored,
      drawn,
    }));
  });

/** Copies that lie where a hand has put them; at another scale there are none. */
function laidByHand({ laid }: Design, copies: readonly Copy[], scale: number): Laid[] {
  if (scale !== 1) return [];
  return laid.flatMap(({ part, copy, sheet, x, y, turn, isTurnedOver }): Laid[] => {
    const item = copies.findIndex((one) => one.part.id === part && one.copy === copy);
    return item < 0 ? [] : [{ item, sheet, x, y, turn: radiansFromDegrees(turn), isMirrored: isTurnedOver }];
  });
}

/** Lays all parts on the sheets of the design, material by material; what a hand has laid stays. */
export function* layOut(design: Design, list: CutList, options: LayoutOptions = USUAL_LAYOUT): Steps<Layout> {
  const sheets: LaidSheet[] = [];
  const faults: PartFault[] = [];
  const sorts = sortsOf(design);
  const totals = { parts: 0, used: 0 };
  for (const [place, sort] of sorts.entries()) {
    const parts = list.parts
      .filter(({ material }) => material === sort.material)
      .flatMap((part) => splitToFit(part, longestPiece(design, sort, options)));
    if (parts.length === 0) continue;
    const copies = copiesOf(parts, options.scale, sort.kerf);
    const items = copies.map(({ part, drawn, isMirrored }): NestItem => ({
      id: part.id,
      edge: drawn.edge,
      isMirrored,
      isAlongGrain: part.isAlongGrain,
      mayFlip: mayFlip(part),
    }));
    const fixed = laidByHand(design, copies, options.scale);
    const steps = nest(items, { sheet: sort, gap: sort.gap, ...options, fixed });
    let step = steps.next();
    while (!step.done) {
      const { done, total } = step.value;
      yield { done: place + done / total, total: sorts.length };
      step = steps.next();
    }
    for (const [number, laid] of perSheet(step.value, copies).entries()) {
      if (laid.length === 0) continue;
      const area = laid.reduce((sum, { outline }) => sum + areaOfPart({ ...outline, holes: [] }), 0);
      const used = (Math.max(...laid.map(({ outline }) => boundsOfPart(outline).right)) + options.margin) * sort.width;
      if (sort.material !== CARD) {
        totals.parts += area;
        totals.used += used;
      }
      sheets.push({ ...sort, number, parts: laid, utilisation: used > 0 ? area / used : 0 });
    }
    const large = new Set(step.value.tooLarge.map((index) => copies[index]!.part));
    faults.push(...[...large].map((part) => tooLarge(part, sort)));
  }
  return { sheets, faults: [...list.faults, ...faults], utilisation: totals.used > 0 ? totals.parts / totals.used : 0 };
}

/** What has a left and a right one is turned over already; a face that lies up stays up. */
const mayFlip = ({ hasFace, mirrored }: CutPart): boolean => !hasFace && mirrored === 0;

function perSheet({ laid, sheets }: Nesting, copies: readonly Copy[]): LaidPart[][] {
  const all = Array.from({ length: sheets }, (): LaidPart[] => []);
  // In the order of the list: what was laid by hand before others keeps its turn.
  for (const { item, sheet, ...pose } of laid.toSorted((a, b) => a.item - b.item)) {
    const { part, copy, drawn } = copies[item]!;
    all[sheet]!.push({
      id: part.id,
      copy,
      drawn,
      pose,
      outline: laidAt(drawn, pose),
      isAlongGrain: part.isAlongGrain,
      mayFlip: mayFlip(part),
    });
  }
  return all;
}

/** A part as it lies. */
export const laidAt = (drawn: PartOutline, { turn, isMirrored, x, y }: LaidPose): PartOutline =>
  transformedPart(drawn, { turn, isMirrored, by: [x, y] }, reversed);

/** All parts of one board as a document keeps them: what lies there now is laid by hand from now on. */
export const keptByHand = ({ sheets }: Layout, material: string): Design['laid'] =>
  sheets
    .filter((sheet) => sheet.material === material)
    .flatMap(({ number, parts }) =>
      parts.map(({ id, copy, pose: { turn, isMirrored, x, y } }) => ({
        part: id,
        copy,
        sheet: number,
        x: rounded(x),
        y: rounded(y),
        turn: rounded(degreesFromRadians(turn)),
        isTurnedOver: isMirrored,
      })),
    ) as Design['laid'];

/** Hundredths of a millimetre are enough on a sheet. */
const rounded = (value: number): number => Math.round(value * 100) / 100;

function tooLarge(part: CutPart, { name, length, width }: SheetSort): PartFault {
  const { left, right, bottom, top } = boundsOfPart(part.outline);
  return {
    owner: part.owner,
    message: say`${part.name} is ${millimetres(right - left, 0)} by ${millimetres(top - bottom, 0)}: it does not fit on a sheet of ${name} of ${millimetres(length, 0)} by ${millimetres(width, 0)}. Split it with a joint at one of its stations, or take a larger sheet.`,
  };
}

/** Mass of one part by the sheet it is cut from [kg]; nought for card. */
export function massOfPart({ materials }: Design, { material, outline }: CutPart): Kilograms {
  const sheet = materials.find(({ id }) => id === material);
  return sheet
    ? squareMetresFromSquareMillimetres(areaOfPart(outline)) * kilogramsPerSquareMetre(sheet.arealDensity)
    : 0;
}

/** Length of all that is cut through: edge, holes and slits. */
export const cutLengthOf = ({ outline: { edge, holes, lines } }: Pick<CutPart, 'outline'>): Millimetres =>
  [edge, ...holes, ...lines.filter(({ kind }) => kind === 'cut').map(({ path }) => path)].reduce(
    (sum, path) => sum + lengthOf(path),
    0,
  );
