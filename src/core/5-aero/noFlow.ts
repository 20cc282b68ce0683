import { nameOf, say, type Words } from '@/core/1-base/words/phrase';
import type { Lattice } from './lattice';

/** The lattice of this geometry says nothing that can be believed: why, and what to do about it. */
export class NoFlowError extends Error {
  constructor(readonly because: Words) {
    super('The flow about this geometry has no believable answer.');
    this.name = 'NoFlowError';
  }
}

/**
 * Which surfaces are to blame when the equation of a panel goes wrong: its own,
 * and the one that comes nearest to it; a surface by itself when it lies
 * nearest to its own other end.
 */
export function noFlowAt(lattice: Lattice, panel: number): NoFlowError {
  const at = Math.floor(panel / lattice.cells.count);
  const strip = lattice.strips[at]!;
  const surface = lattice.surfaces[strip.surface]!.source;
  const other = nearestOther(lattice, at);
  return new NoFlowError(
    other === null
      ? say`${nameOf(surface)} folds back into itself or changes too abruptly for the flow about it to be computed: look at the places, chords and dihedral of its stations.`
      : say`${nameOf(surface)} and ${nameOf(lattice.surfaces[other]!.source)} lie in one another or so close together that the flow between them cannot be computed: move one of them up or down by a centimetre, or fore or aft until they do not overlap.`,
  );
}

/** The other surface whose board comes within a chord of a strip; null when none does. */
function nearestOther(lattice: Lattice, at: number): number | null {
  const { m, surface } = lattice.strips[at]!;
  let nearest: number | null = null;
  let least = Infinity;
  for (const other of lattice.strips) {
    if (other.surface === surface) continue;
    const gapX = Math.max(0, other.m.x - (m.x + m.chord), m.x - (other.m.x + other.m.chord));
    const reach = Math.max(m.chord, other.m.chord);
    // The mirror image of a surface may be what it meets.
    const gapY = Math.min(Math.abs(other.m.y - m.y), Math.abs(other.m.y + m.y));
    const gap = Math.hypot(gapX, gapY, other.m.z - m.z) / reach;
    if (gap < least) [least, nearest] = [gap, other.surface];
  }
  return least < 1 ? nearest : null;
}
