import type { Steps } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import { numbersOf } from '@/core/6-groups/solve';
import { checkRules } from '@/core/7-verdict/judge';
import { slideToMargin } from '../linkedInputs';
import { NO_PRICES } from '../outputs';
import type { VariedInput } from '../variedInput';
import { demandsOf, type Met } from './demands';
import { type Goal, goalOf, isMore } from './goal';
import { leastOver } from './leastOver';

/** An input that may vary between two values. */
export interface FreeInput {
  readonly input: VariedInput;
  readonly from: number;
  readonly to: number;
}

/** One of several things, such as a board or a rod of the drawer. */
export interface Choice {
  readonly name: string;
  readonly options: readonly { readonly label: string; readonly apply: (design: Design) => Design }[];
}

export interface SearchAsked {
  readonly goal: Goal;
  readonly free: readonly FreeInput[];
  readonly choices: readonly Choice[];
  /** What slides so that the static margin stays in the middle of what is asked; null for nothing. */
  readonly slides: string | null;
  /** Designs that are computed on the light lattice, all in all. */
  readonly most?: number;
}

/** One design that was found. */
export interface Answer {
  readonly design: Design;
  readonly at: readonly number[];
  /** What was chosen of each choice, in words. */
  readonly chosen: readonly string[];
  readonly goal: number;
  readonly demands: readonly Met[];
  /** What in it differs from the answers before it by at least a twentieth. */
  readonly differs: readonly string[];
}

/** An input that stands at one of its ends. */
export interface AtEnd {
  readonly input: string;
  readonly end: 'from' | 'to';
}

interface Counts {
  /** Designs that were computed on the light lattice, and how many of them could not be. */
  readonly computed: number;
  readonly failed: number;
}

export type SearchTold =
  | ({ readonly kind: 'found'; readonly answers: readonly Answer[] } & Counts)
  | { readonly kind: 'none'; readonly because: string }
  | ({
      readonly kind: 'unmet';
      readonly unmet: readonly Unmet[];
      /** Inputs that stand at one of their ends where the least is missed: further there more might be met. */
      readonly atEnds: readonly AtEnd[];
      readonly nearest: Answer;
    } & Counts);

export interface Unmet {
  readonly demand: Met;
  /** The best that it comes to anywhere in what was searched, whatever else is missed there. */
  readonly best: number | null;
  /** Whether it is met by itself somewhere. */
  readonly aloneMet: boolean;
}

/** Designs that are tried when nobody says otherwise. */
const MOST = 240;
/** Weight of what is missed against the goal. */
const PENALTY = 20;
/** Worth of a design that cannot be computed at all. */
const NONE = 1e3;
/** The search begins again in a smaller box about the best place: share of the range, and of the designs. */
const BOXES = [
  [1, 0.55],
  [0.3, 0.25],
  [0.08, 0.2],
] as const;
const ANSWERS = 3;
/** Answers differ by that much in something that matters. */
const DIFFERS = 0.05;
/** A demand may be missed by so much on the whole lattice where the light one met it. */
const CONFIRMED = 0.005;
/** Whole analyses that may be spent on confirming. */
const CONFIRMS = 12;
const MOST_CHOICES = 12;

/** What matters when answers are told apart. */
const MATTERS = {
  mass: ({ mass }: Numbers) => mass.total,
  span: ({ reference }: Numbers) => reference.span,
  area: ({ reference }: Numbers) => reference.area,
  stall: ({ stall }: Numbers) => stall.speed,
  glide: ({ speeds }: Numbers) => speeds.glideRatio,
} as const;

interface Tried {
  readonly at: readonly number[];
  readonly chosen: readonly number[];
  readonly design: Design;
  readonly worth: number;
  readonly goal: number | null;
  readonly demands: readonly Met[];
  readonly matters: Readonly<Record<keyof typeof MATTERS, number | null>>;
}

/**
 * Looks for designs that meet every demand of the document at the least (or
 * widest) of a goal: what is free varies between its limits, everything else
 * stays as it is drawn. Light lattices find the place, in a box that shrinks
 * about the best one; the whole analysis confirms what is told.
 */
