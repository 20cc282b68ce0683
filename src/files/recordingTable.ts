import Papa from 'papaparse';
import type { Track, TrackPoint } from '@/core/8-field/recorder/track';
import { type Refused, tableOf } from './table';
import { readNumber } from './tableNumber';

/** An hour at fifty lines a second is below it. */
const MOST_CHARACTERS = 20_000_000;

/** Columns of a recording by their heads: what they are, and what one of their units is in ours. */
const COLUMNS: Readonly<Record<string, readonly [key: keyof TrackPoint, factor: number]>> = {
  time_s: ['t', 1],
  time_ms: ['t', 1e-3],
  speed_m_s: ['speed', 1],
  speed_km_h: ['speed', 1 / 3.6],
  speed_mph: ['speed', 0.44704],
  height_m: ['height', 1],
  height_ft: ['height', 0.3048],
  throttle: ['throttle', 1],
  throttle_percent: ['throttle', 0.01],
};
const NEEDED = ['t', 'speed', 'height'] as const;

export type RecordingRead = { readonly ok: true; readonly track: Track } | Refused;

/**
 * Reads a recording: time_s, speed_m_s (through the air) and height_m, throttle
 * from 0 to 1 where it is known; time_ms, speed_km_h, speed_mph, height_ft and
 * throttle_percent as well, other columns are passed over. All of it or nothing.
 */
export function readRecording(text: string): RecordingRead {
  const table = tableOf(text, MOST_CHARACTERS);
  if ('ok' in table) return table;
  const { heads, rows, mark } = table;
  const columns = heads.flatMap((head, place) => {
    const known = COLUMNS[head];
    return known ? [{ head, place, key: known[0], factor: known[1] }] : [];
  });
  const missing = NEEDED.find((key) => !columns.some((column) => column.key === key));
  if (missing)
    return {
      ok: false,
      message: `The heads “${heads.join(', ')}” were not understood: there must be time_s, speed_m_s and height_m, or time_ms, speed_km_h, speed_mph, height_ft.`,
    };
  const track: TrackPoint[] = [];
  for (const [index, cells] of rows.entries()) {
    const point: Partial<Record<keyof TrackPoint, number>> = {};
    for (const { head, place, key, factor } of columns) {
      const content = cells[place]?.trim() ?? '';
      if (content === '' && key === 'throttle') continue;
      const read = readNumber(content, mark);
      if (!read.ok) return { ok: false, message: `Line ${index + 2}, ${head}: ${read.because}.` };
      point[key] ??= read.value * factor;
    }
    const last = track.at(-1);
    if (last && !(point.t! > last.t))
      return { ok: false, message: `Line ${index + 2}: time must grow from line to line.` };
    if (!(point.speed! >= 0 && point.speed! < 150) || !(Math.abs(point.height!) < 1e4))
      return { ok: false, message: `Line ${index + 2}: that is no speed or height of a model.` };
    track.push(point as unknown as TrackPoint);
  }
  return { ok: true, track };
}

/** A recording as comma-separated text. */
export const recordingCsv = (track: Track): string =>
  Papa.unparse({
    fields: ['time_s', 'speed_m_s', 'height_m', 'throttle'],
    data: track.map(({ t, speed, height, throttle }) => [
      t.toFixed(2),
      speed.toFixed(2),
      height.toFixed(2),
      throttle === undefined ? '' : throttle.toFixed(2),
    ]),
  });
