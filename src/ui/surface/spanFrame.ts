import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { isLifting, isWing } from '@/core/2-document/schema/roles';
import type { Path } from '@/core/3-shape/outline/path';
import { svgPath } from '@/core/3-shape/outline/svgPath';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';

/** What the sheet has to hold: the wings lengthwise, everything that lifts across and upright [mm]. */
export interface SpanReach {
  readonly xMin: number;
  readonly xMax: number;
  readonly yMax: number;
  readonly zMin: number;
  readonly zMax: number;
}

/** Of the wings' own length, shown ahead of them and behind. */
const AROUND = 0.18;

export function spanReach(placed: readonly PlacedSurface[]): SpanReach {
  const wings = placed.filter(isWing);
  const along = (wings.length > 0 ? wings : placed).flatMap(({ stations }) => stations);
  const lifting = placed.filter(isLifting).flatMap(({ stations }) => stations);
  const [from, to] = [Math.min(...along.map(({ x }) => x)), Math.max(...along.map(({ x, chord }) => x + chord))];
  const around = AROUND * (to - from);
  const across = lifting.length > 0 ? lifting : along;
  return {
    xMin: millimetresFromMetres(from - around),
    xMax: millimetresFromMetres(to + around),
    yMax: millimetresFromMetres(Math.max(...along.map(({ y }) => y), 0.05)),
    zMin: millimetresFromMetres(Math.min(...across.map(({ z }) => z))),
    zMax: millimetresFromMetres(Math.max(...across.map(({ z }) => z))),
  };
}

interface Band {
  readonly top: number;
  readonly height: number;
}

/** Where things lie on the paper [px]: plan with its nose up, strips on its span axis, the view from ahead. */
export interface SpanFrame {
  readonly width: number;
  /** Pixels per millimetre. */
  readonly scale: number;
  readonly left: number;
  readonly right: number;
  readonly plan: Band;
  readonly strips: Readonly<Record<'lift' | 'chord' | 'angle' | 'reynolds', Band>>;
  readonly front: Band & { readonly v: (z: number) => number };
  /** To the right of the plane of symmetry, and aft of the datum [mm]. */
  readonly u: (y: number) => number;
  readonly v: (x: number) => number;
  readonly yAt: (pixel: number) => number;
  readonly path: (path: Path) => string;
}

const LEFT = 92;
const RIGHT = 116;
/** Between plan, strips and front view [px]; the half span is typed in the first. */
const GAP = 34;
const BETWEEN = 12;
const LIFT = 74;
const STRIP = 34;
const FRONT = { most: 84, least: 44 } as const;
/** The plan keeps at least so much. */
const PLAN = 120;
const STRIPS = LIFT + 3 * (STRIP + BETWEEN);
/** What all of it needs under its head [px]. */
export const SPAN_LEAST = PLAN + GAP + STRIPS + FRONT.least + 2 * BETWEEN;

export function spanFrame({
  width,
  height,
  head,
  reach,
}: {
  readonly width: number;
  readonly height: number;
  /** Left free above it [px]. */
  readonly head: number;
  readonly reach: SpanReach;
}): SpanFrame {
  const narrow = width < 520;
  const left = narrow ? 74 : LEFT;
  const right = width - (narrow ? 112 : RIGHT);
  const fitted = Math.max(20, right - left) / (2 * reach.yMax);
  // The view from ahead takes what it needs of what the plan can spare.
  const spare = height - head - SPAN_LEAST;
  const frontTall = Math.max(
    FRONT.least,
    Math.min(FRONT.most, (reach.zMax - reach.zMin) * fitted + 24, FRONT.least + spare),
  );
  const planRoom = height - head - GAP - STRIPS - frontTall - 2 * BETWEEN;
  const length = reach.xMax - reach.xMin;
  const scale = Math.max(0.02, Math.min(fitted, Math.max(40, planRoom) / length));
  const tall = Math.min(planRoom, length * scale);
  const middle = (left + right) / 2;
  const plan = { top: head + Math.max(0, (planRoom - tall) / 2), height: tall };
  const stripsTop = head + Math.max(planRoom, tall) + GAP;
  const low = (index: number) => ({ top: stripsTop + LIFT + BETWEEN + index * (STRIP + BETWEEN), height: STRIP });
  const strips = { lift: { top: stripsTop, height: LIFT }, chord: low(0), angle: low(1), reynolds: low(2) };
  const frontTop = stripsTop + STRIPS + BETWEEN;
  const level = frontTop + frontTall / 2 + (scale * (reach.zMin + reach.zMax)) / 2;
  const u = (y: number) => middle + y * scale;
  const v = (x: number) => plan.top + (x - reach.xMin) * scale;
  return {
    width,
    scale,
    left,
    right,
    plan,
    strips,
    front: { top: frontTop, height: frontTall, v: (z) => level - z * scale },
    u,
    v,
    yAt: (pixel) => (pixel - middle) / scale,
    path: (path) => svgPath(path, { place: ([x, y]) => [u(y), v(x)], scale, isMirrored: true }),
  };
}
