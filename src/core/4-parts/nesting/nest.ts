import {
  difference,
  EndType,
  FillRule,
  inflatePaths,
  JoinType,
  minkowskiDiff,
  type Path64,
  type Paths64,
  simplifyPath,
} from '../clipper';
import type { Steps } from '@/core/1-base/steps';
import type { Millimetres, Radians, SquareMillimetres } from '@/core/1-base/units/convert';
import { areaOf, flattened, type Path, transformed } from '@/core/3-shape/outline/path';

/** A sheet that parts are laid on. */
export interface NestSheet {
  readonly length: Millimetres;
  readonly width: Millimetres;
}

/** One part to be laid, as often as it stands in the list. */
export interface NestItem {
  readonly id: string;
  readonly edge: Path;
  readonly isMirrored: boolean;
  /** Turned by quarters where the grain does not matter, by halves where it does. */
  readonly isAlongGrain: boolean;
  readonly mayFlip: boolean;
}

/** How a part lies on its sheet: mirrored first, then turned, then moved. */
export interface LaidPose {
  readonly turn: Radians;
  readonly isMirrored: boolean;
  readonly x: Millimetres;
  readonly y: Millimetres;
}

/** A part of the list of items on one of the sheets. */
export interface Laid extends LaidPose {
  readonly item: number;
  readonly sheet: number;
}

export interface Nesting {
  readonly laid: readonly Laid[];
  readonly sheets: number;
  /** Places in the list of items that fit on no sheet. */
  readonly tooLarge: readonly number[];
  readonly utilisation: number;
}

export interface NestOptions {
  readonly sheet: NestSheet;
  /** Between parts, and from the edge of the sheet [mm]. */
  readonly gap: Millimetres;
  readonly margin: Millimetres;
  /** Orders of the parts that are tried, the best is kept. */
  readonly tries: number;
  /** Parts that lie already: whatever else is laid keeps clear of them. */
  readonly fixed?: readonly Laid[];
}

/** Hundredths of a millimetre: whole numbers for the library. */
const FINE = 100;
/** Corners nearer than that to a straight line are left out; parts keep that much more room [mm]. */
const SIMPLER: Millimetres = 0.3;

/** A part as it may lie: about its own lower left corner. */
interface Pose {
  readonly key: string;
  readonly path: Path64;
  readonly inflated: Path64;
  readonly turn: Radians;
  readonly isMirrored: boolean;
  /** From the corner of the turned part to where its origin lies. */
  readonly dx: number;
  readonly dy: number;
  readonly width: number;
  readonly height: number;
  readonly area: number;
}

interface Placed {
  readonly item: number;
  readonly pose: Pose;
  readonly x: number;
  readonly y: number;
}

/** Corners that two parts may have between them where all their places are looked for: it costs their product. */
const MOST_CORNERS = 90;

/** An outline on the grid with no more corners than it takes: what has too many grows by what more is left out. */
function toGrid(edge: Path): Path64 {
  const fine = flattened(edge, SIMPLER / 3).map(([x, y]) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }));
  for (let off = SIMPLER; off < 100; off *= 2) {
    const simple = simplifyPath(fine, off * FINE, true);
    if (simple.length < 3) break;
    if (simple.length > MOST_CORNERS) continue;
    if (off === SIMPLER) return simple;
    const upright = signed(simple) < 0 ? simple.toReversed() : simple;
    return inflatePaths([upright], (off - SIMPLER) * FINE, JoinType.Miter, EndType.Polygon, 2)[0] ?? simple;
  }
  return boxRound(fine);
}

/** What is thinner than what is left out lies as its box. */
function boxRound(path: Path64): Path64 {
  const [xs, ys] = [path.map(({ x }) => Number(x)), path.map(({ y }) => Number(y))];
  const [left, right] = [Math.min(...xs), Math.max(...xs, Math.min(...xs) + 1)];
  const [bottom, top] = [Math.min(...ys), Math.max(...ys, Math.min(...ys) + 1)];
  return [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ];
}

function poseOf(item: NestItem, turn: Radians, isMirrored: boolean, gap: Millimetres): Pose {
  const grid = toGrid(transformed(item.edge, { turn, isMirrored }));
  const [left, bottom] = [Math.min(...grid.map(({ x }) => x)), Math.min(...grid.map(({ y }) => y))];
  const [right, top] = [Math.max(...grid.map(({ x }) => x)), Math.max(...grid.map(({ y }) => y))];
  const path = grid.map(({ x, y }) => ({ x: x - left, y: y - bottom }));
  const upright = signed(path) < 0 ? path.toReversed() : path;
  const [inflated] = inflatePaths([upright], (gap + 2 * SIMPLER) * FINE, JoinType.Miter, EndType.Polygon, 2);
  return {
    key: `${item.id}/${turn.toFixed(4)}/${isMirrored ? 1 : 0}`,
    path: upright,
    inflated: inflated ?? upright,
    turn,
    isMirrored,
    dx: -left,
    dy: -bottom,
    width: right - left,
    height: top - bottom,
    area: Math.abs(areaOf(item.edge)),
  };
}

