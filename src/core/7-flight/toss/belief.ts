import { CholeskyDecomposition, Matrix, solve } from 'ml-matrix';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Unknown } from './unknowns';

/** A toss at given errors, in the spreads of what was seen of it. */
export interface Seen {
  readonly residuals: readonly number[];
  /** Variance of each by itself: one, and what bends. */
  readonly spread: readonly number[];
  /** How what is shown goes with the drag, and with what nobody knows of the throw. */
  readonly drag: readonly number[];
  readonly thrown: readonly (readonly number[])[];
}

/** Errors that are weighed point by point, in standard deviations of their priors. */
export type Grid = Readonly<Record<'decalage' | 'balance' | 'warp', number>>;
const AXES = ['decalage', 'balance', 'warp'] as const;

/** How finely: once over everything, or again where it is likely. */
export type Fineness = 'coarse' | 'fine';

/** How far the grid reaches, and its first steps. */
const REACH: Grid = { decalage: 3.6, balance: 3.2, warp: 3 };
const STEPS: Grid = { decalage: 0.36, balance: 0.4, warp: 0.5 };
/** Points along each axis once more, over what is likely. */
const AGAIN: Grid = { decalage: 25, balance: 17, warp: 15 };
/** Less likely than that against the likeliest is nothing; and what is looked at again. */
const NEGLIGIBLE = -20;
const LIKELY = -9;

/** One triple of errors, how likely it is, and what is believed of the drag there. */
interface Point extends Grid {
  readonly logWeight: number;
  readonly drag: number;
  readonly variance: number;
}

type Axis = readonly number[];

const evenly = (from: number, to: number, count: number): Axis =>
  Array.from({ length: count }, (_, index) => from + ((to - from) * index) / Math.max(1, count - 1));

/**
 * What is believed of a glider's errors: a grid over decalage, balance and
 * warp, with a normal distribution of the drag at every point of it.
 */
export class Belief {
  private readonly points: readonly (Point & { readonly weight: number })[];

  constructor(
    points: readonly Point[],
    private readonly steps: Grid,
  ) {
    const most = Math.max(...points.map(({ logWeight }) => logWeight));
    const likely = points.filter(({ logWeight }) => logWeight - most > NEGLIGIBLE);
    const sum = likely.reduce((total, { logWeight }) => total + Math.exp(logWeight - most), 0);
    this.points = likely.map((point) => ({ ...point, weight: Math.exp(point.logWeight - most) / sum }));
  }

  /** Mean and standard deviation of an unknown, in those of its prior. */
  of(unknown: Unknown): { readonly value: number; readonly sigma: number } {
    const [read, spread] =
      unknown === 'drag'
        ? [(point: Point) => point.drag, (point: Point) => point.variance]
        : [(point: Point) => point[unknown], () => this.steps[unknown] ** 2 / 12];
    let [value, square] = [0, 0];
    for (const point of this.points) {
      value += point.weight * read(point);
      square += point.weight * (read(point) ** 2 + spread(point));
    }
    return { value, sigma: Math.sqrt(Math.max(0, square - value ** 2)) };
  }

  /** Mean and standard deviation of what follows from the errors, and the share of what is believed for which it is known. */
  told(of: (at: Grid) => number | null) {
    let [share, value, square] = [0, 0, 0];
    for (const point of this.points) {
      const own = of(point);
      if (own === null) continue;
      share += point.weight;
      value += point.weight * own;
      square += point.weight * own ** 2;
    }
    const mean = share > 0 ? value / share : 0;
    return { value: mean, sigma: share > 0 ? Math.sqrt(Math.max(0, square / share - mean ** 2)) : 0, share };
  }

  /** How far what is seen of another toss lies from what is believed, in standard deviations, one for each residual: by how seldom it would be. */
  apart(seen: (at: Grid) => Seen): number[] {
    let above: number[] = [];
    for (const point of this.points) {
      const toss = seen(point);
      above = toss.residuals.map((_, index) => {
        const { off, variance } = lookedAt(point, toss, index);
        return (above[index] ?? 0) + point.weight * normalTail(off / Math.sqrt(variance));
      });
    }
    return above.map((share) => sigmasOf(Math.min(share, 1 - share)));
  }

  /** Variance of what follows from the errors that another toss is expected to leave: of the best straight line through what it shows. */
  leftBy(of: (at: Grid) => number | null, seen: (at: Grid) => Seen): number {
    const { value, sigma, share } = this.told(of);
    const rows = this.points.flatMap((point) => {
      const own = of(point);
      if (own === null) return [];
      const toss = seen(point);
      const looks = toss.residuals.map((_, index) => lookedAt(point, toss, index));
      return [{ weight: point.weight / share, own: own - value, looks }];
    });
    const size = rows[0]?.looks.length ?? 0;
    if (size === 0) return sigma ** 2;
    const means = Array.from({ length: size }, (_, index) =>
      rows.reduce((sum, { weight, looks }) => sum + weight * looks[index]!.off, 0),
    );
    const together = Matrix.zeros(size, 1);
    const spreads = Matrix.zeros(size, size);
    for (const { weight, own, looks } of rows)
      for (let a = 0; a < size; a++) {
        const far = looks[a]!.off - means[a]!;
        together.set(a, 0, together.get(a, 0) + weight * own * far);
        spreads.set(a, a, spreads.get(a, a) + weight * looks[a]!.variance);
        for (let b = 0; b < size; b++)
          spreads.set(a, b, spreads.get(a, b) + weight * far * (looks[b]!.off - means[b]!));
      }
    const gained = together.transpose().mmul(solve(spreads, together)).get(0, 0);
    return Math.max(0, sigma ** 2 - gained);
  }

