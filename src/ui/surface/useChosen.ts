import type { Design } from '@/core/2-document/schema/design';
import type { Surface, SurfaceRole } from '@/core/2-document/schema/surface';
import { useAppSelector } from '@/store/hooks';

/** The chosen surface among those of some roles, or the first of them. */
export function useChosenSurface(design: Design, roles?: readonly SurfaceRole[]): Surface | undefined {
  const id = useAppSelector((state) => state.session.chosen.surface);
  const surfaces = roles ? design.surfaces.filter(({ role }) => roles.includes(role)) : design.surfaces;
  return surfaces.find((surface) => surface.id === id) ?? surfaces[0];
}

/** The chosen surface and one of its stations. */
export function useChosenStation(design: Design): { surface: Surface; station: number } | null {
  const station = useAppSelector((state) => state.session.chosen.station);
  const surface = useChosenSurface(design);
  return surface ? { surface, station: Math.min(station, surface.stations.length - 1) } : null;
}
