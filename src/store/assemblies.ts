import { v4 as uuid } from 'uuid';
import { combinationsOf, type Combination, mountCombination, type Slot } from '@/core/2-document/assembly/combinations';
import {
  type Assembly,
  type AssemblyKind,
  mountParts,
  originOf,
  type SharedParts,
} from '@/core/2-document/assembly/sharedParts';
import type { Analysis } from '@/core/analyse';
import { designSchema } from '@/core/2-document/schema/design';
import { editDesign, type EditOutcome } from './edit';
import type { AppThunk } from './reduxStore';

/** Parts of the open design that belong together. */
export interface Members {
  readonly surfaces: readonly string[];
  readonly bodies: readonly string[];
  readonly massItems: readonly string[];
  readonly propulsion: readonly string[];
}

/** Binds parts together; a part belongs to one assembly at most. */
export const bindAssembly = (name: string, kind: AssemblyKind, members: Members): AppThunk<EditOutcome> =>
  editDesign((design) => {
    let number = design.assemblies.length + 1;
    while (design.assemblies.some(({ id }) => id === `assembly${number}`)) number++;
    return {
      ...design,
      assemblies: [
        ...design.assemblies.flatMap((other) => without(other, members)),
        {
          id: `assembly${number}`,
          name,
          kind,
          surfaces: [...members.surfaces],
          bodies: [...members.bodies],
          massItems: [...members.massItems],
          propulsion: [...members.propulsion],
        },
      ],
    };
  });

/**
 * What is left of an assembly when parts of it go into another one: nothing
 * when all are gone, and no longer shared when some are, since the other
 * designs keep theirs whole.
 */
function without(assembly: Assembly, taken: Members): Assembly[] {
  const free = (list: keyof Members) => assembly[list].filter((id) => !taken[list].includes(id));
  const left = {
    surfaces: free('surfaces'),
    bodies: free('bodies'),
    massItems: free('massItems'),
    propulsion: free('propulsion'),
  };
  const size = ({ surfaces, bodies, massItems, propulsion }: Members) =>
    surfaces.length + bodies.length + massItems.length + propulsion.length;
  if (size(left) === size(assembly)) return [assembly];
  const { sharedId: _, ...own } = assembly;
  return size(left) === 0 ? [] : [{ ...own, ...left }];
}

/** From now on shared: saving writes it to the parts of this browser, and other designs follow. */
export const shareAssembly = (id: string): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    assemblies: design.assemblies.map((assembly) =>
      assembly.id === id ? { ...assembly, sharedId: uuid(), origin: { ...originOf(design, assembly) } } : assembly,
    ),
  }));

/** Stops sharing, or takes the binding apart; the parts stay where they are. */
export const loosenAssembly = (id: string, how: 'unshare' | 'apart'): AppThunk<EditOutcome> =>
  editDesign((design) => ({
    ...design,
    assemblies: design.assemblies.flatMap((assembly) =>
      assembly.id !== id ? [assembly] : how === 'apart' ? [] : [{ ...assembly, sharedId: undefined }],
    ),
  }));

/** Hangs other shared parts in an assembly's place. */
export const swapAssembly = (
  id: string,
  { sharedId, name, parts }: { readonly sharedId: string; readonly name: string; readonly parts: SharedParts },
): AppThunk<EditOutcome> => editDesign((design) => mountParts(design, id, parts, { name, sharedId }));

/** What one combination comes to, or why it cannot be built. */
export interface CombinationResult {
  readonly combination: Combination;
  readonly analysis: Analysis | null;
  readonly because: string | null;
}

/** Tries every combination in the worker, one after another; `onResult` hears of each, and stops it by returning false. */
export const tryCombinations =
  (slots: readonly Slot[], onResult: (result: CombinationResult) => boolean): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { jobs }) => {
    const design = getState().document.present;
    if (!design) return;
    for (const combination of combinationsOf(design, slots)) {
      const mounted = designSchema.safeParse(mountCombination(design, slots, combination));
      let result: CombinationResult = { combination, analysis: null, because: null };
      if (!mounted.success) {
        const [issue] = mounted.error.issues;
        result = { ...result, because: `/${issue!.path.join('/')} ${issue!.message}` };
      } else {
        const outcome = await jobs.ask(
          'analyse',
          { design: mounted.data, options: { without: ['remedies'] } },
          { lane: 'long' },
        );
        if (outcome.kind === 'done') result = { ...result, analysis: outcome.output.analysis };
        else if (outcome.kind === 'failed') result = { ...result, because: outcome.message };
        else return;
      }
      if (!onResult(result)) return;
    }
  };

/** Builds the open design as one combination. One step back. */
export const takeCombination = (slots: readonly Slot[], combination: Combination): AppThunk<EditOutcome> =>
  editDesign((design) => mountCombination(design, slots, combination));
