import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { developedLength, type PlacedSurface, placeSurface, planformAt } from '@/core/3-shape/geometry/layout';

/** Points in millimetres of the document: [x, y] in plan, [x, z] from the side. */
export type Outline = readonly (readonly [number, number])[];


/** Right half of a surface in plan; null for upright ones. */
export function planOutline(surface: PlacedSurface): Outline | null {
  const { stations } = surface;
  if (Math.max(...stations.map(({ y }) => y)) - stations[0]!.y < 1e-6) return null;
  return [
    ...stations.map(({ x, y }) => [millimetresFromMetres(x), millimetresFromMetres(y)] as const),
    ...[...stations].reverse().map(({ x, y, chord }) => [millimetresFromMetres(x + chord), millimetresFromMetres(y)] as const),
  ];
}

/** A surface from the side: upright ones by their outline, level ones by their chords at their angles. */
export function sideOutline(surface: PlacedSurface, magnify: number): Outline[] {
  const { stations, incidence } = surface;
  const rise = Math.abs(stations.at(-1)!.z - stations[0]!.z);
  if (rise > 0.3 * developedLength(surface)) {
    return [
      [
        ...stations.map(({ x, z }) => [millimetresFromMetres(x), millimetresFromMetres(z)] as const),
        ...[...stations].reverse().map(({ x, z, chord }) => [millimetresFromMetres(x + chord), millimetresFromMetres(z)] as const),
      ],
    ];
  }
  return [stations[0]!, stations.at(-1)!].map(({ x, z, chord, twist }) => {
    const fall = Math.tan((incidence + twist) * magnify) * chord;
    return [
      [millimetresFromMetres(x), millimetresFromMetres(z)],
      [millimetresFromMetres(x + chord), millimetresFromMetres(z - fall)],
    ] as const;
  });
}

/** Hinge lines of a surface in plan or from the side. */
export function hingeLines(surface: PlacedSurface, view: 'plan' | 'side'): Outline[] {
  const length = developedLength(surface);
  return surface.source.controls
    .filter(({ allMoving }) => !allMoving)
    .map(({ from, to, hingeInboard, hingeOutboard }) => {
      const end = (share: number, hinge: number) => {
        const { x, y, z, chord } = planformAt(surface, share * length);
        const across = view === 'plan' ? y : z;
        return {
          hinge: [millimetresFromMetres(x + hinge * chord), millimetresFromMetres(across)] as const,
          rear: [millimetresFromMetres(x + chord), millimetresFromMetres(across)] as const,
        };
      };
      const a = end(from, hingeInboard);
      const b = end(to, hingeOutboard);
      return [a.rear, a.hinge, b.hinge, b.rear];
    });
}

export function bodyPlan({ frames, position, kind }: Body): Outline {
  const half = frames.map(({ x, width }) => [position.x + x, Math.max(kind === 'plank' ? 2 : 0, width / 2)] as const);
  return [
    ...half.map(([x, y]) => [x, position.y + y] as const),
    ...[...half].reverse().map(([x, y]) => [x, position.y - y] as const),
  ];
}

export function bodySide({ frames, position }: Body): Outline {
  return [
    ...frames.map(({ x, top }) => [position.x + x, position.z + top] as const),
    ...[...frames].reverse().map(({ x, bottom }) => [position.x + x, position.z + bottom] as const),
  ];
}

/** Extents of everything that is drawn [mm]. */
export interface Extents {
  readonly xMin: number;
  readonly xMax: number;
  readonly yMax: number;
  readonly zMin: number;
  readonly zMax: number;
}

export function extentsOf(design: Design, placed: readonly PlacedSurface[]): Extents {
  const xs: number[] = [];
  const ys: number[] = [20];
  const zs: number[] = [-30, 30];
  for (const { stations } of placed) {
    for (const { x, y, z, chord } of stations) {
      xs.push(millimetresFromMetres(x), millimetresFromMetres(x + chord));
      ys.push(Math.abs(millimetresFromMetres(y)));
      zs.push(millimetresFromMetres(z));
    }
  }
  for (const { frames, position } of design.bodies) {
    for (const { x, width, top, bottom } of frames) {
      xs.push(position.x + x);
      ys.push(Math.abs(position.y) + width / 2);
      zs.push(position.z + top, position.z + bottom);
    }
  }
  for (const { position, size } of design.massItems) {
    xs.push(position.x - (size?.length ?? 20) / 2, position.x + (size?.length ?? 20) / 2);
    zs.push(position.z - 12, position.z + 12);
  }
  for (const { position, diameter } of design.wheels) {
    xs.push(position.x - diameter / 2, position.x + diameter / 2);
    zs.push(position.z - diameter / 2);
  }
  for (const { position, propellerDiameter } of design.propulsion) {
    xs.push(position.x);
    zs.push(position.z + propellerDiameter / 2, position.z - propellerDiameter / 2);
  }
  if (xs.length === 0) xs.push(0, 500);
  return {
    xMin: Math.min(...xs),
    xMax: Math.max(...xs),
    yMax: Math.max(...ys),
    zMin: Math.min(...zs),
    zMax: Math.max(...zs),
  };
}

export const placeAll = (surfaces: readonly Surface[]): PlacedSurface[] => surfaces.map(placeSurface);
