import type { KilogramSquareMetres, Kilograms, Vector3 } from '@/core/1-base/units/convert';

/** A box of mass: centre and edges along x, y, z. Kilograms, metres. */
export interface MassElement {
  readonly mass: Kilograms;
  readonly centre: Vector3;
  readonly size: Vector3;
}

/** Inertia about the centre of gravity, body axes; xz = ∫xz dm [kg m²]. */
export interface Inertia {
  readonly xx: KilogramSquareMetres;
  readonly yy: KilogramSquareMetres;
  readonly zz: KilogramSquareMetres;
  readonly xz: KilogramSquareMetres;
}

export interface MassProperties {
  readonly total: Kilograms;
  readonly centreOfGravity: Vector3;
  readonly inertia: Inertia;
}

/** Lighter than this nothing flies: what weighs less was not weighed yet [kg]. */
export const LEAST_MASS = 1e-4;

/**
 * Total, centre of gravity and inertia of boxes: Σm, Σm r/Σm, and for each box
 * m(b² + h²)/12 about itself plus m(y² + z²) about the common centre (parallel
 * axes). Null when there is no mass. @param least below it there is none [kg]. Source: any text on rigid bodies, e.g.
 * Goldstein, Classical Mechanics, ch. 5.
 */
export function massProperties(elements: readonly MassElement[], least = 0): MassProperties | null {
  let total = 0;
  const first = [0, 0, 0];
  for (const { mass, centre } of elements) {
    total += mass;
    for (let axis = 0; axis < 3; axis++) first[axis]! += mass * centre[axis]!;
  }
  if (!(total > 0 && total >= least)) return null;
  const cg: Vector3 = [first[0]! / total, first[1]! / total, first[2]! / total];
  let xx = 0;
  let yy = 0;
  let zz = 0;
  let xz = 0;
  for (const { mass, centre, size } of elements) {
    const x = centre[0] - cg[0];
    const y = centre[1] - cg[1];
    const z = centre[2] - cg[2];
    const [l, w, h] = size.map((edge) => edge ** 2 / 12) as [number, number, number];
    xx += mass * (y * y + z * z + w + h);
    yy += mass * (x * x + z * z + l + h);
    zz += mass * (x * x + y * y + l + w);
    xz += mass * x * z;
  }
  return { total, centreOfGravity: cg, inertia: { xx, yy, zz, xz } };
}