export function* search(design: Design, asked: SearchAsked): Steps<SearchTold> {
  const { goal, free, choices, slides, most = MOST } = asked;
  const drawn = numbersOf(design, { quick: true, without: ['bands'] });
  const usual = goalOf(goal, design, drawn);
  if (usual === null) return { kind: 'none', because: NOT_KNOWN[goal] };
  const sorts = combinations(choices.map(({ options }) => options.length));
  if (sorts.length > MOST_CHOICES)
    return {
      kind: 'none',
      because: `${sorts.length} combinations of boards and rods are too many: choose ${MOST_CHOICES} or fewer.`,
    };
  const stops = stopsOf(design, drawn);
  const tried: Tried[] = [];
  let failed = 0;
  const margin = (design.balance.minimumStaticMargin + design.balance.maximumStaticMargin) / 2;
  const fail = () => {
    failed++;
    return NONE;
  };
  const tryAt = (at: readonly number[], chosen: readonly number[]): number => {
    let varied: ReturnType<VariedInput['set']> = {
      ok: true,
      design: choices.reduce((of, { options }, index) => options[chosen[index]!]!.apply(of), design),
    };
    for (const [index, { input }] of free.entries()) if (varied.ok) varied = input.set(varied.design, at[index]!);
    if (varied.ok && slides !== null) {
      const slid = slideToMargin(varied.design, slides, margin, 'end');
      if (slid.ok) varied = slid;
    }
    if (!varied.ok) return fail();
    const numbers = numbersOf(varied.design, { quick: true, without: ['bands'] });
    const value = goalOf(goal, varied.design, numbers);
    if (value === null) return fail();
    const asksFor = demandsOf(varied.design, numbers, true);
    // Findings take every number there is: only what meets all else is looked at so closely.
    const isNear = asksFor.every(({ miss }) => miss === 0);
    const demands = isNear ? [...asksFor, stopsDemand(varied.design, numbers, stops)] : asksFor;
    const missing = demands.reduce((sum, { miss }) => sum + miss, 0);
    const worth = ((isMore(goal) ? -1 : 1) * value) / Math.abs(usual) + PENALTY * missing;
    const matters = Object.fromEntries(
      Object.entries(MATTERS).map(([name, read]) => [name, read(numbers)]),
    ) as Tried['matters'];
    tried.push({ at, chosen, design: varied.design, worth, goal: value, demands, matters });
    return worth;
  };

  let done = 0;
  for (const chosen of sorts) {
    const share = most / sorts.length;
    const own: Tried[] = [];
    const count = (at: readonly number[]): number => {
      done++;
      const before = tried.length;
      const worth = tryAt(at, chosen);
      own.push(...tried.slice(before));
      return worth;
    };
    count(free.map(({ input, from, to }) => Math.min(to, Math.max(from, input.valueIn(design) ?? (from + to) / 2))));
    if (free.length === 0) {
      yield { done, total: sorts.length };
      continue;
    }
    let budget = done - 1;
    for (const [size, part] of BOXES) {
      budget += part * share;
      const centre = own.length > 0 ? own.reduce((a, b) => (b.worth < a.worth ? b : a)).at : null;
      const box = free.map(({ from, to }, index) => {
        const half = (size * (to - from)) / 2;
        const middle =
          centre && size < 1 ? Math.min(to - half, Math.max(from + half, centre[index]!)) : (from + to) / 2;
        return [middle - half, middle + half] as const;
      });
      const end = budget;
      for (const _ of leastOver(
        count,
        box.map(([from]) => from),
        box.map(([, to]) => to),
        () => done >= end,
      ))
        yield { done: Math.min(done, most), total: most + CONFIRMS };
    }
  }
  if (tried.length === 0) return { kind: 'none', because: 'Nothing between these limits can be computed.' };

  const inOrder = tried.toSorted((a, b) => a.worth - b.worth);
  const meets = ({ demands }: Tried) => demands.every(({ miss }) => miss === 0);
  const answers: Answer[] = [];
  const taken: Tried[] = [];
  let confirms = 0;
  for (const one of inOrder) {
    if (answers.length === ANSWERS || confirms === CONFIRMS || !meets(one)) break;
    const differs = taken.length === 0 ? [] : differencesTo(one, taken);
    if (taken.length > 0 && differs.length === 0) continue;
    confirms++;
    const answer = confirm(one, asked, { differs, stops });
    yield { done: most + confirms, total: most + CONFIRMS };
    if (answer.demands.some(({ miss }) => miss > CONFIRMED)) continue;
    answers.push(answer);
    taken.push(one);
  }
  const counts = { computed: done, failed };
  if (answers.length > 0) return { kind: 'found', answers, ...counts };
  const [nearest] = inOrder;
  return {
    kind: 'unmet',
    ...infeasible(nearest!, tried, free),
    nearest: confirm(nearest!, asked, { differs: [], stops }),
    ...counts,
  };
}

