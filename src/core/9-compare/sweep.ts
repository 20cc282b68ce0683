import type { Steps } from '@/core/1-base/steps';
import type { Design } from '@/core/2-document/schema/design';
import { type OutputName, outputsOf, type OutputValue } from './outputs';
import type { VariedInput } from './variedInput';

/** An input and the values that it goes through. */
export interface Swept {
  readonly input: VariedInput;
  readonly values: readonly number[];
}

/** One place of a sweep: values of its inputs, and what comes out of each name. */
export interface SweepPoint {
  readonly at: readonly number[];
  readonly outputs: ReadonlyMap<OutputName, OutputValue>;
}

const valuesAt = (swept: readonly Swept[], place: number): number[] => {
  let rest = place;
  return swept
    .toReversed()
    .map(({ values }) => {
      const value = values[rest % values.length]!;
      rest = Math.floor(rest / values.length);
      return value;
    })
    .toReversed();
};

/**
 * Goes through one input, or through all pairs of two, and computes what is
 * asked for at each, the last input fastest. A value that the document does not
 * allow, or a place where nothing can be solved, has its reason at every output.
 */
export function* sweep(
  design: Design,
  swept: readonly Swept[],
  outputs: readonly OutputName[],
): Steps<readonly SweepPoint[]> {
  const total = swept.reduce((product, { values }) => product * values.length, 1);
  const points: SweepPoint[] = [];
  for (let place = 0; place < total; place++) {
    const at = valuesAt(swept, place);
    let varied: ReturnType<VariedInput['set']> = { ok: true, design };
    for (const [index, { input }] of swept.entries()) if (varied.ok) varied = input.set(varied.design, at[index]!);
    const told = varied;
    points.push({
      at,
      outputs: told.ok
        ? outputsOf(told.design, outputs)
        : new Map(outputs.map((name) => [name, { value: null, because: told.because }] as const)),
    });
    yield { done: place + 1, total };
  }
  return points;
}