const signed = (path: Path64): number =>
  path.reduce((sum, { x, y }, index) => {
    const next = path[(index + 1) % path.length]!;
    return sum + (Number(x) * Number(next.y) - Number(next.x) * Number(y)) / 2;
  }, 0);

/** All poses that a part may take: by its grain, its face, and the sheet. */
function posesOf(item: NestItem, { sheet, gap, margin }: NestOptions): Pose[] {
  const turns = item.isAlongGrain ? [0, Math.PI] : [0, Math.PI / 2, Math.PI, -Math.PI / 2];
  const sides = item.mayFlip ? [item.isMirrored, !item.isMirrored] : [item.isMirrored];
  const [length, width] = [(sheet.length - 2 * margin) * FINE, (sheet.width - 2 * margin) * FINE];
  const poses = sides
    .flatMap((isMirrored) => turns.map((turn) => poseOf(item, turn, isMirrored, gap)))
    .filter((pose) => pose.width <= length && pose.height <= width);
  // Many parts look the same turned or turned over: one pose of each look is enough.
  const looks = poses.map(({ path }) => lookOf(path));
  return poses.filter((_, index) => looks.indexOf(looks[index]!) === index);
}

/** Corners in an order that does not depend on where the outline begins. */
const lookOf = (path: Path64): string =>
  path
    .map(({ x, y }) => `${Number(x)},${Number(y)}`)
    .toSorted()
    .join(' ');

/** How much the way along and across the sheet counts: used up from one end, or from one long side. */
const TOWARDS = [
  [4, 1],
  [1, 4],
  [1, 1],
  [20, 1],
] as const;

/** The sheets with what lies on them already, as it lies. */
function begunWith(items: readonly NestItem[], { fixed = [], gap, margin }: NestOptions): Placed[][] {
  const sheets: Placed[][] = [];
  for (const { item, sheet, turn, isMirrored, x, y } of fixed) {
    const pose = poseOf(items[item]!, turn, isMirrored, gap);
    while (sheets.length <= sheet) sheets.push([]);
    sheets[sheet]!.push({
      item,
      pose,
      x: Math.round((x - margin) * FINE) - pose.dx,
      y: Math.round((y - margin) * FINE) - pose.dy,
    });
  }
  return sheets;
}

interface Trial extends NestOptions {
  readonly towards: readonly [number, number];
}

/** What a pose may not come to next to another that lies at nought: kept for all pairs. */
type Forbidden = Map<string, Paths64>;

function forbiddenBy(fixed: Pose, moving: Pose, known: Forbidden): Paths64 {
  const key = `${fixed.key}|${moving.key}`;
  const before = known.get(key);
  if (before) return before;
  const made = minkowskiDiff(moving.path, fixed.inflated, true).filter((path) => signed(path) > 0);
  known.set(key, made);
  return made;
}

const moved = (paths: Paths64, x: number, y: number): Paths64 =>
  paths.map((path) => path.map((point) => ({ x: Number(point.x) + x, y: Number(point.y) + y })));

/** The lowest, then leftmost place for a part on a sheet: a corner of what is left of all its places. */
function bestPlace(pose: Pose, placed: readonly Placed[], { sheet, margin, towards }: Trial, known: Forbidden) {
  const [right, top] = [
    (sheet.length - 2 * margin) * FINE - pose.width,
    (sheet.width - 2 * margin) * FINE - pose.height,
  ];
  const room: Path64 = [
    { x: 0, y: 0 },
    { x: Math.max(1, right), y: 0 },
    { x: Math.max(1, right), y: Math.max(1, top) },
    { x: 0, y: Math.max(1, top) },
  ];
  const taken = placed.flatMap((other) => moved(forbiddenBy(other.pose, pose, known), other.x, other.y));
  const free = taken.length === 0 ? [room] : difference([room], taken, FillRule.NonZero);
  let best: { x: number; y: number; cost: number } | null = null;
  for (const path of free)
    for (const point of path) {
      const [x, y] = [Number(point.x), Number(point.y)];
      const cost = towards[0] * (x + pose.width) + towards[1] * (y + pose.height);
      if (!best || cost < best.cost) best = { x, y, cost };
    }
  return best;
}

interface Begun {
  readonly known: Forbidden;
  readonly begun: readonly (readonly Placed[])[];
  /** Sheets that the best so far takes. */
  readonly most: number;
}

