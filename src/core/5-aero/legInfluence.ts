import { induceAlong, type VelocityRow, velocityRow } from './inducedVelocity';
import type { Lattice } from './lattice';
import type { VortexField } from './vortexField';

/** Velocity to the right and up at every piece of every leg on the board, edges × chordwise by N, row by row. */
export interface LegInfluence {
  readonly v: Float64Array;
  readonly w: Float64Array;
}

/**
 * What is induced at the legs on the board, in the middle between two vortices.
 * Surfaces that meet run their legs so close beside each other that lines would
 * say anything: within such a group nothing is taken, since what its members do
 * to each other's legs cancels over the group by action and reaction.
 */
export function legInfluence(
  lattice: Lattice,
  field: VortexField,
): { readonly even: LegInfluence; readonly odd: LegInfluence } {
  const n = lattice.panels;
  const { count } = lattice.cells;
  const size = field.edges * count * n;
  const pair = (): LegInfluence => ({ v: new Float64Array(size), w: new Float64Array(size) });
  const legs = { even: pair(), odd: pair() };
  const here = Array.from({ length: count }, () => velocityRow(n));
  const mirrored = Array.from({ length: count }, () => velocityRow(n));
  const groups = meetingGroups(lattice);
  lattice.surfaces.forEach((_, own) => {
    const strips = lattice.firstStrip[own + 1]! - lattice.firstStrip[own]!;
    const acts = Uint8Array.from({ length: n }, (_, j) => {
      const { surface } = lattice.strips[Math.floor(j / count)]!;
      return groups[surface] === groups[own] && groups.filter((group) => group === groups[own]).length > 1 ? 0 : 1;
    });
    for (let edge = field.firstEdge[own]!; edge <= field.firstEdge[own]! + strips; edge++) {
      const y = field.edgeY[edge]!;
      const z = field.edgeZ[edge]!;
      const xs = field.pieceX.subarray(edge * count, (edge + 1) * count);
      induceAlong(field, { y, z, own }, xs, here);
      induceAlong(field, { y: -y, z, own }, xs, mirrored);
      for (let k = 0; k < count; k++) {
        writeLeg(lattice.doubled, acts, (edge * count + k) * n, here[k]!, mirrored[k]!, legs);
      }
    }
  });
  return legs;
}

/** Number of the group of each surface; those that meet, directly or through others, share one. */
function meetingGroups({ surfaces, joined }: Lattice): number[] {
  const groups = surfaces.map((_, index) => index);
  for (let p = 0; p < groups.length; p++) {
    for (let q = 0; q < groups.length; q++) {
      if (!joined[p * groups.length + q] || groups[p] === groups[q]) continue;
      const [kept, gone] = [groups[p]!, groups[q]!];
      groups.forEach((group, index) => {
        if (group === gone) groups[index] = kept;
      });
    }
  }
  return groups;
}

function writeLeg(
  doubled: Uint8Array,
  acts: Uint8Array,
  row: number,
  here: VelocityRow,
  mirrored: VelocityRow,
  { even, odd }: { readonly even: LegInfluence; readonly odd: LegInfluence },
): void {
  for (let j = 0, at = row; j < here.v.length; j++, at++) {
    if (!acts[j]) continue;
    const v = doubled[j]! * mirrored.v[j]!;
    const w = doubled[j]! * mirrored.w[j]!;
    even.v[at] = here.v[j]! - v;
    even.w[at] = here.w[j]! + w;
    odd.v[at] = here.v[j]! + v;
    odd.w[at] = here.w[j]! - w;
  }
}
