import type { Lattice } from './lattice';

/**
 * Velocity that every horseshoe of the right half, at unit circulation,
 * induces at a point.
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
 *
 * Towards other surfaces a trailing leg acts as a flat strip of vorticity as
 * wide as the half strips beside it, so that a tail in the wake of a wing, or
 * a fin crossed by the wake at the centre line, does not feel on which side of
 * a single line its control points happen to fall:
 *
 *   mean of s/(s² + h²) = (1/2L) ln((s₀² + h²)/((s₀ − L)² + h²))
 *   mean of h/(s² + h²) = (1/L)  (atan(s₀/h) − atan((s₀ − L)/h))
 */
export interface WakeDirection {
  /** Tangent of the angle at which wakes rise behind the trailing edges; 0 is straight along the datum. */
  readonly rise: number;
}

/** Horizontal distance, in strip widths, beyond which a strip of vorticity acts as a line. */
const NEAR_WIDTHS = 4;
/** A point sees both ends of a segment at 180° less than this (as 1 + cosine) only when it lies on it. */
const ON_SEGMENT = 1e-10;
/** Square of the distance [m²] within which a point lies on a line and feels nothing of it. */
const ON_LINE = 1e-18;
const FOUR_PI_INVERSE = 1 / (4 * Math.PI);

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
  readonly rise: number;
  readonly sight: Sight;
}

export function vortexField(lattice: Lattice, { rise }: WakeDirection): VortexField {
  const count = lattice.cells.count;
  const edges = lattice.strips.length + lattice.surfaces.length;
  const make = () => new Float64Array(edges);
  const field = {
    lattice,
    edges,
    cornerX: new Float64Array(edges * count),
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
        field.cornerX[edge * count + k] = corner.x + lattice.cells.vortex[k]! * corner.chord;
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
  return field;
}

/** Rows that the inner loop fills: velocity from each panel of the right half. */
export interface VelocityRow {
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly w: Float64Array;
}

export function velocityRow(panels: number): VelocityRow {
  return { u: new Float64Array(panels), v: new Float64Array(panels), w: new Float64Array(panels) };
}

/**
 * Room for what one line of points sees. Per edge: its distance and the means
 * of its leg; per corner: offset, distance, its inverse and the velocity of the
 * leg, shared between the two horseshoes that meet there, so each square root
 * is taken once.
 */
interface Sight {
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

const sheet = new Float64Array(2);

/** A line along x from which the horseshoes are seen. */
export interface SightLine {
  readonly y: number;
  readonly z: number;
  /** Surface that the line lies on, whose legs stay lines; −1 for none. */
  readonly own: number;
}

/** Fills `row` with the velocity induced at (x, y, z) by each panel's horseshoe. */
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
  lookAcross(field, line);
  for (let index = 0; index < xs.length; index++) {
    const x = xs[index]!;
    if (field.rise === 0) straightLegs(field, x);
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

/** Distance of the line from every edge, and the means of (−dz, dy)/(dy² + dz²) over its strip of vorticity, or at its line. */
function lookAcross(field: VortexField, { y, z, own }: SightLine): void {
  const { lattice, edgeY, edgeZ, sheetLength, firstEdge } = field;
  const { edgeAcross, edgeSpread, meanV, meanW } = field.sight;
  const surfaces = lattice.surfaces.length;
  for (let surface = 0; surface < surfaces; surface++) {
    const last = firstEdge[surface]! + lattice.firstStrip[surface + 1]! - lattice.firstStrip[surface]!;
    const spread = own < 0 || lattice.joined[own * surfaces + surface] === 0;
    for (let edge = firstEdge[surface]!; edge <= last; edge++) {
      const dy = y - edgeY[edge]!;
      const dz = z - edgeZ[edge]!;
      const across = dy * dy + dz * dz;
      const near = NEAR_WIDTHS * sheetLength[edge]!;
      edgeAcross[edge] = across;
      edgeSpread[edge] = spread ? 1 : 0;
      if (spread && across < near * near) {
        sheetMean(field, edge, y, z);
        meanV[edge] = FOUR_PI_INVERSE * sheet[0]!;
        meanW[edge] = FOUR_PI_INVERSE * sheet[1]!;
      } else if (across > ON_LINE) {
        meanV[edge] = (-dz * FOUR_PI_INVERSE) / across;
        meanW[edge] = (dy * FOUR_PI_INVERSE) / across;
      } else {
        meanV[edge] = 0;
        meanW[edge] = 0;
      }
    }
  }
}

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
  const isBent = field.rise !== 0;
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

/** Mean of (−dz, dy)/(dy² + dz²) over the strip of vorticity of an edge, seen from (y, z), into `sheet`. */
function sheetMean(field: VortexField, edge: number, y: number, z: number): void {
  const length = field.sheetLength[edge]!;
  const ty = field.sheetTangentY[edge]!;
  const tz = field.sheetTangentZ[edge]!;
  const py = y - field.sheetY[edge]!;
  const pz = z - field.sheetZ[edge]!;
  const s = py * ty + pz * tz;
  const h = pz * ty - py * tz;
  const tiny = 1e-6 * length;
  const floor = tiny * tiny;
  const along = Math.log((s * s + h * h + floor) / ((s - length) ** 2 + h * h + floor)) / (2 * length);
  // On the sheet itself the jump across it averages to nothing.
  const across = Math.abs(h) < tiny ? 0 : (Math.atan(s / h) - Math.atan((s - length) / h)) / length;
  const dyMean = along * ty - across * tz;
  const dzMean = along * tz + across * ty;
  sheet[0] = -dzMean;
  sheet[1] = dyMean;
}

/** Legs that follow the chord to the trailing edge and then rise with the wind, seen from x. */
function bentLegs(field: VortexField, x: number, { y, z }: SightLine): void {
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
