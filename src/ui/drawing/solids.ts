import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { contourOf } from '@/core/3-shape/section/contour';
import type { Body } from '@/core/2-document/schema/airframe';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';

/** Triangles of one solid: x y z of every corner in millimetres of the document, three corners a triangle. */
export type Triangles = Float32Array;

type Point = readonly [number, number, number];

/** Every so-manieth contour station is enough for the eye. */
const CONTOUR_STEP = 10;

function loft(rings: readonly (readonly Point[])[]): Triangles {
  const corners: number[] = [];
  const put = (...points: Point[]) => points.forEach((point) => corners.push(...point));
  for (let ring = 0; ring + 1 < rings.length; ring++) {
    const a = rings[ring]!;
    const b = rings[ring + 1]!;
    for (let index = 0; index < a.length; index++) {
      const next = (index + 1) % a.length;
      put(a[index]!, b[index]!, b[next]!, a[index]!, b[next]!, a[next]!);
    }
  }
  for (const end of [rings[0]!, rings.at(-1)!]) {
    for (let index = 1; index + 1 < end.length; index++) put(end[0]!, end[index]!, end[index + 1]!);
  }
  return new Float32Array(corners);
}

/** A surface as it is cut, its angles against the datum drawn `steeper` times. @param side +1 right, −1 left */
export function surfaceSolid(surface: PlacedSurface, side: 1 | -1, steeper: number): Triangles {
  const rings = surface.stations.map((station, index): Point[] => {
    const dihedral = leanAt(surface, index);
    const contour = contourOf(station.section, millimetresFromMetres(station.chord));
    const angle = (surface.incidence + station.twist) * steeper;
    const places = [...contour.x.keys()].filter(
      (place) => place % CONTOUR_STEP === 0 || place === contour.x.length - 1,
    );
    const at = (place: number, height: number): Point => {
      const along = contour.x[place]! * station.chord;
      const up = height * station.chord;
      const x = station.x + along * Math.cos(angle) + up * Math.sin(angle);
      const normal = up * Math.cos(angle) - along * Math.sin(angle);
      return [
        millimetresFromMetres(x),
        millimetresFromMetres(side * (station.y - normal * Math.sin(dihedral))),
        millimetresFromMetres(station.z + normal * Math.cos(dihedral)),
      ];
    };
    return [
      ...places.map((place) => at(place, contour.upper[place]!)),
      ...places.reverse().map((place) => at(place, contour.lower[place]!)),
    ];
  });
  return loft(rings);
}

/** Lean of the board at a station: the mean of the panels that meet there. */
function leanAt(surface: PlacedSurface, station: number): number {
  const { panelDihedrals } = surface;
  const inner = panelDihedrals[Math.max(0, station - 1)]!;
  const outer = panelDihedrals[Math.min(panelDihedrals.length - 1, station)]!;
  return (inner + outer) / 2;
}

const SIDES = 12;

/** A fuselage from its frames: boxes with corners, round shells with a dozen sides. */
export function bodySolid({ frames, kind, position }: Body, side: 1 | -1): Triangles {
  return loft(
    frames.map(({ x, width, top, bottom }): Point[] => {
      const half = Math.max(kind === 'plank' ? 2.5 : 1, width / 2);
      const middle = (top + bottom) / 2;
      const tall = Math.max(1, (top - bottom) / 2);
      const at = (across: number, up: number): Point => [
        position.x + x,
        side * position.y + across * half,
        position.z + middle + up * tall,
      ];
      if (kind !== 'round') return [at(-1, -1), at(1, -1), at(1, 1), at(-1, 1)];
      return Array.from({ length: SIDES }, (_, index) => {
        const angle = (2 * Math.PI * index) / SIDES;
        return at(Math.cos(angle), Math.sin(angle));
      });
    }),
  );
}
