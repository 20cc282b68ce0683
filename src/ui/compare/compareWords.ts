import { compareDesigns } from '@/core/2-document/compareDesigns';
import { withFields } from '@/core/2-document/edit/withFields';
import { readField } from '@/core/2-document/edit/fieldPath';
import { unitOfField } from '@/core/2-document/fieldUnits';
import type { Design } from '@/core/2-document/schema/design';
import type { OutputRow } from '@/core/9-compare/outputs';
import { linkedNames } from '@/core/9-compare/linkedNames';
import type { Goal } from '@/core/9-compare/search/goal';
import { decimal, type DisplayUnits, formatValue } from '@/words/formatQuantity';
import { axisOf } from '../sheet/unitAxes';
import type { UnitKind } from '@/core/1-base/units/unitKind';
import type { ChanceName, ToleratedOutput } from '@/core/9-compare/tolerances/tolerances';

export const CHANCE_WORDS: Readonly<Record<ChanceName, string>> = {
  inWindow: 'Balances in its window',
  handsOff: 'Flies hands off between dive and stall',
  noTipStall: 'Does not stall at a tip first',
  rollTrimmable: 'Holds its wings level within trim',
  firstThrow: 'Flies off the hand at first try',
};

export const OUTPUT_WORDS: Readonly<Record<ToleratedOutput, readonly [words: string, unit: UnitKind]>> = {
  'pitch.staticMargin': ['Static margin', 'percent'],
  'pitch.neutralPoint': ['Neutral point', 'length'],
  'mass.total': ['Mass', 'mass'],
  'mass.cg.0': ['Balances at', 'length'],
  'rigging.handsOffLift': ['Hands-off lift', 'ratio'],
  'rigging.handsOffSpeed': ['Hands-off speed', 'speed'],
  'trim.elevator': ['Pitch trim at cruise', 'angle'],
  'stall.liftCoefficient': ['Greatest lift', 'ratio'],
  'stall.speed': ['Stall speed', 'speed'],
  'asymmetry.aileron': ['Roll trim', 'angle'],
};

const PLAIN: Readonly<Record<string, string>> = {
  balance: 'balance point',
  neutralPoint: 'neutral point',
  mass: 'mass beside boards',
  boards: 'mass of boards',
  greatestLift: 'greatest lift',
  drag: 'drag',
  control: 'effect of controls',
};

const fieldWords = (design: Design, id: string): string => varied(design, id).toLowerCase();

/** An input of the tolerances in words, by its id. */
export function inputWords(design: Design, id: string): string {
  const { surfaces } = design;
  const [kind = '', of] = id.split(' ');
  const surface = surfaces.find((one) => one.id === of);
  if (!surface) return PLAIN[kind] ?? fieldWords(design, id);
  const name = (surface.name || surface.id).toLowerCase();
  return kind === 'warp' ? `warp of ${name}` : `angle of ${name}`;
}

const LINKED_WORDS: Readonly<Record<string, string>> = {
  tips: 'span, its tips cut',
  chords: 'all chords',
  spans: 'span, stretched',
};

/** Unit of an input, as the document has it: per cent for those that move several numbers. */
export const unitOfInput = (name: string): string => (name.startsWith('/') ? unitOfField(name) : '%');

/** Its value as drawn; undefined where it has none. */
export function drawnInput(design: Design, name: string): number | undefined {
  if (!name.startsWith('/')) return 100;
  const value = readField(design, name);
  return typeof value === 'number' ? value : undefined;
}

/** What of a design is often varied, as far as it has a value: paths, names of linked inputs, and how they are called. */
export function variedInputs(design: Design): readonly (readonly [string, string])[] {
  const linked = linkedNames(design).map((name): readonly [string, string] => {
    const [link = '', id] = name.split('/');
    const surface = design.surfaces.find((one) => one.id === id);
    return [name, `${surface?.name || id}: ${LINKED_WORDS[link]}`];
  });
  return [...sweptFields(design).filter(([path]) => drawnInput(design, path) !== undefined), ...linked];
}

