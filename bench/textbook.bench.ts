import type { Lattice } from '@/core/5-aero/lattice';
import type { Strip, StripEdge } from '@/core/5-aero/strips';

/**
 * The kernel as a textbook writes it, kept as the yardstick: one full matrix
 * over both halves, every horseshoe by itself, one elimination, velocities at
 * the bound vortices summed anew for every case. Nothing is shared. Wakes are
 * lines everywhere, so it speaks for single surfaces; they follow the chord to
 * the trailing edge and go on straight back or where they are told.
 * Source: Katz & Plotkin, Low-Speed Aerodynamics, 2nd ed., program 14 in words.
 */
type Point = [number, number, number];

interface Panel {
  readonly a: Point;
  readonly b: Point;
  /** Where the legs from a and b leave the board. */
  readonly tailA: Point;
  readonly tailB: Point;
  readonly control: Point;
  readonly force: Point;
  readonly normal: Point;
}

const subtract = (p: Point, q: Point): Point => [p[0] - q[0], p[1] - q[1], p[2] - q[2]];
const dot = (p: Point, q: Point) => p[0] * q[0] + p[1] * q[1] + p[2] * q[2];
const cross = (p: Point, q: Point): Point => [
  p[1] * q[2] - p[2] * q[1],
  p[2] * q[0] - p[0] * q[2],
  p[0] * q[1] - p[1] * q[0],
];
const length = (p: Point) => Math.sqrt(dot(p, p));
const mirror = ([x, y, z]: Point): Point => [x, -y, z];

function panelsOf(lattice: Lattice): Panel[] {
  const right = lattice.strips.flatMap((strip) =>
    Array.from(lattice.cells.vortex, (vortex, k): Panel => {
      const at = (edge: StripEdge, fraction: number): Point => [edge.x + fraction * edge.chord, edge.y, edge.z];
      const a = at(strip.a, vortex);
      const b = at(strip.b, vortex);
      const share = (strip.middle - strip.from) / strip.width;
      return {
        a,
        b,
        tailA: at(strip.a, 1),
        tailB: at(strip.b, 1),
        control: at(strip.m, lattice.cells.control[k]!),
        force: [a[0] + (b[0] - a[0]) * share, strip.m.y, strip.m.z],
        normal: [0, -strip.tangentZ, strip.tangentY],
      };
    }),
  );
  const left = right.map(({ a, b, tailA, tailB, control, force, normal }): Panel => ({
    a: mirror(b),
    b: mirror(a),
    tailA: mirror(tailB),
    tailB: mirror(tailA),
    control: mirror(control),
    force: mirror(force),
    normal: mirror(normal),
  }));
  return [...right, ...left];
}

function segment(p: Point, from: Point, to: Point): Point {
  const r1 = subtract(p, from);
  const r2 = subtract(p, to);
  const n1 = length(r1);
  const n2 = length(r2);
  const facing = n1 * n2 * (n1 * n2 + dot(r1, r2));
  if (facing < 1e-10 * (n1 * n2) ** 2) return [0, 0, 0];
  const factor = (n1 + n2) / (4 * Math.PI * facing);
  const [x, y, z] = cross(r1, r2);
  return [factor * x, factor * y, factor * z];
}

/** Straight back along the datum. */
const ALONG_THE_DATUM: Point = [1, 0, 0];

function halfLine(p: Point, from: Point, along: Point): Point {
  const r = subtract(p, from);
  const [x, y, z] = cross(along, r);
  const across = x * x + y * y + z * z;
  if (across < 1e-18) return [0, 0, 0];
  const factor = (1 + dot(along, r) / length(r)) / (4 * Math.PI * across);
  return [factor * x, factor * y, factor * z];
}

function leg(p: Point, from: Point, tail: Point, wake: Point): Point {
  if (wake === ALONG_THE_DATUM) return halfLine(p, from, wake);
  const board = segment(p, from, tail);
  const behind = halfLine(p, tail, wake);
  return [board[0] + behind[0], board[1] + behind[1], board[2] + behind[2]];
}

function horseshoe(p: Point, { a, b, tailA, tailB }: Panel, wake: Point): Point {
  const bound = segment(p, a, b);
  const inner = leg(p, a, tailA, wake);
  const outer = leg(p, b, tailB, wake);
  return [bound[0] + outer[0] - inner[0], bound[1] + outer[1] - inner[1], bound[2] + outer[2] - inner[2]];
}

