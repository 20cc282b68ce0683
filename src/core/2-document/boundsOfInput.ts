import type { DocumentIssue } from './issue';

/** Most that is read at all: a design of thousands of flights is far below it. */
const MOST_CHARACTERS = 20_000_000;
const DEEPEST = 50;
/** No list of the format is longer. */
const LONGEST_LIST = 5000;
const MOST_FIELDS = 500;

const [QUOTE, BACKSLASH, NEW_LINE] = ['"', '\\', '\n'].map((mark) => mark.charCodeAt(0));
const OPENING = new Set(['[', '{'].map((mark) => mark.charCodeAt(0)));
const CLOSING = new Set([']', '}'].map((mark) => mark.charCodeAt(0)));

/** Why a text is not even looked at: its size, or how deep it is nested. Read once from end to end, nothing is built. */
export function textFault(text: string): DocumentIssue | null {
  if (text.length > MOST_CHARACTERS) return { path: '/', message: 'is larger than 20 MB: this is not a design.' };
  let depth = 0;
  let line = 1;
  let isText = false;
  for (let at = 0; at < text.length; at++) {
    const mark = text.charCodeAt(at);
    if (mark === NEW_LINE) line++;
    if (isText) {
      if (mark === BACKSLASH) at++;
      else if (mark === QUOTE) isText = false;
    } else if (mark === QUOTE) isText = true;
    else if (OPENING.has(mark) && ++depth > DEEPEST)
      return { path: '/', message: `is nested deeper than ${DEEPEST} levels on line ${line}: no design is.` };
    else if (CLOSING.has(mark)) depth--;
  }
  return null;
}

/** Why a value is not checked further: a list too long, a field of a name that no object can hold, or depth that came by another way than text. */
export function valueFault(value: unknown, path = '', depth = 0): DocumentIssue | null {
  if (typeof value !== 'object' || value === null) return null;
  if (depth > DEEPEST) return { path, message: `is nested deeper than ${DEEPEST} levels: no design is` };
  const size = Array.isArray(value) ? value.length : Object.keys(value).length;
  const most = Array.isArray(value) ? LONGEST_LIST : MOST_FIELDS;
  if (size > most)
    return { path, message: `holds ${size} ${Array.isArray(value) ? 'entries' : 'fields'}: at most ${most} can be` };
  if (Object.hasOwn(value, '__proto__'))
    return { path: `${path}/__proto__`, message: 'is a name that no field may have: take it out' };
  for (const [key, part] of Object.entries(value)) {
    const fault = valueFault(part, `${path}/${key}`, depth + 1);
    if (fault) return fault;
  }
  return null;
}
