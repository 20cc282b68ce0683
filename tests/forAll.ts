import fc from 'fast-check';
import { expect } from 'vitest';

/** `CAMPAIGN` is how many times as many cases are run, `SEED` where they start; without them a fixed sample. */
const TIMES = Number(process.env['CAMPAIGN'] ?? 1);
const SEED = Number(process.env['SEED'] ?? 20_261_126);

/** A case that says nothing about the property. */
export const SKIPPED = Symbol('skipped');

/**
 * Checks a property on made-up cases and that enough of them said something.
 * @param share of the cases that must not be skipped
 */
export function forAll<Values extends [unknown, ...unknown[]]>(
  runs: number,
  arbitraries: { [Key in keyof Values]: fc.Arbitrary<Values[Key]> },
  check: (...values: Values) => void | typeof SKIPPED,
  share = 1,
): void {
  let said = 0;
  fc.assert(
    fc.property(fc.tuple(...arbitraries), (values) => {
      if (check(...(values as Values)) !== SKIPPED) said++;
    }),
    { numRuns: runs * TIMES, seed: SEED, endOnFailure: TIMES === 1 },
  );
  expect(said, 'cases that said something').toBeGreaterThanOrEqual(share * runs * TIMES);
}
