import { buildInfluence, type InfluenceMatrices } from '@/core/5-aero/influence';
import type { Lattice } from '@/core/5-aero/lattice';

/** Lattices of this many geometries are kept: the design at hand and a few tried beside it. */
const KEPT = 3;
let kept: readonly Kept[] = [];

interface Kept {
  readonly signature: Float64Array;
  readonly matrices: InfluenceMatrices;
}

/**
 * Factors of a lattice, kept while only angles, masses or controls change.
 * Known again by what the matrices depend on: strips, sections' lift slopes, wake.
 */
export function influenceOf(
  lattice: Lattice,
  rise: number,
  factors: readonly number[] | null,
  withoutLegs = false,
): InfluenceMatrices {
  const signature = signatureOf(lattice, rise, factors, withoutLegs);
  const known = kept.find((one) => isSame(one.signature, signature));
  const matrices =
    known?.matrices ?? buildInfluence(lattice, { rise, withoutLegs, liftSlopeFactors: factors ?? undefined });
  kept = [...kept.filter((one) => one !== known), { signature, matrices }].slice(-KEPT);
  return known ? { ...matrices, lattice } : matrices;
}

/** Forgets everything, for timings of a whole analysis. */
export function forgetInfluence(): void {
  kept = [];
}

const isSame = (one: Float64Array, other: Float64Array): boolean =>
  one.length === other.length && one.every((value, index) => value === other[index]);

function signatureOf(
  { cells, panelsWithoutTail, strips, doubled, joined }: Lattice,
  rise: number,
  factors: readonly number[] | null,
  withoutLegs: boolean,
): Float64Array {
  const parts = [withoutLegs ? 1 : 0, rise, cells.count, panelsWithoutTail, strips.length, factors ? 1 : 0];
  for (const { surface, a, b, m } of strips)
    parts.push(surface, a.x, a.y, a.z, a.chord, b.x, b.y, b.z, b.chord, m.x, m.y, m.z);
  const signature = new Float64Array(parts.length + doubled.length + joined.length + (factors?.length ?? 0));
  signature.set(parts);
  signature.set(doubled, parts.length);
  signature.set(joined, parts.length + doubled.length);
  if (factors) signature.set(factors, parts.length + doubled.length + joined.length);
  return signature;
}
