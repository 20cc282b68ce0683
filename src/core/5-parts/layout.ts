import type { Steps } from '@/core/1-base/steps';
import {
  kilogramsPerSquareMetre,
  squareMetresFromSquareMillimetres,
  type Kilograms,
  type Millimetres,
} from '@/core/1-base/units/convert';
import { millimetres, say } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { Material } from '@/core/2-document/schema/airframe';
import { areaOfPart, boundsOfPart, type PartOutline, transformedPart } from '@/core/3-shape/outline/partOutline';
import { lengthOf, reversed } from '@/core/3-shape/outline/path';
import { CARD, type CutList, type CutPart, type PartFault } from './part';
import { splitToFit } from './split';
import { nest, type NestItem } from './nesting/nest';

/** One sheet with the parts that lie on it. */
export interface LaidSheet {
  readonly material: string;
  readonly name: string;
  readonly length: Millimetres;
  readonly width: Millimetres;
  readonly parts: readonly LaidPart[];
  readonly utilisation: number;
}

export interface LaidPart {
  /** Part of the cut list, and which of its copies. */
  readonly id: string;
  readonly copy: number;
  readonly outline: PartOutline;
}

/** Everything that is cut, on sheets. */
export interface Layout {
  readonly sheets: readonly LaidSheet[];
  readonly faults: readonly PartFault[];
  /** Part area over sheet area up to the furthest part, all sheets of board. */
  readonly utilisation: number;
}

export interface LayoutOptions {
  readonly gap: Millimetres;
  readonly margin: Millimetres;
  readonly tries: number;
  /** All lengths times this; 1 for the aircraft itself. */
  readonly scale: number;
}

export const USUAL_LAYOUT: LayoutOptions = { gap: 3, margin: 5, tries: 60, scale: 1 };

/** Gauges and templates go on card of that size [mm]. */
const CARD_SHEET = { length: 420, width: 297 } as const;

interface Sort {
  readonly material: string;
  readonly name: string;
  readonly length: Millimetres;
  readonly width: Millimetres;
}

const sortsOf = ({ materials }: Design): Sort[] => [
  ...materials.map(({ id, name, sheetLength, sheetWidth }: Material): Sort => ({
    material: id,
    name: name || id,
    length: Math.max(sheetLength, sheetWidth),
    width: Math.min(sheetLength, sheetWidth),
  })),
  { material: CARD, name: 'Card', ...CARD_SHEET },
];

const scaled = (outline: PartOutline, scale: number): PartOutline =>
  scale === 1 ? outline : transformedPart(outline, { scale }, reversed);

/** What a sheet holds, and what of an aircraft of full size can be carried, lengthwise. */
function longestPiece({ brief }: Design, { length }: Sort, { margin, scale }: LayoutOptions): Millimetres {
  const carried =
    brief.longestPanel !== undefined && brief.longestPanel > 100 && scale === 1 ? brief.longestPanel : Infinity;
  return Math.min((length - 2 * margin) / scale, carried);
}

/** Lays all parts on the sheets of the design, material by material. */
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
    const copies = parts.flatMap((part) =>
      Array.from({ length: part.count }, (_, copy) => ({ part, copy, isMirrored: copy >= part.count - part.mirrored })),
    );
    const outlines = copies.map(({ part }) => scaled(part.outline, options.scale));
    const items = copies.map(({ part, isMirrored }, index): NestItem => ({
      id: part.id,
      edge: outlines[index]!.edge,
      isMirrored,
      isAlongGrain: part.isAlongGrain,
      mayFlip: !part.hasFace && part.mirrored === 0,
    }));
    const steps = nest(items, { sheet: sort, ...options });
    let step = steps.next();
    while (!step.done) {
      const { done, total } = step.value;
      yield { done: place + done / total, total: sorts.length };
      step = steps.next();
    }
    const nesting = step.value;
    const perSheet = Array.from({ length: nesting.sheets }, (): LaidPart[] => []);
    for (const { item, sheet, turn, isMirrored, x, y } of nesting.laid) {
      const { part, copy } = copies[item]!;
      perSheet[sheet]!.push({
        id: part.id,
        copy,
        outline: transformedPart(outlines[item]!, { turn, isMirrored, by: [x, y] }, reversed),
      });
    }
    for (const laid of perSheet) {
      const area = laid.reduce((sum, { outline }) => sum + areaOfPart({ ...outline, holes: [] }), 0);
      const used = (Math.max(...laid.map(({ outline }) => boundsOfPart(outline).right)) + options.margin) * sort.width;
      if (sort.material !== CARD) {
        totals.parts += area;
        totals.used += used;
      }
      sheets.push({ ...sort, parts: laid, utilisation: area / used });
    }
    const large = new Set(nesting.tooLarge.map((index) => copies[index]!.part));
    faults.push(...[...large].map((part) => tooLarge(part, sort)));
  }
  return { sheets, faults: [...list.faults, ...faults], utilisation: totals.used > 0 ? totals.parts / totals.used : 0 };
}

function tooLarge(part: CutPart, { name, length, width }: Sort): PartFault {
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

/** What the sheets of a layout cost; null where one of them has no price. */
export function costOf({ materials }: Design, { sheets }: Layout): number | null {
  let sum = 0;
  for (const { material } of sheets) {
    if (material === CARD) continue;
    const price = materials.find(({ id }) => id === material)?.price;
    if (price === undefined) return null;
    sum += price;
  }
  return sum;
}
