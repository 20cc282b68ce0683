import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { type ReadResult, readDesignText } from '@/core/2-document/readDesign';
import { MOST_PICTURE_BYTES, RECORD_NAMES, type Records } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';

/** Largest file that is read; a design of thousands of flights is far below it [bytes]. */
const MOST_BYTES = 20_000_000;
/** The same as text, with room for letters that take several bytes [characters]. */
const MOST_TEXT = 19_500_000;
/** With pictures it may be larger [bytes]. */
const MOST_ZIP_BYTES = 250_000_000;
const DOCUMENT = 'design.json';
const PICTURES = 'pictures/';

export type Pictures = ReadonlyMap<string, Uint8Array<ArrayBuffer>>;

/** A design with what happened to it, as it goes into a file. */
export interface DesignFile {
  readonly design: Design;
  readonly records?: Records;
  readonly pictures?: Pictures;
}

/** What was read, with its pictures. */
export type FileResult =
  (Extract<ReadResult, { ok: true }> & { readonly pictures: Pictures }) | Extract<ReadResult, { ok: false }>;

/** The document as text, as it is exported and as the command line reads it. */
export function designText({ design, records }: DesignFile): string {
  const kept = Object.fromEntries(
    RECORD_NAMES.flatMap((kind) => (records && records[kind].length > 0 ? [[kind, records[kind]]] : [])),
  );
  const whole = Object.keys(kept).length > 0 ? { ...design, records: kept } : design;
  const text = `${JSON.stringify(whole, null, 2)}\n`;
  // What is too large to be read again is written without the blanks that make it easy to read.
  return text.length > MOST_TEXT ? JSON.stringify(whole) : text;
}

/** What is saved: plain JSON, or a zip of it and its pictures where there are any. */
export function exportedFile(file: DesignFile): {
  readonly name: string;
  readonly parts: BlobPart[];
  readonly type: string;
} {
  const text = designText(file);
  const name = plainName(file.design);
  const pictures = [...(file.pictures ?? [])];
  if (pictures.length === 0) return { name: `${name}.inclinar.json`, parts: [text], type: 'application/json' };
  const zip = zipSync({
    [DOCUMENT]: strToU8(text),
    // Pictures are packed already.
    ...Object.fromEntries(pictures.map(([id, bytes]) => [`${PICTURES}${id}`, [bytes, { level: 0 }] as const])),
  });
  return { name: `${name}.inclinar.zip`, parts: [zip as Uint8Array<ArrayBuffer>], type: 'application/zip' };
}

/** A file name from the name of a design: letters, digits and dashes. */
function plainName({ name }: Design): string {
  const plain = name
    .normalize('NFKD')
    .replaceAll(/[^\w\s-]/g, '')
    .trim()
    .replaceAll(/\s+/g, '-')
    .toLowerCase();
  return plain || 'design';
}

const refused = (path: string, message: string): Extract<FileResult, { ok: false }> => ({
  ok: false,
  issues: [{ path, message }],
});

const isZip = (start: Uint8Array): boolean => start[0] === 0x50 && start[1] === 0x4b;

/** Why a file is not even loaded; null when its size is one that a design may have. */
export async function fileFault(file: Blob): Promise<Extract<FileResult, { ok: false }> | null> {
  const start = new Uint8Array(await file.slice(0, 4).arrayBuffer());
  const [most, inWords] = isZip(start) ? [MOST_ZIP_BYTES, '250 MB'] : [MOST_BYTES, '20 MB'];
  return file.size > most ? refused('/', `The file is larger than ${inWords}: this is not a design.`) : null;
}

/** Reads the bytes of a file. All or nothing. */
export const readDesignBytes = (bytes: Uint8Array): FileResult =>
  isZip(bytes) ? readZip(bytes) : readText(withoutMark(bytes), new Map());

const readText = (bytes: Uint8Array, pictures: Pictures): FileResult =>
  thatCanBeWritten(withPictures(readDesignText(strFromU8(bytes)), pictures), bytes.length);

/** Some editors write a mark before the text that says how it is encoded. */
const withoutMark = (bytes: Uint8Array): Uint8Array =>
  bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? bytes.subarray(3) : bytes;

/** Reads a chosen or dropped file in this thread; where that would hold up an interface, a worker does it. */
export const readDesignFile = async (file: Blob): Promise<FileResult> =>
  (await fileFault(file)) ?? readDesignBytes(new Uint8Array(await file.arrayBuffer()));

function readZip(bytes: Uint8Array): FileResult {
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      // What claims to be larger than it may be is not unpacked.
      filter: ({ name, originalSize }) =>
        originalSize <= (name === DOCUMENT ? MOST_BYTES : name.startsWith(PICTURES) ? MOST_PICTURE_BYTES : 0),
    });
  } catch (error) {
    return refused(
      '/',
      `The zip cannot be unpacked (${error instanceof Error ? error.message : String(error)}). Export it again.`,
    );
  }
  const document = entries[DOCUMENT];
  if (!document) return refused('/', `The zip holds no ${DOCUMENT}: choose one that was exported here.`);
  const pictures = new Map(
    Object.entries(entries).flatMap(([name, entry]) =>
      name.startsWith(PICTURES) ? [[name.slice(PICTURES.length), new Uint8Array(entry)] as const] : [],
    ),
  );
  return readText(document, pictures);
}

/** What is taken must be small enough to be written and read again, with everything that the file left out. */
function thatCanBeWritten(read: FileResult, length: number): FileResult {
  if (!read.ok || length < MOST_TEXT / 3 || designText(read).length <= MOST_TEXT) return read;
  return refused('/', 'With everything that it leaves out the design is larger than 20 MB: take records out of it.');
}

/** Photos and pictures must be the same: a photo without its picture is half a record. */
function withPictures(read: ReadResult, pictures: Pictures): FileResult {
  if (!read.ok) return read;
  const missing = read.records.photos.findIndex(({ id, bytes }) => pictures.get(id)?.length !== bytes);
  if (missing >= 0)
    return refused(
      `/records/photos/${missing}`,
      'has no picture of its size beside it. Import the zip that was exported, or take the photo out of the file.',
    );
  const known = new Set(read.records.photos.map(({ id }) => id));
  return { ...read, pictures: new Map([...pictures].filter(([id]) => known.has(id))) };
}
