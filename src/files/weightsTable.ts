import Papa from 'papaparse';
import { GRAMS_PER_OUNCE, MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
import type { MassItem } from '@/core/2-document/schema/airframe';
import { massItemSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { escapedCell, plainCell } from './tableCell';
import { type DecimalMark, decimalMark, readNumber } from './tableNumber';
import type { WeightRow } from '@/core/4-weight/weightRows';

/** Columns of the table as plain text, in order, by the units they are kept in: grams and millimetres. */
const COLUMNS = ['id', 'name', 'category', 'mass_g', 'weighed_g', 'x_mm', 'y_mm', 'z_mm', 'both_sides'] as const;
type Column = (typeof COLUMNS)[number];

const CATEGORIES = massItemSchema.shape.category.unwrap().options;

/** Units of the numbers in a table. */
export interface TableUnits {
  readonly length: 'mm' | 'in';
  readonly mass: 'g' | 'oz';
}

const METRIC: TableUnits = { length: 'mm', mass: 'g' };
/** Grams and millimetres of the other units. */
const FACTORS = { oz: GRAMS_PER_OUNCE, in: MILLIMETRES_PER_INCH } as const;
/** Ounces and inches are written so fine that grams and millimetres come back as they were. */
const finely = (value: number) => Math.round(value * 1e6) / 1e6;
const thousandth = (value: number) => Math.round(value * 1000) / 1000;

/**
 * The weights as comma-separated text in the units asked for, which the heads
 * say: board parts for reading, equipment as it can be read in again.
 */
export function weightsCsv(design: Design, rows: readonly WeightRow[], units: TableUnits = METRIC): string {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  const mass = (grams: number) => (units.mass === 'oz' ? finely(grams / FACTORS.oz) : grams);
  const length = (millimetres: number) =>
    units.length === 'in' ? finely(tenth(millimetres) / FACTORS.in) : tenth(millimetres);
  const weighed = (row: WeightRow, item: MassItem | undefined) => (item ? item.measuredMass : row.measured) ?? null;
  return Papa.unparse({
    fields: COLUMNS.map((column) => column.replace(/_g$/, `_${units.mass}`).replace(/_mm$/, `_${units.length}`)),
    data: rows.map((row) => {
      const item = row.kind === 'item' ? design.massItems.find(({ id }) => id === row.id) : undefined;
      return [
        row.id,
        escapedCell(row.name),
        item?.category ?? row.kind,
        mass(item ? item.mass : tenth(row.computed)),
        weighed(row, item) === null ? '' : mass(weighed(row, item)!),
        length(row.x),
        length(row.y),
        length(row.z),
        item?.mirrored ? 'yes' : 'no',
      ];
    }),
  });
}

export type WeightsRead =
  | {
      readonly ok: true;
      readonly items: readonly MassItem[];
      /** Board parts by id, as they were weighed [g]. */
      readonly weighed: ReadonlyMap<string, number>;
      readonly changed: number;
      readonly added: number;
    }
  | { readonly ok: false; readonly message: string };

/** What a column may be called in a table from elsewhere. */
const NAMES: Record<string, Column> = {
  id: 'id',
  name: 'name',
  part: 'name',
  category: 'category',
  kind: 'category',
  mass: 'mass_g',
  mass_g: 'mass_g',
  weight: 'mass_g',
  g: 'mass_g',
  weighed: 'weighed_g',
  weighed_g: 'weighed_g',
  measured: 'weighed_g',
  x: 'x_mm',
  x_mm: 'x_mm',
  y: 'y_mm',
  y_mm: 'y_mm',
  z: 'z_mm',
  z_mm: 'z_mm',
  both_sides: 'both_sides',
};

const NUMBERS = ['mass_g', 'weighed_g', 'x_mm', 'y_mm', 'z_mm'] as const;
type NumberColumn = (typeof NUMBERS)[number];

/** Two hundred rows are far below it. */
const MOST_CHARACTERS = 500_000;

/** Two parts of one name are told apart by their place, within what is written of it [mm]. */
const SAME_PLACE = 0.06;

/** One line of the table: what it says, and what it is said of. */
interface Line {
  readonly id: string;
  readonly name: string;
  readonly category: string;
  readonly numbers: Readonly<Record<NumberColumn, number | null>>;
  readonly bothSides: boolean | null;
}

type Part = Design['surfaces'][number] | Design['bodies'][number];
type Target = { readonly board: Part } | { readonly item: number | null } | { readonly because: string };

/**
 * Reads rows that were pasted or saved as text (commas, semicolons or tabs;
 * first line the heads). A line belongs to the part of its id, else to the one
 * of its name; where several have that name its place decides, and where that
 * does not either it is asked. Lines of neither are added. All of it or
 * nothing; the message names line and column.
 */
export function readWeights(design: Design, text: string): WeightsRead {
  if (text.length > MOST_CHARACTERS)
    return { ok: false, message: 'That is more than any table of weights: paste the rows only.' };
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [head, ...rows] = parsed.data;
  if (!head || rows.length === 0)
    return { ok: false, message: 'A line of heads and at least one line of numbers are needed: name, mass, x.' };
  const heads = head.map(headOf);
  const columns = heads.map(({ column }) => column);
  if (!columns.includes('name') || !columns.includes('mass_g'))
    return {
      ok: false,
      message: `The heads “${head.join(', ')}” were not understood: there must be a name and a mass (g).`,
    };
  const cellOf = (cells: readonly string[], column: Column) => cells[columns.indexOf(column)]?.trim() ?? '';
  const mark = decimalMark(rows.flatMap((cells) => NUMBERS.map((column) => cellOf(cells, column))));
  const items = [...design.massItems];
  const changed = new Set<number>();
  const weighed = new Map<string, number>();
  for (const [index, cells] of rows.entries()) {
    const at = `Line ${index + 2}`;
    const line = lineOf(
      (column) => cellOf(cells, column),
      (column) => heads[columns.indexOf(column)]?.factor ?? 1,
      mark,
    );
    if ('because' in line) return { ok: false, message: `${at}, ${line.because}.` };
    const target = targetOf(design, line, changed);
    if ('because' in target) return { ok: false, message: `${at}: ${target.because}` };
    if ('board' in target) {
      if (line.numbers.weighed_g !== null) weighed.set(target.board.id, line.numbers.weighed_g);
      continue;
    }
    const before = target.item === null ? undefined : items[target.item];
    if (line.numbers.mass_g === null && !before) return { ok: false, message: `${at}, mass: is missing.` };
    const next = massItemSchema.safeParse(itemOf(line, before ?? { id: freshId(items, line.name) }));
    if (!next.success) {
      const [issue] = next.error.issues;
      return { ok: false, message: `${at}, ${issue!.path.join(' ')}: ${issue!.message}.` };
    }
    if (target.item === null) items.push(next.data);
    else {
      items[target.item] = next.data;
      changed.add(target.item);
    }
  }
  const added = items.length - design.massItems.length;
  return { ok: true, items, weighed, changed: changed.size + weighed.size, added };
}

/** A column by its head, and what its numbers are multiplied by. */
function headOf(cell: string): { readonly column: Column | undefined; readonly factor: number } {
  const name = cell
    .trim()
    .toLowerCase()
    .replaceAll(/[\s[\]()]+/g, '_')
    .replace(/_$/, '');
  const unit = /_(oz|in)$/.exec(name)?.[1] as keyof typeof FACTORS | undefined;
  const metric = unit ? name.replace(/_oz$/, '_g').replace(/_in$/, '_mm') : name;
  return { column: Object.hasOwn(NAMES, metric) ? NAMES[metric] : undefined, factor: unit ? FACTORS[unit] : 1 };
}

function lineOf(
  cell: (column: Column) => string,
  factorOf: (column: Column) => number,
  mark: DecimalMark,
): Line | { readonly because: string } {
  const numbers = {} as Record<NumberColumn, number | null>;
  for (const column of NUMBERS) {
    const content = cell(column);
    const read = content === '' ? null : readNumber(content, mark);
    if (read && !read.ok) return { because: `${column}: ${read.because}` };
    const factor = factorOf(column);
    numbers[column] = read ? (factor === 1 ? read.value : thousandth(read.value * factor)) : null;
  }
  const name = plainCell(cell('name'));
  if (name === '') return { because: 'name: is empty' };
  const sides = cell('both_sides');
  return {
    id: cell('id'),
    name,
    category: cell('category').toLowerCase(),
    numbers,
    bothSides: sides === '' ? null : /^(yes|true|1|both)$/i.test(sides),
  };
}

/** What a line is said of: a board part, a piece of equipment by its place in the list, or a new one (null). */
function targetOf(design: Design, line: Line, taken: ReadonlySet<number>): Target {
  const boards: readonly Part[] = [...design.surfaces, ...design.bodies];
  const isBoard = line.category === 'surface' || line.category === 'body';
  const isItem = CATEGORIES.some((category) => category.toLowerCase() === line.category);
  const board = boards.find(({ id }) => id === line.id);
  const item = design.massItems.findIndex(({ id }) => id === line.id);
  if (board && item >= 0 && !isBoard && !isItem)
    return { because: `“${line.id}” is the id of a board part and of equipment: say which in a column “category”.` };
  if (board && !isItem && (isBoard || item < 0)) return { board };
  if (item >= 0 && !isBoard) {
    if (taken.has(item)) return { because: `“${line.id}” was on a line before: each part may stand once.` };
    return { item };
  }
  if (!isBoard) {
    const named = itemNamed(design.massItems, line, taken);
    if (named !== null) return named;
  }
  // What a board part weighs is computed: a line that states a mass of its own is equipment of the same name.
  const sameName = boards.filter(({ name }) => name.trim() === line.name);
  const isWeighing = line.numbers.weighed_g !== null && !(line.numbers.mass_g! > 0);
  if (isBoard || (!isItem && sameName.length > 0 && isWeighing)) {
    if (sameName.length === 1) return { board: sameName[0]! };
    return { because: `no board part alone is called “${line.name}”: give its id.` };
  }
  return { item: null };
}

/** The piece of equipment of a name that no line before was said of; null when there is none. */
function itemNamed(items: readonly MassItem[], line: Line, taken: ReadonlySet<number>): Target | null {
  const named = items.flatMap(({ name }, index) => (name.trim() === line.name ? [index] : []));
  if (named.length === 0) return null;
  const free = named.filter((index) => !taken.has(index));
  if (named.length === 1 && free.length === 1) return { item: named[0]! };
  // A second line of a name that one part has is a second part.
  if (named.length === 1) return { item: null };
  const { x_mm: x, y_mm: y, z_mm: z } = line.numbers;
  const isThere = (value: number | null, place: number) => value === null || Math.abs(value - place) < SAME_PLACE;
  const there = free.filter((index) => {
    const { position } = items[index]!;
    return isThere(x, position.x) && isThere(y, position.y) && isThere(z, position.z);
  });
  return there.length === 1
    ? { item: there[0]! }
    : { because: `${named.length} parts are called “${line.name}”, and the place does not say which: give its id.` };
}

/** A piece of equipment as a line says it is; what the line leaves out stays as it was. */
function itemOf({ name, category, numbers, bothSides }: Line, before: Partial<MassItem> & { readonly id: string }) {
  const { x = 0, y = 0, z = 0 } = before.position ?? {};
  return {
    ...before,
    name: before.name?.trim() === name ? before.name : name,
    category: CATEGORIES.find((entry) => entry.toLowerCase() === category) ?? before.category ?? 'other',
    mass: numbers.mass_g ?? before.mass,
    ...(numbers.weighed_g === null ? {} : { measuredMass: numbers.weighed_g }),
    position: { x: numbers.x_mm ?? x, y: numbers.y_mm ?? y, z: numbers.z_mm ?? z },
    mirrored: bothSides ?? before.mirrored ?? false,
  };
}

/** A name for the document from a name in words. */
function freshId(items: readonly MassItem[], name: string): string {
  const plain =
    name
      .replaceAll(/[^A-Za-z0-9]+/g, '-')
      .replace(/^[^A-Za-z]+/, '')
      .slice(0, 40) || 'part';
  let id = plain;
  for (let number = 2; items.some((item) => item.id === id); number++) id = `${plain}-${number}`;
  return id;
}
