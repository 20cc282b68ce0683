import type { jsPDF } from 'jspdf';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { flattened } from '@/core/3-shape/outline/path';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { LAYER_LOOKS, linesOf } from './layers';
import { bytesOf, newDocument } from './page';
import type { PlanSheet } from './planSheet';
import { RULER_ROOM, rulerLines } from './ruler';

export const PAPERS = {
  a4: [297, 210],
  a3: [420, 297],
  letter: [279.4, 215.9],
} as const;
export type Paper = keyof typeof PAPERS | 'sheet';

/** From the edge of the paper, and how far neighbouring pages overlap [mm]. */
const MARGIN = 8;
const OVERLAP = 10;
/** What the title and the ruler take under a tile. */
const FOOT = RULER_ROOM;
const CROSS = 4;
/** How far a drawn arc may be off [mm]. */
const TOLERANCE = 0.02;
const POINTS_PER_MILLIMETRE = 72 / 25.4;
export interface PdfOptions {
  readonly paper: Paper;
  /** Lengths on paper over lengths asked, as the printer was measured: along and across. */
  readonly printed?: readonly [number, number];
}

/** All sheets at full size: each as one large page, or tiled on paper with overlap, crosses and a map of the pages. */
export function planPdf(sheets: readonly PlanSheet[], { paper, printed = [1, 1] }: PdfOptions): Uint8Array {
  const pdf = newDocument();
  for (const sheet of sheets) {
    if (paper === 'sheet') wholePage(pdf, sheet, printed);
    else tiles(pdf, sheet, PAPERS[paper], printed);
  }
  return bytesOf(pdf);
}

type Pdf = jsPDF;

function wholePage(pdf: Pdf, sheet: PlanSheet, [along, across]: readonly [number, number]): void {
  const size = [sheet.length / along + 2 * MARGIN, sheet.width / across + 2 * MARGIN + FOOT] as const;
  pdf.addPage([...size], size[0] >= size[1] ? 'landscape' : 'portrait');
  draw(pdf, sheet, ([x, y]) => [MARGIN + x / along, MARGIN + (sheet.width - y) / across]);
  foot(pdf, sheet.title, [MARGIN, size[1] - MARGIN - FOOT], [along, across]);
}

/** Pages in rows over the part of the sheet that is used; pages without a line are left out. */
function tiles(
  pdf: Pdf,
  sheet: PlanSheet,
  [long, short]: readonly [number, number],
  printed: readonly [number, number],
): void {
  const [along, across] = printed;
  const window = [long - 2 * MARGIN, short - 2 * MARGIN - FOOT] as const;
  const step = [window[0] - OVERLAP, window[1] - OVERLAP] as const;
  const right = Math.max(...sheet.parts.map((part) => boundsOfPart(part).right));
  const columns = Math.max(1, Math.ceil((right / along - OVERLAP) / step[0]));
  const rows = Math.max(1, Math.ceil((sheet.width / across - OVERLAP) / step[1]));
  const used = new Set<number>();
  const isUsed = (column: number, row: number) =>
    sheet.parts.some((part) => {
      const { left, right: end, top, bottom } = boundsOfPart(part);
      const [x0, y0] = [column * step[0] * along, row * step[1] * across];
      return (
        left < x0 + window[0] * along &&
        end > x0 &&
        sheet.width - top < y0 + window[1] * across &&
        sheet.width - bottom > y0
      );
    });
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) if (isUsed(column, row)) used.add(row * columns + column);
  for (const tile of used) {
    const [column, row] = [tile % columns, Math.floor(tile / columns)];
    pdf.addPage([long, short], 'landscape');
    const [x0, y0] = [column * step[0], row * step[1]];
    pdf.saveGraphicsState();
    pdf.rect(MARGIN, MARGIN, window[0], window[1], null);
    pdf.clip();
    pdf.discardPath();
    draw(pdf, sheet, ([x, y]) => [MARGIN + x / along - x0, MARGIN + (sheet.width - y) / across - y0]);
    pdf.restoreGraphicsState();
    crosses(pdf, window, [column > 0, column < columns - 1, row > 0, row < rows - 1]);
    const place = `row ${row + 1}, page ${column + 1} of ${columns} × ${rows}`;
    foot(pdf, `${sheet.title} · ${place}`, [MARGIN, short - MARGIN - FOOT], printed);
    pageMap(pdf, { columns, rows, used, tile }, [long - MARGIN - 34, short - MARGIN - FOOT + 3]);
  }
}

