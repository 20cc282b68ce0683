import { MILLIMETRES_PER_INCH } from '@/core/1-base/units/convert';

export interface RulerLine {
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}

/** Room that a ruler takes under a sheet [mm]. */
export const RULER_ROOM = 24;
/** Lengths of the check ruler. */
export const RULER_MILLIMETRES = 100;
export const RULER_INCHES = 4;

/** A check ruler in both directions: 100 mm along with ticks, 4 in beneath, and 10 mm and half an inch across; y down from the sheet. */
export function rulerLines(): RulerLine[] {
  const lines: RulerLine[] = [
    { from: [4, 6], to: [4 + RULER_MILLIMETRES, 6] },
    { from: [4, 12], to: [4 + RULER_INCHES * MILLIMETRES_PER_INCH, 12] },
    { from: [112, 4], to: [112, 14] },
    { from: [118, 4], to: [118, 4 + MILLIMETRES_PER_INCH / 2] },
  ];
  for (let tick = 0; tick <= 10; tick++)
    lines.push({ from: [4 + 10 * tick, 6], to: [4 + 10 * tick, tick % 5 === 0 ? 3 : 4.5] });
  for (let tick = 0; tick <= RULER_INCHES; tick++)
    lines.push({ from: [4 + tick * MILLIMETRES_PER_INCH, 12], to: [4 + tick * MILLIMETRES_PER_INCH, 10] });
  return lines;
}
