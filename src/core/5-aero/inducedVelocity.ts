import { bentLegs } from './bentWake';
import { kernelFor } from './kernel/inUse';
import { packedField } from './packedField';
import type { VortexField } from './vortexField';
import { FOUR_PI_INVERSE, lookAcross, type SightLine } from './wakeSheet';

/** Rows that the inner loop fills: velocity from each panel of the right half. */
export interface VelocityRow {
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly w: Float64Array;
}

export function velocityRow(panels: number): VelocityRow {
  return { u: new Float64Array(panels), v: new Float64Array(panels), w: new Float64Array(panels) };
}

/** A point sees both ends of a segment at 180° less than this (as 1 + cosine) only when it lies on it. */
const ON_SEGMENT = 1e-10;

/**
 * Velocity that every horseshoe of the right half, at unit circulation,
 * induces at a point (x, y, z), into `row`.
 *
 * A horseshoe runs in from downstream to its inboard corner, along the bound
 * segment to its outboard corner, and out again. Segment from 1 to 2:
 *
 *   v = (1/4π) (r₁ + r₂) / (r₁ r₂ (r₁ r₂ + r₁·r₂)) · r₁ × r₂
 *
 * Half-line from a corner along the unit vector d:
 *
 *   v = (1/4π) (1 + d·r/r) / |d × r|² · d × r
 *
 * Circulation is positive when the bound segment lifts along the surface
 * normal. Lengths in metres, velocity in m/s per m²/s.
 * Source: Katz & Plotkin, Low-Speed Aerodynamics, 2nd ed., sections 2.12, 10.4, 12.1.
 */
export function induceAt(field: VortexField, x: number, line: SightLine, row: VelocityRow): void {
  induceAlong(field, line, [x], [row]);
}

/**
 * Fills one row for each x with the velocity induced there by each panel's
 * horseshoe. What legs do across the line does not depend on x and is found once.
 */
export function induceAlong(
  field: VortexField,
  line: SightLine,
  xs: ArrayLike<number>,
  rows: readonly VelocityRow[],
): void {
  const { field: packed, frame, spreads } = packedField(field);
  const seen = { y: line.y, z: line.z, xs, spread: spreads.at(line.own)! };
  if (kernelFor(field.lattice.panels).induce?.(packed, frame, seen, rows)) return;
  lookAcross(field, line);
  for (let index = 0; index < xs.length; index++) {
    const x = xs[index]!;
    if (isStraight(field)) straightLegs(field, x);
    else bentLegs(field, x, line);
    addBoundSegments(field, line, rows[index]!);
  }
}

/**
 * Fills v and w of `row`, one entry a strip, with what its two trailing legs
 * induce on the line far behind, where they run both ways without end: twice
 * what half a leg does abreast of its corner.
 */
export function induceFar(field: VortexField, line: SightLine, { v, w }: Pick<VelocityRow, 'v' | 'w'>): void {
  lookAcross(field, line);
  const { lattice, firstEdge } = field;
  const { meanV, meanW } = field.sight;
  lattice.strips.forEach(({ surface }, strip) => {
    const edge = firstEdge[surface]! + strip - lattice.firstStrip[surface]!;
    v[strip] = 2 * (meanV[edge + 1]! - meanV[edge]!);
    w[strip] = 2 * (meanW[edge + 1]! - meanW[edge]!);
  });
}

const isStraight = ({ rise, drift }: VortexField): boolean => rise === 0 && drift === 0;

/** Velocity at x of the legs that leave every corner straight back. */
function straightLegs({ lattice, cornerX, edges, sight }: VortexField, x: number): void {
  const { edgeAcross, meanV, meanW, offsetX, distance, inverse, legV, legW } = sight;
  const count = lattice.cells.count;
  let corner = 0;
  for (let edge = 0; edge < edges; edge++) {
    const across = edgeAcross[edge]!;
    const v = meanV[edge]!;
    const w = meanW[edge]!;
    for (let k = 0; k < count; k++, corner++) {
      const dx = x - cornerX[corner]!;
      const r = Math.sqrt(dx * dx + across);
      const overR = 1 / r;
      const turn = 1 + dx * overR;
      offsetX[corner] = dx;
      distance[corner] = r;
      inverse[corner] = overR;
      legV[corner] = v * turn;
      legW[corner] = w * turn;
    }
  }
}

/** Bound segments and the legs at their ends, into `row`; (r₁ + r₂)/(r₁ r₂) is 1/r₁ + 1/r₂. */
function addBoundSegments(field: VortexField, { y, z }: SightLine, { u, v, w }: VelocityRow): void {
  const { lattice, edgeY, edgeZ, firstEdge } = field;
  const { offsetX, distance, inverse, legU, legV, legW } = field.sight;
  const count = lattice.cells.count;
  const isBent = !isStraight(field);
  const surfaces = lattice.surfaces.length;
  let panel = 0;
  for (let surface = 0; surface < surfaces; surface++) {
    const strips = lattice.firstStrip[surface + 1]! - lattice.firstStrip[surface]!;
    const edge0 = firstEdge[surface]!;
    for (let edge = edge0; edge < edge0 + strips; edge++) {
      const ay = y - edgeY[edge]!;
      const az = z - edgeZ[edge]!;
      const by = y - edgeY[edge + 1]!;
      const bz = z - edgeZ[edge + 1]!;
      const dotYZ = ay * by + az * bz;
      const crossX = ay * bz - az * by;
      let a = edge * count;
      let b = a + count;
      for (let k = 0; k < count; k++, panel++, a++, b++) {
        const ax = offsetX[a]!;
        const bx = offsetX[b]!;
        const product = distance[a]! * distance[b]!;
        const facing = product + ax * bx + dotYZ;
        // On the segment itself it induces nothing.
        const bound = facing < ON_SEGMENT * product ? 0 : (FOUR_PI_INVERSE * (inverse[a]! + inverse[b]!)) / facing;
        u[panel] = isBent ? bound * crossX + legU[b]! - legU[a]! : bound * crossX;
        v[panel] = bound * (az * bx - ax * bz) + legV[b]! - legV[a]!;
        w[panel] = bound * (ax * by - ay * bx) + legW[b]! - legW[a]!;
      }
    }
  }
}
