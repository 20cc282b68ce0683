import { induceAlong, type VelocityRow, velocityRow } from './inducedVelocity';
import { laidMatrix } from './kernel/inUse';
import type { Lattice } from './lattice';
import { placeBeside } from './meetings';
import type { VortexField } from './vortexField';

/** Velocity to the right and up at every piece of every leg on the board, edges × chordwise by N, row by row. */
export interface LegInfluence {
  readonly v: Float64Array;
  readonly w: Float64Array;
}

/** What is induced at the legs on the board, in the middle between two vortices: all that the air does there. */
export function legInfluence(
  lattice: Lattice,
  field: VortexField,
): { readonly even: LegInfluence; readonly odd: LegInfluence } {
  const n = lattice.panels;
  const { count } = lattice.cells;
  const pieces = field.edges * count;
  const pair = (): LegInfluence => ({ v: laidMatrix(pieces, n), w: laidMatrix(pieces, n) });
  const legs = { even: pair(), odd: pair() };
  const rows = () => Array.from({ length: count }, () => velocityRow(n));
  const [here, mirrored] = [rows(), rows()];
  const places = new Float64Array(count);
  const write = (edge: number, from: number, to: number) => {
    for (let k = 0; k < count; k++)
      writeLeg(lattice.doubled, [from, to], (edge * count + k) * n, here[k]!, mirrored[k]!, legs);
  };
  lattice.surfaces.forEach((_, own) => {
    const strips = lattice.firstStrip[own + 1]! - lattice.firstStrip[own]!;
    for (let edge = field.firstEdge[own]!; edge <= field.firstEdge[own]! + strips; edge++) {
      const y = field.edgeY[edge]!;
      const z = field.edgeZ[edge]!;
      const look = (xs: Float64Array) => {
        induceAlong(field, { y, z, own }, xs, here);
        induceAlong(field, { y: -y, z, own }, xs, mirrored);
      };
      const xs = field.pieceX.subarray(edge * count, (edge + 1) * count);
      look(xs);
      write(edge, 0, n);
      for (const beside of field.meetings[edge]?.beside ?? []) {
        for (let k = 0; k < count; k++) places[k] = placeBeside(field, xs[k]!, beside, k);
        look(places);
        const { surface } = beside;
        write(edge, lattice.firstStrip[surface]! * count, lattice.firstStrip[surface + 1]! * count);
      }
    }
  });
  return legs;
}

/** Both halves of one row, for the panels from one to before another. */
function writeLeg(
  doubled: Uint8Array,
  [from, to]: readonly [number, number],
  row: number,
  here: VelocityRow,
  mirrored: VelocityRow,
  { even, odd }: { readonly even: LegInfluence; readonly odd: LegInfluence },
): void {
  for (let j = from, at = row + from; j < to; j++, at++) {
    const v = doubled[j]! * mirrored.v[j]!;
    const w = doubled[j]! * mirrored.w[j]!;
    even.v[at] = here.v[j]! - v;
    even.w[at] = here.w[j]! + w;
    odd.v[at] = here.v[j]! + v;
    odd.w[at] = here.w[j]! - w;
  }
}
