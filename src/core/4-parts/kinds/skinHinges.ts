import type { Fraction, Millimetres } from '@/core/1-base/units/convert';
import type { Control, Surface } from '@/core/2-document/schema/surface';
import { openLine, type Point } from '@/core/3-shape/outline/path';
import type { PartLine } from '@/core/3-shape/outline/partOutline';
import type { Developed } from '../develop';
import { edgesAt } from './panels';

/** A contour as a row of places over the section, and how long it is up to each. */
export interface Line {
  readonly points: readonly (readonly [x: number, z: number])[];
  readonly along: readonly number[];
}

/** The point of a flat edge after so much of the outer face. */
export function pointAt(edge: readonly Point[], along: readonly number[], place: number): Point {
  const after = Math.max(
    1,
    along.findIndex((length) => length >= place),
  );
  const index = along.at(-1)! < place ? along.length - 1 : after;
  const [from, to] = [along[index - 1]!, along[index]!];
  const share = to > from ? Math.min(1, Math.max(0, (place - from) / (to - from))) : 0;
  const [a, b] = [edge[index - 1]!, edge[index]!];
  return [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
}

/** Both edges of a panel laid flat, and the contours that they came from. */
export interface Laid {
  readonly root: Line;
  readonly tip: Line;
  readonly cut: Developed;
}

/** A control as far as it lies on a panel. */
export interface OnPanel {
  readonly control: Control;
  readonly inner: Millimetres;
  readonly outer: Millimetres;
  /** Share of the chord of its hinge at a distance from the root. */
  readonly hinge: (distance: Millimetres) => Fraction;
  /** Ends of it that are no ends of the panel. */
  readonly ends: readonly Millimetres[];
}

/** Controls that are hinged on a panel. */
export function controlsOn({ stations, controls }: Surface, panel: number): OnPanel[] {
  const whole = stations.at(-1)!.distanceFromRoot;
  const [a, b] = [stations[panel]!, stations[panel + 1]!];
  return controls.flatMap((control): OnPanel[] => {
    const { from, to, hingeInboard, hingeOutboard, allMoving } = control;
    const [inner, outer] = [Math.max(a.distanceFromRoot, from * whole), Math.min(b.distanceFromRoot, to * whole)];
    if (allMoving || outer - inner < 1) return [];
    const ends = [inner, outer].filter((d) => d > a.distanceFromRoot + 0.5 && d < b.distanceFromRoot - 0.5);
    const hinge = (d: Millimetres) =>
      hingeInboard + ((hingeOutboard - hingeInboard) * (d / whole - from)) / (to - from);
    return [{ control, inner, outer, hinge, ends }];
  });
}

/** A place on the skin of a panel: along the panel, and by the share of the chord on one of its stretches. */
export const placeOn =
  ({ stations }: Surface, panel: number, { root, tip, cut }: Laid, start: number) =>
  (d: Millimetres, chordShare: Fraction): Point => {
    const [a, b] = [stations[panel]!, stations[panel + 1]!];
    const share = (d - a.distanceFromRoot) / (b.distanceFromRoot - a.distanceFromRoot);
    const [near, far] = [
      pointAt(cut.near, root.along, alongTo(root, chordShare * a.chord, start)),
      pointAt(cut.far, tip.along, alongTo(tip, chordShare * b.chord, start)),
    ];
    return [near[0] + (far[0] - near[0]) * share, near[1] + (far[1] - near[1]) * share];
  };

/** The same by a distance behind the nose of the root, as rods and servos are drawn. */
export const placeBehindRoot = (surface: Surface, panel: number, laid: Laid, start: number) => {
  const on = placeOn(surface, panel, laid, start);
  return (d: Millimetres, x: Millimetres): Point => {
    const { nose, chord } = edgesAt(surface, d);
    return on(d, (x - nose) / chord);
  };
};

/** Both edges of the channels that rods lie in, as far as they lie on a panel. @param startOf first point of the stretch of the contour that a rod lies on */
export function channelsOn(
  surface: Surface,
  panel: number,
  laid: Laid,
  startOf: (level: Surface['spars'][number]['level']) => number,
): PartLine[] {
  const [a, b] = [surface.stations[panel]!.distanceFromRoot, surface.stations[panel + 1]!.distanceFromRoot];
  return surface.spars.flatMap(({ start, end, width, level }): PartLine[] => {
    const length = end.distanceFromRoot - start.distanceFromRoot;
    const [inner, outer] = [Math.max(a, start.distanceFromRoot), Math.min(b, end.distanceFromRoot)];
    if (length <= 0 || outer - inner < 1) return [];
    const x = (d: Millimetres) => start.x + ((end.x - start.x) * (d - start.distanceFromRoot)) / length;
    const place = placeBehindRoot(surface, panel, laid, startOf(level));
    return [-width / 2, width / 2].map((off): PartLine => ({
      kind: 'mark',
      path: openLine([place(inner, x(inner) + off), place(outer, x(outer) + off)]),
    }));
  });
}

/** Nearly to the edge: a slit is open there. */
const TO_THE_EDGE = 0.999;

/** Hinges of controls on the upper skin of a panel, with slits at their ends. @param start first point of its stretch of the contour */
export function hingesOn(
  surface: Surface,
  panel: number,
  { start, ...laid }: Laid & { readonly start: number },
): PartLine[] {
  const on = placeOn(surface, panel, laid, start);
  return controlsOn(surface, panel).flatMap(({ control, inner, outer, hinge, ends }): PartLine[] => [
    {
      kind: control.gap === 'sealed' ? 'hinge' : 'cut',
      path: openLine([on(inner, hinge(inner)), on(outer, hinge(outer))]),
    },
    ...ends.map((d): PartLine => ({ kind: 'cut', path: openLine([on(d, hinge(d)), on(d, TO_THE_EDGE)]) })),
  ]);
}

/** Where the lower skin of a fold reaches under a control, it is cut through below the hinge, and slit at the ends. */
export function hingesBelow(surface: Surface, panel: number, laid: Laid): PartLine[] {
  const { stations } = surface;
  const on = placeOn(surface, panel, laid, 0);
  const endOf = (index: number) => {
    const { section } = stations[index]!;
    return section.kind === 'foldedOverSpar' ? (section.singleFrom === undefined ? section.bottomLength : 1) : 0;
  };
  const [a, b] = [stations[panel]!, stations[panel + 1]!];
  const end = (d: Millimetres) =>
    endOf(panel) +
    ((endOf(panel + 1) - endOf(panel)) * (d - a.distanceFromRoot)) / (b.distanceFromRoot - a.distanceFromRoot);
  return controlsOn(surface, panel).flatMap(({ inner, outer, hinge, ends }): PartLine[] => {
    if (end(inner) <= hinge(inner) + LEAST_BELOW || end(outer) <= hinge(outer) + LEAST_BELOW) return [];
    return [
      { kind: 'cut', path: openLine([on(inner, hinge(inner)), on(outer, hinge(outer))]) },
      ...ends.map((d): PartLine => ({ kind: 'cut', path: openLine([on(d, hinge(d)), on(d, TO_THE_EDGE * end(d))]) })),
    ];
  });
}

/** Less of the chord under a control than that is trimmed by eye. */
const LEAST_BELOW = 0.01;

/** Length along a contour up to a place of the chord, on the stretch from a point on. */
function alongTo({ points, along }: Line, x: number, start: number): number {
  for (let index = start + 1; index < points.length; index++) {
    const [a, b] = [points[index - 1]![0], points[index]![0]];
    if ((x - a) * (x - b) > 0 || a === b) continue;
    return along[index - 1]! + ((along[index]! - along[index - 1]!) * (x - a)) / (b - a);
  }
  return Math.abs(points.at(-1)![0] - x) < Math.abs(points[start]![0] - x) ? along.at(-1)! : along[start]!;
}
