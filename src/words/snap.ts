import { MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';
import type { DisplayUnits } from './formatQuantity';

/** Millimetres of one sixteenth of an inch. */
export const SIXTEENTH = MILLIMETRES_PER_INCH / 16;

export interface SnapOptions {
  readonly units: Pick<DisplayUnits, 'length'>;
  /** Lengths worth meeting, such as sheet sizes [mm]. */
  readonly targets: readonly number[];
  /** Distance within which a target pulls [mm]. */
  readonly pull: number;
}

/** A dragged length on a target that is near, else on whole millimetres or sixteenths of an inch. */
export function snapLength(length: number, { units, targets, pull }: SnapOptions): number {
  const nearest = targets.reduce<number | null>(
    (best, target) =>
      Math.abs(target - length) <= pull && (best === null || Math.abs(target - length) < Math.abs(best - length))
        ? target
        : best,
    null,
  );
  if (nearest !== null) return nearest;
  return units.length === 'in' ? Math.round(length / SIXTEENTH) * SIXTEENTH : Math.round(length);
}

/** Sizes that a panel gets from sheets: each side whole, halved and in thirds. */
export function sheetTargets(
  sheets: readonly { readonly sheetLength: number; readonly sheetWidth: number }[],
): number[] {
  return [
    ...new Set(
      sheets.flatMap(({ sheetLength, sheetWidth }) =>
        [sheetLength, sheetWidth].flatMap((side) => [side, side / 2, side / 3]),
      ),
    ),
  ];
}
