import type { VortexField } from './vortexField';
import { FOUR_PI_INVERSE, NEAR_WIDTHS, ON_LINE, sheet, sheetMean, type SightLine } from './wakeSheet';

/** Legs that follow the chord to the trailing edge and then rise with the wind, seen from x. */
export function bentLegs(field: VortexField, x: number, { y, z }: SightLine): void {
  const { edgeAcross, edgeSpread, offsetX, distance, inverse, legU, legV, legW } = field.sight;
  const count = field.lattice.cells.count;
  const cosine = 1 / Math.hypot(1, field.rise);
  const sine = field.rise * cosine;
  for (let edge = 0; edge < field.edges; edge++) {
    const dy = y - field.edgeY[edge]!;
    const dz = z - field.edgeZ[edge]!;
    const across = edgeAcross[edge]!;
    // Half-line from the trailing edge along d = (cosine, 0, sine).
    const tx = x - field.edgeTrailing[edge]!;
    const tr = Math.hypot(tx, dy, dz);
    const along = tx * cosine + dz * sine;
    const height = dz * cosine - tx * sine;
    const lineAcross = dy * dy + height * height;
    let wakeV = lineAcross < ON_LINE ? 0 : -height / lineAcross;
    let wakeW = lineAcross < ON_LINE ? 0 : dy / lineAcross;
    if (edgeSpread[edge] && lineAcross < (NEAR_WIDTHS * field.sheetLength[edge]!) ** 2) {
      sheetMean(field, edge, y, z - dz + height);
      wakeV = sheet[0]!;
      wakeW = sheet[1]!;
    }
    const turn = (FOUR_PI_INVERSE * (tr + along)) / tr;
    for (let k = 0, corner = edge * count; k < count; k++, corner++) {
      const dx = x - field.cornerX[corner]!;
      const r = Math.sqrt(dx * dx + across);
      offsetX[corner] = dx;
      distance[corner] = r;
      inverse[corner] = 1 / r;
      // Segment along x from the corner to the trailing edge.
      const finite = across < ON_LINE ? 0 : (FOUR_PI_INVERSE * (dx / r - tx / tr)) / across;
      legU[corner] = -sine * wakeW * turn;
      legV[corner] = finite * -dz + wakeV * turn;
      legW[corner] = finite * dy + cosine * wakeW * turn;
    }
  }
}
