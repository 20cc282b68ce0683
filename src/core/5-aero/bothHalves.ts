import { type AskedLine, packedLines } from './askedLines';
import { induceAlong, type VelocityRow, velocityRow } from './inducedVelocity';
import type { SeenHalf } from './kernel/compiled';
import { kernelFor } from './kernel/inUse';
import type { Lattice } from './lattice';
import { packedField } from './packedField';
import type { VortexField } from './vortexField';

/** Two half problems: left and right equal, and equal and opposite. */
export interface Both<Half> {
  readonly even: Half;
  readonly odd: Half;
}

/**
 * Writes what panels induce at the points of lines with equal circulation left
 * and right, and with opposite one: along the normal at the first `controls`
 * points of each line, component by component at the others. A panel without a
 * twin, of a fin on the centre line, acts by itself.
 * @param lines with as many points each
 */
export function seeBoth(field: VortexField, lines: readonly AskedLine[], controls: number, into: Both<SeenHalf>): void {
  const { lattice } = field;
  const { field: packed, frame, spreads } = packedField(field);
  const packedUp = packedLines(lines, spreads.length);
  const { points } = packedUp;
  const seen = { ...packedUp, controls, twins: Float64Array.from(lattice.doubled), spreads };
  if (kernelFor(lattice.panels).seeBoth?.(packed, frame, seen, [into.even, into.odd])) return;
  const rows = () => Array.from({ length: points }, () => velocityRow(lattice.panels));
  const [here, mirrored] = [rows(), rows()];
  for (const line of lines) {
    induceAlong(field, line, line.xs, here);
    induceAlong(field, { ...line, y: -line.y }, line.xs, mirrored);
    for (let k = 0; k < points; k++) {
      if (k < controls) writeNormal(lattice, line, line.row + k, here[k]!, mirrored[k]!, into);
      else writeComponents(lattice, line, line.row + k - controls, here[k]!, mirrored[k]!, into);
    }
  }
}

/** Velocity along the normal of both half problems, from what a point and its mirror image see. */
function writeNormal(
  { doubled, panels }: Lattice,
  { normal: [ny, nz], from, to }: AskedLine,
  row: number,
  { v, w }: VelocityRow,
  { v: imageV, w: imageW }: VelocityRow,
  { even, odd }: Both<SeenHalf>,
): void {
  for (let j = from, at = row * panels + from; j < to; j++, at++) {
    const direct = v[j]! * ny + w[j]! * nz;
    const image = doubled[j]! * (imageW[j]! * nz - imageV[j]! * ny);
    even.normal![at] = direct + image;
    odd.normal![at] = direct - image;
  }
}

function writeComponents(
  { doubled, panels }: Lattice,
  { from, to }: AskedLine,
  row: number,
  here: VelocityRow,
  mirrored: VelocityRow,
  { even, odd }: Both<SeenHalf>,
): void {
  for (let j = from, at = row * panels + from; j < to; j++, at++) {
    const twin = doubled[j]!;
    const v = twin * mirrored.v[j]!;
    const w = twin * mirrored.w[j]!;
    // What the image sees to the right lies to the left of the aircraft.
    even.v![at] = here.v[j]! - v;
    odd.v![at] = here.v[j]! + v;
    even.w![at] = here.w[j]! + w;
    odd.w![at] = here.w[j]! - w;
    if (!even.u || !odd.u) continue;
    const u = twin * mirrored.u[j]!;
    even.u[at] = here.u[j]! + u;
    odd.u[at] = here.u[j]! - u;
  }
}
