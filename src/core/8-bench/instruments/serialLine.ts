import { INSTRUMENT_KINDS, type InstrumentKind, INSTRUMENTS } from './instrument';

/** What one line of a serial instrument says, or why it cannot be read. */
export type SerialLine =
  | { readonly ok: true; readonly kind: InstrumentKind; readonly values: readonly number[] }
  | { readonly ok: false; readonly because: string };

const FORM = 'It should read like “tilt 2.35 deg”, “scale 812 g”, “stand 402 411 g”, “pull 6.4 N” or “wind 3.1 m/s”.';
const UNITS: Readonly<Record<InstrumentKind, readonly string[]>> = {
  tilt: ['deg', '°'],
  scale: ['g'],
  stand: ['g'],
  pull: ['N'],
  wind: ['m/s'],
};
/** Longer lines are none. */
const LONGEST = 80;

/**
 * Reads a line of text: the sort of instrument, its numbers with a point, its
 * unit, apart by blanks. The unit may be left out; nothing else may follow.
 */
export function serialLine(text: string): SerialLine {
  const failed = (because: string): SerialLine => ({ ok: false, because: `${because} ${FORM}` });
  if (text.length > LONGEST) return failed('That line is too long.');
  const [name = '', ...rest] = text.trim().split(/\s+/);
  const kind = INSTRUMENT_KINDS.find((one) => one === name.toLowerCase());
  if (!kind) return failed(`“${name.slice(0, 20)}” is no instrument.`);
  const { cells } = INSTRUMENTS[kind];
  const [numbers, unit] = [rest.slice(0, cells), rest.slice(cells)];
  if (numbers.length < cells || !numbers.every((one) => /^[-+]?(\d+\.?\d*|\.\d+)$/.test(one)))
    return failed(cells === 1 ? 'A number is missing.' : 'Two numbers are missing.');
  if (unit.length > 1 || (unit.length === 1 && !UNITS[kind].includes(unit[0]!)))
    return failed(`“${unit.join(' ').slice(0, 20)}” is not its unit.`);
  return { ok: true, kind, values: numbers.map(Number) };
}
