import Papa from 'papaparse';
import { escapedCell } from './tableCell';

/** One design of a row that is compared: its name and its numbers by theirs, SI; null where it has none. */
export interface VariantColumn {
  readonly name: string;
  readonly numbers: Readonly<Record<string, number | null>>;
}

/** Digits that are kept: what a spreadsheet shows of a number is its own affair. */
const DIGITS = 7;

/** Designs side by side as comma-separated text: a row a design, a column a number by its name in the analysis, SI units and radians. */
export function variantsCsv(variants: readonly VariantColumn[]): string {
  const names = [...new Set(variants.flatMap(({ numbers }) => Object.keys(numbers)))];
  return Papa.unparse({
    fields: ['name', ...names],
    data: variants.map(({ name, numbers }) => [
      escapedCell(name),
      ...names.map((key) => {
        const value = numbers[key];
        return value === null || value === undefined ? '' : Number(value.toPrecision(DIGITS));
      }),
    ]),
  });
}
