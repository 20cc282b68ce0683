import type { Extents } from '@/core/3-shape/outline/extents';
import { mirrored, type Path } from '@/core/3-shape/outline/path';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import type { Zoom } from './useZoom';

const PADDING = 46;
/** A view from the side alone is low: its dimension stands under it, nothing above. */
const LOW_PADDING = 30;
/** Between the two views [px]. */
const GAP = 44;

/** Where things of the document [mm] lie on the paper [px]: plan above, side below, one lengthwise scale. */
export interface PlanFrame {
  readonly width: number;
  readonly height: number;
  /** Pixels per millimetre. */
  readonly scale: number;
  readonly extents: Extents;
  readonly whole: boolean;
  /** Only the view from the side is drawn. */
  readonly sideOnly: boolean;
  readonly centreLine: number;
  readonly u: (x: number) => number;
  readonly plan: (y: number) => number;
  readonly side: (z: number) => number;
  readonly path: (path: Path, vertical: (v: number) => number) => string;
  /** The right half, and the left one where both are drawn. */
  readonly both: (path: Path) => readonly Path[];
}

interface FrameInput {
  readonly width: number;
  readonly height: number;
  readonly extents: Extents;
  readonly whole: boolean;
  readonly sideOnly: boolean;
  readonly zoom: Zoom;
  /** Kept free above the drawing [px]. */
  readonly headroom?: number;
}

export function planFrame({
  width,
  height: wholeHeight,
  extents,
  whole,
  sideOnly,
  zoom,
  headroom = 0,
}: FrameInput): PlanFrame {
  const height = wholeHeight - headroom;
  const sides = sideOnly ? 0 : whole ? 2 : 1;
  const gap = sideOnly ? 0 : GAP;
  const padding = sideOnly ? LOW_PADDING : PADDING;
  const tall = sides * extents.yMax + (extents.zMax - extents.zMin);
  const fitted = Math.max(
    0.02,
    Math.min((width - 2 * PADDING) / (extents.xMax - extents.xMin), (height - 2 * padding - gap) / tall),
  );
  const scale = fitted * zoom.factor;
  const zoomX = (x: number) => width / 2 + (x - width / 2) * zoom.factor + zoom.x;
  const zoomY = (y: number) => headroom + height / 2 + (y - height / 2) * zoom.factor + zoom.y;
  const left = zoomX((width - (extents.xMax - extents.xMin) * fitted) / 2 - extents.xMin * fitted);
  const top = Math.max(padding, (height - tall * fitted - gap) / 2);
  // Off the paper when there is no plan.
  const centreLine = sideOnly ? -1e5 : zoomY(top + extents.yMax * fitted);
  const datum = zoomY(top + sides * extents.yMax * fitted + gap + extents.zMax * fitted);
  const u = (x: number) => left + x * scale;
  return {
    width,
    height: wholeHeight,
    scale,
    extents,
    whole,
    sideOnly,
    centreLine,
    u,
    plan: (y) => centreLine - y * scale,
    side: (z) => datum - z * scale,
    path: (path, vertical) => svgPath(path, { place: ([x, v]) => [u(x), vertical(v)], scale, isMirrored: true }),
    both: (path) => (whole ? [path, mirrored(path)] : [path]),
  };
}
