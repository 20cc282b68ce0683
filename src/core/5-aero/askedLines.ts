import { LINE_HEAD } from './kernel/compiled';
import type { Lattice } from './lattice';
import type { VortexField } from './vortexField';
import type { SightLine } from './wakeSheet';

/** Points of a line along the chord where the air is asked, and which rows and columns of matrices that is. */
export interface AskedLine extends SightLine {
  readonly xs: ArrayLike<number>;
  /** Normal of the board there, to the right and up. */
  readonly normal: readonly [number, number];
  /** Row of its first point. */
  readonly row: number;
  /** Panels whose part is asked, from one to before another. */
  readonly from: number;
  readonly to: number;
}

/** All points of a strip lie on one line along the chord: first its control points, then those where forces act. */
export function stripLines({ strips, cells, panels }: Lattice, forceX: Float64Array): AskedLine[] {
  const { count, control } = cells;
  return strips.map(({ m, surface, tangentY, tangentZ }, index) => {
    const row = index * count;
    const xs = new Float64Array(2 * count);
    for (let k = 0; k < count; k++) {
      xs[k] = m.x + control[k]! * m.chord;
      xs[count + k] = forceX[row + k]!;
    }
    return { y: m.y, z: m.z, own: surface, normal: [-tangentZ, tangentY], row, xs, from: 0, to: panels };
  });
}

/** Every edge of a strip with the pieces of its leg on the board. */
export function edgeLines({ lattice, firstEdge, edgeY, edgeZ, pieceX }: VortexField): AskedLine[] {
  const { count } = lattice.cells;
  return lattice.surfaces.flatMap((_, own) => {
    const edges = lattice.firstStrip[own + 1]! - lattice.firstStrip[own]! + 1;
    return Array.from({ length: edges }, (__, local): AskedLine => {
      const edge = firstEdge[own]! + local;
      const xs = pieceX.subarray(edge * count, (edge + 1) * count);
      const place = { y: edgeY[edge]!, z: edgeZ[edge]!, own };
      return { ...place, normal: [0, 0], row: edge * count, xs, from: 0, to: lattice.panels };
    });
  });
}

/** Lines with as many points each as the kernel takes them. @param seers surfaces that may see, and last none */
export function packedLines(
  lines: readonly AskedLine[],
  seers: number,
): { readonly lines: Float64Array; readonly points: number } {
  const points = lines[0]?.xs.length ?? 0;
  const packed = new Float64Array(lines.length * (LINE_HEAD + points));
  let at = 0;
  for (const { y, z, own, normal, row, from, to, xs } of lines) {
    packed[at] = y;
    packed[at + 1] = z;
    packed[at + 2] = normal[0];
    packed[at + 3] = normal[1];
    packed[at + 4] = own < 0 ? seers - 1 : own;
    packed[at + 5] = row;
    packed[at + 6] = from;
    packed[at + 7] = to;
    packed.set(xs, at + LINE_HEAD);
    at += LINE_HEAD + points;
  }
  return { lines: packed, points };
}
