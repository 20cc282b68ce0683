import type { Millimetres } from '@/core/1-base/units/convert';
import { boundsOf, flattened, type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import type { Developed, Place3 } from '../../develop';
import { anticlockwise, common, grown, joined } from '../../polygons';
import type { FinFoot } from './finFeet';

/** A strip that is bent round between two frames: both its edges in space and laid flat, point by point from the middle below over the right side and back. */
export interface RoundStrip {
  readonly near: readonly Place3[];
  readonly far: readonly Place3[];
  readonly flat: Developed;
}

/** An ellipse across the body. */
interface Ring {
  readonly half: Millimetres;
  readonly middle: Millimetres;
  readonly high: Millimetres;
}

/** Edges are followed in steps of that [mm]. */
const STEP: Millimetres = 1.5;
/** Areas that meet along the crown grow together by that [mm]. */
const TOGETHER: Millimetres = 0.02;

const ringOf = (points: readonly Place3[]): Ring => {
  const heights = points.map(([, , z]) => z);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  return { half: Math.max(...points.map(([, y]) => y)), middle: (low + high) / 2, high: (high - low) / 2 };
};

/** Where a share of the way between the frames and a turn round the body lies on the flat strip; turn 0 is the right side, a quarter up. */
function laid({ flat }: RoundStrip, share: number, turn: number): Point {
  const last = flat.near.length - 1;
  const place = Math.min(last, Math.max(0, ((turn + Math.PI / 2) / (2 * Math.PI)) * last));
  const before = Math.min(last - 1, Math.floor(place));
  const within = place - before;
  const along = (points: readonly Point[], axis: 0 | 1) =>
    points[before]![axis] + within * (points[before + 1]![axis] - points[before]![axis]);
  const at = (axis: 0 | 1) => along(flat.near, axis) * (1 - share) + along(flat.far, axis) * share;
  return [at(0), at(1)];
}

/** Corners of a path with points between them. */
function dense(path: Path): Point[] {
  const corners = flattened(path, 0.05);
  return corners.flatMap((a, index) => {
    const b = corners[(index + 1) % corners.length]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / STEP));
    return Array.from({ length: steps }, (_, step): Point => [
      a[0] + ((b[0] - a[0]) * step) / steps,
      a[1] + ((b[1] - a[1]) * step) / steps,
    ]);
  });
}

/**
 * What a section that runs through crosswise cuts out of a round shell: where
 * the sides of the shell lie within the section as it is seen from the side,
 * left and right; over the crown or below they become one. Along the middle of
 * the board; the section is taken for the same all across the body.
 * @param section in the axes of the body, x aft and z up, play included
 */
export function crosswiseOpenings(strip: RoundStrip, section: Path): Path[] {
  const [a, b] = [strip.near[0]![0], strip.far[0]![0]];
  const [near, far] = [ringOf(strip.near), ringOf(strip.far)];
  const between = (share: number, key: keyof Ring) => near[key] * (1 - share) + far[key] * share;
  const silhouette = polygon([
    [a, near.middle - near.high],
    [b, far.middle - far.high],
    [b, far.middle + far.high],
    [a, near.middle + near.high],
  ]);
  const sides = common(section, silhouette).flatMap((region) => {
    const points = dense(region).map(([x, z]) => {
      const share = (x - a) / (b - a);
      const sine = (z - between(share, 'middle')) / Math.max(1e-6, between(share, 'high'));
      return { share, turn: Math.asin(Math.min(1, Math.max(-1, sine))) };
    });
    return [
      points.map(({ share, turn }) => laid(strip, share, turn)),
      points.map(({ share, turn }) => laid(strip, share, Math.PI - turn)),
    ];
  });
  return joined(sides.flatMap((points) => grown(anticlockwise(polygon(points)), TOGETHER)));
}

/** The slot or mark of a fin on the crown, or below where it hangs: one piece, below one for each end of the strip. */
export function footprint(strip: RoundStrip, { from, to, half, play }: FinFoot, which: 'top' | 'bottom'): Path[] {
  const [a, b] = [strip.near[0]![0], strip.far[0]![0]];
  const [near, far] = [ringOf(strip.near), ringOf(strip.far)];
  const shares = [Math.max(0, (from - play - a) / (b - a)), Math.min(1, (to + play - a) / (b - a))];
  const wide = (share: number) =>
    Math.asin(Math.min(1, (half + play) / Math.max(1e-6, near.half * (1 - share) + far.half * share)));
  const patch = (turns: (share: number) => readonly [number, number]) => {
    const [ahead, behind] = shares.map((share) => turns(share).map((turn) => laid(strip, share, turn)));
    return anticlockwise(polygon([ahead![0]!, behind![0]!, behind![1]!, ahead![1]!]));
  };
  if (which === 'top') return [patch((share) => [Math.PI / 2 - wide(share), Math.PI / 2 + wide(share)])];
  const seam = [-Math.PI / 2, 1.5 * Math.PI] as const;
  return [patch((share) => [seam[0], seam[0] + wide(share)]), patch((share) => [seam[1] - wide(share), seam[1]])];
}

/** Whether an area lies at a strip at all. */
export function isBeside(strip: RoundStrip, section: Path): boolean {
  const { left, right } = boundsOf([section]);
  return right > strip.near[0]![0] && left < strip.far[0]![0];
}
