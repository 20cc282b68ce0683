import type { Section } from '@/core/2-document/schema/section';
import type { Surface, SurfaceRole } from '@/core/2-document/schema/surface';
import {
  metresFromMillimetres,
  type Radians,
  radiansFromDegrees,
  vectorFromPoint,
  type Metres,
} from '@/core/1-base/units/convert';

/** A station in space, right side, SI. The chord runs along x: angles enter the boundary condition, not the lattice. */
export interface PlacedStation {
  /** Distance from the root along the board [m]. */
  readonly distance: Metres;
  /** Leading edge [m]. */
  readonly x: Metres;
  readonly y: Metres;
  readonly z: Metres;
  readonly chord: Metres;
  /** Nose-up angle against the root [rad]. */
  readonly twist: Radians;
  readonly section: Section;
}

/** A lifting surface laid out in space, right side only, SI. */
export interface PlacedSurface {
  readonly id: string;
  readonly role: SurfaceRole;
  readonly mirrored: boolean;
  readonly incidence: Radians;
  readonly stations: readonly PlacedStation[];
  /** Dihedral of each panel, one less than stations [rad]. */
  readonly panelDihedrals: readonly Radians[];
  readonly source: Surface;
}

const known = new WeakMap<Surface, PlacedSurface>();

/** Lays a surface out in space: millimetres and degrees in, metres and radians out; of the same surface it is the same. */
export function placeSurface(surface: Surface): PlacedSurface {
  const before = known.get(surface);
  if (before) return before;
  const placed = laidOut(surface);
  known.set(surface, placed);
  return placed;
}

function laidOut(surface: Surface): PlacedSurface {
  const [rootX, rootY, rootZ] = vectorFromPoint(surface.position);
  const stations: PlacedStation[] = [];
  const panelDihedrals: Radians[] = [];
  let y = rootY;
  let z = rootZ;
  surface.stations.forEach((station, index) => {
    const previous = surface.stations[index - 1];
    if (previous) {
      const dihedral = radiansFromDegrees(previous.dihedral);
      const length = metresFromMillimetres(station.distanceFromRoot - previous.distanceFromRoot);
      // An upright panel must lie exactly in its plane, which cos 90° would miss by 1e-17.
      y += Math.abs(previous.dihedral) === 90 ? 0 : length * Math.cos(dihedral);
      z += length * Math.sin(dihedral);
      panelDihedrals.push(dihedral);
    }
    stations.push({
      distance: metresFromMillimetres(station.distanceFromRoot),
      x: rootX + metresFromMillimetres(station.leadingEdgeOffset),
      y,
      z,
      chord: metresFromMillimetres(station.chord),
      twist: radiansFromDegrees(station.twist),
      section: station.section,
    });
  });
  return {
    id: surface.id,
    role: surface.role,
    mirrored: surface.mirrored,
    incidence: radiansFromDegrees(surface.incidence),
    stations,
    panelDihedrals,
    source: surface,
  };
}

/** Index of the panel that holds a distance from the root. */
export function panelAt(surface: PlacedSurface, distance: number): number {
  const last = surface.stations.length - 2;
  for (let panel = 0; panel < last; panel++) {
    if (distance < surface.stations[panel + 1]!.distance) return panel;
  }
  return last;
}

export interface PlanformPoint {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly chord: number;
  readonly twist: Radians;
  readonly panel: number;
  /** Place within the panel, 0 at its inboard station, 1 at its outboard one. */
  readonly within: number;
}

/** Leading edge, chord and twist at a distance from the root, linear between stations. */
export function planformAt(surface: PlacedSurface, distance: number): PlanformPoint {
  const panel = panelAt(surface, distance);
  const inner = surface.stations[panel]!;
  const outer = surface.stations[panel + 1]!;
  const within = (distance - inner.distance) / (outer.distance - inner.distance);
  const between = (a: number, b: number) => a + (b - a) * within;
  return {
    x: between(inner.x, outer.x),
    y: between(inner.y, outer.y),
    z: between(inner.z, outer.z),
    chord: between(inner.chord, outer.chord),
    twist: between(inner.twist, outer.twist),
    panel,
    within,
  };
}

/** Length of a surface from root to tip along the board [m]. */
export function developedLength(surface: PlacedSurface): number {
  return surface.stations.at(-1)!.distance;
}

/** Rise over length from which a surface is shown and measured upright. */
const UPRIGHT = 0.7;

/** Whether a surface stands up rather than lies, as fins do. */
export function isUpright({ stations }: PlacedSurface): boolean {
  const tip = stations.at(-1)!;
  return Math.abs(tip.z - stations[0]!.z) > UPRIGHT * tip.distance;
}

/** Whether two placed surfaces have all their stations in the same places. */
export const liesAlike = (a: PlacedSurface, b: PlacedSurface): boolean =>
  a.stations.length === b.stations.length &&
  a.stations.every(({ x, y, z, chord }, index) => {
    const other = b.stations[index]!;
    return x === other.x && y === other.y && z === other.z && chord === other.chord;
  });

export const placeAll = (surfaces: readonly Surface[]): PlacedSurface[] => surfaces.map(placeSurface);
