import type { FlowCase } from './flowCase';
import type { InfluenceMatrices } from './influence';
import type { Strip } from './strips';

/**
 * Induced drag in the Trefftz plane, far behind, where the wake is a set of
 * line vortices: D_i = −(ρ/2) Σ Γ w_n Δs with w_n the velocity along the
 * normal of each strip, and lift ρ V Σ Γ Δy. Wakes straight along the datum.
 * Per ρV². Source: Katz & Plotkin, Low-Speed Aerodynamics, 2nd ed., section 8.2.2.
 */
export interface FarField {
  readonly drag: number;
  readonly lift: number;
}

/** Circulation of each strip, the sum over its chord [m, per unit speed]. */
export function stripCirculations({ lattice }: InfluenceMatrices, circulation: Float64Array): Float64Array {
  const count = lattice.cells.count;
  return Float64Array.from(lattice.strips, (_, index) => {
    let sum = 0;
    for (let k = 0; k < count; k++) sum += circulation[index * count + k]!;
    return sum;
  });
}

/** Lift coefficient of each strip on its own chord. */
export function stripLifts(matrices: InfluenceMatrices, { circulation }: FlowCase): Float64Array {
  const strips = stripCirculations(matrices, circulation);
  return strips.map((strength, index) => (2 * strength) / matrices.lattice.strips[index]!.m.chord);
}

export function farField(matrices: InfluenceMatrices, state: FlowCase): FarField {
  const { lattice } = matrices;
  const strengths = stripCirculations(matrices, state.circulation);
  let drag = 0;
  let lift = 0;
  lattice.strips.forEach((strip, i) => {
    const mirrored = lattice.surfaces[strip.surface]!.mirrored;
    if (!mirrored) return;
    let normal = 0;
    lattice.strips.forEach((source, j) => {
      if (!lattice.surfaces[source.surface]!.mirrored) return;
      normal += strengths[j]! * farVelocity(strip, source);
    });
    drag -= strengths[i]! * normal * strip.width;
    lift += 2 * strengths[i]! * strip.width * strip.tangentY;
  });
  return { drag, lift };
}

/** Velocity along the normal of `at` from the two trailing lines of `source` and of its image, unit circulation. */
function farVelocity(at: Strip, source: Strip): number {
  const { a, b } = source;
  // The image runs from its outer end, at −y, to its inner one.
  return farLine(at, b.y, b.z) - farLine(at, a.y, a.z) + farLine(at, -a.y, a.z) - farLine(at, -b.y, b.z);
}

function farLine(at: Strip, y: number, z: number): number {
  const dy = at.m.y - y;
  const dz = at.m.z - z;
  const across = dy * dy + dz * dz;
  return across < 1e-18 ? 0 : (dz * at.tangentZ + dy * at.tangentY) / (2 * Math.PI * across);
}