type Place = (point: readonly [number, number]) => readonly [number, number];

function draw(pdf: Pdf, { parts }: PlanSheet, place: Place): void {
  for (const part of parts) {
    for (const [layer, path] of linesOf(part)) {
      const { colour, dash } = LAYER_LOOKS[layer];
      pdf.setDrawColor(colour);
      pdf.setLineWidth(layer === 'cut' ? 0.2 : 0.12);
      pdf.setLineDashPattern(dash === null ? [] : dash.split(' ').map(Number), 0);
      const points = flattened(path, TOLERANCE).map(place);
      points.slice(1).forEach((point, index) => pdf.line(points[index]![0], points[index]![1], point[0], point[1]));
      if (path.isClosed) {
        const [first, last] = [points[0]!, points.at(-1)!];
        pdf.line(last[0], last[1], first[0], first[1]);
      }
    }
    pdf.setLineDashPattern([], 0);
    pdf.setTextColor(LAYER_LOOKS.text.colour);
    for (const { words, at, height, turn } of part.texts) {
      const [x, y] = place(at);
      pdf.setFontSize(height * POINTS_PER_MILLIMETRE);
      pdf.text(words, x, y, { angle: degreesFromRadians(turn) });
    }
  }
}

/** Ruler and title; the ruler is drawn as the sheet is, so that it tells whether the paper does what it should. */
function foot(
  pdf: Pdf,
  title: string,
  [x0, y0]: readonly [number, number],
  [along, across]: readonly [number, number],
): void {
  pdf.setDrawColor('#000000');
  pdf.setLineWidth(0.15);
  pdf.setLineDashPattern([], 0);
  for (const { from, to } of rulerLines())
    pdf.line(x0 + from[0] / along, y0 + from[1] / across, x0 + to[0] / along, y0 + to[1] / across);
  pdf.setTextColor('#000000');
  pdf.setFontSize(8);
  pdf.text('100 mm', x0 + 4 + 101 / along, y0 + 7 / across);
  pdf.text('4 in', x0 + 4 + 103 / along, y0 + 14 / across);
  pdf.text(title, x0 + 4, y0 + FOOT - 3);
}

/** Crosses in the middle of the strips that overlap: lay page on page by them. */
function crosses(
  pdf: Pdf,
  [wide, high]: readonly [number, number],
  [left, right, up, down]: readonly [boolean, boolean, boolean, boolean],
): void {
  pdf.setDrawColor('#888888');
  pdf.setLineWidth(0.12);
  const at = (x: number, y: number) => {
    pdf.line(x - CROSS, y, x + CROSS, y);
    pdf.line(x, y - CROSS, x, y + CROSS);
  };
  const half = OVERLAP / 2;
  const ys = [0.15, 0.85].map((share) => MARGIN + share * high);
  const xs = [0.15, 0.85].map((share) => MARGIN + share * wide);
  if (left) ys.forEach((y) => at(MARGIN + half, y));
  if (right) ys.forEach((y) => at(MARGIN + wide - half, y));
  if (up) xs.forEach((x) => at(x, MARGIN + half));
  if (down) xs.forEach((x) => at(x, MARGIN + high - half));
}

interface Map {
  readonly columns: number;
  readonly rows: number;
  readonly used: ReadonlySet<number>;
  readonly tile: number;
}

/** Where this page lies among the others. */
function pageMap(pdf: Pdf, { columns, rows, used, tile }: Map, [x, y]: readonly [number, number]): void {
  const side = Math.min(34 / columns, 16 / rows);
  pdf.setDrawColor('#666666');
  pdf.setFillColor('#cccccc');
  for (let place = 0; place < columns * rows; place++) {
    if (!used.has(place)) continue;
    const [left, top] = [x + (place % columns) * side, y + Math.floor(place / columns) * side * 0.7];
    pdf.rect(left, top, side, side * 0.7, place === tile ? 'FD' : 'S');
  }
}
