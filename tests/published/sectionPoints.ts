import type { Contour } from '@/core/3-shape/section/faces';

type Point = readonly [x: number, y: number];

/** Places along the chord, denser at both ends. */
const cosine = (count: number) =>
  Array.from({ length: count + 1 }, (_, index) => (1 - Math.cos((Math.PI * index) / count)) / 2);

const round = (xs: readonly number[], face: (x: number, side: 1 | -1) => Point): Point[] => [
  ...xs.toReversed().map((x) => face(x, 1)),
  ...xs.slice(1).map((x) => face(x, -1)),
];

/** Points round a contour, so many along each face. */
export function pointsOf({ x, upper, lower }: Contour, count: number): Point[] {
  const between = (face: Float64Array, at: number) => {
    const after = Math.max(
      1,
      x.findIndex((place) => place >= at),
    );
    const share = (at - x[after - 1]!) / (x[after]! - x[after - 1]!);
    return face[after - 1]! + (face[after]! - face[after - 1]!) * share;
  };
  return round(cosine(count), (at, side) => [at, between(side === 1 ? upper : lower, at)]);
}

/** The section 4412, thickness square to its camber line (NACA Report 460). @param isClosed its edge brought together */
export function section4412(count: number, isClosed: boolean): Point[] {
  const [camber, place, thickness] = [0.04, 0.4, 0.12];
  const half = (x: number) =>
    5 *
    thickness *
    (0.2969 * Math.sqrt(x) - 0.126 * x - 0.3516 * x ** 2 + 0.2843 * x ** 3 - (isClosed ? 0.1036 : 0.1015) * x ** 4);
  const ahead = (x: number) => x < place;
  const line = (x: number) =>
    ahead(x)
      ? (camber / place ** 2) * (2 * place * x - x ** 2)
      : (camber / (1 - place) ** 2) * (1 - 2 * place + 2 * place * x - x ** 2);
  const slope = (x: number) => (camber / (ahead(x) ? place : 1 - place) ** 2) * 2 * (place - x);
  return round(cosine(count), (x, side) => {
    const angle = Math.atan(slope(x));
    return [x - side * half(x) * Math.sin(angle), line(x) + side * half(x) * Math.cos(angle)];
  });
}
