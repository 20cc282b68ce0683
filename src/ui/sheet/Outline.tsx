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

/** Corners of what looks round about a place: `points` of a polygon. @param radius [px] */
export function around(x: number, y: number, radius: number, corners: number): string {
  const turn = (2 * Math.PI) / corners;
  const at = (value: number) => Math.round(value * 100) / 100;
  return Array.from(
    { length: corners },
    (_, index) => `${at(x + radius * Math.cos(index * turn))},${at(y + radius * Math.sin(index * turn))}`,
  ).join(' ');
}
