import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoFile } from '#/demo';
import { forAll } from '#/tests/forAll';
import sample from '#/tests/samples/version-2.json';
import first from '#/tests/samples/version-1.json';
import { readDesignText } from '@/core/2-document/readDesign';
import { designText, readDesignBytes } from '@/files/designFile';

const RUNS = 40;

const FILES = [JSON.stringify(sample), JSON.stringify(first), ...DEMO_NAMES.map((name) => designText(demoFile(name)))];
const file = fc.constantFrom(...FILES);

/** Values that stand where another kind is expected. */
const ODD: readonly unknown[] = [
  null,
  '',
  '5',
  '5,5',
  'yes',
  true,
  0,
  1,
  -1,
  0.5,
  1e308,
  -1e-320,
  [],
  {},
  [[[]]],
  { kind: 'unheardOf' },
  'constructor',
  '__proto__',
  'x'.repeat(300),
  Array.from({ length: 6000 }, () => 0),
];

interface Place {
  readonly owner: Record<string, unknown>;
  readonly key: string;
}

function placesOf(value: unknown): Place[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, part]) => [
    { owner: value as Record<string, unknown>, key },
    ...placesOf(part),
  ]);
}

/** Does one thing to a place of a document. */
function mutate({ owner, key }: Place, what: number): void {
  const odd = structuredClone(ODD[what % ODD.length]);
  const value = owner[key];
  switch (what % 5) {
    case 0:
      delete owner[key];
      break;
    case 1:
      owner[`${key}s`] = value;
      break;
    case 2:
      if (Array.isArray(value)) value.push(...value.slice(0, 3));
      else owner[key] = odd;
      break;
    default:
      owner[key] = odd;
  }
}

const changes = fc.array(fc.record({ at: fc.nat(), what: fc.nat() }), { minLength: 1, maxLength: 4 });

