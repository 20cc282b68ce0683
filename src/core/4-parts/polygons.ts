import {
  difference,
  FillRule,
  inflatePaths,
  JoinType,
  simplifyPath,
  EndType,
  intersect,
  type Paths64,
  union,
} from './clipper';
import type { Millimetres } from '@/core/1-base/units/convert';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { areaOf, flattened, type Path, type Point, polygon, reversed } from '@/core/3-shape/outline/path';

/** Whole numbers for the library: thousandths of a millimetre. */
const FINE = 1000;
/** How far an arc may be off [mm]. */
const TOLERANCE = 0.02;
/** Corners nearer than that to a straight line are none, in thousandths of a millimetre. */
const STRAIGHT = 4;
/** Slivers smaller than this are none [mm²]. */
const LEAST_AREA = 0.5;

const into = (path: Path): Paths64[number] =>
  flattened(path, TOLERANCE).map(([x, y]) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }));
const out = (paths: Paths64, straight = STRAIGHT): Path[] =>
  paths
    .map((path) => simplifyPath(path, straight, true))
    .map((path) => polygon(path.map(({ x, y }): Point => [Number(x) / FINE, Number(y) / FINE])))
    .filter((path) => Math.abs(areaOf(path)) > LEAST_AREA);

/** An area without corners that lie on a straight line as nearly as arcs do: what is cut next is quicker for it. */
export const straightened = (path: Path): Path => out([into(path)], TOLERANCE * FINE)[0] ?? path;

/** The same area walked anticlockwise (edge) or clockwise (hole). */
export const anticlockwise = (path: Path): Path => (areaOf(path) < 0 ? reversed(path) : path);
export const clockwise = (path: Path): Path => (areaOf(path) > 0 ? reversed(path) : path);

/** An edge with the holes in it. */
export interface Region {
  readonly edge: Path;
  readonly holes: readonly Path[];
}

/** What is left of an area when others are cut out of it: the largest piece with its holes; null where nothing is. */
export function cutOut({ edge, holes }: Region, cuts: readonly Path[]): Region | null {
  if (cuts.length === 0) return { edge, holes };
  const left = out(
    difference(
      [into(anticlockwise(edge)), ...holes.map((hole) => into(clockwise(hole)))],
      cuts.map((cut) => into(anticlockwise(cut))),
      FillRule.NonZero,
    ),
  );
  const edges = left.filter((path) => areaOf(path) > 0).toSorted((a, b) => areaOf(b) - areaOf(a));
  const [largest] = edges;
  if (!largest) return null;
  const within = left.filter((path) => areaOf(path) < 0);
  return { edge: largest, holes: within };
}

/** How many pieces are left of an area when others are cut out of it. */
export const piecesLeft = (edge: Path, cuts: readonly Path[]): number =>
  out(
    difference(
      [into(anticlockwise(edge))],
      cuts.map((cut) => into(anticlockwise(cut))),
      FillRule.NonZero,
    ),
  ).filter((path) => areaOf(path) > 0).length;

/** How many times as far as it is grown a corner may reach. */
export const MITRE = 4;

/** An area grown all round, or shrunk where negative; corners stay corners. */
export const grown = (path: Path, by: Millimetres): Path[] =>
  out(inflatePaths([into(anticlockwise(path))], by * FINE, JoinType.Miter, EndType.Polygon, MITRE)).filter(
    (one) => areaOf(one) > 0,
  );

/** An outline as a tool runs that takes a kerf away: edges half of it farther out, holes half of it farther in. */
export function asTooled(outline: PartOutline, kerf: Millimetres): PartOutline {
  if (kerf <= 0) return outline;
  const [edge] = grown(outline.edge, kerf / 2);
  return {
    ...outline,
    edge: edge ?? outline.edge,
    holes: outline.holes.flatMap((hole) => grown(hole, -kerf / 2).map(clockwise)),
  };
}

/** Areas as one, where they overlap. */
export const joined = (paths: readonly Path[]): Path[] =>
  out(
    union(
      paths.map((path) => into(anticlockwise(path))),
      FillRule.NonZero,
    ),
  ).filter((path) => areaOf(path) > 0);

export const common = (a: Path, b: Path): Path[] =>
  out(intersect([into(anticlockwise(a))], [into(anticlockwise(b))], FillRule.NonZero)).filter(
    (path) => areaOf(path) > 0,
  );

/** What of a region lies within another path: every piece with its own holes. */
export function regionsWithin({ edge, holes }: Region, within: Path): Region[] {
  const left = out(
    intersect(
      [into(anticlockwise(edge)), ...holes.map((hole) => into(clockwise(hole)))],
      [into(anticlockwise(within))],
      FillRule.NonZero,
    ),
  );
  const openings = left.filter((path) => areaOf(path) < 0);
  return left
    .filter((path) => areaOf(path) > 0)
    .map((piece) => ({ edge: piece, holes: openings.filter((hole) => common(piece, hole).length > 0) }));
}

/** The room for the middle of something round within an edge: so far from it and from all that is in the way; edges and holes of what is left. */
export function roomWithin(edge: Path, obstacles: readonly Path[], apart: Millimetres): Path[] {
  const free = difference(
    [into(anticlockwise(edge))],
    obstacles.map((path) => into(anticlockwise(path))),
    FillRule.NonZero,
  );
  return out(inflatePaths(free, -apart * FINE, JoinType.Round, EndType.Polygon));
}

/** A strip along an open line, so far to either side and beyond its ends. */
export const strip = (line: Path, half: Millimetres): Path[] =>
  out(inflatePaths([into(line)], half * FINE, JoinType.Miter, EndType.Square)).filter((one) => areaOf(one) > 0);

/** An area without what of it is narrower than twice so much; nothing where nothing is left. */
export function withoutSlivers(path: Path, half: Millimetres): Path {
  const [core] = grown(path, -half);
  const [opened] = core ? grown(core, half) : [];
  return opened ?? path;
}

/** Lowest and highest place of a closed path over each of some x, which rise. */
export function spansAt(
  { vertices }: Path,
  xs: readonly Millimetres[],
): { readonly low: Float64Array; readonly high: Float64Array } {
  const low = new Float64Array(xs.length).fill(Infinity);
  const high = new Float64Array(xs.length).fill(-Infinity);
  let b = vertices.at(-1)!;
  for (const a of vertices) {
    const [left, right] = a.x < b.x ? [a, b] : [b, a];
    const slope = (right.y - left.y) / (right.x - left.x);
    for (let index = left.x < right.x ? firstFrom(xs, left.x) : xs.length; xs[index]! <= right.x; index++) {
      const y = left.y + slope * (xs[index]! - left.x);
      if (y < low[index]!) low[index] = y;
      if (y > high[index]!) high[index] = y;
    }
    b = a;
  }
  return { low, high };
}

/** Place of the first of rising numbers that is not below another. */
function firstFrom(xs: readonly number[], from: number): number {
  let [first, end] = [0, xs.length];
  while (first < end) {
    const middle = (first + end) >> 1;
    if (xs[middle]! < from) first = middle + 1;
    else end = middle;
  }
  return first;
}

/** Lowest and highest place of a closed path over an x. */
export function spanAt(path: Path, x: Millimetres): readonly [Millimetres, Millimetres] {
  const { low, high } = spansAt(path, [x]);
  return [low[0]!, high[0]!];
}
