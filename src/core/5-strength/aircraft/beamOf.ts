import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { liesAlike, type PlacedSurface } from '@/core/3-shape/geometry/layout';
import { type SurfaceBeam, surfaceBeam } from '../beam/surfaceBeam';
import { coveringOf } from '../materials/covering';
import { type Board, boardNamed } from '../materials/ownBoard';
import { surfaceStuff } from '../section/surfaceStuff';

/** Area of both faces of the board of a surface, both sides of a mirrored one [m²]. */
function facesOf(surface: PlacedSurface): number {
  let area = 0;
  surface.stations.slice(1).forEach((b, index) => {
    const a = surface.stations[index]!;
    area += ((a.chord + b.chord) / 2) * (b.distance - a.distance);
  });
  return 2 * area * (surface.mirrored ? 2 : 1);
}

interface KnownBeam {
  readonly material: Board;
  readonly surface: PlacedSurface;
  readonly beam: SurfaceBeam | null;
}

/** Beams by the surface as it is drawn: what was not changed is not worked out again for every trial. */
const known = new WeakMap<Surface, KnownBeam>();

/** The beam of a surface; null where nobody says what it is made of. */
export function beamOf(design: Design, surface: PlacedSurface): SurfaceBeam | null {
  const { construction } = surface.source;
  const material = boardNamed(design, construction?.material);
  if (!construction || !material) return null;
  const before = known.get(surface.source);
  if (before && before.material === material && liesAlike(before.surface, surface)) return before.beam;
  const made = surfaceBeam(surfaceStuff(surface, material, coveringOf(construction, facesOf(surface))));
  const beam = made.stretches.every(({ whole, twist }) => whole.upDown > 0 && twist > 0) ? made : null;
  known.set(surface.source, { material, surface, beam });
  return beam;
}