/** Lays every part, the given order, each where it comes lowest on the first sheet that has room; null where it takes more sheets than are allowed. */
function* layInOrder(
  order: readonly number[],
  poses: readonly (readonly Pose[])[],
  options: Trial,
  { known, begun, most }: Begun,
): Generator<void, Placed[][] | null> {
  const sheets = begun.map((placed) => [...placed]);
  for (const item of order) {
    yield;
    let isLaid = false;
    for (let sheet = 0; !isLaid && sheet <= sheets.length; sheet++) {
      const placed = sheets[sheet] ?? [];
      let best: { pose: Pose; x: number; y: number; cost: number } | null = null;
      for (const pose of poses[item]!) {
        const place = bestPlace(pose, placed, options, known);
        if (place && (!best || place.cost < best.cost)) best = { pose, ...place };
      }
      if (!best) continue;
      if (sheet === sheets.length) {
        // Worse already than what is known.
        if (sheets.length >= most) return null;
        sheets.push(placed);
      }
      placed.push({ item, pose: best.pose, x: best.x, y: best.y });
      isLaid = true;
    }
  }
  return sheets;
}

/** Area of the parts over that of the sheets up to the furthest part on each. */
function utilisationOf(sheets: readonly Placed[][], { sheet, margin }: NestOptions): number {
  let parts: SquareMillimetres = 0;
  let used: SquareMillimetres = 0;
  for (const placed of sheets) {
    if (placed.length === 0) continue;
    parts += placed.reduce((sum, { pose }) => sum + pose.area, 0);
    used += (Math.max(...placed.map(({ x, pose }) => x + pose.width)) / FINE + 2 * margin) * sheet.width;
  }
  return used > 0 ? parts / used : 0;
}

/** Whole sheets count, then what the last one uses. */
const worth = (sheets: readonly Placed[][], options: NestOptions): number =>
  -1000 * sheets.length + utilisationOf(sheets, options);

/** Orders that are tried first: by area, by the longer side, by the box around. */
const FIRST_ORDERS: readonly ((pose: Pose) => number)[] = [
  ({ area }) => area,
  ({ width, height }) => Math.max(width, height),
  ({ width, height }) => width * height,
  ({ height }) => height,
];

/** A row of numbers that looks shuffled and is always the same. */
function shuffler(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/**
 * Parts laid true to shape by no-fit polygons, bottom left first, larger ones
 * before smaller; then so many other orders, a few parts exchanged each, the best
 * kept. Source: Bennell & Oliveira, The geometry of nesting problems, EJOR 184,
 * 2008. Pauses at every part.
 */
export function* nest(items: readonly NestItem[], options: NestOptions): Steps<Nesting> {
  const poses = items.map((item) => posesOf(item, options));
  const begun = begunWith(items, options);
  const isFixed = new Set(begun.flatMap((placed) => placed.map(({ item }) => item)));
  const tooLarge = [...items.keys()].filter((index) => poses[index]!.length === 0 && !isFixed.has(index));
  const able = [...items.keys()]
    .filter((index) => poses[index]!.length > 0 && !isFixed.has(index))
    .toSorted((a, b) => poses[b]![0]!.area - poses[a]![0]!.area);
  const known: Forbidden = new Map();
  const tries = able.length === 0 ? 1 : Math.max(1, options.tries);
  const total = Math.max(1, able.length * tries);
  let done = 0;
  let best: Placed[][] = begun;
  let order = able;
  const random = shuffler(7);
  for (let attempt = 0; attempt < tries; attempt++) {
    const towards = TOWARDS[attempt % TOWARDS.length]!;
    const first = FIRST_ORDERS[Math.floor(attempt / TOWARDS.length)];
    const trial = first
      ? able.toSorted((a, b) => first(poses[b]![0]!) - first(poses[a]![0]!))
      : exchanged(order, random);
    const steps = layInOrder(
      trial,
      poses,
      { ...options, towards },
      { known, begun, most: attempt === 0 ? Infinity : best.length },
    );
    let step = steps.next();
    while (!step.done) {
      yield { done: done++, total };
      step = steps.next();
    }
    const laid = step.value;
    if (laid && (attempt === 0 || worth(laid, options) > worth(best, options))) {
      best = laid;
      order = trial;
    }
  }
  return {
    laid: best.flatMap((placed, sheet) =>
      placed.map(({ item, pose, x, y }): Laid => ({
        item,
        sheet,
        turn: pose.turn,
        isMirrored: pose.isMirrored,
        x: (x + pose.dx) / FINE + options.margin,
        y: (y + pose.dy) / FINE + options.margin,
      })),
    ),
    sheets: best.length,
    tooLarge,
    utilisation: utilisationOf(best, options),
  };
}

function exchanged(order: readonly number[], random: () => number): number[] {
  const next = [...order];
  const times = 1 + Math.floor(3 * random());
  for (let time = 0; time < times; time++) {
    const [a, b] = [Math.floor(random() * next.length), Math.floor(random() * next.length)];
    [next[a], next[b]] = [next[b]!, next[a]!];
  }
  return next;
}
