import { strToU8, zipSync } from 'fflate';
import type { Design } from '@/core/2-document/schema/design';
import type { Layout } from '@/core/4-parts/layout';
import type { CutList } from '@/core/4-parts/part';
import type { Analysis } from '@/core/analyse';
import { type DisplayUnits, METRIC } from '@/words/formatQuantity';
import { cutListTable } from './cutListTable';
import { designPage } from './designPage';
import { buildOrder } from '@/core/4-parts/build/buildOrder';
import { orderPages } from './orderPages';
import { planDxf } from './planDxf';
import { type Paper, planPdf } from './planPdf';
import { headOf, type Heading, planSheets } from './planSheet';
import { planSvg } from './planSvg';

export const PLAN_FORMATS = ['pdf', 'svg', 'dxf', 'csv'] as const;
/** Those, the one page of the design, and the order of building. */
export type PlanFormat = (typeof PLAN_FORMATS)[number] | 'page' | 'order';

export interface PlanOptions {
  readonly formats: readonly PlanFormat[];
  readonly paper: Paper;
  readonly heading: Heading;
  readonly printed?: readonly [number, number];
  /** What the one page of the design tells; without it there is none. */
  readonly told?: { readonly analysis: Analysis; readonly units: DisplayUnits };
}

const fileName = (text: string): string => text.replaceAll(/[^\p{L}\p{N} ._-]+/gu, '').trim() || 'plan';

/** Files of a layout by name: one for all pages, one drawing for each sheet, one table. */
export function planFiles(
  design: Design,
  list: CutList,
  layout: Layout,
  { formats, paper, heading, printed, told }: PlanOptions,
): Map<string, Uint8Array> {
  const files = new Map<string, Uint8Array>();
  const sheets = planSheets(layout, heading);
  const base = fileName(heading.design);
  if (formats.includes('pdf') && sheets.length > 0)
    files.set(`${base}.pdf`, planPdf(sheets, { paper, ...(printed ? { printed } : {}) }));
  if (formats.includes('page') && told)
    files.set(`${base} one page.pdf`, designPage(design, told.analysis, { units: told.units, title: headOf(heading) }));
  if (formats.includes('order') && list.parts.length > 0)
    files.set(
      `${base} build order.pdf`,
      orderPages(buildOrder(design, list), {
        title: headOf(heading),
        units: told?.units ?? METRIC,
        done: design.built,
      }),
    );
  for (const sheet of sheets) {
    if (formats.includes('svg')) files.set(`${base} ${fileName(sheet.name)}.svg`, strToU8(planSvg(sheet)));
    if (formats.includes('dxf')) files.set(`${base} ${fileName(sheet.name)}.dxf`, strToU8(planDxf(sheet)));
  }
  if (formats.includes('csv')) files.set(`${base} cut list.csv`, strToU8(cutListTable(design, list)));
  return files;
}

/** All of them in one archive. */
export const zipped = (files: ReadonlyMap<string, Uint8Array>): Uint8Array => zipSync(Object.fromEntries(files));
