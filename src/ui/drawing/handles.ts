import { degreesFromRadians, millimetresFromMetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { field, type FieldChange } from '@/core/2-document/edit/field';
import type { Body, MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { LIMITS } from '@/core/2-document/schema/limits';
import { developedLength, isUpright, placeSurface, planformAt } from '@/core/3-shape/geometry/layout';

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
  /** Nearly the same at less cost, for as long as it moves. */
  readonly editsInMotion?: (dx: number, dy: number) => FieldChange[];
}

const within = (name: keyof typeof LIMITS, value: number): number =>
  Math.min(LIMITS[name].maximum, Math.max(LIMITS[name].minimum, value));

/** Where a dragged length comes to rest; without it, on tenths of a millimetre. */
export type Snap = (length: number) => number;
const TENTHS: Snap = (length) => Math.round(length * 10) / 10;

/** Rods go as far out as they went, on a surface so many times as long. */
const rodEdits = (surface: Surface, factor: number): FieldChange[] =>
  surface.spars.flatMap((spar) =>
    (['start', 'end'] as const).map((end) =>
      field('surfaces', surface.id, 'spars', spar.id, end, 'distanceFromRoot').to(
        TENTHS(spar[end].distanceFromRoot * factor),
      ),
    ),
  );

/** Makes a surface `factor` times as long, root to tip. */
export function spanEdits(surface: Surface, factor: number): FieldChange[] {
  return [
    ...surface.stations
      .slice(1)
      .map((station, index) =>
        field('surfaces', surface.id, 'stations', index + 1, 'distanceFromRoot').to(station.distanceFromRoot * factor),
      ),
    ...rodEdits(surface, factor),
  ];
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
                index + 1 === last ? wanted : TENTHS(station.distanceFromRoot * factor),
              ),
            ),
          ...rodEdits(surface, factor),
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
  return [...handles, ...hingeHandles(surface), ...rodHandles(surface), ...incidenceHandle(surface)];
}

const rounded = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits;

/** The ends of each hinge: along the chord and along the span. */
function hingeHandles(surface: Surface): Handle[] {
  const placed = placeSurface(surface);
  if (isUpright(placed)) return [];
  const length = surface.stations.at(-1)!.distanceFromRoot;
  return surface.controls
    .filter(({ allMoving }) => !allMoving)
    .flatMap((control) =>
      (
        [
          ['inboard', 'from', 'hingeInboard'],
          ['outboard', 'to', 'hingeOutboard'],
        ] as const
      ).map(([end, along, hinge]): Handle => {
        const { x, y, chord } = planformAt(placed, developedLength(placed) * control[along]);
        const of = (key: 'from' | 'to' | 'hingeInboard' | 'hingeOutboard') =>
          field('surfaces', surface.id, 'controls', control.id, key);
        const [least, most] = along === 'from' ? [0, control.to - 0.02] : [control.from + 0.02, 1];
        return {
          id: `${surface.id}-${control.id}-${end}`,
          label: `${control.name || control.id} ${end} end of the hinge`,
          view: 'plan',
          at: [millimetresFromMetres(x + control[hinge] * chord), millimetresFromMetres(y)],
          axes: 'both',
          value: control[hinge] * 100,
          valueText: `${Math.round(control[hinge] * 100)} % of the chord, ${Math.round(control[along] * 100)} % of the panel`,
          edits: (dx, dy) => [
            ...(dx === 0
              ? []
              : [
                  of(hinge).to(
                    Math.min(0.95, Math.max(0.3, rounded(control[hinge] + dx / millimetresFromMetres(chord), 3))),
                  ),
                ]),
            ...(dy === 0
              ? []
              : [of(along).to(Math.min(most, Math.max(least, rounded(control[along] + dy / length, 3))))]),
          ],
        };
      }),
    );
}

/** The ends of each rod through the board, in plan. */
function rodHandles(surface: Surface): Handle[] {
  const placed = placeSurface(surface);
  if (isUpright(placed)) return [];
  const root = placed.stations[0]!;
  const [x, y] = [millimetresFromMetres(root.x), millimetresFromMetres(root.y)];
  const length = surface.stations.at(-1)!.distanceFromRoot;
  return surface.spars.flatMap((rod) =>
    (['start', 'end'] as const).map((end): Handle => {
      const place = rod[end];
      const of = (key: 'x' | 'distanceFromRoot') => field('surfaces', surface.id, 'spars', rod.id, end, key);
      return {
        id: `${surface.id}-${rod.id}-${end}`,
        label: `${rod.name || rod.id}, ${end === 'start' ? 'inner' : 'outer'} end`,
        view: 'plan',
        at: [x + place.x, y + place.distanceFromRoot],
        axes: 'both',
        value: place.distanceFromRoot,
        valueText: `${Math.round(place.x)} mm aft of the root, ${Math.round(place.distanceFromRoot)} mm out`,
        edits: (dx, dy) => [
          ...(dx === 0 ? [] : [of('x').to(within('offset', rounded(place.x + dx, 1)))]),
          ...(dy === 0
            ? []
            : [of('distanceFromRoot').to(Math.min(length, Math.max(0, rounded(place.distanceFromRoot + dy, 1))))]),
        ],
      };
    }),
  );
}

/** Frames of a body from the side: the upper and the lower edge of each. */
export function bodyHandles(body: Body): Handle[] {
  return body.frames.flatMap((frame, index) =>
    (['top', 'bottom'] as const).map((edge): Handle => {
      const of = (key: 'x' | 'top' | 'bottom') => field('bodies', body.id, 'frames', index, key);
      const [before, after] = [body.frames[index - 1], body.frames[index + 1]];
      return {
        id: `${body.id}-${index}-${edge}`,
        label: `${body.name || body.id}, frame ${index + 1}, ${edge}`,
        view: 'side',
        at: [body.position.x + frame.x, body.position.z + frame[edge]],
        axes: 'both',
        value: frame[edge],
        valueText: `${Math.round(frame[edge])} mm at ${Math.round(frame.x)} mm from its nose`,
        edits: (dx, dy) => [
          ...(dx === 0
            ? []
            : [
                of('x').to(
                  Math.min(
                    (after?.x ?? Infinity) - 1,
                    Math.max((before?.x ?? -Infinity) + 1, rounded(frame.x + dx, 1)),
                  ),
                ),
              ]),
          ...(dy === 0
            ? []
            : [
                of(edge).to(
                  edge === 'top'
                    ? Math.max(frame.bottom, rounded(frame.top + dy, 1))
                    : Math.min(frame.top, rounded(frame.bottom + dy, 1)),
                ),
              ]),
        ],
      };
    }),
  );
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

/** The same handle on a plan whose nose points up: what lies aft is below, what lies outboard to the right. */
export const noseUp = (handle: Handle): Handle => ({
  ...handle,
  axes: handle.axes === 'both' ? 'both' : handle.axes === 'x' ? 'y' : 'x',
  edits: (right, up) => handle.edits(-up, right),
});
