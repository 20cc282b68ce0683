import type { SVGProps } from 'react';

/** One line after another from one place, closed or not: M and L with places as they are. */
const STRAIGHT = /^M([^A-Za-z]+(?:L[^A-Za-z]+)*)(Z?)$/;

interface OutlineProps extends Omit<SVGProps<SVGElement>, 'ref' | 'points'> {
  readonly d: string;
}

/**
 * A path that is drawn anew in a drag. The data of a path is a matter of style
 * to a browser, and worked out with all that applies to it; the corners of a
 * polygon are not. So what is straight is drawn as one.
 */
export function Outline({ d, ...looks }: OutlineProps) {
  const [, places, end] = STRAIGHT.exec(d) ?? [];
  if (places === undefined) return <path d={d} {...(looks as SVGProps<SVGPathElement>)} />;
  const points = places.replaceAll('L', ' ').trim();
  return end === 'Z' ? (
    <polygon points={points} {...(looks as SVGProps<SVGPolygonElement>)} />
  ) : (
    <polyline points={points} {...(looks as SVGProps<SVGPolylineElement>)} />
  );
}

type Direction = readonly [right: number, down: number];

/** Where the corners of a polygon lie about its middle, by how many it has. */
const directions = new Map<number, readonly Direction[]>();

function directionsOf(corners: number): readonly Direction[] {
  const known = directions.get(corners);
  if (known) return known;
  const turn = (2 * Math.PI) / corners;
  const made = Array.from({ length: corners }, (_, index): Direction => [
    Math.cos(index * turn),
    Math.sin(index * turn),
  ]);
  directions.set(corners, made);
  return made;
}

const inHundredths = (value: number) => Math.round(value * 100) / 100;

/** Corners of what looks round about a place: `points` of a polygon. @param radius [px] */
export const around = (x: number, y: number, radius: number, corners: number): string =>
  directionsOf(corners)
    .map(([right, down]) => `${inHundredths(x + radius * right)},${inHundredths(y + radius * down)}`)
    .join(' ');
