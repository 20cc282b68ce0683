import { unzipSync } from 'fflate';
import Reader from 'dxf-parser';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { analyse } from '@/core/analyse';
import { METRIC } from '@/words/formatQuantity';
import { finish } from '@/core/1-base/steps';
import { cutListOf } from '@/core/4-parts/cutList';
import { layOut, USUAL_LAYOUT } from '@/core/4-parts/layout';
import { lengthOf, polygon, type Path } from '@/core/3-shape/outline/path';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { cutListTable } from './cutListTable';
import { LAYERS, linesOf } from './layers';
import { planDxf } from './planDxf';
import { planFiles, zipped } from './planFiles';
import { planPdf } from './planPdf';
import { planSheets, titleOf } from './planSheet';
import { planSvg } from './planSvg';

const design = demoDesign('lagoon-postman');
const list = cutListOf(design);
const layout = finish(layOut(design, list, { ...USUAL_LAYOUT, tries: 12 }));
const heading = { design: design.name, revision: 'First', date: '2026-05-02', scale: 1 };
const sheets = planSheets(layout, heading);

const square: PartOutline = {
  name: 'Square',
  edge: polygon([
    [10, 10],
    [110, 10],
    [110, 110],
    [10, 110],
  ]),
  holes: [
    {
      vertices: [
        { x: 40, y: 60, bulge: -1 },
        { x: 80, y: 60, bulge: -1 },
      ],
      isClosed: true,
    },
  ],
  lines: [
    {
      kind: 'score',
      path: {
        vertices: [
          { x: 10, y: 50 },
          { x: 110, y: 50 },
        ],
        isClosed: false,
      },
    },
  ],
  texts: [{ words: 'Flügel · Ω <1°>', at: [20, 20], height: 5, turn: 0 }],
};
const sheet = { title: 'Test', name: 'Board, sheet 1', length: 200, width: 150, parts: [square] };

interface Entity {
  readonly type: string;
  readonly layer: string;
  readonly shape?: boolean;
  readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[];
  readonly text?: string;
}

describe('drawing exchange files', () => {
  const read = (text: string) => new Reader().parseSync(text)!.entities as unknown as Entity[];

  test('read back by another reader: the same lengths on the same layers, arcs as arcs', () => {
    const entities = read(planDxf(sheet));
    const lines = entities.filter(({ vertices }) => vertices);
    expect(lines.map(({ layer }) => layer)).toEqual(['cut', 'cut', 'score']);
    const paths = lines.map(({ vertices, shape }): Path => ({ vertices: vertices!, isClosed: shape === true }));
    expectWithin(lengthOf(paths[0]!), 400, 1e-9);
    expectWithin(lengthOf(paths[1]!), Math.PI * 40, 1e-6);
    expectWithin(lengthOf(paths[2]!), 100, 1e-9);
    expect(entities.find(({ text }) => text)?.text).toBe('Flügel · Ω <1°>');
  });

  test('a whole sheet keeps the length of all its cuts', () => {
    const cuts = read(planDxf(sheets[0]!)).filter(({ layer, vertices }) => layer === 'cut' && vertices);
    const there = cuts.reduce(
      (sum, { vertices, shape }) => sum + lengthOf({ vertices: vertices!, isClosed: shape === true }),
      0,
    );
    const own = sheets[0]!.parts
      .flatMap((part) => linesOf(part))
      .filter(([layer]) => layer === 'cut')
      .reduce((sum, [, path]) => sum + lengthOf(path), 0);
    expectWithin(there, own, 1e-6);
  });
});

describe('scalable drawings', () => {
  const svg = planSvg(sheet);

  test('are in millimetres, a group for each layer, with a ruler and words that are escaped', () => {
    expect(svg).toMatch(/width="200mm" height="174mm" viewBox="0 0 200 174"/);
    for (const layer of LAYERS) expect(svg).toContain(`<g id="${layer}"`);
    expect(svg).toContain('Flügel · Ω &lt;1°&gt;');
    // The lower left corner of the square: y is turned down from the width of the sheet.
    expect(svg).toContain('M10 140 L110 140 L110 40');
    expect(svg).toContain('A20 20');
  });
});

