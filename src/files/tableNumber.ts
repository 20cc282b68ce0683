/** Which mark stands before the tenths in a table. */
export type DecimalMark = 'dot' | 'comma' | 'unknown' | 'both';

/** 1,200 or 1.200: thousands for one reader, a little more than one for another. */
const UNCERTAIN = /^\d{1,3}([.,]\d{3})+$/;

/** A number without sign and blanks: what the minus is typed with and how digits are grouped differs. */
const plain = (cell: string): string =>
  cell
    .replace(/^[-−–+]/, '')
    .replaceAll(/(?<=\d)[\s\u00a0\u202f’'](?=\d{3})/g, '')
    .trim();

/** What one cell says of the mark: nothing where it could be read either way. */
function markOf(cell: string): DecimalMark {
  const text = plain(cell);
  const [dots, commas] = [text.split('.').length - 1, text.split(',').length - 1];
  if (dots > 0 && commas > 0) return text.lastIndexOf('.') > text.lastIndexOf(',') ? 'dot' : 'comma';
  // Twice the same mark groups thousands, so the other one is for the tenths.
  if (dots > 1) return 'comma';
  if (commas > 1) return 'dot';
  if (UNCERTAIN.test(text) && !text.startsWith('0')) return 'unknown';
  return dots > 0 ? 'dot' : commas > 0 ? 'comma' : 'unknown';
}

/** What all number cells of a table say together. */
export function decimalMark(cells: readonly string[]): DecimalMark {
  const said = new Set(cells.map(markOf).filter((mark) => mark !== 'unknown'));
  if (said.size > 1) return 'both';
  return said.values().next().value ?? 'unknown';
}

export type NumberRead =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly because: string };

/** A number as people write it. What could be a thousand or a little more than one is asked about, never guessed. */
export function readNumber(cell: string, mark: DecimalMark): NumberRead {
  const text = plain(cell);
  const sign = /^[-−–]/.test(cell.trim()) ? -1 : 1;
  const asks = () => ({
    ok: false as const,
    because: `is “${cell}” ${text.replaceAll(/[.,]/g, '')} or ${text.replace(/[.,]/, '.')}? Write it without a mark for thousands`,
  });
  // Even where commas stand before tenths: 1,200 g of lead written by another hand must not become a gram.
  const isUncertain = UNCERTAIN.test(text) && !text.startsWith('0');
  if (isUncertain && (mark === 'both' || (mark !== 'dot' && text.includes(',')))) return asks();
  const own = mark === 'both' || mark === 'unknown' ? markOf(text) : mark;
  const digits = own === 'comma' ? text.replaceAll('.', '').replace(',', '.') : text.replaceAll(',', '');
  if (!/^(\d+(\.\d*)?|\.\d+)(e[-+]?\d+)?$/i.test(digits)) return { ok: false, because: `“${cell}” is not a number` };
  return { ok: true, value: sign * Number(digits) };
}
