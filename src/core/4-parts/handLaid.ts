import type { Millimetres, Radians } from '@/core/1-base/units/convert';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { areaOf, type Bounds } from '@/core/3-shape/outline/path';
import { laidAt, type LaidPart, type LaidSheet } from './layout';
import type { LaidPose } from './nesting/nest';
import { common } from './polygons';

/** A part as it would lie in another pose. */
export const inPose = (part: LaidPart, pose: LaidPose): LaidPart => ({
  ...part,
  pose,
  outline: laidAt(part.drawn, pose),
});

/** What may overlap without a blade noticing [mm²]. */
const NOTHING = 0.5;

/** Places in the list of parts that lie on another, or over the edge of their sheet. */
export function clashesOn({ parts, length, width }: Pick<LaidSheet, 'parts' | 'length' | 'width'>): Set<number> {
  const bounds = parts.map(({ outline }) => boundsOfPart(outline));
  const clashes = new Set<number>();
  bounds.forEach((own, index) => {
    if (own.left < 0 || own.bottom < 0 || own.right > length || own.top > width) clashes.add(index);
    for (let other = index + 1; other < parts.length; other++) {
      if (!touch(own, bounds[other]!)) continue;
      const shared = common(parts[index]!.outline.edge, parts[other]!.outline.edge);
      if (shared.some((path) => areaOf(path) > NOTHING)) clashes.add(index).add(other);
    }
  });
  return clashes;
}

const touch = (a: Bounds, b: Bounds): boolean =>
  a.left < b.right && b.left < a.right && a.bottom < b.top && b.bottom < a.top;

/** How far on either axis a part is drawn in to line up with what lies there. */
export interface SnapReach {
  readonly reach: Millimetres;
  readonly margin: Millimetres;
}

/**
 * The pose drawn in so that the box round the part lines up with the margin of
 * its sheet, or lies level with or one gap beside the box of another part.
 */
export function snapped(sheet: LaidSheet, index: number, pose: LaidPose, { reach, margin }: SnapReach): LaidPose {
  const { length, width, gap, parts } = sheet;
  const own = boundsOfPart(laidAt(parts[index]!.drawn, pose));
  const others = parts.filter((_, place) => place !== index).map(({ outline }) => boundsOfPart(outline));
  const near = (lines: readonly (readonly [mine: Millimetres, theirs: Millimetres])[]): Millimetres =>
    lines
      .map(([mine, theirs]) => theirs - mine)
      .filter((way) => Math.abs(way) <= reach)
      .reduce((best, way) => (Math.abs(way) < Math.abs(best) ? way : best), Infinity);
  const along = near([
    [own.left, margin],
    [own.right, length - margin],
    ...others
      .filter(({ bottom, top }) => own.bottom < top + gap && bottom < own.top + gap)
      .flatMap(({ left, right }) => [[own.left, right + gap] as const, [own.right, left - gap] as const]),
    ...others.flatMap(({ left, right }) => [[own.left, left] as const, [own.right, right] as const]),
  ]);
  const across = near([
    [own.bottom, margin],
    [own.top, width - margin],
    ...others
      .filter(({ left, right }) => own.left < right + gap && left < own.right + gap)
      .flatMap(({ bottom, top }) => [[own.bottom, top + gap] as const, [own.top, bottom - gap] as const]),
    ...others.flatMap(({ bottom, top }) => [[own.bottom, bottom] as const, [own.top, top] as const]),
  ]);
  return {
    ...pose,
    x: pose.x + (Number.isFinite(along) ? along : 0),
    y: pose.y + (Number.isFinite(across) ? across : 0),
  };
}

const middleOf = ({ left, right, bottom, top }: Bounds) => [(left + right) / 2, (bottom + top) / 2] as const;

/** A pose changed so that the middle of the box round the part stays where it is. */
function aboutMiddle(part: LaidPart, pose: LaidPose): LaidPose {
  const [before, after] = [middleOf(boundsOfPart(part.outline)), middleOf(boundsOfPart(laidAt(part.drawn, pose)))];
  return { ...pose, x: pose.x + before[0] - after[0], y: pose.y + before[1] - after[1] };
}

/** Turned by a quarter; by a half where the grain has to run along it. */
export function turned(part: LaidPart): LaidPose {
  const by: Radians = part.isAlongGrain ? Math.PI : Math.PI / 2;
  const turn = (part.pose.turn + by) % (2 * Math.PI);
  return aboutMiddle(part, { ...part.pose, turn });
}

/** Turned over, where its faces are alike; null where they are not. */
export const turnedOver = (part: LaidPart): LaidPose | null =>
  part.mayFlip ? aboutMiddle(part, { ...part.pose, isMirrored: !part.pose.isMirrored }) : null;
