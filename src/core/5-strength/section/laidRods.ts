import { type Metres, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import type { Contour } from '@/core/3-shape/section/faces';
import { buildOf } from '@/core/3-shape/section/kinds';
import type { Fibre } from './composite';
import { rodFibre } from './fibres';
import type { LaidRod, SectionPlace, SurfaceStuff } from './surfaceStuff';

/** Rods that pass a place, each at its level in the section. */
export function rodsAt(
  { rods, surface }: SurfaceStuff,
  place: SectionPlace,
  contour: Contour,
  across: Metres,
): Fibre[] {
  return rods.flatMap((rod) => {
    const aft = rodAft(rod, place);
    if (aft === null || rod.member.section.area <= 0) return [];
    const share = Math.min(1, Math.max(0, aft / place.chord));
    const after = Math.max(
      0,
      contour.x.findIndex((x) => x >= share),
    );
    const [top, bottom] = [contour.upper[after]! * place.chord, contour.lower[after]! * place.chord];
    const half = rod.member.section.height / 2;
    const wall = metresFromMillimetres(
      buildOf(surface.stations[place.panel]!.section).isSolid ? 0 : skinOf(surface, place),
    );
    const z = {
      middle: (top + bottom) / 2,
      upper: Math.max((top + bottom) / 2, top - wall - half),
      lower: Math.min((top + bottom) / 2, bottom + wall + half),
    }[rod.level];
    return [rodFibre(rod.id, rod.member, share * across, z)];
  });
}

/** Skin that lies over a rod in a hollow section [mm]; a rod in a single sheet lies in it. */
function skinOf(surface: PlacedSurface, { panel }: SectionPlace): number {
  const { section } = surface.stations[panel]!;
  return section.kind === 'foldedOverSpar' ? section.boardThickness : 0;
}

/** How far aft of the leading edge a rod lies at a place; null where it does not reach [m]. */
export function rodAft(rod: LaidRod, { distance, edge }: SectionPlace): Metres | null {
  if (distance < rod.from || distance > rod.to || rod.to <= rod.from) return null;
  return rod.fromX + ((rod.toX - rod.fromX) * (distance - rod.from)) / (rod.to - rod.from) - edge;
}

/** Twist stiffness of all rods that pass a place [N·m²]. */
export function twistOfRods({ rods }: SurfaceStuff, place: SectionPlace): number {
  return rods.reduce(
    (sum, rod) => sum + (rodAft(rod, place) === null ? 0 : rod.member.solid.shear * rod.member.torsionConstant),
    0,
  );
}
