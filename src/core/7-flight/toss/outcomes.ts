import { UnsteadyError } from '@/core/1-base/numeric/dormandPrince';
import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { flyGlider, type TossSetting, type TossShows } from './flyGlider';
import type { Glider } from './glider';
import type { Unknown } from './unknowns';

/** What flights show, one number each, in a fixed order. */
export const SHOWN = ['distance', 'time', 'sideways', 'rise', 'endPath', 'overStall', 'turned', 'endSpeed'] as const;

export type ShownOf = Pick<TossShows, (typeof SHOWN)[number]>;

/** What nobody knows of a throw itself, as ±1σ: speed as a share, path. C. */
export const SPEED_TOLD = 0.05;
export const SPEED_GUESSED = 0.15;
const PATH = radiansFromDegrees(3);

/** Warps at which flights are flown; the other way round they are mirrored. */
const WARPS = [0, 1, 2, 3] as const;
/** Flights at every pair of errors, in standard deviations: with those warps, with more drag, thrown faster, slower, steeper, flatter. */
const FLIGHTS: readonly Partial<Record<'drag' | 'warp' | 'speed' | 'path', number>>[] = [
  ...WARPS.map((warp) => ({ warp })),
  { drag: 1 },
  { speed: 1 },
  { speed: -1 },
  { path: 1 },
  { path: -1 },
];
/** The flights after those with warp, by what they tell. */
export const VARIED = ['drag', 'faster', 'slower', 'steeper', 'flatter'] as const;
/** What changes its sign when left and right are exchanged. */
const ODD: ReadonlySet<(typeof SHOWN)[number]> = new Set(['sideways', 'turned']);

/** Errors at which flights are flown, in standard deviations of their priors; between them outcomes are told from their neighbours. */
interface Places {
  readonly decalages: readonly number[];
  readonly balances: readonly number[];
}

const evenly = (most: number, steps: number): number[] =>
  Array.from({ length: steps + 1 }, (_, index) => -most + (2 * most * index) / steps);

/** Closely for what was tossed, and less so for what is only thought of. */
export const CLOSELY: Places = { decalages: evenly(3.6, 16), balances: evenly(3.2, 10) };
export const ROUGHLY: Places = { decalages: evenly(3.6, 8), balances: evenly(3.2, 6) };

/** Outcomes of one kind of throw over errors of decalage and balance: what is shown by each of the flights, one after another. */
export interface Outcomes {
  /** What is shown at errors in standard deviations, and what is shown besides when something is varied. */
  readonly at: (decalage: number, balance: number, warp: number) => Shows;
}

export interface Shows {
  readonly base: ShownOf;
  readonly varied: Readonly<Record<(typeof VARIED)[number], ShownOf>>;
}

const WIDTH = SHOWN.length * FLIGHTS.length;

/** Flies all of them; a tumble that ends in no numbers counts as flown nowhere. */
export function outcomesOf(
  glider: Glider,
  setting: TossSetting,
  prior: Readonly<Record<Unknown, number>>,
  isSpeedTold: boolean,
  places: Places = CLOSELY,
): Outcomes {
  const rows = places.decalages.map((decalage) =>
    places.balances.map((balance) => rowAt(glider, setting, prior, isSpeedTold, [decalage, balance])),
  );
  const row = new Float64Array(WIDTH);
  let last: readonly [number, number] = [NaN, NaN];
  return {
    at: (decalage, balance, warp) => {
      // Warps are gone through one after another.
      if (decalage !== last[0] || balance !== last[1]) read(rows, places, decalage, balance, row);
      last = [decalage, balance];
      return showsAt(row, warp);
    },
  };
}

/** What is shown, out of numbers in the order of `SHOWN`. Asked for at thousands of points: written out, so that nothing is looked up by name. */
const shownFrom = (values: ArrayLike<number>): ShownOf => ({
  distance: values[0]!,
  time: values[1]!,
  sideways: values[2]!,
  rise: values[3]!,
  endPath: values[4]!,
  overStall: values[5]!,
  turned: values[6]!,
  endSpeed: values[7]!,
});

const IS_ODD = SHOWN.map((key) => ODD.has(key));

