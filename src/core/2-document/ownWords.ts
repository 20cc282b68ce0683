import { closest, distance } from 'fastest-levenshtein';
import { z } from 'zod';

/** What a value should be, in words. */
const EXPECTED: Readonly<Record<string, string>> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list',
  object: 'an object with named fields',
  record: 'an object with named fields',
};

function kindOf(value: unknown): string {
  if (value === null) return 'null';
  if (Array.isArray(value)) return 'a list';
  switch (typeof value) {
    case 'string':
      return `the text “${short(value)}”`;
    case 'number':
      return Number.isInteger(value) ? 'a number' : 'a fraction';
    case 'boolean':
      return String(value);
    default:
      return 'an object';
  }
}

const MOST_SHOWN = 40;
const short = (text: string): string => (text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)}…` : text);

/** The nearest right value to write instead, where there is one. */
function nearest(expected: string, value: unknown): string {
  const text = typeof value === 'string' ? value.trim() : null;
  const asNumber = Number(text?.replace(',', '.'));
  if ((expected === 'number' || expected === 'int') && text && Number.isFinite(asNumber)) return `: write ${asNumber}`;
  if (expected === 'int' && typeof value === 'number' && Number.isFinite(value))
    return `: the nearest is ${Math.round(value)}`;
  if (expected === 'string' && (typeof value === 'number' || typeof value === 'boolean')) return `: write "${value}"`;
  if (expected === 'boolean' && text !== null && /^(yes|true|1|no|false|0)$/i.test(text))
    return `: write ${/^(yes|true|1)$/i.test(text)}`;
  if (expected === 'boolean' && (value === 0 || value === 1)) return `: write ${value === 1}`;
  if ((expected === 'array' || expected === 'tuple') && typeof value === 'object' && value !== null)
    return ': put it in [ ]';
  return '';
}

/** One of so many, the likeliest first. */
export function oneOf(options: readonly unknown[], value: unknown): string {
  const list = options.map((option) => JSON.stringify(option)).join(', ');
  const texts = options.filter((option): option is string => typeof option === 'string');
  const meant =
    typeof value === 'string' && texts.length > 1
      ? `; the nearest to “${short(value)}” is "${closest(value, texts)}"`
      : '';
  return `must be ${options.length > 1 ? 'one of ' : ''}${list}${meant}`;
}

const counted = (count: unknown, origin: string): string =>
  origin === 'string' ? `${String(count)} characters` : `${String(count)} ${count === 1 ? 'entry' : 'entries'}`;

type RawIssue = z.core.$ZodRawIssue;

/** What is wrong with a value, as the end of a sentence that begins with its place; schemas that say it themselves come first. */
function ownWords(issue: RawIssue): string | undefined {
  const { input } = issue;
  switch (issue.code) {
    case 'invalid_type': {
      const expected = (issue as { format?: string }).format === 'safeint' ? 'int' : issue.expected;
      const wanted = EXPECTED[expected] ?? expected;
      if (input === undefined) return `is missing: ${wanted} is expected`;
      return `must be ${wanted}, not ${kindOf(input)}${nearest(expected, input)}`;
    }
    case 'invalid_value':
      return input === undefined ? `is missing: it ${oneOf(issue.values, input)}` : oneOf(issue.values, input);
    case 'too_small':
      return ['number', 'int'].includes(issue.origin)
        ? `must be at least ${issue.minimum}: the nearest is ${issue.minimum}`
        : `must hold at least ${counted(issue.minimum, issue.origin)}`;
    case 'too_big':
      return ['number', 'int'].includes(issue.origin)
        ? `must be at most ${issue.maximum}: the nearest is ${issue.maximum}`
        : `must hold at most ${counted(issue.maximum, issue.origin)}`;
    case 'invalid_format':
      return issue.format === 'datetime'
        ? 'must be an instant such as 2026-05-04T10:00:00Z'
        : 'is written in a form that cannot be read here';
    case 'invalid_union':
      return unknownKind(issue);
    default:
      return undefined;
  }
}

/** A member of a union says by one of its fields what it is; here that says nothing known. */
function unknownKind({ inst, input }: RawIssue): string {
  if (!(inst instanceof z.ZodDiscriminatedUnion)) return 'is of no kind that is known here';
  const { discriminator, options } = inst.def;
  const kinds = options.flatMap((option) => {
    const literal = (option as z.ZodObject).shape[discriminator] as unknown;
    return literal instanceof z.ZodLiteral ? [...literal.values] : [];
  });
  const own = (input as Record<string, unknown> | null)?.[discriminator];
  return own === undefined ? `is missing: it ${oneOf(kinds, own)}` : oneOf(kinds, own);
}

z.config({ customError: ownWords });

/** A field that was probably meant by a name that is not known; null when nothing is near. */
export function meantField(name: string, known: ReadonlySet<string>): string | null {
  if (known.size === 0) return null;
  const candidate = closest(name, [...known]);
  return distance(name, candidate) <= Math.max(1, Math.floor(name.length / 3)) ? candidate : null;
}
