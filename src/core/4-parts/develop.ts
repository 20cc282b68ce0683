import type { Point } from '@/core/3-shape/outline/path';

/** A place in space [mm]. */
export type Place3 = readonly [number, number, number];

const apart = (a: Place3, b: Place3): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The corner of a triangle over two flat points, at its distances from both, to the left of the way from a to b. */
function corner(a: Point, b: Point, fromA: number, fromB: number): Point {
  const base = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (base < 1e-9) return [a[0], a[1]];
  const along = (fromA ** 2 - fromB ** 2 + base ** 2) / (2 * base);
  const up = Math.sqrt(Math.max(0, fromA ** 2 - along ** 2));
  const [ex, ey] = [(b[0] - a[0]) / base, (b[1] - a[1]) / base];
  return [a[0] + along * ex - up * ey, a[1] + along * ey + up * ex];
}

/** Both edges of a skin laid flat. */
export interface Developed {
  readonly near: readonly Point[];
  readonly far: readonly Point[];
}

/**
 * Lays a skin flat that is spanned by straight lines between two edges with as
 * many points each: pair by pair two triangles, all their sides kept, so that
 * the length of either edge and of every line across stays what it is. Exact
 * for cones and cylinders; a skin that is twisted besides is bent by what it
 * differs. The first line lies along x, the skin grows to +y. Source:
 * triangulation of developable surfaces, Pottmann & Wallner, ch. 6.
 */
export function develop(near: readonly Place3[], far: readonly Place3[]): Developed {
  const flatNear: Point[] = [[0, 0]];
  const flatFar: Point[] = [[apart(near[0]!, far[0]!), 0]];
  for (let index = 1; index < near.length; index++) {
    const [a, b] = [flatNear[index - 1]!, flatFar[index - 1]!];
    const nextNear = corner(a, b, apart(near[index - 1]!, near[index]!), apart(far[index - 1]!, near[index]!));
    flatNear.push(nextNear);
    // From the new near point to the last far one the far edge goes on to the same side.
    const nextFar = corner(nextNear, b, apart(near[index]!, far[index]!), apart(far[index - 1]!, far[index]!));
    flatFar.push(nextFar);
  }
  return { near: flatNear, far: flatFar };
}
