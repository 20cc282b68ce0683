import type { Millimetres } from '@/core/1-base/units/convert';
import type { Point } from '@/core/3-shape/outline/path';
import type { Place3 } from './develop';

/** A stretch of a part that is flat in space: from an x of its outline on, or from a y. */
export interface Facet {
  readonly from: Millimetres;
  /** The y of the outline that it begins at; all of them without it. */
  readonly above?: Millimetres;
  /** The y of the outline that lies at its origin; 0 without it. */
  readonly level?: Millimetres;
  /** Where [from, level] of the outline lies [mm], document axes: x aft, y right, z up. */
  readonly origin: Place3;
  /** Where the x and the y of the outline point to; of length one. */
  readonly along: Place3;
  readonly up: Place3;
}

/** Where the middle of the board of a part lies in the aircraft: its right or only copy. */
export type Seat = readonly [Facet, ...Facet[]];

/** A place of an outline in space [mm]. */
export function placeIn(seat: Seat, [x, y]: Point): Place3 {
  return placeOnFacet(
    seat.findLast((facet) => x >= facet.from - 1e-9 && y >= (facet.above ?? -Infinity) - 1e-9) ?? seat[0],
    [x, y],
  );
}

/** The same on one of its stretches. */
export function placeOnFacet({ from, level = 0, origin, along, up }: Facet, [x, y]: Point): Place3 {
  const at = (axis: 0 | 1 | 2) => origin[axis] + (x - from) * along[axis] + (y - level) * up[axis];
  return [at(0), at(1), at(2)];
}

/** A flat part by the place of its origin and where its axes point. */
export const flatSeat = (origin: Place3, along: Place3, up: Place3): Seat => [{ from: 0, origin, along, up }];

export const times = ([x, y, z]: Place3, factor: number): Place3 => [x * factor, y * factor, z * factor];
export const plus = ([a, b, c]: Place3, [x, y, z]: Place3): Place3 => [a + x, b + y, c + z];
export const towards = (from: Place3, to: Place3): Place3 => {
  const way: Place3 = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  return times(way, 1 / (Math.hypot(...way) || 1));
};