/** Words of the machine, or a path that leads nowhere. */
const FOREIGN = /Invalid input|expected|received|Required|NaN|undefined|\[object|Unrecognized/;

/** Taken whole, and written again it is the same; or refused in words that name the place. @returns whether it was taken */
function expectWholeOrRefused(text: string): boolean {
  const read = readDesignBytes(new TextEncoder().encode(text));
  if (read.ok) {
    const again = readDesignText(designText(read));
    expect(again.ok && [again.design, again.records]).toEqual([read.design, read.records]);
    return true;
  }
  expect(read.issues.length).toBeGreaterThan(0);
  for (const { path, message } of read.issues) {
    expect(path).toMatch(/^\//);
    expect(message.replaceAll(/(a|an|is) expected|“[^”]*”|"[^"]*"|\(was .*?\)/g, '')).not.toMatch(FOREIGN);
    expect(message.length).toBeGreaterThan(8);
  }
  return false;
}

describe('files that something happened to', () => {
  test('values, fields and lists that are not what they should be', () => {
    const seen = { taken: 0, refused: 0 };
    forAll(RUNS, [file, changes], (text, all) => {
      const raw: unknown = JSON.parse(text);
      for (const { at, what } of all) {
        const places = placesOf(raw);
        if (places.length > 0) mutate(places[at % places.length]!, what);
      }
      seen[expectWholeOrRefused(JSON.stringify(raw)) ? 'taken' : 'refused']++;
    });
    expect(seen.taken).toBeGreaterThan(0);
    expect(seen.refused).toBeGreaterThan(0);
  });

  test('texts that were torn, doubled or overwritten', () => {
    const damage = fc.record({
      from: fc.nat(),
      length: fc.integer({ min: 1, max: 400 }),
      put: fc.string({ maxLength: 12 }),
      how: fc.nat(2),
    });
    forAll(RUNS, [file, damage], (text, { from, length, put, how }) => {
      const at = from % text.length;
      const [before, piece, after] = [text.slice(0, at), text.slice(at, at + length), text.slice(at + length)];
      expectWholeOrRefused(how === 0 ? before : how === 1 ? before + put + after : before + piece + piece + after);
    });
  });
});

describe('bounds of what is read', () => {
  const head = '{"format":"inclinar-design","version":2,"name":"x"';
  test.each([
    [
      'nested fifty deep and more',
      `${head},"notes":${'['.repeat(60)}${']'.repeat(60)}}`,
      '/',
      /deeper than 50 levels on line 1/,
    ],
    ['a million opening brackets', '['.repeat(1e6), '/', /deeper than 50/],
    ['a list that no design has', `${head},"wheels":[${'0,'.repeat(6000)}0]}`, '/wheels', /6001 entries: at most 5000/],
    [
      'a name that no object can hold',
      `${head},"brief":{"__proto__":{"wind":3}}}`,
      '/brief/__proto__',
      /no field may have/,
    ],
    ['a field that is nearly known', `${head},"condition":{}}`, '/', /condition \(was “conditions” meant\?\)/],
    [
      'a number in quotes',
      `${head},"conditions":{"cruiseSpeed":"12,5"}}`,
      '/conditions/cruiseSpeed',
      /must be a number.*write 12.5 without quotes/,
    ],
    [
      'a number out of range',
      `${head},"conditions":{"cruiseSpeed":400}}`,
      '/conditions/cruiseSpeed',
      /the nearest is 100 m\/s/,
    ],
    [
      'a choice that is nearly one',
      `${head},"brief":{"purpose":"trainer"}}`,
      '/brief/purpose',
      /the nearest to “trainer” is "train"/,
    ],
    [
      'a yes in words',
      `${head},"surfaces":[{"id":"w","role":"wing","mirrored":"yes","stations":[{"distanceFromRoot":0,"chord":9},{"distanceFromRoot":90,"chord":9}]}]}`,
      '/surfaces/0/mirrored',
      /must be true or false, not the text “yes”: write true/,
    ],
    [
      'a section of no kind',
      `${head},"surfaces":[{"id":"w","role":"wing","stations":[{"distanceFromRoot":0,"chord":9,"section":{"kind":"flat"}},{"distanceFromRoot":90,"chord":9}]}]}`,
      '/surfaces/0/stations/0/section',
      /one of "flatPlate".*nearest to “flat”/,
    ],
    [
      'blades and a half',
      `${head},"propulsion":[{"id":"p","blades":2.4}]}`,
      '/propulsion/0/blades',
      /a whole number, not a fraction: the nearest is 2/,
    ],
    ['nothing where a name is', '{"format":"inclinar-design","version":2}', '/name', /is missing: a text is expected/],
    [
      'a name that is none',
      `${head},"wheels":[{"id":"2 räder","position":{}}]}`,
      '/wheels/0/id',
      /must start with a letter.*the nearest is "rader"/,
    ],
    [
      'two wheels of one name',
      `${head},"wheels":[{"id":"a","position":{}},{"id":"a","position":{}}]}`,
      '/wheels/1/id',
      /"a" is used twice/,
    ],
  ])('%s', (_, text, path, message) => {
    expect(readDesignText(text)).toMatchObject({
      ok: false,
      issues: [{ path: expect.stringContaining(path), message: expect.stringMatching(message) }],
    });
  });

  test('brackets within texts are no nesting, and a mark of encoding is no fault', () => {
    const text = `\uFEFF${head},"notes":"${'['.repeat(90)}\\"{${'{'.repeat(90)}"}`;
    const read = readDesignBytes(new TextEncoder().encode(text));
    expect(read.ok && read.design.notes.length).toBe(182);
  });

  test('revisions grow from one another as a tree', () => {
    const revision = (id: string, parent?: string) => ({
      id,
      at: '2026-05-04T10:00:00Z',
      name: id,
      ...(parent ? { parent } : {}),
      design: {},
    });
    const read = (...revisions: object[]) =>
      readDesignText(JSON.stringify({ format: 'inclinar-design', version: 2, name: 'x', records: { revisions } }));
    expect(read(revision('a'), revision('b', 'a'), revision('c', 'a')).ok).toBe(true);
    expect(read(revision('a', 'gone'))).toMatchObject({
      ok: false,
      issues: [{ path: '/records/revisions/0/parent', message: expect.stringMatching(/not among the revisions/) }],
    });
    expect(read(revision('a', 'b'), revision('b', 'a'))).toMatchObject({
      ok: false,
      issues: [{ message: expect.stringMatching(/grown from itself/) }, {}],
    });
    expect(read(revision('a', 'a'))).toMatchObject({ ok: false });
  });
});
