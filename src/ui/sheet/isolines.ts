import { contours } from 'd3-contour';
import type { Places } from './scale';

/** Numbers over a rectangle of evenly spread places: a row for each place across, NaN where not known. */
export interface Field {
  readonly across: readonly number[];
  readonly up: readonly number[];
  /** [place across][place up] */
  readonly values: readonly (readonly number[])[];
}

type Ring = readonly (readonly number[])[];

const isWhole = ({ values }: Field) => values.every((row) => row.every(Number.isFinite));

/** Rings around what is at least so much, in steps of the grid from its first corner. */
function ringsOf({ across, up, values }: Field, level: number): Ring[] {
  const flat = up.flatMap((_, j) => across.map((_place, i) => values[i]![j]!));
  const found = contours().size([across.length, up.length]).contour(flat, level);
  return found.coordinates.flat().map((ring) => ring.map(([i, j]) => [i! - 0.5, j! - 0.5]));
}

/** From steps of the grid to its numbers; half a step beyond the edge is the edge. */
function placeOn(values: readonly number[], step: number): number {
  const held = Math.min(values.length - 1, Math.max(0, step));
  const before = Math.min(values.length - 2, Math.floor(held));
  return values[before]! + (values[before + 1]! - values[before]!) * (held - before);
}

/** Lines of equal value; those along the edge of what is known are none. */
export function isolines(field: Field, level: number): Places[] {
  if (!isWhole(field)) return [];
  const [n, m] = [field.across.length, field.up.length];
  const isEdge = ([i, j]: readonly number[]) => i! < 0 || j! < 0 || i! > n - 1 || j! > m - 1;
  const lines: [number, number][][] = [];
  for (const ring of ringsOf(field, level)) {
    // Begin behind an edge, so that no line is cut where its ring closes.
    const start = Math.max(0, ring.findIndex(isEdge));
    const turned = [...ring.slice(start), ...ring.slice(0, start)];
    let line: [number, number][] = [];
    for (const point of [...turned, turned[0]!]) {
      if (!isEdge(point)) line.push([placeOn(field.across, point[0]!), placeOn(field.up, point[1]!)]);
      else {
        if (line.length > 1) lines.push(line);
        line = [];
      }
    }
    if (line.length > 1) lines.push(line);
  }
  return lines;
}

/** Rings around everything between two levels, to be filled by the even-odd rule. */
export function between(field: Field, low: number, high: number): Places[] {
  if (!isWhole(field)) return [];
  return [low, high].flatMap((level) =>
    ringsOf(field, level).map((ring) =>
      ring.map(([i, j]) => [placeOn(field.across, i!), placeOn(field.up, j!)] as const),
    ),
  );
}
