import type { VortexField } from './vortexField';

/** A line along x from which the horseshoes are seen. */
export interface SightLine {
  readonly y: number;
  readonly z: number;
  /** Surface that the line lies on, whose legs stay lines; −1 for none. */
  readonly own: number;
}

/** Horizontal distance, in strip widths, beyond which a strip of vorticity acts as a line. */
export const NEAR_WIDTHS = 4;
/** Square of the distance [m²] within which a point lies on a line and feels nothing of it. */
export const ON_LINE = 1e-18;
export const FOUR_PI_INVERSE = 1 / (4 * Math.PI);

/** Where `sheetMean` leaves its two numbers, so that the loop allocates nothing. */
export const sheet = new Float64Array(2);

/**
 * Towards other surfaces a trailing leg acts as a flat strip of vorticity as
 * wide as the half strips beside it, so that a tail in the wake of a wing, or
 * a fin crossed by the wake at the centre line, does not feel on which side of
 * a single line its control points happen to fall:
 *
 *   mean of s/(s² + h²) = (1/2L) ln((s₀² + h²)/((s₀ − L)² + h²))
 *   mean of h/(s² + h²) = (1/L)  (atan(s₀/h) − atan((s₀ − L)/h))
 *
 * Leaves for every edge its distance from the line and the mean of (−dz, dy)/(dy² + dz²).
 */
export function lookAcross(field: VortexField, { y, z, own }: SightLine): void {
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

/** Mean of (−dz, dy)/(dy² + dz²) over the strip of vorticity of an edge, seen from (y, z), into `sheet`. */
export function sheetMean(field: VortexField, edge: number, y: number, z: number): void {
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
  // The angle under which the strip is seen: both arcs at once.
  const across = Math.abs(h) < tiny ? 0 : Math.atan2(h * length, s * (s - length) + h * h) / length;
  const dyMean = along * ty - across * tz;
  const dzMean = along * tz + across * ty;
  sheet[0] = -dzMean;
  sheet[1] = dyMean;
}
