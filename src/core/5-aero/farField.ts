import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { developedLength } from '@/core/3-shape/geometry/layout';
import type { FlowCase } from './flowCase';
import type { InfluenceMatrices } from './influence';
import type { Lattice } from './lattice';
import { induceFar } from './inducedVelocity';

/**
 * Induced drag in the Trefftz plane, far behind: D_i = −(ρ/2) Σ Γ w_n Δs with
 * w_n the velocity along the normal of each strip, and lift ρ V Σ Γ Δy. Wakes
 * straight along the datum; towards other surfaces they are strips of vorticity
 * as near the wings, or a tail in the wing’s wake would feel single lines.
 * Per ρV². Source: Katz & Plotkin, Low-Speed Aerodynamics, 2nd ed., section 8.2.2.
 */
export interface FarField {
  readonly drag: number;
  readonly lift: number;
}

/** Circulation of each strip, the sum over its chord [m, per unit speed]. */
export function stripCirculations({ lattice }: InfluenceMatrices, circulation: Float64Array): Float64Array {
  const count = lattice.cells.count;
  return mapToNumbers(lattice.strips, (_, index) => {
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
  const strips = lattice.strips.length;
  const surfaces = lattice.surfaces.length;
  const washes = farWashes(matrices);
  // Drag of each surface in the wash of each: row the one that feels it.
  const drags = new Float64Array(surfaces * surfaces);
  let lift = 0;
  lattice.strips.forEach(({ surface: own, tangentY, width }, i) => {
    if (!lattice.surfaces[own]!.mirrored) return;
    lattice.surfaces.forEach(({ mirrored }, source) => {
      if (!mirrored) return;
      let wash = 0;
      for (let j = lattice.firstStrip[source]!; j < lattice.firstStrip[source + 1]!; j++)
        wash += strengths[j]! * washes[i * strips + j]!;
      drags[own * surfaces + source]! -= strengths[i]! * wash * width;
    });
    lift += 2 * strengths[i]! * width * tangentY;
  });
  return { drag: sumMutual(drags, lattice), lift };
}

/** Velocity along the normal of each strip that the wakes of both halves of each induce there, at unit circulation: found once for a lattice. */
function farWashes({ lattice, field, unitCases }: InfluenceMatrices): Float64Array {
  const known = unitCases.get(FAR_WASHES) as Float64Array | undefined;
  if (known) return known;
  const strips = lattice.strips.length;
  const here = { v: new Float64Array(strips), w: new Float64Array(strips) };
  const mirrored = { v: new Float64Array(strips), w: new Float64Array(strips) };
  const washes = new Float64Array(strips * strips);
  lattice.strips.forEach(({ m: { y, z }, surface: own, tangentY, tangentZ }, i) => {
    if (!lattice.surfaces[own]!.mirrored) return;
    induceFar(field, { y, z, own }, here);
    induceFar(field, { y: -y, z, own }, mirrored);
    for (let j = 0; j < strips; j++) {
      const up = here.w[j]! + mirrored.w[j]!;
      const right = here.v[j]! - mirrored.v[j]!;
      washes[i * strips + j] = up * tangentY - right * tangentZ;
    }
  });
  unitCases.set(FAR_WASHES, washes);
  return washes;
}

const FAR_WASHES = 'far washes';

/**
 * Two surfaces drag each other alike (Munk’s reciprocity), so what one feels of
 * the other is read off the one with the narrower strips: wide ones would meet
 * the roll-up behind the tip of a small tail at a single point, or miss it.
 * Where two surfaces meet, each strip keeps its own, as the lines there cancel.
 */
function sumMutual(drags: Float64Array, { surfaces, firstStrip, joined }: Lattice): number {
  const count = surfaces.length;
  const widths = surfaces.map(
    (surface, index) => developedLength(surface) / (firstStrip[index + 1]! - firstStrip[index]!),
  );
  let sum = 0;
  for (let p = 0; p < count; p++) {
    sum += drags[p * count + p]!;
    for (let q = 0; q < p; q++) {
      const [felt, caused] = [drags[p * count + q]!, drags[q * count + p]!];
      sum += joined[p * count + q] ? felt + caused : 2 * (widths[p]! < widths[q]! ? felt : caused);
    }
  }
  return sum;
}
