import { readDesign } from '@/core/2-document/readDesign';
import type { Records } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';

/** The invented fleet of the Cay Orell school: one document a file, named as the command line names it. */
const FILES = import.meta.glob<unknown>('./*.json', { eager: true, import: 'default' });

/** The two that tell the first story come first. */
const FIRST = ['lagoon-postman', 'reef-surveyor'];

export const DEMO_NAMES: readonly string[] = [
  ...FIRST,
  ...Object.keys(FILES)
    .map((path) => path.slice(2, -'.json'.length))
    .filter((name) => !FIRST.includes(name))
    .sort(),
];

/** A demo design with what happened to it. @throws RangeError for an unknown name */
export function demoFile(name: string): { readonly design: Design; readonly records: Records } {
  const input = FILES[`./${name}.json`];
  if (input === undefined) throw new RangeError(`There is no example "${name}". Known: ${DEMO_NAMES.join(', ')}.`);
  const read = readDesign(input);
  if (!read.ok)
    throw new RangeError(`${name}: ${read.issues.map(({ path, message }) => `${path} ${message}`).join('; ')}`);
  return read;
}

/** A demo design, whole. @throws RangeError for an unknown name */
export const demoDesign = (name: string): Design => demoFile(name).design;