  /** The box of what is likely, a step wider. */
  likely(): Readonly<Record<keyof Grid, Axis>> {
    const most = Math.max(...this.points.map(({ logWeight }) => logWeight));
    const near = this.points.filter(({ logWeight }) => logWeight - most > LIKELY);
    const along = (axis: keyof Grid): Axis => {
      const values = near.map((point) => point[axis]);
      const [low, high] = [Math.min(...values), Math.max(...values)];
      const [from, to] = [low - this.steps[axis], high + this.steps[axis]];
      return evenly(Math.max(-REACH[axis], from), Math.min(REACH[axis], to), AGAIN[axis]);
    };
    return { decalage: along('decalage'), balance: along('balance'), warp: along('warp') };
  }
}

/** What is believed after tosses. @param tosses what each shows at given errors */
export function believe(tosses: readonly ((at: Grid) => Seen)[], fineness: Fineness): Belief {
  const first = new Belief(
    pointsOn(
      {
        decalage: evenly(-REACH.decalage, REACH.decalage, 1 + Math.round((2 * REACH.decalage) / STEPS.decalage)),
        balance: evenly(-REACH.balance, REACH.balance, 1 + Math.round((2 * REACH.balance) / STEPS.balance)),
        warp: evenly(-REACH.warp, REACH.warp, 1 + Math.round((2 * REACH.warp) / STEPS.warp)),
      },
      tosses,
    ),
    STEPS,
  );
  if (fineness === 'coarse' || tosses.length === 0) return first;
  const axes = first.likely();
  const steps = Object.fromEntries(AXES.map((axis) => [axis, axes[axis][1]! - axes[axis][0]!])) as Record<
    keyof Grid,
    number
  >;
  return new Belief(pointsOn(axes, tosses), steps);
}

/** All points of a grid that are not negligible as far as they are known. */
function pointsOn(
  { decalage, balance, warp }: Readonly<Record<keyof Grid, Axis>>,
  tosses: readonly ((at: Grid) => Seen)[],
): Point[] {
  let most = -Infinity;
  const points: Point[] = [];
  for (const a of decalage)
    for (const b of balance)
      for (const w of warp) {
        const at: Grid = { decalage: a, balance: b, warp: w };
        const point = updatedBy(tosses, at, most + NEGLIGIBLE);
        if (!point) continue;
        most = Math.max(most, point.logWeight);
        points.push(point);
      }
  return points;
}

/** One residual at one point less what the drag makes of it, and its variance. */
function lookedAt({ drag, variance }: Point, toss: Seen, index: number) {
  const slope = toss.drag[index]!;
  return {
    off: toss.residuals[index]! - slope * drag,
    variance: toss.spread[index]! + toss.thrown.reduce((sum, by) => sum + by[index]! ** 2, 0) + slope ** 2 * variance,
  };
}

/** Share of a normal distribution beyond so many standard deviations. Source: Abramowitz & Stegun, 7.1.26, within 1.5·10⁻⁷. */
export function normalTail(sigmas: number): number {
  const x = Math.abs(sigmas) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const series = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = (series * Math.exp(-x * x)) / 2;
  return sigmas >= 0 ? tail : 1 - tail;
}

/** More than that the share of a tail does not tell. */
const MOST_SIGMAS = 5;

/** Standard deviations beyond which so small a share lies. */
export function sigmasOf(share: number): number {
  if (share <= normalTail(MOST_SIGMAS)) return MOST_SIGMAS;
  const found = findRoot((sigmas) => normalTail(sigmas) - share, { low: 0, high: MOST_SIGMAS, tolerance: 1e-6 });
  return found.kind === 'root' ? found.x : 0;
}

/** The drag after all tosses, and how likely these are at the given errors: sequential Kalman updates. Null once it is less likely than asked for: a toss makes nothing likelier. */
function updatedBy(tosses: readonly ((at: Grid) => Seen)[], at: Grid, least: number): Point | null {
  let [drag, variance] = [0, 1];
  let logWeight = -(at.decalage ** 2 + at.balance ** 2 + at.warp ** 2) / 2;
  for (const seen of tosses) {
    if (logWeight < least) return null;
    const toss = seen(at);
    const count = toss.residuals.length;
    const spread = new Matrix(count, count);
    for (let a = 0; a < count; a++)
      for (let b = 0; b <= a; b++) {
        const byThrow = toss.thrown.reduce((sum, by) => sum + by[a]! * by[b]!, 0);
        const together = (a === b ? toss.spread[a]! : 0) + byThrow + toss.drag[a]! * variance * toss.drag[b]!;
        spread.set(a, b, together);
        spread.set(b, a, together);
      }
    const held = new CholeskyDecomposition(spread);
    const factor = held.lowerTriangularMatrix;
    const right = new Matrix(
      toss.residuals.map((residual, row) => [residual - toss.drag[row]! * drag, toss.drag[row]!]),
    );
    const solved = held.solve(right);
    let [cost, pull, told] = [0, 0, 0];
    for (let row = 0; row < count; row++) {
      cost += right.get(row, 0) * solved.get(row, 0);
      pull += toss.drag[row]! * solved.get(row, 0);
      told += toss.drag[row]! * solved.get(row, 1);
      logWeight -= Math.log(factor.get(row, row));
    }
    logWeight -= cost / 2;
    drag += variance * pull;
    variance -= variance ** 2 * told;
  }
  return { ...at, logWeight, drag, variance };
}