const NOT_KNOWN: Readonly<Record<Goal, string>> = {
  mass: 'Nothing in it has a mass yet.',
  cost: NO_PRICES,
  span: 'There is no wing yet.',
  window: 'It has no window of balance: give it a pitch control and sections.',
  sink: 'Its glide cannot be computed: give its wing a section and it a mass.',
};

/** All ways to choose one of each. */
const combinations = (counts: readonly number[]): number[][] =>
  counts.reduce<number[][]>(
    (ways, count) => ways.flatMap((way) => Array.from({ length: count }, (_, index) => [...way, index])),
    [[]],
  );

/** In what it differs from every answer before it; empty where it is like one of them. */
function differencesTo({ matters }: Tried, taken: readonly Tried[]): string[] {
  const all = taken.map((other) =>
    (Object.keys(matters) as (keyof Tried['matters'])[]).filter((name) => {
      const [a, b] = [matters[name], other.matters[name]];
      return a !== null && b !== null && Math.abs(a - b) >= DIFFERS * Math.abs(b);
    }),
  );
  return all.some((names) => names.length === 0) ? [] : [...new Set(all.flat())];
}

const stopsOf = (design: Design, numbers: Numbers): number =>
  checkRules(design, numbers).filter(({ severity }) => severity === 'stop').length;

/** Weight of a finding that stops, as a share of a limit. */
const A_STOP = 0.1;

/** Nothing may stop it that does not stop what is drawn. */
function stopsDemand(design: Design, numbers: Numbers, most: number): Met {
  const value = stopsOf(design, numbers);
  return {
    limit: { name: 'findings.stops', kind: 'most', value: most },
    value,
    miss: A_STOP * Math.max(0, value - most),
  };
}

/** The same design on the whole lattice. */
function confirm(
  one: Tried,
  { goal, choices }: SearchAsked,
  { differs, stops }: { readonly differs: readonly string[]; readonly stops: number },
): Answer {
  const numbers = numbersOf(one.design, { without: ['bands'] });
  return {
    design: one.design,
    at: one.at,
    chosen: choices.map(({ name, options }, index) => `${name}: ${options[one.chosen[index]!]!.label}`),
    goal: goalOf(goal, one.design, numbers) ?? one.goal!,
    demands: [...demandsOf(one.design, numbers), stopsDemand(one.design, numbers, stops)],
    differs,
  };
}

/** Share of its range within which an input stands at its end. */
const AT_END = 0.03;

/** What is missed where the least is missed, whether each could be met by itself, and what stands at its end. */
function infeasible(nearest: Tried, tried: readonly Tried[], free: readonly FreeInput[]) {
  const unmet = nearest.demands
    .filter(({ miss }) => miss > 0)
    .map((demand): Unmet => {
      const same = tried.flatMap(({ demands }) =>
        demands.filter(({ limit }) => limit.name === demand.limit.name && limit.kind === demand.limit.kind),
      );
      const best = same.reduce((a, b) => (b.miss < a.miss ? b : a));
      return { demand, best: best.value, aloneMet: best.miss === 0 };
    });
  const atEnds = free.flatMap(({ input, from, to }, index): AtEnd[] => {
    const share = (nearest.at[index]! - from) / (to - from);
    if (share > AT_END && share < 1 - AT_END) return [];
    return [{ input: input.name, end: share < 0.5 ? 'from' : 'to' }];
  });
  return { unmet, atEnds };
}
