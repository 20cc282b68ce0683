import { expect, test } from 'vitest';
import { CASES } from './cases';
import { LATERAL_CASES } from './lateralCases';

test.each(CASES.map((entry) => [entry.title, entry] as const))('%s', (_, { published, ours, tolerance }) => {
  const value = ours();
  expect(Number.isFinite(value)).toBe(true);
  const error = Math.abs(value - published) / Math.abs(published);
  if (tolerance !== null) expect(error, `${value} against ${published}`).toBeLessThanOrEqual(tolerance);
});

test('V-tails stand where the rules part from the lattice: lift above cos², side force below sin²', () => {
  for (const { title, published, ours } of LATERAL_CASES.filter((entry) => entry.title.startsWith('V-tail'))) {
    if (title.includes('cos²')) expect(ours(), title).toBeGreaterThan(published);
    else expect(ours(), title).toBeLessThan(published);
  }
});
