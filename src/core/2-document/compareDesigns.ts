import type { Design } from './schema/design';

/** One value that differs between two states of a design. */
export interface Difference {
  /** Path as in fieldPath.ts; list members by their id where they have one. */
  readonly field: string;
  /** The same in words, such as `Wing, station 2, chord`. */
  readonly words: string;
  /** Null where the value or the whole part is not there. */
  readonly before: string | number | boolean | null;
  readonly after: string | number | boolean | null;
}

/** Where a design grew from is not part of what it is. */
const ORIGIN = 'basedOn';

type Json = unknown;
const isRecord = (value: Json): value is Record<string, Json> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Members of a list by id where every one has one, else by place. */
function keyed(list: readonly Json[]): Map<string, Json> {
  const named = list.every((member) => isRecord(member) && typeof member['id'] === 'string');
  return new Map(list.map((member, index) => [named ? (member as { id: string }).id : String(index), member]));
}

const spaced = (key: string) => key.replace(/([A-Z])/g, ' $1').toLowerCase();

function nameOf(container: Json, key: string, parent: string): string {
  if (isRecord(container) && typeof container['name'] === 'string' && container['name'] !== '')
    return container['name'];
  if (/^\d+$/.test(key))
    return `${parent === 'stations' ? 'station' : parent === 'frames' ? 'frame' : spaced(parent).replace(/s$/, '')} ${Number(key) + 1}`;
  return spaced(key);
}

const LISTS: ReadonlySet<string> = new Set([
  'surfaces',
  'bodies',
  'massItems',
  'materials',
  'stations',
  'controls',
  'spars',
  'propulsion',
  'frames',
  'wheels',
  'dragItems',
]);

interface Place {
  readonly path: readonly string[];
  readonly words: readonly string[];
}

function walk(before: Json, after: Json, place: Place, found: Difference[]): void {
  if (Object.is(before, after)) return;
  if (Array.isArray(before) || Array.isArray(after)) {
    const a = keyed(Array.isArray(before) ? before : []);
    const b = keyed(Array.isArray(after) ? after : []);
    for (const key of new Set([...a.keys(), ...b.keys()])) step(a.get(key), b.get(key), key, place, found);
    return;
  }
  if (isRecord(before) || isRecord(after)) {
    const a = isRecord(before) ? before : {};
    const b = isRecord(after) ? after : {};
    for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
      if (place.path.length === 0 && key === ORIGIN) continue;
      if (key !== 'id' || place.path.length === 0) step(a[key], b[key], key, place, found);
    }
    return;
  }
  const value = (entry: Json) => (entry === undefined ? null : (entry as string | number | boolean | null));
  found.push({
    field: `/${place.path.join('/')}`,
    words: place.words.join(', '),
    before: value(before),
    after: value(after),
  });
}

function step(before: Json, after: Json, key: string, place: Place, found: Difference[]): void {
  const words = LISTS.has(key) ? place.words : [...place.words, nameOf(after ?? before, key, place.path.at(-1) ?? '')];
  const here = { path: [...place.path, key], words };
  const isWhole = (isRecord(before) && after === undefined) || (isRecord(after) && before === undefined);
  // A part that came or went is one line, not one for each of its numbers.
  if (isWhole) {
    found.push({
      field: `/${here.path.join('/')}`,
      words: words.join(', '),
      before: before === undefined ? null : 'there',
      after: after === undefined ? null : 'there',
    });
    return;
  }
  walk(before, after, here, found);
}

/** Everything that differs between two states, in the order of the document. */
export function compareDesigns(before: Design, after: Design): Difference[] {
  const found: Difference[] = [];
  walk(before, after, { path: [], words: [] }, found);
  return found;
}

/** Whether two states are the same but for where they grew from. */
export const isSameState = (a: Design, b: Design): boolean => compareDesigns(a, b).length === 0;