/** Parts of a document whose numbers can be varied; members of lists by their own name. */
const PARTS = ['surfaces', 'bodies', 'massItems', 'propulsion', 'materials'] as const;
const WHOLE = { conditions: 'Conditions', loads: 'Loads', balance: 'Balance' } as const;

/** Every number of the document by the part it belongs to, beside the usual ones. */
export function otherInputs(design: Design): readonly { readonly part: string; readonly paths: readonly string[] }[] {
  const usual = new Set(variedInputs(design).map(([name]) => name));
  const of = (part: string, value: unknown, path: string) => ({
    part,
    paths: numbersBelow(value, path).filter((one) => !usual.has(one)),
  });
  const parts = [
    ...PARTS.flatMap((list) =>
      design[list].map((one) => ({
        ...of(('name' in one && one.name) || one.id, one, `/${list}/${one.id}`),
        id: one.id,
      })),
    ),
    ...Object.entries(WHOLE).map(([key, words]) => ({
      ...of(words, design[key as keyof typeof WHOLE], `/${key}`),
      id: key,
    })),
  ].filter(({ paths }) => paths.length > 0);
  // Parts of one name are told apart by their ids.
  return parts.map(({ part, id, paths }) => ({
    part: parts.filter((one) => one.part === part).length > 1 ? `${part} (${id})` : part,
    paths,
  }));
}

/** Paths of the numbers in a part of a document, members of lists by their id where they have one. */
function numbersBelow(value: unknown, path: string): string[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => {
    const { id } = (Array.isArray(value) ? inner : {}) as { readonly id?: string };
    return numbersBelow(inner, `${path}/${id ?? key}`);
  });
}

/** How an input is called; one that is none of the usual ones by its place in the document. */
export const varied = (design: Design, name: string): string =>
  variedInputs(design).find(([known]) => known === name)?.[1] ?? placeInWords(design, name);

/** As a change of it would be told, such as `Wing, station 2, dihedral`. */
function placeInWords(design: Design, name: string): string {
  const now = readField(design, name);
  if (typeof now !== 'number') return name;
  return compareDesigns(design, withFields(design, [{ field: name, value: now + 1 }]))[0]?.words ?? name;
}

/** What slides in a bay: a pack, as a rule. */
export const slidingItems = ({ massItems }: Design): readonly (readonly [string, string])[] =>
  massItems.flatMap(({ id, name, attachment }) => (attachment.kind === 'slides' ? [[id, name || id] as const] : []));

/** Numbers of the document that are often varied: their path and how they are called. */
function sweptFields({ surfaces, massItems, propulsion }: Design): readonly (readonly [string, string])[] {
  return [
    ...surfaces.flatMap(({ id, name, stations }) => {
      const words = name || id;
      const tip = stations.length - 1;
      const of = (path: string) => `/surfaces/${id}/${path}`;
      return [
        [of('incidence'), `${words}: incidence`],
        [of('stations/0/chord'), `${words}: root chord`],
        [of(`stations/${tip}/chord`), `${words}: tip chord`],
        [of(`stations/${tip}/distanceFromRoot`), `${words}: half span`],
        [of(`stations/${tip}/twist`), `${words}: twist at the tip`],
        [of('position/x'), `${words}: place`],
      ] as const;
    }),
    ...massItems
      .filter(({ attachment }) => attachment.kind === 'slides')
      .map(({ id, name }) => [`/massItems/${id}/position/x`, `${name || id}: place`] as const),
    ...propulsion.flatMap(({ id, name }) => [
      [`/propulsion/${id}/propellerDiameter`, `${name || id}: diameter of the propeller`] as const,
      [`/propulsion/${id}/propellerPitch`, `${name || id}: pitch of the propeller`] as const,
      [`/propulsion/${id}/downThrust`, `${name || id}: down thrust`] as const,
    ]),
    ['/conditions/cruiseSpeed', 'Cruise speed'],
  ];
}

