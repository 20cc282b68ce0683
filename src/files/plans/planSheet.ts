import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import type { Layout } from '@/core/4-parts/layout';

/** One sheet as it is drawn: its parts where they lie, millimetres, y up from the lower edge. */
export interface PlanSheet {
  readonly title: string;
  readonly name: string;
  readonly length: number;
  readonly width: number;
  readonly parts: readonly PartOutline[];
}

export interface Heading {
  readonly design: string;
  readonly revision: string;
  readonly date: string;
  readonly scale: number;
}

/** Design, revision and date. */
export const headOf = ({ design, revision, date }: Heading): string =>
  [design, revision, date].filter((words) => words !== '').join(' · ');

/** That with the scale, as every page at full size carries it. */
export const titleOf = ({ design, revision, date, scale }: Heading): string =>
  [design, revision, date, scale === 1 ? 'scale 1:1' : `scale 1:${Math.round((1 / scale) * 100) / 100}`]
    .filter((words) => words !== '')
    .join(' · ');

/** The sheets of a layout as they are drawn, numbered within their material. */
export function planSheets({ sheets }: Layout, heading: Heading): PlanSheet[] {
  const counts = new Map<string, number>();
  return sheets.map(({ name, material, length, width, parts }) => {
    const number = (counts.get(material) ?? 0) + 1;
    counts.set(material, number);
    const label = `${name}, sheet ${number}`;
    return {
      title: `${titleOf(heading)} · ${label}`,
      name: label,
      length,
      width,
      parts: parts.map(({ outline }) => outline),
    };
  });
}
