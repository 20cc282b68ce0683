import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import { developedLength, type PlacedStation, type PlacedSurface, planformAt } from '../geometry/layout';
import { contourOf } from '../section/contour';
import { openLine, type Path, type Point, polygon } from './path';

/** Lines of a design as it is seen: [x, y] in plan, [x, z] from the side, millimetres of the document. */

const leading =
  (across: 'y' | 'z') =>
  (station: PlacedStation): Point => [millimetresFromMetres(station.x), millimetresFromMetres(station[across])];
const trailing =
  (across: 'y' | 'z') =>
  (station: PlacedStation): Point => [
    millimetresFromMetres(station.x + station.chord),
    millimetresFromMetres(station[across]),
  ];

const between = (stations: readonly PlacedStation[], across: 'y' | 'z'): Path =>
  polygon([...stations.map(leading(across)), ...[...stations].reverse().map(trailing(across))]);

/** Rise over length from which a surface shows its face from the side. */
const UPRIGHT = 0.3;

/** Right half of a surface in plan; null for upright ones. */
export function planOutline({ stations }: PlacedSurface): Path | null {
  const reach = Math.max(...stations.map(({ y }) => y)) - stations[0]!.y;
  return reach < 1e-6 ? null : between(stations, 'y');
}

/** Every so-manieth station of a contour is enough for the eye. */
const CONTOUR_STEP = 6;

/**
 * A section where it stands, from the side [x, z in mm]: in its true
 * thickness, turned about its leading edge by its angle against the datum.
 * @param angle nose up [rad]
 */
function standingSection({ x, z, chord, section }: PlacedStation, angle: number): Path {
  const contour = contourOf(section, millimetresFromMetres(chord));
  const places = [...contour.x.keys()].filter((place) => place % CONTOUR_STEP === 0 || place === contour.x.length - 1);
  const at = (place: number, height: number): Point => {
    const [along, up] = [contour.x[place]! * chord, height * chord];
    return [
      millimetresFromMetres(x + along * Math.cos(angle) + up * Math.sin(angle)),
      millimetresFromMetres(z + up * Math.cos(angle) - along * Math.sin(angle)),
    ];
  };
  return polygon([
    ...places.map((place) => at(place, contour.upper[place]!)),
    ...places.toReversed().map((place) => at(place, contour.lower[place]!)),
  ]);
}

/** A surface from the side: upright ones by their outline, level ones by the sections of root and tip in their true thickness at their angles, so many times as steep. */
export function sideOutline(surface: PlacedSurface, steeper: number): Path[] {
  const { stations, incidence } = surface;
  const rise = Math.abs(stations.at(-1)!.z - stations[0]!.z);
  if (rise > UPRIGHT * developedLength(surface)) return [between(stations, 'z')];
  return [stations[0]!, stations.at(-1)!].map((station) =>
    standingSection(station, (incidence + station.twist) * steeper),
  );
}

/** Hinge lines of a surface in plan or from the side, with the ends cut through to the trailing edge. */
export function hingeLines(surface: PlacedSurface, view: 'plan' | 'side'): Path[] {
  const length = developedLength(surface);
  return surface.source.controls
    .filter(({ allMoving }) => !allMoving)
    .map(({ from, to, hingeInboard, hingeOutboard }) => {
      const end = (share: number, hinge: number) => {
        const { x, y, z, chord } = planformAt(surface, share * length);
        const across = millimetresFromMetres(view === 'plan' ? y : z);
        return {
          hinge: [millimetresFromMetres(x + hinge * chord), across] as const,
          rear: [millimetresFromMetres(x + chord), across] as const,
        };
      };
      const a = end(from, hingeInboard);
      const b = end(to, hingeOutboard);
      return openLine([a.rear, a.hinge, b.hinge, b.rear]);
    });
}

/** Rods of a surface in plan, right half. */
export function rodLines({ stations, source }: PlacedSurface): { readonly id: string; readonly path: Path }[] {
  const [x, y] = leading('y')(stations[0]!);
  return source.spars.map(({ id, start, end }) => ({
    id,
    path: openLine([
      [x + start.x, y + start.distanceFromRoot],
      [x + end.x, y + end.distanceFromRoot],
    ]),
  }));
}

/** Half the width at which an upright board is drawn in plan [mm]. */
const PLANK_HALF = 2;

export function bodyPlan({ frames, position, kind }: Body): Path {
  const half = frames.map(({ x, width }): Point => [
    position.x + x,
    Math.max(kind === 'plank' ? PLANK_HALF : 0, width / 2),
  ]);
  return polygon([
    ...half.map(([x, y]): Point => [x, position.y + y]),
    ...[...half].reverse().map(([x, y]): Point => [x, position.y - y]),
  ]);
}

export function bodySide({ frames, position }: Body): Path {
  return polygon([
    ...frames.map(({ x, top }): Point => [position.x + x, position.z + top]),
    ...[...frames].reverse().map(({ x, bottom }): Point => [position.x + x, position.z + bottom]),
  ]);
}
