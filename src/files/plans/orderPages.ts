import type { jsPDF } from 'jspdf';
import type { BuildStep } from '@/core/4-parts/build/buildOrder';
import { type DisplayUnits, sentence } from '@/words/formatQuantity';
import { bytesOf, newDocument } from './page';

/** A4 upright [mm], where text begins and how wide it runs. */
const PAGE = [210, 297] as const;
const MARGIN = 14;
const TEXT = MARGIN + 9;
const WIDE = PAGE[0] - MARGIN - TEXT - 14;
const LINE = 4.4;
const BOX = 4;
const SIZES = { title: 14, step: 10, text: 8.5 } as const;

export interface OrderOptions {
  readonly title: string;
  readonly units: DisplayUnits;
  /** Steps that are done already: their boxes are ticked. */
  readonly done: readonly string[];
}

/** The order of building on paper: a box to tick, what to do, what to read, caution; no step is torn apart by the end of a page. */
export function orderPages(steps: readonly BuildStep[], { title, units, done }: OrderOptions): Uint8Array {
  const pdf = newDocument();
  const ticked = new Set(done);
  let y = Infinity;
  let page = 0;
  for (const [index, step] of steps.entries()) {
    const rows = rowsOf(pdf, step, units);
    const high = rows.length * LINE + 2;
    if (y + high > PAGE[1] - MARGIN) {
      pdf.addPage([...PAGE], 'portrait');
      page++;
      pdf.setTextColor('#000000');
      pdf.setFontSize(SIZES.title);
      pdf.text('Build order', MARGIN, 18);
      pdf.setFontSize(SIZES.text);
      pdf.text(`${title} · page ${page}`, MARGIN, 23);
      y = 32;
    }
    pdf.setDrawColor('#000000');
    pdf.setLineWidth(0.3);
    pdf.rect(MARGIN, y - BOX + 0.6, BOX, BOX);
    if (ticked.has(step.id)) {
      pdf.line(MARGIN, y - BOX + 0.6, MARGIN + BOX, y + 0.6);
      pdf.line(MARGIN + BOX, y - BOX + 0.6, MARGIN, y + 0.6);
    }
    rows.forEach(({ words, size, colour }, row) => {
      pdf.setFontSize(size);
      pdf.setTextColor(colour);
      pdf.text(row === 0 ? `${index + 1}. ${words}` : words, TEXT, y + row * LINE);
    });
    pdf.setFontSize(SIZES.text);
    pdf.setTextColor('#555555');
    pdf.text(`${step.minutes} min`, PAGE[0] - MARGIN, y, { align: 'right' });
    y += high;
  }
  return bytesOf(pdf);
}

interface Row {
  readonly words: string;
  readonly size: number;
  readonly colour: string;
}

/** A step line by line, broken to the width of the page. */
function rowsOf(pdf: jsPDF, { title, gauge, reading, parts, caution }: BuildStep, units: DisplayUnits): Row[] {
  const broken = (words: string, size: number, colour: string): Row[] => {
    pdf.setFontSize(size);
    return (pdf.splitTextToSize(words, WIDE) as string[]).map((line) => ({ words: line, size, colour }));
  };
  const read = reading === null ? '' : sentence(reading, units);
  return [
    ...broken(sentence(title, units), SIZES.step, '#000000'),
    ...(read === '' ? [] : broken(gauge === null ? read : `Gauge “${gauge}”: ${read}`, SIZES.text, '#0b4f52')),
    ...(parts.length > 0 ? broken(parts.join(', '), SIZES.text, '#555555') : []),
    ...(caution === null ? [] : broken(sentence(caution, units), SIZES.text, '#7d4c00')),
  ];
}
