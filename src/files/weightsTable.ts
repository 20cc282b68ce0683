import Papa from 'papaparse';
import type { MassItem } from '@/core/2-document/schema/airframe';
import { massItemSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { WeightRow } from '@/core/4-weight/weightRows';

/** Columns of the table as plain text, in order: grams and millimetres. */
const COLUMNS = ['id', 'name', 'category', 'mass_g', 'weighed_g', 'x_mm', 'y_mm', 'z_mm', 'both_sides'] as const;
type Column = (typeof COLUMNS)[number];

const CATEGORIES = massItemSchema.shape.category.unwrap().options;

/** The weights as comma-separated text: board parts for reading, equipment as it can be read in again. */
export function weightsCsv(design: Design, rows: readonly WeightRow[]): string {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  return Papa.unparse({
    fields: [...COLUMNS],
    data: rows.map((row) => {
      const item = row.kind === 'item' ? design.massItems.find(({ id }) => id === row.id) : undefined;
      return [
        row.id,
        row.name,
        item?.category ?? row.kind,
        item ? item.mass : tenth(row.computed),
        (item ? item.measuredMass : row.measured) ?? '',
        tenth(row.x),
        tenth(row.y),
        tenth(row.z),
        item?.mirrored ? 'yes' : 'no',
      ];
    }),
  });
}

export type WeightsRead =
  | {
      readonly ok: true;
      readonly items: readonly MassItem[];
      readonly weighed: Readonly<Record<string, number>>;
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

/**
 * Reads rows that were pasted or saved as text (commas, semicolons or tabs;
 * first line the heads): lines of a known id or name change that part, others
 * are added. All of it or nothing; the message names line and column.
 */
export function readWeights(design: Design, text: string): WeightsRead {
  const parsed = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [head, ...lines] = parsed.data;
  if (!head || lines.length === 0)
    return { ok: false, message: 'A line of heads and at least one line of numbers are needed: name, mass, x.' };
  const columns = head.map(
    (cell) =>
      NAMES[
        cell
          .trim()
          .toLowerCase()
          .replaceAll(/[\s[\]()]+/g, '_')
          .replace(/_$/, '')
      ],
  );
  if (!columns.includes('name') || !columns.includes('mass_g'))
    return {
      ok: false,
      message: `The heads “${head.join(', ')}” were not understood: there must be a name and a mass (g).`,
    };
  const items = [...design.massItems];
  const weighed: Record<string, number> = {};
  let changed = 0;
  let added = 0;
  for (const [index, cells] of lines.entries()) {
    const line = index + 2;
    const cell = (column: Column) => cells[columns.indexOf(column)]?.trim() ?? '';
    const number = (column: Column): number | null | string => {
      const content = cell(column);
      if (columns.indexOf(column) < 0 || content === '') return null;
      const value = Number(content.replace(',', '.').replace('−', '-'));
      return Number.isFinite(value) ? value : `Line ${line}, ${column}: “${content}” is not a number.`;
    };
    const numbers = Object.fromEntries(
      (['mass_g', 'weighed_g', 'x_mm', 'y_mm', 'z_mm'] as const).map((column) => [column, number(column)]),
    ) as Record<'mass_g' | 'weighed_g' | 'x_mm' | 'y_mm' | 'z_mm', number | null | string>;
    const fault = Object.values(numbers).find((value) => typeof value === 'string');
    if (typeof fault === 'string') return { ok: false, message: fault };
    const name = cell('name');
    if (name === '') return { ok: false, message: `Line ${line}, name: is empty.` };
    const board = [...design.surfaces, ...design.bodies].find(({ id, name: own }) => id === cell('id') || own === name);
    if (board) {
      if (typeof numbers.weighed_g === 'number') weighed[board.id] = numbers.weighed_g;
      continue;
    }
    const known = items.findIndex(({ id, name: own }) => id === cell('id') || own === name);
    const before = items[known];
    if (numbers.mass_g === null && !before) return { ok: false, message: `Line ${line}, mass: is missing.` };
    const category = cell('category');
    const next = massItemSchema.safeParse({
      ...(before ?? { id: freshId(items, name) }),
      name,
      category:
        CATEGORIES.find((entry) => entry.toLowerCase() === category.toLowerCase()) ?? before?.category ?? 'other',
      mass: numbers.mass_g ?? before?.mass,
      ...(numbers.weighed_g === null ? {} : { measuredMass: numbers.weighed_g }),
      position: {
        x: numbers.x_mm ?? before?.position.x ?? 0,
        y: numbers.y_mm ?? before?.position.y ?? 0,
        z: numbers.z_mm ?? before?.position.z ?? 0,
      },
      mirrored: columns.includes('both_sides')
        ? /^(yes|true|1|both)$/i.test(cell('both_sides'))
        : (before?.mirrored ?? false),
    });
    if (!next.success) {
      const [issue] = next.error.issues;
      return { ok: false, message: `Line ${line}, ${issue!.path.join(' ')}: ${issue!.message}.` };
    }
    if (before) {
      items[known] = next.data;
      changed++;
    } else {
      items.push(next.data);
      added++;
    }
  }
  return { ok: true, items, weighed, changed: changed + Object.keys(weighed).length, added };
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