/** Numbers of the analysis that a sweep often looks at, with the unit they are shown in. */
export const SWEPT_OUTPUTS: readonly (readonly [name: string, words: string, unit: UnitKind])[] = [
  ['pitch.staticMargin', 'Static margin', 'percent'],
  ['stall.speed', 'Stall speed', 'speed'],
  ['rigging.handsOffLift', 'Hands-off lift', 'ratio'],
  ['trim.elevator', 'Pitch trim at cruise', 'angle'],
  ['mass.total', 'Mass', 'mass'],
  ['speeds.glideRatio', 'Best glide ratio', 'ratio'],
  ['speeds.sink', 'Least sink', 'speed'],
  ['drag.total', 'Drag coefficient at cruise', 'ratio'],
  ['strength.breakingLoadFactor', 'Load factor that breaks it', 'ratio'],
  ['strength.tipDeflection', 'Bending of the tip', 'length'],
  ['power.duration', 'Duration', 'time'],
  ['power.climbRate', 'Climb', 'speed'],
  ['cost.estimate', 'Cost of boards and rods', 'ratio'],
  ['findings.count', 'Findings', 'ratio'],
];

export const isUsualOutput = (name: string): boolean => SWEPT_OUTPUTS.some(([usual]) => usual === name);

/** How a number is called and in which unit it is shown: a usual one, or any other of the analysis. */
export function outputWords(name: string, table: readonly OutputRow[]): readonly [words: string, unit: UnitKind] {
  const usual = SWEPT_OUTPUTS.find(([known]) => known === name);
  if (usual) return [usual[1], usual[2]];
  const row = table.find((one) => one.name === name);
  return row ? [`${row.group}: ${row.words}`, row.unit] : [name, 'ratio'];
}

export const GOAL_WORDS: readonly (readonly [Goal, string])[] = [
  ['mass', 'the least mass'],
  ['cost', 'the least cost of boards and rods'],
  ['span', 'the least span'],
  ['window', 'the widest balance window'],
  ['sink', 'the slowest sink'],
];

/** Unit of each; null for what prices are in. */
export const GOAL_UNITS: Readonly<Record<Goal, UnitKind | null>> = {
  mass: 'mass',
  cost: null,
  span: 'length',
  window: 'length',
  sink: 'speed',
};

/** What may be asked of a number, and the unit it is shown in. */
export const DEMAND_WORDS: Readonly<Record<string, readonly [string, UnitKind]>> = {
  'pitch.staticMargin': ['Static margin', 'percent'],
  'mass.total': ['Mass', 'mass'],
  'reference.span': ['Span', 'length'],
  'mass.wingLoading': ['Wing loading', 'wingLoading'],
  'power.duration': ['Duration', 'time'],
  'power.climbRate': ['Climb', 'speed'],
  'stall.speed': ['Stall speed', 'speed'],
  'findings.stops': ['Findings that stop', 'ratio'],
};

export const MATTERS_WORDS: Readonly<Record<string, string>> = {
  mass: 'mass',
  span: 'span',
  area: 'wing area',
  stall: 'stall speed',
  glide: 'glide',
};

/** Digits of numbers that three are too many for. */
const DIGITS: Readonly<Record<string, number>> = {
  'speeds.glideRatio': 1,
  'strength.breakingLoadFactor': 1,
  'speeds.sink': 2,
  'findings.count': 0,
  'findings.stops': 0,
  'findings.cautions': 0,
};

/** A number of a comparison in words; null as unit for money and counts. */
export function outputText(
  name: string,
  value: number,
  { unit, units }: { readonly unit: UnitKind | null; readonly units: DisplayUnits },
): string {
  if (unit === null || unit === 'ratio') return decimal(value, DIGITS[name] ?? (unit === null ? 2 : 3));
  if (unit !== 'speed') return formatValue(value, unit, units);
  const axis = axisOf('speed', units);
  return `${decimal(axis.to(value), DIGITS[name] ?? 1)} ${axis.unit}`;
}
