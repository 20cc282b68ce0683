import { parseArgs, type ParseArgsConfig } from 'node:util';
import { type ReadResult, readDesignText } from '@/core/2-document/readDesign';
import { sentence } from '@/words/formatQuantity';
import { readOrRefuse, refuse } from './refuse';

type Options = NonNullable<ParseArgsConfig['options']>;

const HELP = { help: { type: 'boolean', default: false } } as const;

/** What a command line says, or the end: with its help where that is asked for, with the fault where it cannot be read. */
export function readCommand<const Asked extends Options>(options: Asked, help: string) {
  const parsed = parsedBy({ ...options, ...HELP });
  if (!(parsed.values as { help?: boolean }).help) return parsed;
  process.stdout.write(`${help}\n`);
  return process.exit(0);
}

function parsedBy<Asked extends Options>(options: Asked) {
  try {
    return parseArgs({ args: withNegatives(process.argv.slice(2), options), allowPositionals: true, options });
  } catch (error) {
    return refuse([error instanceof Error ? error.message : String(error), 'See --help.']);
  }
}

/** `--to -1` as `--to=-1`: a number below nought is the value of the option before it, no option of its own. */
function withNegatives(words: readonly string[], options: Options): string[] {
  const joined: string[] = [];
  for (const word of words) {
    const before = joined.at(-1) ?? '';
    const takesValue = before.startsWith('--') && options[before.slice(2)]?.type === 'string';
    if (takesValue && /^-\.?\d/.test(word)) joined[joined.length - 1] = `${before}=${word}`;
    else joined.push(word);
  }
  return joined;
}

type Taken = Extract<ReadResult, { ok: true }>;

/** The one design document that a command is given, or the end with the places of its faults. */
export function readOneDesign([file, ...others]: readonly string[]): Taken & { readonly file: string } {
  if (file === undefined || others.length > 0) return refuse(['Give one design document. See --help.']);
  const read = readDesignText(readOrRefuse(file));
  if (!read.ok)
    return refuse([
      `${file} was not taken:`,
      ...read.issues.map(({ path, message }) => `  ${path}: ${sentence(message)}`),
    ]);
  return { ...read, file };
}
