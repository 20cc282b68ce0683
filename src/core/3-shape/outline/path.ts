import type { Millimetres, Radians, SquareMillimetres } from '@/core/1-base/units/convert';

/**
 * A line of corners and arcs in a plane [mm]. Between a vertex and the next
 * runs a straight line, or the arc whose bulge the vertex carries: the tangent
 * of a quarter of the angle it turns through, positive anticlockwise, 1 for
 * half a circle (as in drawing exchange files).
 */
export interface Vertex {
  readonly x: Millimetres;
  readonly y: Millimetres;
  readonly bulge?: number;
}

export interface Path {
  readonly vertices: readonly Vertex[];
  readonly isClosed: boolean;
}

export type Point = readonly [Millimetres, Millimetres];

const through = (points: readonly Point[], isClosed: boolean): Path => ({
  vertices: points.map(([x, y]) => ({ x, y })),
  isClosed,
});

export const polygon = (points: readonly Point[]): Path => through(points, true);
export const openLine = (points: readonly Point[]): Path => through(points, false);

/** Upright, anticlockwise. */
export const rectangle = (left: Millimetres, bottom: Millimetres, right: Millimetres, top: Millimetres): Path =>
  polygon([
    [left, bottom],
    [right, bottom],
    [right, top],
    [left, top],
  ]);

/** A whole circle as two half turns. */
export const circle = ([x, y]: Point, radius: Millimetres): Path => ({
  vertices: [
    { x: x - radius, y, bulge: 1 },
    { x: x + radius, y, bulge: 1 },
  ],
  isClosed: true,
});

/** One piece of a path: a chord from a to b and the bulge of the arc over it. */
export interface Piece {
  readonly a: Vertex;
  readonly b: Vertex;
  readonly bulge: number;
}

export function pieces({ vertices, isClosed }: Path): Piece[] {
  const count = isClosed ? vertices.length : vertices.length - 1;
  return Array.from({ length: Math.max(0, count) }, (_, index) => {
    const a = vertices[index]!;
    return { a, b: vertices[(index + 1) % vertices.length]!, bulge: a.bulge ?? 0 };
  });
}

/** The circle that an arc lies on. Null for straight pieces. */
export interface Arc {
  readonly centre: Point;
  readonly radius: Millimetres;
  /** Direction from the centre to the start [rad], and the angle turned, anticlockwise positive. */
  readonly start: Radians;
  readonly turn: Radians;
}

/** With chord c and bulge t: radius c(1 + t²)/(4|t|), turn 4 atan t. */
export function arcOf({ a, b, bulge }: Piece): Arc | null {
  if (bulge === 0) return null;
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  // From the middle of the chord, to the left of its direction.
  const rise = (1 - bulge * bulge) / (4 * bulge);
  const centre: Point = [(a.x + b.x) / 2 - dy * rise, (a.y + b.y) / 2 + dx * rise];
  return {
    centre,
    radius: (Math.hypot(dx, dy) * (1 + bulge * bulge)) / (4 * Math.abs(bulge)),
    start: Math.atan2(a.y - centre[1], a.x - centre[0]),
    turn: 4 * Math.atan(bulge),
  };
}

export function lengthOf(path: Path): Millimetres {
  return pieces(path).reduce((sum, piece) => {
    const arc = arcOf(piece);
    return sum + (arc ? arc.radius * Math.abs(arc.turn) : Math.hypot(piece.b.x - piece.a.x, piece.b.y - piece.a.y));
  }, 0);
}

/** Area within a closed path, anticlockwise positive: polygon of the chords plus r²(θ − sin θ)/2 over each arc. */
export function areaOf(path: Path): SquareMillimetres {
  return pieces(path).reduce((sum, piece) => {
    const { a, b } = piece;
    const arc = arcOf(piece);
    const segment = arc ? (arc.radius ** 2 * (arc.turn - Math.sin(arc.turn))) / 2 : 0;
    return sum + (a.x * b.y - b.x * a.y) / 2 + segment;
  }, 0);
}