/** A piece of a trailing leg on the board, between two vortices or behind the last, and the panels whose legs run there. */
interface LegPiece {
  readonly middle: Point;
  readonly run: Point;
  readonly panels: readonly number[];
}

function legsOf(lattice: Lattice): LegPiece[] {
  const { vortex, count } = lattice.cells;
  const n = lattice.panels;
  return lattice.strips.flatMap((strip, stripIndex) =>
    [-1, 1].flatMap((side) =>
      Array.from(vortex, (from, k): LegPiece[] => {
        const to = vortex[k + 1] ?? 1;
        const edge = side > 0 ? strip.b : strip.a;
        const middle: Point = [edge.x + ((from + to) / 2) * edge.chord, edge.y, edge.z];
        const run: Point = [side * (to - from) * edge.chord, 0, 0];
        const panels = Array.from({ length: k + 1 }, (_, index) => stripIndex * count + index);
        // On the left half the legs change sides.
        const left = { middle: mirror(middle), run: [-run[0], 0, 0] as Point, panels: panels.map((i) => i + n) };
        return [{ middle, run, panels }, left];
      }).flat(),
    ),
  );
}

/** Air that streams past without the aircraft, at a point. */
export type Stream = (p: Point) => Point;

/**
 * Force and moment about the origin, per ρ, for each stream; with the legs on
 * the board, in the whole of the air there, when asked for.
 * @param wake unit vector along which wakes leave the trailing edges
 */
export function solveTextbook(
  lattice: Lattice,
  streams: readonly Stream[],
  withLegs = false,
  wake: Point = ALONG_THE_DATUM,
): { force: Point; moment: Point }[] {
  const panels = panelsOf(lattice);
  const n = panels.length;
  const matrix = panels.map(({ control, normal }) =>
    panels.map((source) => dot(horseshoe(control, source, wake), normal)),
  );
  const right = panels.map(({ control, normal }) => streams.map((stream) => -dot(stream(control), normal)));
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(matrix[i]![k]!) > Math.abs(matrix[pivot]![k]!)) pivot = i;
    [matrix[k], matrix[pivot]] = [matrix[pivot]!, matrix[k]!];
    [right[k], right[pivot]] = [right[pivot]!, right[k]!];
    for (let i = k + 1; i < n; i++) {
      const factor = matrix[i]![k]! / matrix[k]![k]!;
      if (factor === 0) continue;
      for (let j = k; j < n; j++) matrix[i]![j]! -= factor * matrix[k]![j]!;
      for (let j = 0; j < streams.length; j++) right[i]![j]! -= factor * right[k]![j]!;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let c = 0; c < streams.length; c++) {
      let sum = right[i]![c]!;
      for (let j = i + 1; j < n; j++) sum -= matrix[i]![j]! * right[j]![c]!;
      right[i]![c] = sum / matrix[i]![i]!;
    }
  }
  return streams.map((stream, c) => {
    const force: Point = [0, 0, 0];
    const moment: Point = [0, 0, 0];
    const pullAt = (where: Point, run: Point, strength: number) => {
      const air = stream(where);
      for (let j = 0; j < n; j++) {
        const induced = horseshoe(where, panels[j]!, wake);
        for (let axis = 0; axis < 3; axis++) air[axis]! += induced[axis]! * right[j]![c]!;
      }
      const pull = cross(air, run);
      const turn = cross(where, pull);
      for (let axis = 0; axis < 3; axis++) {
        force[axis]! += strength * pull[axis]!;
        moment[axis]! += strength * turn[axis]!;
      }
    };
    panels.forEach(({ force: where, a, b }, i) => pullAt(where, subtract(b, a), right[i]![c]!));
    if (withLegs) {
      for (const { middle, run, panels: carried } of legsOf(lattice)) {
        pullAt(
          middle,
          run,
          carried.reduce((sum, i) => sum + right[i]![c]!, 0),
        );
      }
    }
    return { force, moment };
  });
}

/** Ten cases, as many as a whole analysis needs. */
export const TEN_STREAMS: readonly Stream[] = Array.from({ length: 10 }, (_, index) => (p: Point): Point => [
  1,
  index > 5 ? 0.02 * index : 0,
  0.05 + 0.01 * index * p[1],
]);

export type { Strip };
