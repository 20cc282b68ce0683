import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page, test } from '@playwright/test';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { openDesign, toStage } from './support';

/** Half a metre and more of plain board: a rectangle of 600 by 150 that no page holds. */
const PLANK = {
  format: 'inclinar-design',
  version: 9,
  name: 'Ruler Plank',
  materials: [{ id: 'board', name: 'Board', thickness: 5, arealDensity: 400, sheetLength: 1000, sheetWidth: 700 }],
  surfaces: [
    {
      id: 'wing',
      role: 'wing',
      joint: 'onePiece',
      construction: { material: 'board' },
      stations: [
        { distanceFromRoot: 0, chord: 150 },
        { distanceFromRoot: 300, chord: 150 },
      ].map((station) => ({ ...station, section: { kind: 'flatPlate', thickness: 5 } })),
    },
  ],
};

/** Paper, its margins and what neighbouring pages share, as a ruler finds them on it [mm]. */
const A4 = { long: 297, short: 210, margin: 8, overlap: 10, foot: 24 } as const;
const WINDOW = [A4.long - 2 * A4.margin, A4.short - 2 * A4.margin - A4.foot] as const;
const PIXELS = 12;

interface Line {
  readonly page: number;
  /** Across which axis it is looked for, near where, between which places of the other axis [mm]. */
  readonly axis: 'x' | 'y';
  readonly near: number;
  readonly from: number;
  readonly to: number;
}

/** Shows a file of pages by a reader of its own and gives the middle of the darkest stroke near each place [mm]. */
async function measured(page: Page, pdf: Buffer, lines: readonly Line[]): Promise<number[]> {
  const serve = (path: string, type: string, body: string | Buffer) =>
    page.route(`http://paper.test/${path}`, (route) => route.fulfill({ contentType: type, body }));
  const module = (name: string) => readFileSync(`node_modules/pdfjs-dist/build/${name}`);
  await serve('', 'text/html', '<!doctype html><title>Paper</title>');
  await serve('pdf.mjs', 'text/javascript', module('pdf.min.mjs'));
  await serve('worker.mjs', 'text/javascript', module('pdf.worker.min.mjs'));
  await serve('plan.pdf', 'application/pdf', pdf);
  await page.goto('http://paper.test/');
  return page.evaluate(
    async ({ lines: wanted, pixels }) => {
      const reader = await import('http://paper.test/pdf.mjs' as string);
      reader.GlobalWorkerOptions.workerSrc = 'http://paper.test/worker.mjs';
      const file = await reader.getDocument('http://paper.test/plan.pdf').promise;
      const shown = new Map<number, ImageData>();
      for (const number of new Set(wanted.map((line) => line.page))) {
        const sheet = await file.getPage(number + 1);
        const viewport = sheet.getViewport({ scale: (pixels * 25.4) / 72 });
        const canvas = new OffscreenCanvas(Math.round(viewport.width), Math.round(viewport.height));
        const context = canvas.getContext('2d')!;
        await sheet.render({ canvasContext: context, viewport, canvas: null }).promise;
        shown.set(number, context.getImageData(0, 0, canvas.width, canvas.height));
      }
      return wanted.map(({ page: number, axis, near, from, to }) => {
        const { data, width } = shown.get(number)!;
        let [sum, weight] = [0, 0];
        for (let across = Math.round(from * pixels); across < to * pixels; across++)
          for (let along = Math.round((near - 0.6) * pixels); along < (near + 0.6) * pixels; along++) {
            const [x, y] = axis === 'x' ? [along, across] : [across, along];
            const place = 4 * (y * width + x);
            const dark = 255 - (data[place]! + data[place + 1]! + data[place + 2]!) / 3;
            sum += dark * (along + 0.5);
            weight += dark;
          }
        return sum / weight / pixels;
      });
    },
    { lines, pixels: PIXELS },
  );
}

