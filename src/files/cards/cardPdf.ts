import type { jsPDF } from 'jspdf';
import { bytesOf, newDocument } from '../plans/page';

/** One line of a card: words, what is known beside them, and room to write. */
export interface CardLine {
  readonly words: string;
  readonly value?: string;
  /** A box to tick. */
  readonly isTick?: boolean;
  /** Places to write on, each with its name. */
  readonly blanks?: readonly string[];
}

export interface CardBlock {
  readonly heading: string;
  readonly lines: readonly CardLine[];
}

/** What is taken along on paper. */
export interface Card {
  readonly title: string;
  readonly under: string;
  readonly blocks: readonly CardBlock[];
  readonly caution: string;
}

/** A4 upright, in two columns [mm]; type at its largest, and never smaller than can be read at arm's length. */
const PAGE = [210, 297] as const;
const MARGIN = 12;
const GUTTER = 8;
const TOP = 32;
const FOOT = 16;
const SIZES = { largest: 11, smallest: 5.5, step: 0.5 } as const;
const LINE_OVER_SIZE = 0.47;
const COLUMN = (PAGE[0] - 2 * MARGIN - GUTTER) / 2;
const BLANK = 17;

export interface Row {
  readonly kind: 'heading' | 'line' | 'more';
  readonly words: string;
  readonly line?: CardLine;
}

/** Lines as they break at a size of type. */
function rowsAt(pdf: jsPDF, blocks: readonly CardBlock[], size: number): Row[][] {
  pdf.setFontSize(size);
  return blocks.map(({ heading, lines }) => [
    { kind: 'heading', words: heading },
    ...lines
      .map((line) => (lines.some(({ blanks }) => blanks) ? { blanks: [], ...line } : line))
      .flatMap((line): Row[] => {
        const taken =
          (line.isTick ? size * 0.5 : 0) +
          (line.value === undefined ? 0 : pdf.getTextWidth(line.value) + 2) +
          (line.blanks?.length ?? 0) * BLANK;
        const broken = pdf.splitTextToSize(line.words, Math.max(20, COLUMN - taken)) as string[];
        return broken.map((words, index) => (index === 0 ? { kind: 'line', words, line } : { kind: 'more', words }));
      }),
  ]);
}

/** Height of a row over that of its type: what is written on needs room. */
const SPACING = { heading: 1.9, written: 1.65, read: 1.1 } as const;

const highOfRow = ({ kind, line }: Row, size: number): number =>
  LINE_OVER_SIZE * size * SPACING[kind === 'heading' ? 'heading' : line?.blanks ? 'written' : 'read'];
const highOf = (rows: readonly Row[], size: number): number => rows.reduce((sum, row) => sum + highOfRow(row, size), 0);

/** Blocks in two columns, in their order, so that both are as equal as may be; null where they are too high. */
function columnsAt(pdf: jsPDF, blocks: readonly CardBlock[], size: number): Row[][][] | null {
  const rows = rowsAt(pdf, blocks, size);
  const highs = rows.map((block) => highOf(block, size));
  const total = highs.reduce((sum, high) => sum + high, 0);
  const room = PAGE[1] - TOP - FOOT;
  let [left, count] = [0, 0];
  while (count < rows.length && (left === 0 || left + highs[count]! / 2 <= total / 2)) left += highs[count++]!;
  return Math.max(left, total - left) <= room ? [rows.slice(0, count), rows.slice(count)] : null;
}

/** Two columns of rows that fit on a page, and the size of type at which they do. What would not fit even in the smallest is said to be left out. */
export function fitted(
  pdf: jsPDF,
  card: Card,
): { readonly size: number; readonly columns: readonly (readonly (readonly Row[])[])[] } {
  let size: number = SIZES.largest;
  let { blocks } = card;
  let columns = columnsAt(pdf, blocks, size);
  while (!columns) {
    if (size > SIZES.smallest) size -= SIZES.step;
    else blocks = shorter(blocks);
    columns = columnsAt(pdf, blocks, size);
  }
  return { size, columns };
}

/** A card on one page, in type as large as it may be. */
export function cardPdf(card: Card): Uint8Array {
  const pdf = newDocument();
  pdf.addPage([...PAGE], 'portrait');
  const { size, columns } = fitted(pdf, card);
  pdf.setTextColor('#000000');
  pdf.setFontSize(16);
  pdf.text(card.title, MARGIN, 18);
  pdf.setFontSize(9);
  pdf.setTextColor('#555555');
  pdf.text(card.under, MARGIN, 24);
  columns.forEach((column, index) => drawColumn(pdf, column.flat(), MARGIN + index * (COLUMN + GUTTER), size));
  pdf.setFontSize(8);
  pdf.setTextColor('#7d4c00');
  pdf.text(pdf.splitTextToSize(card.caution, PAGE[0] - 2 * MARGIN) as string[], MARGIN, PAGE[1] - FOOT + 4);
  return bytesOf(pdf);
}

const LEFT_OUT = '… more on the screen';

/** The longest block without its last line. */
function shorter(blocks: readonly CardBlock[]): CardBlock[] {
  const longest = Math.max(...blocks.map(({ lines }) => lines.length));
  const place = blocks.findIndex(({ lines }) => lines.length === longest);
  return blocks.map((block, index) => {
    if (index !== place) return block;
    const isCut = block.lines.at(-1)?.words === LEFT_OUT;
    return { ...block, lines: [...block.lines.slice(0, isCut ? -2 : -1), { words: LEFT_OUT }] };
  });
}

function drawColumn(pdf: jsPDF, rows: readonly Row[], x: number, size: number): void {
  const box = size * 0.32;
  let y = TOP;
  pdf.setDrawColor('#000000');
  pdf.setLineWidth(0.2);
  let indent = 0;
  for (const row of rows) {
    const { kind, words, line } = row;
    y += highOfRow(row, size);
    pdf.setFontSize(size);
    pdf.setTextColor(kind === 'heading' ? '#0b4f52' : '#000000');
    if (kind === 'heading') {
      pdf.text(words.toUpperCase(), x, y);
      pdf.line(x, y + 0.8, x + COLUMN, y + 0.8);
      continue;
    }
    if (line) {
      indent = line.isTick ? size * 0.5 : 0;
      if (line.isTick) pdf.rect(x, y - box + 0.3, box, box);
      let right = x + COLUMN;
      for (const blank of (line.blanks ?? []).toReversed()) {
        pdf.line(right - BLANK + 1, y + 0.6, right, y + 0.6);
        pdf.setFontSize(size * 0.6);
        pdf.setTextColor('#777777');
        pdf.text(blank, right - BLANK + 1, y + 0.6 + size * 0.24);
        pdf.setFontSize(size);
        pdf.setTextColor('#000000');
        right -= BLANK;
      }
      if (line.value !== undefined) pdf.text(line.value, right - 1, y, { align: 'right' });
    }
    pdf.text(words, x + indent, y);
  }
}
