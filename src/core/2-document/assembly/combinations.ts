import type { Design } from '../schema/design';
import { mountParts, type SharedParts } from './sharedParts';

/** One thing that can hang at an assembly's place. */
export interface Choice {
  readonly sharedId: string;
  readonly name: string;
  readonly parts: SharedParts;
}

/** An assembly of the design and what may stand in for it; an empty list leaves it as it is. */
export interface Slot {
  readonly assembly: string;
  readonly choices: readonly Choice[];
}

export interface Combination {
  /** What hangs at each slot, in the order of the slots. */
  readonly names: readonly string[];
  readonly choices: readonly (Choice | null)[];
}

/** Most combinations that are worth computing at once. */
export const MOST_COMBINATIONS = 200;

/** Every choice at one slot with every choice at the others. */
export function combinationsOf(design: Design, slots: readonly Slot[]): Combination[] {
  return slots.reduce<Combination[]>(
    (list, { assembly, choices }) => {
      const name = design.assemblies.find(({ id }) => id === assembly)?.name ?? assembly;
      const options: readonly (Choice | null)[] = choices.length === 0 ? [null] : choices;
      return list.flatMap((before) =>
        options.map((choice) => ({
          names: [...before.names, choice?.name ?? name],
          choices: [...before.choices, choice],
        })),
      );
    },
    [{ names: [], choices: [] }],
  );
}

/** The design with one combination mounted. */
export function mountCombination(design: Design, slots: readonly Slot[], { choices }: Combination): Design {
  return slots.reduce((current, { assembly }, index) => {
    const choice = choices[index];
    if (!choice) return current;
    const present = current.assemblies.find(({ id }) => id === assembly);
    // What hangs there now goes by its shared name, or by its own when it is not shared.
    return present?.sharedId === choice.sharedId || assembly === choice.sharedId
      ? current
      : mountParts(current, assembly, choice.parts, { name: choice.name, sharedId: choice.sharedId });
  }, design);
}
