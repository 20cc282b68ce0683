import { degrees, millimetres, say, type Words } from '@/core/1-base/words/phrase';
import { type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Control, Surface } from '@/core/2-document/schema/surface';
import { openLine, type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import type { PartLine, PartOutline, PartText } from '@/core/3-shape/outline/partOutline';
import type { CutPart } from '../part';
import { anticlockwise } from '../polygons';
import { flatSeat, plus, type Seat, times } from '../seat';
import { servosIn, withLetIn } from './letIn';
import { edgesAt, nameOfSurface, type Run, runsOf, sidesOf } from './panels';
import { axesAt } from './surfaceSeat';

/** Along the board to the right, nose up: x is the distance from the root, y against the chord. */
const at = (distance: Millimetres, x: Millimetres): Point => [distance, -x];

/** Every percent mark of the chord that is drawn at either end. */
const PERCENTS = [25, 50, 75] as const;
const MARK: Millimetres = 6;
const TEXT: Millimetres = 6;

/** Edge of a run of flat board, from its inner to its outer station. @param reach share of the chord that is kept, from the nose */
function edgeOf({ stations }: Surface, { from, to }: Run, reach: (index: number) => number): Path {
  const run = stations.slice(from, to + 1);
  return anticlockwise(
    polygon([
      ...run.map(({ distanceFromRoot, leadingEdgeOffset }) => at(distanceFromRoot, leadingEdgeOffset)),
      ...run
        .map(({ distanceFromRoot, leadingEdgeOffset, chord }, index) =>
          at(distanceFromRoot, leadingEdgeOffset + reach(from + index) * chord),
        )
        .toReversed(),
    ]),
  );
}

/** Hinge, slits at its ends and the bevel of every control that lies on a run. */
function controlLines(
  surface: Surface,
  { from, to }: Run,
  thickness: Millimetres,
): { lines: PartLine[]; notes: Words[] } {
  const { stations, controls } = surface;
  const whole = stations.at(-1)!.distanceFromRoot;
  const [start, end] = [stations[from]!.distanceFromRoot, stations[to]!.distanceFromRoot];
  const lines: PartLine[] = [];
  const notes: Words[] = [];
  for (const control of controls) {
    if (control.allMoving) continue;
    const [inner, outer] = [Math.max(start, control.from * whole), Math.min(end, control.to * whole)];
    if (outer - inner < 1) continue;
    const hinge = hingeOf(surface, control, whole);
    const marks = [
      inner,
      ...stations.map(({ distanceFromRoot }) => distanceFromRoot).filter((d) => d > inner && d < outer),
      outer,
    ];
    const kind = control.gap === 'sealed' ? 'hinge' : 'cut';
    lines.push({ kind, path: openLine(marks.map((d) => at(d, hinge(d)))) });
    // A plate that ends there needs no slit.
    for (const place of [inner, outer]) {
      const isEdge = place <= start + 0.5 || place >= end - 0.5;
      const { nose, chord } = edgesAt(surface, place);
      if (!isEdge) lines.push({ kind: 'cut', path: openLine([at(place, hinge(place)), at(place, nose + chord)]) });
    }
    const travel = Math.max(control.throwDown, control.throwUp);
    const bevel = thickness * Math.tan(radiansFromDegrees(Math.min(45, travel)));
    lines.push({ kind: 'bevel', path: openLine(marks.map((d) => at(d, hinge(d) + bevel))) });
    notes.push(
      say`${control.name || control.id}: bevel ${millimetres(bevel, 1)} behind the hinge on the lower side, for ${degrees(travel, 0)} of travel`,
    );
  }
  return { lines, notes };
}

const hingeOf =
  (surface: Surface, { from, to, hingeInboard, hingeOutboard }: Control, whole: Millimetres) =>
  (d: Millimetres) => {
    const share = to > from ? Math.min(1, Math.max(0, (d / whole - from) / (to - from))) : 0;
    const { nose, chord } = edgesAt(surface, d);
    return nose + (hingeInboard + (hingeOutboard - hingeInboard) * share) * chord;
  };

/** Where rods are let in, marks at percents of the chord at both ends, and the centre line of what is one piece. */
function marksOf(surface: Surface, { from, to }: Run): PartLine[] {
  const { stations, spars } = surface;
  const [start, end] = [stations[from]!.distanceFromRoot, stations[to]!.distanceFromRoot];
  const rods = spars.flatMap((spar): PartLine[] => {
    const length = spar.end.distanceFromRoot - spar.start.distanceFromRoot;
    const [inner, outer] = [Math.max(start, spar.start.distanceFromRoot), Math.min(end, spar.end.distanceFromRoot)];
    if (length <= 0 || outer - inner < 1) return [];
    const x = (d: Millimetres) =>
      spar.start.x + ((spar.end.x - spar.start.x) * (d - spar.start.distanceFromRoot)) / length;
    const half = spar.width / 2;
    return [-half, half].map((off) => ({
      kind: 'mark',
      path: openLine([at(inner, x(inner) + off), at(outer, x(outer) + off)]),
    }));
  });
  const percents = [start, end].flatMap((place, index) =>
    PERCENTS.map((percent): PartLine => {
      const { nose, chord } = edgesAt(surface, place);
      const x = nose + (percent / 100) * chord;
      const inwards = index === 0 ? MARK : -MARK;
      return { kind: 'mark', path: openLine([at(place, x), at(place + inwards, x)]) };
    }),
  );
  return [...rods, ...percents];
}

/** A break in dihedral is bevelled at half its angle. */
function jointNotes({ stations }: Surface, { from, to, dihedral }: Run, thickness: Millimetres): Words[] {
  const notes: Words[] = [];
  const tell = (angle: number, place: string) => {
    if (Math.abs(angle) < 0.5) return;
    const half = Math.abs(angle) / 2;
    notes.push(
      say`${place}: bevel at ${degrees(half, 1)}, ${millimetres(thickness * Math.tan(radiansFromDegrees(half)), 1)} off the ${angle > 0 ? 'upper' : 'lower'} edge`,
    );
  };
  const before = stations[from - 1];
  if (before) tell(dihedral - before.dihedral, 'inner end');
  const after = stations[to];
  if (after && to + 1 < stations.length) tell(after.dihedral - dihedral, 'outer end');
  return notes;
}

/** Flat, stepped and reflexed board of a surface: one part for each stretch without a break in dihedral. */
export function plateParts(surface: Surface, massItems: readonly MassItem[] = []): CutPart[] {
  const { stations, construction, id, mirrored, joint } = surface;
  if (!construction) return [];
  const name = nameOfSurface(surface);
  const runs = runsOf(surface);
  const servos = servosIn(surface, massItems);
  return runs.flatMap((run, place): CutPart[] => {
    const { section } = stations[run.from]!;
    if (section.kind !== 'flatPlate' && section.kind !== 'steppedPlate' && section.kind !== 'reflexed') return [];
    const { thickness } = section;
    const label = runs.length > 1 ? `${name}, panel ${place + 1}` : name;
    const controls = controlLines(surface, run, thickness);
    const lines: PartLine[] = [...controls.lines, ...marksOf(surface, run), ...bendLine(surface, run)];
    const region = withLetIn({ edge: edgeOf(surface, run, () => 1), holes: [] }, servos, at);
    const half: PartOutline = {
      name: label,
      edge: region.edge,
      holes: region.holes,
      lines,
      texts: textsOf(surface, run, label),
    };
    // Flat across the middle: left and right are one piece.
    const isWhole = mirrored && run.from === 0 && Math.abs(run.dihedral) < 0.5 && joint === 'onePiece';
    const base = {
      seat: seatOf(surface, run),
      owner: id,
      material: construction.material,
      isAlongGrain: true,
      hasFace: section.kind === 'steppedPlate',
      notes: [...jointNotes(surface, run, thickness), ...controls.notes, ...region.notes],
    };
    const plate: CutPart = {
      ...base,
      id: `${id}-plate-${place + 1}`,
      kind: 'plate',
      name: label,
      outline: isWhole ? wholeOf(half) : half,
      ...(isWhole ? { count: 1, mirrored: 0 } : sidesOf(surface)),
    };
    if (section.kind !== 'steppedPlate') return [plate];
    const steps = stations.map(({ section: own }) => (own.kind === 'steppedPlate' ? own.stepPosition : 0.5));
    const doubler: PartOutline = {
      name: `${label}, doubler`,
      edge: edgeOf(surface, run, (index) => steps[index]!),
      holes: [],
      lines: [],
      texts: textsOf(surface, run, `${label}, doubler`),
    };
    return [
      plate,
      {
        ...base,
        id: `${id}-doubler-${place + 1}`,
        kind: 'doubler',
        name: doubler.name,
        outline: isWhole ? wholeOf(doubler) : doubler,
        notes: [say`goes on the ${section.stepSide} side, nose on nose`],
        ...(isWhole ? { count: 1, mirrored: 0 } : sidesOf(surface)),
      },
    ];
  });
}

/** A run of flat board as it stands: turned with its inner station. */
function seatOf(surface: Surface, { from }: Run): Seat {
  const { distanceFromRoot, leadingEdgeOffset } = surface.stations[from]!;
  const { nose, span, chord } = axesAt(surface, distanceFromRoot, from);
  const origin = plus(nose, plus(times(span, -distanceFromRoot), times(chord, -leadingEdgeOffset)));
  return flatSeat(origin, span, times(chord, -1));
}

/** Where the rear of a reflexed plate is bent up. */
function bendLine({ stations }: Surface, { from, to }: Run): PartLine[] {
  const run = stations.slice(from, to + 1);
  const points = run.flatMap(({ section, distanceFromRoot, leadingEdgeOffset, chord }): Point[] =>
    section.kind === 'reflexed' ? [at(distanceFromRoot, leadingEdgeOffset + section.bendPosition * chord)] : [],
  );
  return points.length === run.length ? [{ kind: 'score', path: openLine(points) }] : [];
}

function textsOf(surface: Surface, { from, to }: Run, words: string): PartText[] {
  const [a, b] = [surface.stations[from]!, surface.stations[to]!];
  const place = a.distanceFromRoot + 0.12 * (b.distanceFromRoot - a.distanceFromRoot);
  const { nose, chord } = edgesAt(surface, place);
  return [{ words, at: at(place, nose + 0.42 * chord), height: Math.min(TEXT, chord / 6), turn: 0 }];
}

/** Right half and its mirror image at the root as one piece. */
function wholeOf({ name, edge, holes, lines, texts }: PartOutline): PartOutline {
  const flipped = (path: Path): Path => ({ ...path, vertices: path.vertices.map(({ x, y }) => ({ x: -x, y })) });
  const right = edge.vertices.filter(({ x }) => x > 1e-9);
  const root = edge.vertices.filter(({ x }) => x <= 1e-9).toSorted((a, b) => b.y - a.y);
  const [top, bottom] = [root[0]!, root.at(-1)!];
  // Anticlockwise from the rear of the root outwards, over the nose, and back on the left.
  const start = edge.vertices.findIndex((vertex) => vertex === bottom);
  const around = [...edge.vertices.slice(start), ...edge.vertices.slice(0, start)].filter((vertex) =>
    right.includes(vertex),
  );
  const points = [bottom, ...around, top, ...around.toReversed().map(({ x, y }) => ({ x: -x, y }))];
  const centre: PartLine = {
    kind: 'mark',
    path: openLine([
      [0, top.y],
      [0, bottom.y],
    ]),
  };
  return {
    name,
    edge: anticlockwise({ vertices: points, isClosed: true }),
    holes: [...holes, ...holes.map(flipped)],
    lines: [...lines, ...lines.map((line) => ({ ...line, path: flipped(line.path) })), centre],
    texts,
  };
}
