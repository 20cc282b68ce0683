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
  /** First edge of each surface. */
  readonly firstEdge: readonly number[];
  readonly rise: number;
}

export function vortexField(lattice: Lattice, { rise }: WakeDirection): VortexField {
  const count = lattice.cells.count;
  const edges = lattice.strips.length + lattice.surfaces.length;
  const make = () => new Float64Array(edges);
  const field = {
    lattice,
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
 * Scratch of one point: for every vortex of every edge of a surface the offset,
 * the distance and the velocity of its leg. Shared between the two horseshoes
 * that meet there, so each square root is taken once.
 */
const MOST_CORNERS = 16384;
const offsetX = new Float64Array(MOST_CORNERS);
const distance = new Float64Array(MOST_CORNERS);
const legU = new Float64Array(MOST_CORNERS);
const legV = new Float64Array(MOST_CORNERS);
const legW = new Float64Array(MOST_CORNERS);
const sheet = new Float64Array(2);

/**
 * Fills `row` with the velocity induced at (x, y, z) by each panel's horseshoe.
 * @param own surface that the point lies on, whose legs stay lines; −1 for none
 */
export function induceAt(field: VortexField, x: number, y: number, z: number, own: number, row: VelocityRow): void {
  const { lattice, edgeY, edgeZ } = field;
  const count = lattice.cells.count;
  const surfaces = lattice.surfaces.length;
  const isBent = field.rise !== 0;
  const { u, v, w } = row;
  for (let surface = 0; surface < surfaces; surface++) {
    const strips = lattice.firstStrip[surface + 1]! - lattice.firstStrip[surface]!;
    const edge0 = field.firstEdge[surface]!;
    const spread = own < 0 || lattice.joined[own * surfaces + surface] === 0;
    for (let edge = 0; edge <= strips; edge++) {
      if (isBent) bentLegs(field, edge0 + edge, x, y, z, spread, edge * count);
      else straightLegs(field, edge0 + edge, x, y, z, spread, edge * count);
    }
    let panel = lattice.firstStrip[surface]! * count;
    for (let strip = 0; strip < strips; strip++) {
      const edge = edge0 + strip;
      const ay = y - edgeY[edge]!;
      const az = z - edgeZ[edge]!;
      const by = y - edgeY[edge + 1]!;
      const bz = z - edgeZ[edge + 1]!;
      const dotYZ = ay * by + az * bz;
      const crossX = ay * bz - az * by;
      let a = strip * count;
      let b = a + count;
      for (let k = 0; k < count; k++, panel++, a++, b++) {
        const ax = offsetX[a]!;
        const bx = offsetX[b]!;
        const ra = distance[a]!;
        const rb = distance[b]!;
        const product = ra * rb;
        const facing = product + ax * bx + dotYZ;
        // On the segment itself it induces nothing.
        const bound = facing < ON_SEGMENT * product ? 0 : (FOUR_PI_INVERSE * (ra + rb)) / (product * facing);
        u[panel] = isBent ? bound * crossX + legU[b]! - legU[a]! : bound * crossX;
        v[panel] = bound * (az * bx - ax * bz) + legV[b]! - legV[a]!;
        w[panel] = bound * (ax * by - ay * bx) + legW[b]! - legW[a]!;
      }
    }
  }
}

/** Velocity of the legs that leave one edge straight back, one for each vortex along its chord. */
function straightLegs(
  field: VortexField,
  edge: number,
  x: number,
  y: number,
  z: number,
  spread: boolean,
  slot: number,
): void {
  const { lattice, cornerX, edgeY, edgeZ, sheetLength } = field;
  const count = lattice.cells.count;
  const dy = y - edgeY[edge]!;
  const dz = z - edgeZ[edge]!;
  const across = dy * dy + dz * dz;
  const near = NEAR_WIDTHS * sheetLength[edge]!;
  // Means of (−dz, dy)/(dy² + dz²) over the strip of vorticity, or at its line.
  let meanV = 0;
  let meanW = 0;
  if (spread && across < near * near) {
    sheetMean(field, edge, y, z);
    meanV = FOUR_PI_INVERSE * sheet[0]!;
    meanW = FOUR_PI_INVERSE * sheet[1]!;
  } else if (across > 1e-18) {
    const inverse = FOUR_PI_INVERSE / across;
    meanV = -dz * inverse;
    meanW = dy * inverse;
  }
  const first = edge * count;
  for (let k = 0; k < count; k++) {
    const dx = x - cornerX[first + k]!;
    const r = Math.sqrt(dx * dx + across);
    const turn = 1 + dx / r;
    offsetX[slot + k] = dx;
    distance[slot + k] = r;
    legV[slot + k] = meanV * turn;
    legW[slot + k] = meanW * turn;
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

/** Legs that follow the chord to the trailing edge and then rise with the wind. */
function bentLegs(
  field: VortexField,
  edge: number,
  x: number,
  y: number,
  z: number,
  spread: boolean,
  slot: number,
): void {
  const count = field.lattice.cells.count;
  const dy = y - field.edgeY[edge]!;
  const dz = z - field.edgeZ[edge]!;
  const across = dy * dy + dz * dz;
  const cosine = 1 / Math.hypot(1, field.rise);
  const sine = field.rise * cosine;
  // Half-line from the trailing edge along d = (cosine, 0, sine).
  const tx = x - field.edgeTrailing[edge]!;
  const tr = Math.hypot(tx, dy, dz);
  const along = tx * cosine + dz * sine;
  const height = dz * cosine - tx * sine;
  const lineAcross = dy * dy + height * height;
  let meanV = lineAcross < 1e-18 ? 0 : -height / lineAcross;
  let meanW = lineAcross < 1e-18 ? 0 : dy / lineAcross;
  if (spread && lineAcross < (NEAR_WIDTHS * field.sheetLength[edge]!) ** 2) {
    sheetMean(field, edge, y, z - dz + height);
    meanV = sheet[0]!;
    meanW = sheet[1]!;
  }
  const turn = (FOUR_PI_INVERSE * (tr + along)) / tr;
  for (let k = 0; k < count; k++) {
    const dx = x - field.cornerX[edge * count + k]!;
    const r = Math.sqrt(dx * dx + across);
    offsetX[slot + k] = dx;
    distance[slot + k] = r;
    // Segment along x from the corner to the trailing edge.
    const finite = across < 1e-18 ? 0 : (FOUR_PI_INVERSE * (dx / r - tx / tr)) / across;
    legU[slot + k] = -sine * meanW * turn;
    legV[slot + k] = finite * -dz + meanV * turn;
    legW[slot + k] = finite * dy + cosine * meanW * turn;
  }
}
