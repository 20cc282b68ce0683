import type { Design } from '@/core/2-document/schema/design';
import { NoFlowError } from '@/core/5-aero/noFlow';
import { believable, NOT_BELIEVED } from './believable';
import type { Group } from './group';
import { GROUPS, type Numbers } from './page';
import { type AnalyseOptions, prepare } from './solution/prepare';
import { Solution } from './solution/solution';
import { referenceFault } from './solution/soundness';
import { NO_WING } from './words';
import type { Working } from './working';

/** The groups of a design; each is computed when it is first read. */
export const numbersOf = (design: Design, options: AnalyseOptions = {}): Numbers => solve(design, options).numbers;

export interface Solved {
  /** What the groups are computed from; null where nothing can be solved. */
  readonly solution: Solution | null;
  readonly numbers: Numbers;
  readonly explain: () => Working[];
}

const ASK = Symbol('ask');

interface Needed extends Record<string, unknown> {
  [ASK]: (group: Group) => unknown;
}

/** What a group needs, by name; made once for all designs, as forty groups ask for four each at every step of a drag. */
const prototypes = new WeakMap<Group, object>();

function neededPrototype(group: Group): object {
  const known = prototypes.get(group);
  if (known) return known;
  const made = {};
  // Each is computed when it is read, not when it is only needed now and then.
  for (const [name, one] of Object.entries(group.needs))
    Object.defineProperty(made, name, {
      enumerable: true,
      get(this: Needed) {
        return this[ASK](one);
      },
    });
  prototypes.set(group, made);
  return made;
}

/** The groups of what was prepared and solved already. */
export const numbersFrom = (solution: Solution): Numbers => solvedFrom(solution.prepared.design, solution).numbers;

/** The numbers of a design, read one by one, and how each came about. */
export function solve(design: Design, options: AnalyseOptions): Solved {
  const prepared = prepare(design, options);
  return solvedFrom(design, prepared && new Solution(prepared, options));
}

function solvedFrom(design: Design, made: Solution | null): Solved {
  const fault = made ? referenceFault(made.prepared) : NO_WING;
  const solution = fault === null ? made : null;
  const known = new Map<Group, unknown>();
  const neededBy = (group: Group) => {
    const needed: Needed = Object.create(neededPrototype(group)) as Needed;
    needed[ASK] = valueOf;
    return needed;
  };
  const compute = (group: Group): unknown => {
    if (!solution) return group.empty(fault ?? NO_WING, design);
    try {
      return (
        believable(group.schema, group.compute(solution, neededBy(group)), group.hasReasons) ??
        group.empty(NOT_BELIEVED, design)
      );
    } catch (error) {
      if (!(error instanceof NoFlowError)) throw error;
      return group.empty(error.because, design);
    }
  };
  const valueOf = (group: Group): unknown => {
    if (!known.has(group)) known.set(group, compute(group));
    return known.get(group);
  };
  const getters = GROUPS.map((group) => [group.id, { enumerable: true, get: () => valueOf(group) }] as const);
  return {
    solution,
    numbers: Object.defineProperties({}, Object.fromEntries(getters)) as Numbers,
    explain: () =>
      solution?.isSolvable
        ? GROUPS.flatMap((group: Group) => group.explain(solution, valueOf(group), neededBy(group)))
        : [],
  };
}
