import { strToU8, zipSync } from 'fflate';
import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import sample from '#/tests/samples/version-2.json';
import { readDesign } from '@/core/2-document/readDesign';
import { designText, exportedFile, readDesignFile } from './designFile';

const file = (...parts: BlobPart[]) => new Blob(parts);
const PICTURE = new Uint8Array([0xff, 0xd8, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10]);

function whole() {
  const read = readDesign(sample);
  if (!read.ok) throw new Error('The sample must be readable.');
  return { ...read, pictures: new Map([['photo1', PICTURE]]) };
}

test('what is exported is read back to the last digit', async () => {
  const design = demoDesign('lagoon-postman');
  const { name, parts } = exportedFile({ design });
  expect(name).toBe('lagoon-postman.inclinar.json');
  const read = await readDesignFile(file(...parts));
  expect(read.ok && read.design).toEqual(design);
});

test('with pictures it is one zip: document, records and pictures come back', async () => {
  const { design, records, pictures } = whole();
  const { name, parts, type } = exportedFile({ design, records, pictures });
  expect([name.endsWith('.inclinar.zip'), type]).toEqual([true, 'application/zip']);
  const read = await readDesignFile(file(...parts));
  expect(read).toMatchObject({ ok: true, design, records });
  expect(read.ok && [...read.pictures]).toEqual([['photo1', PICTURE]]);
});

test.each([
  ['Lagoon Postman', 'lagoon-postman.inclinar.json'],
  ['Möwe 2 / “b”', 'mowe-2-b.inclinar.json'],
  ['···', 'design.inclinar.json'],
])('%s is filed as %s', (name, wanted) => {
  expect(exportedFile({ design: { ...demoDesign('lagoon-postman'), name } }).name).toBe(wanted);
});

test('all or nothing: a photo without its picture, a torn zip, a zip of something else', async () => {
  const { design, records, pictures } = whole();
  const text = designText({ design, records });
  expect(await readDesignFile(file(text))).toMatchObject({
    ok: false,
    issues: [{ path: '/records/photos/0', message: expect.stringMatching(/no picture.*Import the zip/) }],
  });
  const zip = exportedFile({ design, records, pictures }).parts[0] as Uint8Array<ArrayBuffer>;
  expect(await readDesignFile(file(zip.slice(0, zip.length - 40)))).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/cannot be unpacked/) }],
  });
  const other = zipSync({ 'readme.txt': strToU8('hello') }) as Uint8Array<ArrayBuffer>;
  expect(await readDesignFile(file(other))).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/holds no design.json/) }],
  });
});

test('a picture, a broken file and a huge one are refused in words', async () => {
  expect(await readDesignFile(file('\u0089PNG'))).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/not a JSON file/) }],
  });
  const torn = designText({ design: demoDesign('lagoon-postman') }).slice(0, 400);
  expect(await readDesignFile(file(torn))).toMatchObject({ ok: false });
  const huge = { size: 3e7, text: async () => '', slice: () => new Blob(['{']) } as unknown as Blob;
  expect(await readDesignFile(huge)).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/larger than 20 MB/) }],
  });
});

test('a large design is written so that it can be read again, and one that could not is not taken', async () => {
  const flights = (count: number, note: string) => ({
    ...whole().records,
    photos: [],
    flights: Array.from({ length: count }, (_, index) => ({
      id: `flight${index}`,
      at: '2026-05-04T10:00:00Z',
      trims: [],
      changed: '',
      verdict: 'unknown' as const,
      did: [],
      runs: [],
      pack: '',
      ticked: [],
      notes: note,
    })),
  });
  const design = demoDesign('lagoon-postman');
  const large = designText({ design, records: flights(4900, 'x'.repeat(3780)) });
  expect(large).not.toContain('\n');
  expect((await readDesignFile(file(large))).ok).toBe(true);
  const bare = {
    format: 'inclinar-design',
    version: 2,
    name: 'x',
    records: {
      flights: Array.from({ length: 5000 }, (_, index) => ({
        id: `f${index}`,
        at: '2026-05-04T10:00:00Z',
        notes: 'x'.repeat(3880),
      })),
    },
  };
  expect(await readDesignFile(file(JSON.stringify(bare)))).toMatchObject({
    ok: false,
    issues: [{ message: expect.stringMatching(/larger than 20 MB: take records out/) }],
  });
});