test('printed pages are true to a tenth of a millimetre, on one and laid together by their crosses, both ways', async ({
  page,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'paper-'));
  const file = join(folder, 'plank.json');
  writeFileSync(file, JSON.stringify(PLANK));
  execFileSync(process.execPath, ['dist/node/plans.js', file, '--out', folder, '--format', 'pdf', '--paper', 'a4']);
  const pdf = readFileSync(join(folder, 'Ruler Plank.pdf'));
  // The plank lies 5 mm within the lower left corner of a sheet of 1000 × 700: rows 4 and 5 from above, three pages each.
  const [left, right, upper, lower] = [5, 605, 545, 695];
  const step = [WINDOW[0] - A4.overlap, WINDOW[1] - A4.overlap] as const;
  const onPage = (place: number, axis: 0 | 1, tile: number) => A4.margin + place - tile * step[axis];
  const cross = (end: 'first' | 'last', axis: 0 | 1) =>
    end === 'first' ? A4.margin + A4.overlap / 2 : A4.margin + WINDOW[axis] - A4.overlap / 2;
  const beside = A4.margin + 0.15 * WINDOW[1];
  const above = A4.margin + 0.15 * WINDOW[0];
  const middle = onPage(600, 1, 3);
  const alongX = (number: number, near: number, at: number): Line => ({
    page: number,
    axis: 'x',
    near,
    from: at + 2,
    to: at + 3.5,
  });
  const alongY = (number: number, near: number, at: number): Line => ({
    page: number,
    axis: 'y',
    near,
    from: at + 2,
    to: at + 3.5,
  });
  const foot = A4.short - A4.margin - A4.foot;
  const found = await measured(page, pdf, [
    alongX(0, onPage(left, 0, 0), middle),
    alongX(0, cross('last', 0), beside),
    alongX(1, cross('first', 0), beside),
    alongX(1, cross('last', 0), beside),
    alongX(2, cross('first', 0), beside),
    alongX(2, onPage(right, 0, 2), middle),
    alongY(0, onPage(upper, 1, 3), 100),
    alongY(0, cross('last', 1), above),
    alongY(3, cross('first', 1), above),
    alongY(3, onPage(lower, 1, 4), 100),
    // The ruler: its first and its last tick, 4 in beneath.
    { page: 0, axis: 'x', near: A4.margin + 4, from: foot + 3.4, to: foot + 5.6 },
    { page: 0, axis: 'x', near: A4.margin + 104, from: foot + 3.4, to: foot + 5.6 },
    { page: 0, axis: 'x', near: A4.margin + 4, from: foot + 10.3, to: foot + 11.7 },
    { page: 0, axis: 'x', near: A4.margin + 4 + 101.6, from: foot + 10.3, to: foot + 11.7 },
  ]);
  expect(found.every(Number.isFinite)).toBe(true);
  const [a, b, c, d, e, f, g, h, i, j, zero, hundred, inch, four] = found as [number, ...number[]] as number[];
  expect(Math.abs(b! - a! + (d! - c!) + (f! - e!) - 600)).toBeLessThan(0.1);
  expect(Math.abs(h! - g! + (j! - i!) - 150)).toBeLessThan(0.1);
  expect(Math.abs(a! - onPage(left, 0, 0))).toBeLessThan(0.1);
  expect(Math.abs(hundred! - zero! - 100)).toBeLessThan(0.1);
  expect(Math.abs(four! - inch! - 101.6)).toBeLessThan(0.1);
});

/** Words on the pages of a file, with where they begin and end across [points]. */
async function wordsOn(pdf: Buffer): Promise<{ readonly words: string; readonly from: number; readonly to: number }[]> {
  const file = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
  const pages = await Promise.all(Array.from({ length: file.numPages }, (_, index) => file.getPage(index + 1)));
  const contents = await Promise.all(pages.map((page) => page.getTextContent()));
  return contents.flatMap(({ items }) =>
    items.flatMap((item) =>
      'str' in item && item.str.trim()
        ? [{ words: item.str, from: item.transform[4] as number, to: (item.transform[4] as number) + item.width }]
        : [],
    ),
  );
}

test('a stage is printed as wide as the paper, whole, its tables with the names of their columns', async ({ page }) => {
  await openDesign(page, 'Lagoon Postman', 'Weights');
  await expect(page.getByRole('img', { name: 'Weights on a lever' })).toBeVisible();
  const found = await wordsOn(await page.pdf({ format: 'A4' }));
  const text = found.map(({ words }) => words).join(' ');
  // Columns, the last row and the sum, the lever over it, the numbers and the beam below.
  for (const words of [
    'Computed',
    'Share',
    'Aft',
    'All of it',
    'Pack 3 cells',
    'Flying mass',
    'neutral 297 mm',
    'Tailplane',
  ])
    expect(text, words).toContain(words);
  const [left, right] = [(12 / 25.4) * 72, ((A4.short - 12) / 25.4) * 72];
  const outside = found.filter(({ from, to }) => from < left - 1 || to > right + 1);
  expect(outside).toEqual([]);
  expect(text).not.toContain('Add equipment');
  // What can be pressed and says something is there as well.
  await toStage(page, 'Plans');
  await expect(page.getByRole('button', { name: 'Fuselage, former 2' }).last()).toBeVisible();
  const plans = (await wordsOn(await page.pdf({ format: 'A4' }))).map(({ words }) => words).join(' ');
  expect(plans).toContain('Fuselage, former 2');
});
