import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';
import { readDesignText } from '@/core/2-document/readDesign';
import { designText, type DesignFile, type FileResult } from '../designFile';
import first from './dictionary-1.txt?raw';

/**
 * What a design is packed with: text that most designs share, so that one fits
 * into a code. Links name theirs by its number; a dictionary that went out is
 * never changed.
 */
const DICTIONARIES: Readonly<Record<string, string>> = { '1': first };
const NEWEST = '1';

/** More no link holds [bytes of text]. */
const MOST_BYTES = 4_000_000;
/** Longer links are cut by what they are sent with [characters]. */
export const LONGEST_LINK = 30_000;
/** More a code holds, but no phone reads it from a screen [characters]. */
export const LONGEST_CODE = 1800;

const toBase64Url = (bytes: Uint8Array): string =>
  btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

function fromBase64Url(text: string): Uint8Array {
  const plain = atob(text.replaceAll('-', '+').replaceAll('_', '/'));
  return Uint8Array.from(plain, (letter) => letter.charCodeAt(0));
}

/** A design, with its log where it is given, as it stands behind the # of a link. Pictures and kept revisions go by file. */
export function linkPart({ design, records }: Pick<DesignFile, 'design' | 'records'>): string {
  const log = records && { ...records, revisions: [], photos: [] };
  const text = JSON.stringify(JSON.parse(designText(log ? { design, records: log } : { design })));
  const packed = deflateSync(strToU8(text), { level: 9, dictionary: strToU8(DICTIONARIES[NEWEST]!) });
  return `${NEWEST}.${toBase64Url(packed)}`;
}

const refused = (message: string): FileResult => ({ ok: false, issues: [{ path: '/', message }] });

/** Reads what stands behind the # of a link; all of it or nothing. */
export function readLinkPart(part: string): FileResult {
  const [number = '', packed = ''] = part.split('.');
  const dictionary = DICTIONARIES[number];
  if (!dictionary)
    return refused(
      /^\d+$/.test(number)
        ? 'This link was made by a newer Inclinar: open it with that, or send the file.'
        : 'This link holds no design: it was cut on its way. Send it again, or send the file.',
    );
  let text: string;
  try {
    const room = new Uint8Array(MOST_BYTES);
    text = strFromU8(inflateSync(fromBase64Url(packed), { dictionary: strToU8(dictionary), out: room }));
    // What was cut may unpack to a piece of text.
    JSON.parse(text);
  } catch {
    return refused('This link was cut or changed on its way. Send it again, or send the file.');
  }
  const read = readDesignText(text);
  return read.ok ? { ...read, pictures: new Map() } : read;
}
