import Papa from 'papaparse';
import { type DecimalMark, decimalMark } from './tableNumber';

export type Refused = { readonly ok: false; readonly message: string };

/** A table of text: heads in small letters with _ between, lines under them, and how decimals are marked. */
export interface Table {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly mark: DecimalMark;
}

/** Reads a table; why not, where it is none. @param most characters of it */
export function tableOf(text: string, most: number): Table | Refused {
  if (text.length > most) return { ok: false, message: 'That is more than any log: take the rows only.' };
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  const [head, ...rows] = data;
  if (!head || rows.length === 0)
    return { ok: false, message: 'A line of heads and at least one line under it are needed.' };
  return {
    heads: head.map((cell) =>
      cell
        .trim()
        .toLowerCase()
        .replaceAll(/[\s/()[\]]+/g, '_')
        .replace(/_$/, ''),
    ),
    rows,
    mark: decimalMark(rows.flat()),
  };
}
