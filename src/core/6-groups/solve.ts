import type { Design } from '@/core/2-document/schema/design';
import { SingularMatrixError } from '@/core/5-aero/luFactors';
import type { Group } from './group';
import { GROUPS, type Numbers } from './page';
import { type AnalyseOptions, prepare } from './solution/prepare';
import { Solution } from './solution/solution';
import { NO_WING } from './words';
import type { Working } from './working';

/** The groups of a design; each is computed when it is first read. */
export const numbersOf = (design: Design, options: AnalyseOptions = {}): Numbers => solve(design, options).numbers;

export interface Solved {
  readonly numbers: Numbers;
  readonly explain: () => Working[];
}

/** The numbers of a design, read one by one, and how each came about. */
export function solve(design: Design, options: AnalyseOptions): Solved {
  const prepared = prepare(design, options);
  const solution = prepared && new Solution(prepared, options);
  const known = new Map<Group, unknown>();
  const neededBy = (group: Group) =>
    Object.fromEntries(Object.entries(group.needs).map(([name, one]) => [name, valueOf(one)]));
  const compute = (group: Group): unknown => {
    if (!solution) return group.empty(NO_WING, design);
    try {
      return group.compute(solution, neededBy(group));
    } catch (error) {
      if (!(error instanceof SingularMatrixError)) throw error;
      return group.empty(`${error.message} Move one of them by a few millimetres.`, design);
    }
  };
  const valueOf = (group: Group): unknown => {
    if (!known.has(group)) known.set(group, compute(group));
    return known.get(group);
  };
  const getters = GROUPS.map((group) => [group.id, { enumerable: true, get: () => valueOf(group) }] as const);
  return {
    numbers: Object.defineProperties({}, Object.fromEntries(getters)) as Numbers,
    explain: () =>
      solution?.isSolvable
        ? GROUPS.flatMap((group: Group) => group.explain(solution, valueOf(group), neededBy(group)))
        : [],
  };
}
