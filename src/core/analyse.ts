import { finish, type Steps } from './1-base/steps';
import type { Design } from './2-document/schema/design';
import type { Numbers } from './6-groups/page';
import { type AnalyseOptions, prepare } from './6-groups/solution/prepare';
import { numbersOf, solve } from './6-groups/solve';
import type { Working } from './6-groups/working';
import type { Finding } from './7-verdict/finding';
import { checkRules, type Trials, tryRemedies, withoutRemedies } from './7-verdict/judge';

export type { AnalyseOptions } from './6-groups/solution/prepare';
export type { Numbers } from './6-groups/page';

/** What `analyse` returns: the contract of the command line and more. */
export interface Analysis extends Numbers {
  readonly format: 'inclinar-analysis';
  readonly version: 2;
  readonly options: { readonly surfacesOnly: boolean; readonly wake: 'datum' | 'wind' };
  readonly workings: readonly Working[];
  readonly findings: readonly Finding[];
}

/** All of it: numbers, how each came about, what is wrong and what would help. */
export function analyse(design: Design, options: AnalyseOptions = {}): Analysis {
  const left = new Set(options.without);
  const { numbers, explain } = solve(design, options);
  const all = { ...numbers };
  return {
    format: 'inclinar-analysis',
    version: 2,
    options: { surfacesOnly: options.surfacesOnly ?? false, wake: options.wake ?? 'datum' },
    ...all,
    workings: left.has('workings') ? [] : explain(),
    findings: left.has('findings') ? [] : judge(design, all, options),
  };
}

/**
 * Trials that a design of usual size may have: about a second and a half of
 * them. Each costs an analysis, whose time grows with the cube of the panels
 * and, beside many bodies, with panels times frames.
 */
const TRIALS = { most: 24, least: 3, panels: 230, frames: 200 };

function trialsOf(design: Design, options: AnalyseOptions): Trials {
  const panels = (prepare(design, options)?.lattice.panels ?? 0) / TRIALS.panels;
  const frames = design.bodies.reduce((sum, body) => sum + body.frames.length, 0) / TRIALS.frames;
  const most = options.grid ? Infinity : TRIALS.most / Math.max(1, panels ** 3 + panels * frames);
  // How sure a number is changes no verdict, and costs as much as the number.
  const bare: AnalyseOptions = { ...options, without: [...(options.without ?? []), 'bands'] };
  return { tryOut: (changed) => numbersOf(changed, bare), most: Math.max(TRIALS.least, Math.round(most)) };
}

function judge(design: Design, numbers: Numbers, options: AnalyseOptions): Finding[] {
  const candidates = checkRules(design, numbers);
  return options.without?.includes('remedies')
    ? withoutRemedies(candidates)
    : finish(tryRemedies(design, candidates, trialsOf(design, options)));
}

/** The findings of a design with what would help, one trial at a time: each costs an analysis. */
export function* findingsStepwise(design: Design, options: AnalyseOptions = {}): Steps<Finding[]> {
  return yield* tryRemedies(design, checkRules(design, numbersOf(design, options)), trialsOf(design, options));
}