/** One row with a warp in it: along the warps by a cubic through their slopes, even or odd as it is mirrored. */
function showsAt(row: Float64Array, warp: number): Shows {
  const place = Math.min(WARPS.length - 1, Math.abs(warp));
  const index = Math.min(WARPS.length - 2, Math.floor(place));
  const weights = cubicWeights(place - index);
  const side = warp < 0 ? -1 : 1;
  const base = new Float64Array(SHOWN.length);
  for (let column = 0; column < SHOWN.length; column++) {
    let value = 0;
    for (let neighbour = 0; neighbour < 4; neighbour++) {
      const at = index - 1 + neighbour;
      const mirrored = at < 0 && IS_ODD[column] ? -1 : 1;
      value += weights[neighbour]! * mirrored * row[SHOWN.length * Math.min(WARPS.length - 1, Math.abs(at)) + column]!;
    }
    base[column] = IS_ODD[column] ? side * value : value;
  }
  const varied = VARIED.map((_, flight) => {
    const first = SHOWN.length * (WARPS.length + flight);
    // As much as it changes without a warp.
    return shownFrom(base.map((value, column) => value + row[first + column]! - row[column]!));
  });
  const [drag, faster, slower, steeper, flatter] = varied as [ShownOf, ShownOf, ShownOf, ShownOf, ShownOf];
  return { base: shownFrom(base), varied: { drag, faster, slower, steeper, flatter } };
}

const NOWHERE: TossShows = {
  distance: 0,
  ahead: 0,
  time: 0,
  isDown: true,
  sideways: 0,
  rise: 0,
  endPath: -Math.PI / 2,
  overStall: Math.PI / 2,
  stallsAt: 0,
  turned: 0,
  endSpeed: 0,
};

function rowAt(
  glider: Glider,
  setting: TossSetting,
  prior: Readonly<Record<Unknown, number>>,
  isSpeedTold: boolean,
  [decalage, balance]: readonly [number, number],
): Float64Array {
  const spread = isSpeedTold ? SPEED_TOLD : SPEED_GUESSED;
  const flown = FLIGHTS.map(({ drag = 0, warp = 0, speed = 0, path = 0 }) =>
    shownBy(
      glider,
      { ...setting, speed: setting.speed * (1 + speed * spread), path: setting.path + path * PATH },
      {
        decalage: decalage * prior.decalage,
        balance: balance * prior.balance,
        drag: drag * prior.drag,
        warp: warp * prior.warp,
      },
    ),
  );
  return Float64Array.from(flown.flatMap((shows) => SHOWN.map((key) => shows[key])));
}

function shownBy(...throwing: Parameters<typeof flyGlider>): TossShows {
  try {
    return flyGlider(...throwing);
  } catch (error) {
    if (error instanceof UnsteadyError) return NOWHERE;
    throw error;
  }
}

/** Weights of four neighbours by a cubic through their slopes (Catmull–Rom); beyond both ends as at them. */
function weightsAt(steps: readonly number[], value: number): { readonly from: number; readonly weights: number[] } {
  const width = steps[1]! - steps[0]!;
  const place = Math.min(steps.length - 1, Math.max(0, (value - steps[0]!) / width));
  const index = Math.min(steps.length - 2, Math.floor(place));
  const s = place - index;
  return {
    from: index - 1,
    weights: cubicWeights(s),
  };
}

const cubicWeights = (s: number): number[] => [
  (-s + 2 * s * s - s ** 3) / 2,
  (2 - 5 * s * s + 3 * s ** 3) / 2,
  (s + 4 * s * s - 3 * s ** 3) / 2,
  (-s * s + s ** 3) / 2,
];

function read(
  rows: readonly (readonly Float64Array[])[],
  { decalages, balances }: Places,
  decalage: number,
  balance: number,
  out: Float64Array,
): void {
  const [a, b] = [weightsAt(decalages, decalage), weightsAt(balances, balance)];
  out.fill(0);
  for (let i = 0; i < 4; i++) {
    const column = rows[Math.min(rows.length - 1, Math.max(0, a.from + i))]!;
    for (let j = 0; j < 4; j++) {
      const row = column[Math.min(column.length - 1, Math.max(0, b.from + j))]!;
      const weight = a.weights[i]! * b.weights[j]!;
      for (let k = 0; k < WIDTH; k++) out[k]! += weight * row[k]!;
    }
  }
}
