import Papa from 'papaparse';
import { type RecordOf, tossSchema } from '@/core/2-document/records/recordKinds';
import { escapedCell, plainCell } from './tableCell';
import { type Refused, tableOf } from './table';
import { readNumber } from './tableNumber';

type Toss = RecordOf<'tosses'>;

/** Columns of numbers: what each is called in a table, with its unit, and where it is kept. */
const NUMBERS = [
  ['scale', 'scale'],
  ['distance_m', 'distance'],
  ['time_s', 'time'],
  ['sideways_m', 'sideways'],
  ['launch_speed_m_s', 'launchSpeed'],
  ['launch_path_deg', 'launchPath'],
  ['launch_height_m', 'launchHeight'],
  ['wind_m_s', 'wind'],
  ['shim_deg', 'shim'],
  ['ballast_g', 'ballast'],
  ['ballast_at_mm', 'ballastAt'],
  ['mass_g', 'mass'],
  ['balance_mm', 'balance'],
] as const satisfies readonly (readonly [string, keyof Toss])[];

/** A log of a season is far below it. */
const MOST_CHARACTERS = 1_000_000;

/** Tosses as comma-separated text, one a line; places over time stay in the design file. */
export const tossesCsv = (tosses: readonly Toss[]): string =>
  Papa.unparse({
    fields: ['id', 'at', 'result', ...NUMBERS.map(([head]) => head), 'notes'],
    data: tosses.map((toss) => [
      toss.id,
      toss.at,
      toss.result,
      ...NUMBERS.map(([, key]) => toss[key] ?? ''),
      escapedCell(toss.notes),
    ]),
  });

export type TossesRead = { readonly ok: true; readonly tosses: readonly Toss[] } | Refused;
export type TrackRead = { readonly ok: true; readonly track: Toss['track'] } | Refused;

/**
 * Reads tosses from a table. A line of a known id changes that toss and keeps
 * what it does not say; others are new. All of it or nothing; the message names
 * line and column. @param now day and time of lines that say none
 */
export function readTosses(text: string, known: readonly Toss[], now: string): TossesRead {
  const table = tableOf(text, MOST_CHARACTERS);
  if ('ok' in table) return table;
  const { heads, rows, mark } = table;
  if (!heads.includes('result'))
    return {
      ok: false,
      message: `The heads “${heads.join(', ')}” were not understood: there must be a column “result”, such as ${tossSchema.shape.result.options.slice(0, 3).join(', ')}.`,
    };
  const tosses: Toss[] = [];
  const taken = new Set(known.map(({ id }) => id));
  let fresh = taken.size;
  for (const [index, cells] of rows.entries()) {
    const at = `Line ${index + 2}`;
    const cell = (head: string) => cells[heads.indexOf(head)]?.trim() ?? '';
    const numbers: Record<string, number> = {};
    for (const [head, key] of NUMBERS) {
      const content = cell(head);
      if (content === '') continue;
      const read = readNumber(content, mark);
      if (!read.ok) return { ok: false, message: `${at}, ${head}: ${read.because}.` };
      numbers[key] = read.value;
    }
    let id = cell('id');
    if (id === '') {
      do id = `toss${++fresh}`;
      while (taken.has(id));
    }
    if (tosses.some((toss) => toss.id === id))
      return { ok: false, message: `${at}, id: “${id}” was on a line before: each toss may stand once.` };
    taken.add(id);
    const before = known.find((toss) => toss.id === id);
    const parsed = tossSchema.safeParse({
      ...before,
      id,
      at: cell('at') || before?.at || now,
      result: cell('result'),
      ...numbers,
      ...(heads.includes('notes') ? { notes: plainCell(cell('notes')) } : {}),
    });
    if (!parsed.success) {
      const [issue] = parsed.error.issues;
      return { ok: false, message: `${at}, ${issue!.path.join(' ')}: ${issue!.message}.` };
    }
    tosses.push(parsed.data);
  }
  return { ok: true, tosses };
}

/** Whether a text is places over time rather than a table of tosses. */
export function isTrack(text: string): boolean {
  const table = tableOf(text, MOST_CHARACTERS);
  return !('ok' in table) && !table.heads.includes('result') && table.heads.some((head) => /^t(_s)?$|^time/.test(head));
}

const TRACK = [
  ['t', /^t(_s)?$|^time(_s)?$/],
  ['x', /^x(_m)?$|^ahead/],
  ['z', /^z(_m)?$|^y(_m)?$|^height/],
] as const;

/** Places over time as a video gives them: time since the hand [s], ahead and above the ground [m], with heads t, x, z. */
export function readTrack(text: string): TrackRead {
  const table = tableOf(text, MOST_CHARACTERS);
  if ('ok' in table) return table;
  const columns = TRACK.map(([name, head]) => [name, table.heads.findIndex((cell) => head.test(cell))] as const);
  const missing = columns.find(([, column]) => column < 0);
  if (missing)
    return {
      ok: false,
      message: `There is no column “${missing[0]}”: t in seconds, x ahead and z above ground in metres.`,
    };
  const track: Toss['track'] = [];
  for (const [index, cells] of table.rows.entries()) {
    const place: Record<string, number> = {};
    for (const [name, column] of columns) {
      const read = readNumber(cells[column]?.trim() ?? '', table.mark);
      if (!read.ok) return { ok: false, message: `Line ${index + 2}, ${name}: ${read.because}.` };
      place[name] = read.value;
    }
    if (index > 0 && place['t']! <= track.at(-1)!.t)
      return { ok: false, message: `Line ${index + 2}, t: is not after the line before.` };
    track.push(place as unknown as Toss['track'][number]);
  }
  const parsed = tossSchema.shape.track.safeParse(track);
  return parsed.success
    ? { ok: true, track: parsed.data }
    : { ok: false, message: `${parsed.error.issues[0]!.path.join(' ')}: ${parsed.error.issues[0]!.message}.` };
}
