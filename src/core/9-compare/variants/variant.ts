import type { Steps } from '@/core/1-base/steps';
import type { Words } from '@/core/1-base/words/phrase';
import type { Design } from '@/core/2-document/schema/design';
import { type Cost, costOf } from '@/core/4-parts/cost';
import { cutListOf } from '@/core/4-parts/cutList';
import { layOut, USUAL_LAYOUT } from '@/core/4-parts/layout';
import type { Numbers } from '@/core/6-groups/page';
import { solve } from '@/core/6-groups/solve';
import { type Severity } from '@/core/7-verdict/finding';
import { checkRules } from '@/core/7-verdict/judge';
import { balanceOf, dragOf, neutralPointOf, type Weighing } from './shifts';

/** What one of several designs comes to, as plain data. */
export interface Variant {
  readonly numbers: Omit<Numbers, 'bands'>;
  readonly findings: readonly { readonly id: string; readonly severity: Severity; readonly message: Words }[];
  readonly cost: Cost;
  /** What weighs on the balance point and on the neutral point, and what drags. */
  readonly balance: readonly Weighing[];
  readonly neutralPoint: readonly Weighing[];
  readonly drag: ReturnType<typeof dragOf>;
}

/** Sheets are counted by the first arrangement that fits; more tries would seldom save one. */
const TRIES = 1;
/** Numbers, findings, parts by weight and drag, sheets. */
const STEPS = 4;

/** Computes one of several designs, pausing between its parts. */
export function* variantOf(design: Design): Steps<Variant> {
  const { numbers, solution } = solve(design, { without: ['bands'] });
  const { bands: _, ...all } = numbers;
  const computed = { ...all };
  yield { done: 1, total: STEPS };
  const findings = checkRules(design, numbers).map(({ id, severity, message }) => ({ id, severity, message }));
  yield { done: 2, total: STEPS };
  const parts = {
    balance: balanceOf(numbers),
    neutralPoint: solution?.isSolvable ? neutralPointOf(solution) : [],
    drag: dragOf(numbers),
  };
  yield { done: 3, total: STEPS };
  const list = cutListOf(design);
  const layout = yield* layOut(design, list, { ...USUAL_LAYOUT, tries: TRIES });
  return { numbers: computed, findings, cost: costOf(design, list, layout), ...parts };
}
