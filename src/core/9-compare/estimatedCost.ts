import {
  metresFromMillimetres,
  squareMetresFromSquareMillimetres,
  kilogramsPerSquareMetre,
} from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';

/** Share of a sheet that parts fill, before they are laid on it. */
const FILLED = 0.7;

/**
 * What boards and rods cost, from what parts weigh: area of board over the
 * share of a sheet that is usually filled, by the price of a sheet, and length
 * of rods by theirs. ±15 %; sheets are not counted whole. Null where a price or
 * the size of a sheet is not known.
 */
export function estimatedCost(design: Design, { mass }: Numbers): number | null {
  let sum = 0;
  for (const { id, construction } of [...design.surfaces, ...design.bodies]) {
    const sheet = design.materials.find((material) => material.id === construction?.material);
    if (!sheet) continue;
    const weighs = mass.parts.find((part) => part.id === id)?.computed ?? 0;
    if (sheet.price === undefined || sheet.sheetLength === undefined || sheet.sheetWidth === undefined) return null;
    const area = weighs / kilogramsPerSquareMetre(sheet.arealDensity);
    sum += (sheet.price * area) / (FILLED * squareMetresFromSquareMillimetres(sheet.sheetLength * sheet.sheetWidth));
  }
  for (const { spars, mirrored } of design.surfaces)
    for (const { start, end, price = design.prices.rod } of spars) {
      if (price === undefined) return null;
      const length = Math.hypot(end.distanceFromRoot - start.distanceFromRoot, end.x - start.x);
      sum += price * metresFromMillimetres(length) * (mirrored ? 2 : 1);
    }
  return sum;
}