export interface Bounds {
  readonly left: Millimetres;
  readonly right: Millimetres;
  readonly bottom: Millimetres;
  readonly top: Millimetres;
}

/** Smallest upright box around paths, arcs included. */
export function boundsOf(paths: readonly Path[]): Bounds {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = (x: Millimetres, y: Millimetres) => {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  };
  for (const path of paths) {
    for (const { x, y } of path.vertices) take(x, y);
    if (!path.vertices.some(({ bulge }) => bulge)) continue;
    for (const piece of pieces(path)) for (const [x, y] of quarters(piece)) take(x, y);
  }
  return { left, right, bottom, top };
}

/** Where an arc reaches furthest right, up, left and down, as far as it passes there. */
function quarters(piece: Piece): Point[] {
  const arc = arcOf(piece);
  if (!arc) return [];
  const { centre, radius, start, turn } = arc;
  return [0, 1, 2, 3].flatMap((quarter): Point[] => {
    const angle = (quarter * Math.PI) / 2;
    const along = Math.sign(turn) * (angle - start);
    const within = along - 2 * Math.PI * Math.floor(along / (2 * Math.PI));
    return within <= Math.abs(turn)
      ? [[centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)]]
      : [];
  });
}

/** A move, turn, mirror image or change of size: what keeps circles round. */
export interface Similarity {
  readonly scale?: number;
  /** Turned anticlockwise [rad], after the mirror. */
  readonly turn?: Radians;
  /** Mirrored at the x axis, before all else. */
  readonly isMirrored?: boolean;
  readonly by?: Point;
}

export function transformed({ vertices, isClosed }: Path, similarity: Similarity): Path {
  const { scale = 1, turn = 0, isMirrored = false, by = [0, 0] } = similarity;
  const [cosine, sine] = [scale * Math.cos(turn), scale * Math.sin(turn)];
  const side = isMirrored ? -1 : 1;
  return {
    isClosed,
    vertices: vertices.map(({ x, y, bulge }) => ({
      x: x * cosine - side * y * sine + by[0],
      y: x * sine + side * y * cosine + by[1],
      ...(bulge === undefined ? {} : { bulge: side * bulge }),
    })),
  };
}

/** The mirror image at the x axis, such as the left half of what is drawn as the right one. */
export const mirrored = (path: Path): Path => transformed(path, { isMirrored: true });

/** The same line walked the other way. */
export function reversed({ vertices, isClosed }: Path): Path {
  const back = [...vertices].reverse();
  const bulges = isClosed ? [...back.slice(1), back[0]!] : back.slice(1);
  return {
    isClosed,
    vertices: back.map(({ x, y }, index) => {
      const bulge = bulges[index]?.bulge;
      return bulge === undefined ? { x, y } : { x, y, bulge: -bulge };
    }),
  };
}

/** Corners of a polyline that leaves the path nowhere by more than a tolerance [mm]: sagitta r(1 − cos(θ/2n)). */
export function flattened(path: Path, tolerance: Millimetres): Point[] {
  const { vertices, isClosed } = path;
  const points: Point[] = [];
  vertices.forEach((a, index) => {
    points.push([a.x, a.y]);
    const b = vertices[index + 1] ?? (isClosed ? vertices[0] : undefined);
    if (!a.bulge || !b) return;
    const arc = arcOf({ a, b, bulge: a.bulge });
    if (!arc) return;
    const step = 2 * Math.acos(Math.max(0, 1 - Math.min(tolerance / arc.radius, 1)));
    const count = Math.max(1, Math.ceil(Math.abs(arc.turn) / step));
    for (let part = 1; part < count; part++) {
      const angle = arc.start + (arc.turn * part) / count;
      points.push([arc.centre[0] + arc.radius * Math.cos(angle), arc.centre[1] + arc.radius * Math.sin(angle)]);
    }
  });
  return points;
}
