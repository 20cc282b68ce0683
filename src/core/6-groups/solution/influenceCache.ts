import { buildInfluence, type InfluenceMatrices } from '@/core/5-aero/influence';
import type { Lattice } from '@/core/5-aero/lattice';

/** Lattices of this many geometries are kept: the design at hand and a few tried beside it. */
const KEPT = 3;
const kept = new Map<string, InfluenceMatrices>();

/**
 * Factors of a lattice, kept while only angles, masses or controls change.
 * The key is what the matrices depend on: strips, sections' lift slopes, wake.
 */
export function influenceOf(
  lattice: Lattice,
  rise: number,
  factors: readonly number[] | null,
  withoutLegs = false,
): InfluenceMatrices {
  const key = `${withoutLegs ? 'without legs' : ''}|${geometryKey(lattice, rise, factors)}`;
  const known = kept.get(key);
  if (known) {
    kept.delete(key);
    kept.set(key, known);
    return { ...known, lattice };
  }
  const built = buildInfluence(lattice, { rise, withoutLegs, liftSlopeFactors: factors ?? undefined });
  kept.set(key, built);
  if (kept.size > KEPT) kept.delete(kept.keys().next().value!);
  return built;
}

/** Forgets everything, for timings of a whole analysis. */
export function forgetInfluence(): void {
  kept.clear();
}

function geometryKey(lattice: Lattice, rise: number, factors: readonly number[] | null): string {
  const parts: number[] = [rise, lattice.cells.count, lattice.panelsWithoutTail];
  for (const { surface, a, b, m } of lattice.strips) {
    parts.push(surface, a.x, a.y, a.z, a.chord, b.x, b.y, b.z, b.chord, m.x, m.y, m.z);
  }
  return `${parts.join()}|${lattice.doubled.join('')}|${lattice.joined.join('')}|${factors?.join() ?? ''}`;
}
