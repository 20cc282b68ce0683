import { type PlacedStation, type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';

/**
 * Places where an end of one surface meets another one: a tailplane on a fin,
 * a tip fin on a wing. The circulation of the one that is met jumps there by
 * what the other brings, so it needs a strip edge at that place, and the legs
 * that meet must stay lines so that they cancel.
 */
export interface Junction {
  /** The surface whose end meets the other. */
  readonly joining: number;
  readonly met: number;
  readonly end: 'root' | 'tip';
  /** Where it is met, along the board of the met surface [m]. */
  readonly distance: number;
}

/** An end counts as meeting another surface within this share of the chord there. */
const REACH = 0.02;

export function findJunctions(surfaces: readonly PlacedSurface[]): Junction[] {
  const junctions: Junction[] = [];
  surfaces.forEach((surface, joining) => {
    for (const which of ['root', 'tip'] as const) {
      const end = endStation(surface, which);
      surfaces.forEach((other, met) => {
        if (met === joining) return;
        const distance = nearestDistance(other, end.y, end.z);
        const there = planformAt(other, distance);
        const gap = Math.hypot(there.y - end.y, there.z - end.z);
        const overlaps = end.x < there.x + there.chord && there.x < end.x + end.chord;
        if (overlaps && gap <= REACH * Math.max(end.chord, there.chord))
          junctions.push({ joining, end: which, met, distance });
      });
    }
  });
  return junctions;
}

export function endStation({ stations }: PlacedSurface, end: Junction['end']): PlacedStation {
  return end === 'root' ? stations[0]! : stations.at(-1)!;
}

/** Distance along a surface's board of its point nearest to (y, z). */
function nearestDistance({ stations }: PlacedSurface, y: number, z: number): number {
  let best = 0;
  let least = Infinity;
  for (let panel = 0; panel + 1 < stations.length; panel++) {
    const a = stations[panel]!;
    const b = stations[panel + 1]!;
    const dy = b.y - a.y;
    const dz = b.z - a.z;
    const share = Math.min(1, Math.max(0, ((y - a.y) * dy + (z - a.z) * dz) / (dy * dy + dz * dz)));
    const gap = Math.hypot(a.y + share * dy - y, a.z + share * dz - z);
    if (gap < least - 1e-12) {
      least = gap;
      best = a.distance + share * (b.distance - a.distance);
    }
  }
  return best;
}
