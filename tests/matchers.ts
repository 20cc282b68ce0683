import { expect } from 'vitest';
import type { Words } from '@/core/1-base/words/phrase';
import { sentence } from '@/words/formatQuantity';

/** A sentence of the core as it is read in metric units; empty when there is none. */
export const said = (words: Words | null | undefined): string => (words ? sentence(words) : '');

/** Expects a value within a share of the wanted one. */
export function expectWithin(value: number | null | undefined, wanted: number, share: number): void {
  expect(value, 'a number is expected').toBeTypeOf('number');
  const error = Math.abs(value! - wanted) / Math.abs(wanted);
  expect(error, `${value} against ${wanted}`).toBeLessThanOrEqual(share);
}

/** Every number below a value that is NaN or infinite, by its path. */
export function badNumbers(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]) => badNumbers(inner, `${path}/${key}`));
}
