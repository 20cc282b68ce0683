import { closest, distance } from 'fastest-levenshtein';
import type { Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import { scalarsOf, tableOfUnits } from '@/core/6-groups/describe';
import { GROUPS, type Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { checkRules, withoutRemedies } from '@/core/7-verdict/judge';
import { estimatedCost } from './estimatedCost';

/** What of a design is compared: a number of the analysis by its name, such as `pitch.staticMargin`, how much is found, or what boards and rods cost. */
export type OutputName = string;

/** How many findings there are, in all and of the graver kinds. */
const COUNTS = ['findings.count', 'findings.stops', 'findings.cautions'] as const;
/** What boards and rods cost about, in what prices are typed in. */
export const COST = 'cost.estimate';
export const NO_PRICES = 'What it costs is not known: type what sheets and rods cost, in Plans.';
const SEVERITIES = { 'findings.stops': 'stop', 'findings.cautions': 'caution' } as const;

/** A number, or why there is none. */
export type OutputValue = { readonly value: number } | { readonly value: null; readonly because: Words };

const isCount = (name: string): name is (typeof COUNTS)[number] => (COUNTS as readonly string[]).includes(name);

/** Names that can be asked for; members of lists stand for all of theirs. */
export const outputNames = (): readonly string[] => [...tableOfUnits().map(({ key }) => key), ...COUNTS, COST];

/** One number that an analysis holds once, as it is offered. */
export interface OutputRow {
  readonly name: OutputName;
  /** What it is about. */
  readonly group: string;
  readonly words: string;
  readonly unit: UnitKind;
}

/** Every number that an analysis holds once; those that only say how far off others may be are left out, they take an analysis each. */
export const outputTable = (): readonly OutputRow[] =>
  GROUPS.filter(({ id }) => id !== 'bands').flatMap(({ id, title, schema }) =>
    scalarsOf(schema).map(({ key, unit, meaning }) => ({ name: `${id}.${key}`, group: title, words: meaning, unit })),
  );

/** How many names are offered to one that is not known, and how unlike they may be, as a share of their length. */
const UNLIKE = 0.5;

/** Why a name is none of the analysis, with what was perhaps meant; null for one that is. */
export function outputFault(name: string): string | null {
  const names = outputNames();
  const plain = name.replace(/\.\d+(?=\.|$)/g, '[]');
  const known = new Set(names.flatMap((one) => [one, `${one}[]`]));
  if (known.has(name) || known.has(plain)) return null;
  const near = closest(name, names);
  const meant = distance(name, near) <= UNLIKE * name.length ? ` Was ${near} meant?` : '';
  return `${name} is no number of the analysis.${meant} analyse --units lists all of them.`;
}

/** One number out of those of a design; only the groups that it needs are computed. */
function outputIn(numbers: Numbers, design: Design, name: OutputName): OutputValue {
  if (isCount(name)) {
    const found = withoutRemedies(checkRules(design, numbers));
    const value =
      name === 'findings.count' ? found.length : found.filter(({ severity }) => severity === SEVERITIES[name]).length;
    return { value };
  }
  if (name === COST) {
    const value = estimatedCost(design, numbers);
    return value === null ? { value, because: NO_PRICES } : { value };
  }
  const [group = '', ...keys] = name.split('.');
  const whole = (numbers as unknown as Record<string, unknown>)[group];
  let value: unknown = whole;
  for (const key of keys)
    value = typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined;
  if (typeof value === 'number') return { value };
  if (typeof value === 'boolean') return { value: Number(value) };
  const { reasons = {} } = (whole ?? {}) as { readonly reasons?: Readonly<Record<string, Words>> };
  return { value: null, because: reasons[keys[0] ?? ''] ?? 'There is none in this design.' };
}

/** Several numbers of one design. */
export function outputsOf(design: Design, names: readonly OutputName[]): Map<OutputName, OutputValue> {
  const withBands = names.some((name) => name.startsWith('bands.'));
  const numbers = numbersOf(design, withBands ? {} : { without: ['bands'] });
  return new Map(names.map((name) => [name, outputIn(numbers, design, name)]));
}