/** Sizes of the pages of a document, in points. */
const boxes = (bytes: Uint8Array) =>
  [...new TextDecoder('latin1').decode(bytes).matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map(([, w, h]) => [
    Number(w),
    Number(h),
  ]);

describe('pages', () => {
  test('one page a sheet is as large as it and its margins; on A4 it is tiled, pages without a line left out', () => {
    const [[width, height]] = boxes(planPdf([sheet], { paper: 'sheet' })) as [[number, number]];
    expectWithin(width, ((200 + 16) * 72) / 25.4, 1e-3);
    expectWithin(height, ((150 + 16 + 24) * 72) / 25.4, 1e-3);
    const tiled = boxes(planPdf([sheet], { paper: 'a4' }));
    expect(tiled).toHaveLength(1);
    expectWithin(tiled[0]![0]!, (297 * 72) / 25.4, 1e-3);
    const large = { ...sheet, length: 1000, width: 700, parts: [square] };
    // The square lies at the lower left of a large sheet: two rows have a line of it at most.
    expect(boxes(planPdf([large], { paper: 'a4' })).length).toBeLessThanOrEqual(2);
    expect(boxes(planPdf([large], { paper: 'letter' }))[0]![1]!).toBeCloseTo((215.9 * 72) / 25.4, 1);
  });

  test('the same design gives the same bytes; a printer that shrinks is answered', () => {
    const pdf = planPdf([sheet], { paper: 'a4' });
    expect(planPdf([sheet], { paper: 'a4' })).toEqual(pdf);
    expect(planPdf([sheet], { paper: 'a4', printed: [0.98, 1] })).not.toEqual(pdf);
    const [[width]] = boxes(planPdf([sheet], { paper: 'sheet', printed: [0.98, 1] })) as [[number, number]];
    expectWithin(width, ((200 / 0.98 + 16) * 72) / 25.4, 1e-3);
  });
});

describe('the one page', () => {
  test('tells the design on a single upright page, and the files hold it where it is asked for', () => {
    const analysis = analyse(design, { without: ['remedies', 'bands', 'workings'] });
    const told = { analysis, units: METRIC };
    const files = planFiles(design, list, layout, { formats: ['page'], paper: 'a4', heading, told });
    expect([...files.keys()]).toEqual(['Lagoon Postman one page.pdf']);
    const page = [...files.values()][0]!;
    expect(boxes(page)).toHaveLength(1);
    expectWithin(boxes(page)[0]![1]!, (297 * 72) / 25.4, 1e-3);
    expect(page.length).toBeGreaterThan(20_000);
  });
});

describe('the cut list and all files', () => {
  test('every part, rod and block has its line, formulas are escaped', () => {
    const rows = cutListTable(design, list).split('\r\n');
    expect(rows).toHaveLength(1 + list.parts.length + list.rods.length + list.blocks.length);
    expect(rows[0]).toMatch(/^part,count,of them mirrored,material/);
    const evil = { ...list, parts: [{ ...list.parts[0]!, name: '=1+1' }] };
    expect(cutListTable(design, evil)).toContain("'=1+1");
  });

  test('files are named after the design and its sheets, and fit into one archive', () => {
    const files = planFiles(design, list, layout, { formats: ['svg', 'dxf', 'csv'], paper: 'a4', heading });
    expect([...files.keys()]).toEqual(
      expect.arrayContaining(['Lagoon Postman Faced board 5 mm sheet 1.svg', 'Lagoon Postman cut list.csv']),
    );
    expect(files.size).toBe(2 * sheets.length + 1);
    expect(Object.keys(unzipSync(zipped(files)))).toEqual([...files.keys()]);
    expect(titleOf({ ...heading, scale: 0.25 })).toBe('Lagoon Postman · First · 2026-05-02 · scale 1:4');
  });
});
