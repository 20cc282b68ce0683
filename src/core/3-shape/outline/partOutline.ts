import type { Millimetres, Radians } from '@/core/1-base/units/convert';
import { areaOf, type Bounds, boundsOf, flattened, type Path, type Point, type Similarity, transformed } from './path';

/** What a line on a part is for: how it is worked, or what it marks. */
export type LineKind = 'cut' | 'score' | 'dent' | 'peel' | 'bevel' | 'hinge' | 'mark';

export interface PartLine {
  readonly kind: LineKind;
  readonly path: Path;
}

/** Words on a part: where they begin, how tall, turned by how much. */
export interface PartText {
  readonly words: string;
  readonly at: Point;
  readonly height: Millimetres;
  readonly turn: Radians;
}

/** One part as it is cut: its edge, what is cut out of it, the lines and words on it. */
export interface PartOutline {
  readonly name: string;
  /** Closed, anticlockwise. */
  readonly edge: Path;
  /** Closed, clockwise. */
  readonly holes: readonly Path[];
  readonly lines: readonly PartLine[];
  readonly texts: readonly PartText[];
}

/** Board that is left [mm²]. */
export const areaOfPart = ({ edge, holes }: PartOutline): number =>
  [edge, ...holes].reduce((sum, path) => sum + areaOf(path), 0);

export const boundsOfPart = ({ edge }: PartOutline): Bounds => boundsOf([edge]);

/** The part moved, turned, mirrored or scaled; edges and holes keep their sense. */
export function transformedPart(part: PartOutline, similarity: Similarity, reverse: (path: Path) => Path): PartOutline {
  const { scale = 1, turn = 0, isMirrored = false } = similarity;
  const moved = (path: Path) => transformed(path, similarity);
  const kept = (path: Path) => (isMirrored ? reverse(moved(path)) : moved(path));
  return {
    ...part,
    edge: kept(part.edge),
    holes: part.holes.map(kept),
    lines: part.lines.map((line) => ({ ...line, path: moved(line.path) })),
    texts: part.texts.map((text) => {
      const { x, y } = moved({ vertices: [{ x: text.at[0], y: text.at[1] }], isClosed: false }).vertices[0]!;
      return { ...text, at: [x, y], height: text.height * scale, turn: (isMirrored ? -text.turn : text.turn) + turn };
    }),
  };
}

/** How far an arc may be off when crossings are looked for [mm]. */
const FINE = 0.05;
/** Corners nearer than this are one [mm]. */
const ONE_POINT = 1e-6;

/** What is wrong with an outline, in words; none for one that can be cut. */
export function outlineFaults({ name, edge, holes, lines }: PartOutline): string[] {
  const faults: string[] = [];
  const check = (path: Path, what: string, sense: 1 | -1) => {
    if (path.vertices.length < 2) faults.push(`${what} of ${name} has no area: it needs corners.`);
    if (!path.isClosed) faults.push(`${what} of ${name} is not closed.`);
    if (path.vertices.some(({ x, y, bulge = 0 }) => ![x, y, bulge].every(Number.isFinite)))
      faults.push(`${what} of ${name} has a corner that is no number.`);
    else if (Math.sign(areaOf(path)) !== sense) faults.push(`${what} of ${name} runs the wrong way round.`);
    else if (crossesItself(path)) faults.push(`${what} of ${name} crosses itself.`);
  };
  check(edge, 'The edge', 1);
  const isWithin = insideOf(edge);
  holes.forEach((hole, index) => {
    check(hole, `Hole ${index + 1}`, -1);
    if (faults.length === 0 && !flattened(hole, FINE).every(isWithin))
      faults.push(`Hole ${index + 1} of ${name} lies outside its edge.`);
  });
  lines.forEach(({ kind, path }) => {
    if (path.vertices.length < 2) faults.push(`A ${kind} line of ${name} has no length.`);
  });
  return faults;
}

type Side = readonly [Point, Point];

const sidesOf = (path: Path): Side[] => {
  const points = flattened(path, FINE);
  return points.map((point, index): Side => [point, points[(index + 1) % points.length]!]);
};

const turnOf = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

/** Two sides that are not neighbours cross, ends not counted. */
function crossesItself(path: Path): boolean {
  const sides = sidesOf(path).filter(([a, b]) => Math.hypot(b[0] - a[0], b[1] - a[1]) > ONE_POINT);
  const crosses = ([a, b]: Side, [c, d]: Side) =>
    turnOf(a, b, c) * turnOf(a, b, d) < -ONE_POINT && turnOf(c, d, a) * turnOf(c, d, b) < -ONE_POINT;
  return sides.some((side, index) => sides.slice(index + 1).some((other) => crosses(side, other)));
}

/** Whether a point lies within a closed path: an odd number of sides to its right. */
export const isInside = (point: Point, path: Path): boolean => insideOf(path)(point);

/** The same for many points: its sides are worked out once. */
export function insideOf(path: Path): (point: Point) => boolean {
  const sides = sidesOf(path);
  return ([x, y]) => {
    let inside = false;
    for (const [[ax, ay], [bx, by]] of sides) {
      if (ay > y === by > y) continue;
      if (x < ax + ((y - ay) * (bx - ax)) / (by - ay)) inside = !inside;
    }
    return inside;
  };
}
