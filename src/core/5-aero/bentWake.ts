import type { VortexField } from './vortexField';
import { FOUR_PI_INVERSE, NEAR_WIDTHS, ON_LINE, sheet, sheetMean, type SightLine } from './wakeSheet';

/**
 * Legs that follow the chord to the trailing edge and then go with the wind,
 * seen from x. The half-line along the unit vector d is seen in the plane
 * across it, with e₁ level and e₂ = d × e₁: there it acts as a leg along the
 * chord does in the plane across that.
 */
export function bentLegs(field: VortexField, x: number, { y, z }: SightLine): void {
  const { edgeAcross, edgeSpread, offsetX, distance, inverse, legU, legV, legW } = field.sight;
  const count = field.lattice.cells.count;
  const long = 1 / Math.hypot(1, field.drift, field.rise);
  const [dx0, dy0, dz0] = [long, field.drift * long, field.rise * long];
  const level = 1 / Math.hypot(1, field.drift);
  const [e1x, e1y] = [-field.drift * level, level];
  const [e2x, e2y, e2z] = [-dz0 * e1y, dz0 * e1x, dx0 * e1y - dy0 * e1x];
  for (let edge = 0; edge < field.edges; edge++) {
    const dy = y - field.edgeY[edge]!;
    const dz = z - field.edgeZ[edge]!;
    const across = edgeAcross[edge]!;
    const tx = x - field.edgeTrailing[edge]!;
    const tr = Math.hypot(tx, dy, dz);
    const along = tx * dx0 + dy * dy0 + dz * dz0;
    const aside = tx * e1x + dy * e1y;
    const height = tx * e2x + dy * e2y + dz * e2z;
    const lineAcross = aside * aside + height * height;
    let wake1 = lineAcross < ON_LINE ? 0 : -height / lineAcross;
    let wake2 = lineAcross < ON_LINE ? 0 : aside / lineAcross;
    if (edgeSpread[edge] && lineAcross < (NEAR_WIDTHS * field.sheetLength[edge]!) ** 2) {
      sheetMean(field, edge, y - dy + aside, z - dz + height);
      wake1 = sheet[0]!;
      wake2 = sheet[1]!;
    }
    const turn = (FOUR_PI_INVERSE * (tr + along)) / tr;
    const wakeU = (wake1 * e1x + wake2 * e2x) * turn;
    const wakeV = (wake1 * e1y + wake2 * e2y) * turn;
    const wakeW = wake2 * e2z * turn;
    for (let k = 0, corner = edge * count; k < count; k++, corner++) {
      const dx = x - field.cornerX[corner]!;
      const r = Math.sqrt(dx * dx + across);
      offsetX[corner] = dx;
      distance[corner] = r;
      inverse[corner] = 1 / r;
      // Segment along x from the corner to the trailing edge.
      const finite = across < ON_LINE ? 0 : (FOUR_PI_INVERSE * (dx / r - tx / tr)) / across;
      legU[corner] = wakeU;
      legV[corner] = finite * -dz + wakeV;
      legW[corner] = finite * dy + wakeW;
    }
  }
}
