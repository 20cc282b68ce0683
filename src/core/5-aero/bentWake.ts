import type { VortexField } from './vortexField';
import { type WakeFrame, wakeFrame } from './wakeFrame';
import { FOUR_PI_INVERSE, NEAR_WIDTHS, ON_LINE, sheet, sheetMean, type SightLine } from './wakeSheet';

/** Where `wakeOf` leaves the velocity, so that the loop allocates nothing. */
export const wake = new Float64Array(3);

/**
 * Velocity at a point of the half-line that leaves the trailing edge of one
 * edge, at unit circulation, into `wake`. It is seen in the plane across it;
 * there it acts as a leg along the chord does in the plane across that.
 */
export function wakeOf(
  field: VortexField,
  { d, e1, e2 }: WakeFrame,
  edge: number,
  x: number,
  { y, z }: SightLine,
): void {
  const dy = y - field.edgeY[edge]!;
  const dz = z - field.edgeZ[edge]!;
  const tx = x - field.edgeTrailing[edge]!;
  const tr = Math.sqrt(tx * tx + dy * dy + dz * dz);
  const along = tx * d[0] + dy * d[1] + dz * d[2];
  const aside = tx * e1[0] + dy * e1[1];
  const height = tx * e2[0] + dy * e2[1] + dz * e2[2];
  const lineAcross = aside * aside + height * height;
  let wake1 = lineAcross < ON_LINE ? 0 : -height / lineAcross;
  let wake2 = lineAcross < ON_LINE ? 0 : aside / lineAcross;
  if (field.sight.edgeSpread[edge] && lineAcross < (NEAR_WIDTHS * field.sheetLength[edge]!) ** 2) {
    sheetMean(field, edge, y - dy + aside, z - dz + height);
    wake1 = sheet[0]!;
    wake2 = sheet[1]!;
  }
  const turn = (FOUR_PI_INVERSE * (tr + along)) / tr;
  wake[0] = (wake1 * e1[0] + wake2 * e2[0]) * turn;
  wake[1] = (wake1 * e1[1] + wake2 * e2[1]) * turn;
  wake[2] = wake2 * e2[2] * turn;
}

/** Legs that follow the chord to the trailing edge and then go with the wind, seen from x. */
export function bentLegs(field: VortexField, x: number, line: SightLine): void {
  const { edgeAcross, offsetX, distance, inverse, legU, legV, legW } = field.sight;
  const count = field.lattice.cells.count;
  const frame = wakeFrame(field);
  for (let edge = 0; edge < field.edges; edge++) {
    const dy = line.y - field.edgeY[edge]!;
    const dz = line.z - field.edgeZ[edge]!;
    const across = edgeAcross[edge]!;
    const tx = x - field.edgeTrailing[edge]!;
    const tr = Math.sqrt(tx * tx + dy * dy + dz * dz);
    wakeOf(field, frame, edge, x, line);
    for (let k = 0, corner = edge * count; k < count; k++, corner++) {
      const dx = x - field.cornerX[corner]!;
      const r = Math.sqrt(dx * dx + across);
      offsetX[corner] = dx;
      distance[corner] = r;
      inverse[corner] = 1 / r;
      // Segment along x from the corner to the trailing edge.
      const finite = across < ON_LINE ? 0 : (FOUR_PI_INVERSE * (dx / r - tx / tr)) / across;
      legU[corner] = wake[0]!;
      legV[corner] = finite * -dz + wake[1]!;
      legW[corner] = finite * dy + wake[2]!;
    }
  }
}
