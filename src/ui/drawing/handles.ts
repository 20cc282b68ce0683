import { degreesFromRadians, millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { LIMITS } from '@/core/2-document/schema/limits';
import { type PlacedSurface, placeSurface } from '@/core/3-shape/geometry/layout';

/** Something on the drawing that can be dragged or nudged with the arrow keys. */
export interface Handle {
  readonly id: string;
  readonly label: string;
  readonly view: 'plan' | 'side' | 'front';
  /** Place in the view [mm]: x and y, or x and z. */
  readonly at: readonly [number, number];
  readonly axes: 'x' | 'y' | 'both';
  readonly valueText: string;
  readonly value: number;
  /** What a shift by (dx, dy) millimetres does; y is outboard in plan and up from the side. */
  readonly edits: (dx: number, dy: number) => FieldChange[];
}

const within = (name: keyof typeof LIMITS, value: number): number =>
  Math.min(LIMITS[name].maximum, Math.max(LIMITS[name].minimum, value));

/** Makes a surface `factor` times as long, root to tip. */
export function spanEdits(surface: Surface, factor: number): FieldChange[] {
  return surface.stations
    .slice(1)
    .map((station, index) =>
      field('surfaces', surface.id, 'stations', index + 1, 'distanceFromRoot').to(station.distanceFromRoot * factor),
    );
}

/** Where a dragged length comes to rest; without it, on tenths of a millimetre. */
export type Snap = (length: number) => number;
const TENTHS: Snap = (length) => Math.round(length * 10) / 10;

function isUpright(placed: PlacedSurface): boolean {
  return Math.abs(placed.stations.at(-1)!.z - placed.stations[0]!.z) > 0.7 * placed.stations.at(-1)!.distance;
}

/** Handles of one surface: tip, chords, place, incidence. */
export function surfaceHandles(surface: Surface, snap: Snap = TENTHS): Handle[] {
  const placed = placeSurface(surface);
  const name = surface.name || surface.id;
  const of = (station: number, key: 'distanceFromRoot' | 'leadingEdgeOffset' | 'chord') =>
    field('surfaces', surface.id, 'stations', station, key);
  const last = surface.stations.length - 1;
  const root = placed.stations[0]!;
  const tip = placed.stations[last]!;
  const upright = isUpright(placed);
  const view = upright ? 'side' : 'plan';
  const across = (station: typeof root) => millimetresFromMetres(upright ? station.z : station.y);
  const outward = upright ? Math.sign(tip.z - root.z) || 1 : 1;
  const length = surface.stations[last]!.distanceFromRoot;
  const projected = Math.abs(across(tip) - across(root)) / length || 1;
  const handles: Handle[] = [
    {
      id: `${surface.id}-tip`,
      label: `${name} tip`,
      view,
      at: [millimetresFromMetres(tip.x), across(tip)],
      axes: 'both',
      value: length,
      valueText: `${Math.round(length)} mm from the root, ${Math.round(surface.stations[last]!.leadingEdgeOffset)} mm swept`,
      edits: (dx, dy) => {
        const wanted = within('distanceFromRoot', Math.max(20, snap(length + (outward * dy) / projected)));
        const factor = wanted / length;
        return [
          ...surface.stations
            .slice(1)
            .map((station, index) =>
              of(index + 1, 'distanceFromRoot').to(
                index + 1 === last ? wanted : Math.round(station.distanceFromRoot * factor * 10) / 10,
              ),
            ),
          of(last, 'leadingEdgeOffset').to(within('offset', snap(surface.stations[last]!.leadingEdgeOffset + dx))),
        ];
      },
    },
    ...[0, last].map((index): Handle => {
      const station = placed.stations[index]!;
      const where = index === 0 ? 'root' : 'tip';
      return {
        id: `${surface.id}-${where}-chord`,
        label: `${name} ${where} chord`,
        view,
        at: [millimetresFromMetres(station.x + station.chord), across(station)],
        axes: 'x',
        value: surface.stations[index]!.chord,
        valueText: `${Math.round(surface.stations[index]!.chord)} mm`,
        edits: (dx) => [of(index, 'chord').to(within('chord', snap(surface.stations[index]!.chord + dx)))],
      };
    }),
    {
      id: `${surface.id}-place`,
      label: `${name} position`,
      view,
      at: [millimetresFromMetres(root.x), across(root)],
      axes: 'x',
      value: surface.position.x,
      valueText: `${Math.round(surface.position.x)} mm aft of the datum`,
      edits: (dx) => [
        field('surfaces', surface.id, 'position', 'x').to(within('position', snap(surface.position.x + dx))),
      ],
    },
  ];
  return [...handles, ...incidenceHandle(surface)];
}

/** The leading edge from the side moves up and down, which is the incidence. */
export function incidenceHandle(surface: Surface): Handle[] {
  const placed = placeSurface(surface);
  if (isUpright(placed)) return [];
  const root = placed.stations[0]!;
  const degreesPerMillimetre = degreesFromRadians(1) / millimetresFromMetres(root.chord);
  return [
    {
      id: `${surface.id}-incidence`,
      label: `${surface.name || surface.id} incidence`,
      view: 'side',
      at: [millimetresFromMetres(root.x), millimetresFromMetres(root.z)],
      axes: 'y',
      value: surface.incidence,
      valueText: `${surface.incidence}°`,
      edits: (_, dy) => [
        field('surfaces', surface.id, 'incidence').to(
          within('incidence', Math.round((surface.incidence + dy * degreesPerMillimetre) * 10) / 10),
        ),
      ],
    },
  ];
}

/** Handles of the panels from ahead: the end of each moves up and down, which is its dihedral. */
export function dihedralHandles(surface: Surface): Handle[] {
  if (!surface.mirrored) return [];
  const placed = placeSurface(surface);
  return placed.stations.slice(1).map((station, index): Handle => {
    const panel = surface.stations[index]!;
    const length = surface.stations[index + 1]!.distanceFromRoot - panel.distanceFromRoot;
    return {
      id: `${surface.id}-dihedral-${index}`,
      label: `${surface.name || surface.id} dihedral${placed.stations.length > 2 ? `, panel ${index + 1}` : ''}`,
      view: 'front',
      at: [millimetresFromMetres(station.y), millimetresFromMetres(station.z)],
      axes: 'y',
      value: panel.dihedral,
      valueText: `${panel.dihedral}°`,
      edits: (_, dy) => {
        const rise = Math.max(-1, Math.min(1, Math.sin(radiansFromDegrees(panel.dihedral)) + dy / length));
        return [
          field('surfaces', surface.id, 'stations', index, 'dihedral').to(
            Math.round(degreesFromRadians(Math.asin(rise)) * 10) / 10,
          ),
        ];
      },
    };
  });
}

/** One part that is moved fore and aft, within its bay if it has one. */
export function itemHandle(item: MassItem): Handle {
  const bay = item.attachment.kind === 'slides' ? item.attachment : { from: -10000, to: 10000 };
  return {
    id: `${item.id}-place`,
    label: `${item.name || item.id} position`,
    view: 'side',
    at: [item.position.x, item.position.z],
    axes: 'x',
    value: item.position.x,
    valueText: `${Math.round(item.position.x)} mm aft of the datum`,
    edits: (dx) => [
      field('massItems', item.id, 'position', 'x').to(
        Math.min(bay.to, Math.max(bay.from, Math.round((item.position.x + dx) * 10) / 10)),
      ),
    ],
  };
}

/** A part that may also be set higher or lower. */
function freeItemHandle(item: MassItem): Handle {
  const handle = itemHandle(item);
  return {
    ...handle,
    axes: 'both',
    valueText: `${handle.valueText}, ${Math.round(item.position.z)} mm above it`,
    edits: (dx, dy) => [
      ...handle.edits(dx, 0),
      ...(dy === 0
        ? []
        : [
            field('massItems', item.id, 'position', 'z').to(
              within('position', Math.round((item.position.z + dy) * 10) / 10),
            ),
          ]),
    ],
  };
}

/** Handles of the parts that slide for balance, or of every part, which then also move up and down. */
export const itemHandles = (design: Design, every: boolean): Handle[] =>
  every
    ? design.massItems.map(freeItemHandle)
    : design.massItems.filter(({ attachment }) => attachment.kind === 'slides').map(itemHandle);
