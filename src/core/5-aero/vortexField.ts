import type { Lattice } from './lattice';
import { type Meeting, meetingsOf } from './meetings';

/** Where wakes go behind the trailing edges. */
export interface WakeDirection {
  /** Tangent of the angle at which wakes rise behind the trailing edges; 0 is straight along the datum. */
  readonly rise: number;
  /** Tangent of the angle at which they drift to the right; 0 without sideslip. */
  readonly drift?: number;
}

/** The geometry of all trailing legs, in flat arrays, for the inner loop. */
export interface VortexField {
  readonly lattice: Lattice;
  readonly cornerX: Float64Array;
  /** Per edge: place, trailing edge, and the strip of vorticity that the leg stands for. */
  readonly edgeY: Float64Array;
  readonly edgeZ: Float64Array;
  readonly edgeTrailing: Float64Array;
  readonly sheetY: Float64Array;
  readonly sheetZ: Float64Array;
  readonly sheetLength: Float64Array;
  readonly sheetTangentY: Float64Array;
  readonly sheetTangentZ: Float64Array;
  readonly edges: number;
  /** First edge of each surface. */
  readonly firstEdge: readonly number[];
  /** Pieces of legs on the board, behind each corner as far as the next or the trailing edge: middle and length. */
  readonly pieceX: Float64Array;
  readonly pieceLength: Float64Array;
  /** Edges where surfaces meet. */
  readonly meetings: readonly (Meeting | null)[];
  readonly rise: number;
  readonly drift: number;
  readonly sight: Sight;
}

export function vortexField(lattice: Lattice, { rise, drift = 0 }: WakeDirection): VortexField {
  const count = lattice.cells.count;
  const edges = lattice.strips.length + lattice.surfaces.length;
  const make = () => new Float64Array(edges);
  const field = {
    lattice,
    edges,
    cornerX: new Float64Array(edges * count),
    pieceX: new Float64Array(edges * count),
    pieceLength: new Float64Array(edges * count),
    edgeY: make(),
    edgeZ: make(),
    edgeTrailing: make(),
    sheetY: make(),
    sheetZ: make(),
    sheetLength: make(),
    sheetTangentY: make(),
    sheetTangentZ: make(),
    firstEdge: [] as number[],
    rise,
    drift,
    sight: roomFor(edges, edges * count),
  };
  let edge = 0;
  lattice.surfaces.forEach((surface, index) => {
    field.firstEdge.push(edge);
    const first = lattice.firstStrip[index]!;
    const last = lattice.firstStrip[index + 1]! - 1;
    const meetsMirror = surface.mirrored && Math.abs(lattice.strips[first]!.a.y) < 1e-6;
    for (let strip = first; strip <= last + 1; strip++, edge++) {
      const inner = strip > first ? lattice.strips[strip - 1]! : undefined;
      const outer = strip <= last ? lattice.strips[strip]! : undefined;
      const corner = outer ? outer.a : inner!.b;
      for (let k = 0; k < count; k++) {
        const [from, to] = [lattice.cells.vortex[k]!, lattice.cells.vortex[k + 1] ?? 1];
        field.cornerX[edge * count + k] = corner.x + from * corner.chord;
        field.pieceX[edge * count + k] = corner.x + ((from + to) / 2) * corner.chord;
        field.pieceLength[edge * count + k] = (to - from) * corner.chord;
      }
      field.edgeY[edge] = corner.y;
      field.edgeZ[edge] = corner.z;
      field.edgeTrailing[edge] = corner.x + corner.chord;
      const start = inner ? inner.m : meetsMirror ? { y: -outer!.m.y, z: outer!.m.z } : corner;
      const end = outer ? outer.m : corner;
      const length = Math.hypot(end.y - start.y, end.z - start.z);
      field.sheetY[edge] = start.y;
      field.sheetZ[edge] = start.z;
      field.sheetLength[edge] = length;
      field.sheetTangentY[edge] = (end.y - start.y) / length;
      field.sheetTangentZ[edge] = (end.z - start.z) / length;
    }
  });
  return { ...field, meetings: meetingsOf(field, edges) };
}

/**
 * Room for what one line of points sees. Per edge: its distance and the means
 * of its leg; per corner: offset, distance, its inverse and the velocity of the
 * leg, shared between the two horseshoes that meet there, so each square root
 * is taken once.
 */
export interface Sight {
  readonly edgeAcross: Float64Array;
  readonly meanV: Float64Array;
  readonly meanW: Float64Array;
  readonly edgeSpread: Uint8Array;
  readonly offsetX: Float64Array;
  readonly distance: Float64Array;
  readonly inverse: Float64Array;
  readonly legU: Float64Array;
  readonly legV: Float64Array;
  readonly legW: Float64Array;
}

function roomFor(edges: number, corners: number): Sight {
  const perEdge = () => new Float64Array(edges);
  const perCorner = () => new Float64Array(corners);
  return {
    edgeAcross: perEdge(),
    meanV: perEdge(),
    meanW: perEdge(),
    edgeSpread: new Uint8Array(edges),
    offsetX: perCorner(),
    distance: perCorner(),
    inverse: perCorner(),
    legU: perCorner(),
    legV: perCorner(),
    legW: perCorner(),
  };
}
