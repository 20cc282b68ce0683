/**
 * Ordinary differential equations ẏ = f(t, y) by the embedded pair of orders 5
 * and 4, with steps as long as the tolerance allows, a fourth-order polynomial
 * within every step, and events found on it. Source: Dormand & Prince, J. Comp.
 * Appl. Math. 6 (1980) 19; step control and dense output: Hairer, Nørsett &
 * Wanner, Solving Ordinary Differential Equations I, 2nd ed., section II.4–6.
 */
export interface OdeProblem {
  /** Writes ẏ; the arrays are used again, so nothing of them may be kept. */
  readonly rate: (t: number, y: Float64Array, out: Float64Array) => void;
  readonly start: number;
  readonly end: number;
  readonly initial: ArrayLike<number>;
  /** Error allowed in a step: relative × |y| + absolute, the latter one for all or one for each. */
  readonly relative: number;
  readonly absolute: number | ArrayLike<number>;
  readonly longestStep?: number;
  /** More steps than that, tried ones among them, are without end; a hundred thousand where nobody says. */
  readonly mostSteps?: number;
  readonly events?: readonly OdeEvent[];
}

/** Something that happens when a value passes through nought. */
export interface OdeEvent {
  readonly name: string;
  readonly value: (t: number, y: Float64Array) => number;
  /** Only upwards or only downwards; both without. */
  readonly direction?: 1 | -1;
  /** Whether nothing goes on after it. */
  readonly isLast: boolean;
}

export interface OdeStep {
  readonly from: number;
  readonly to: number;
  /** State at a time within the step, written into an array. */
  readonly at: (t: number, out: Float64Array) => Float64Array;
  /** What happened within it, in the order of time. */
  readonly happened: readonly { readonly name: string; readonly t: number }[];
  /** True for the step that an event ended. */
  readonly isEnded: boolean;
}

/** Thrown when the state grows beyond numbers or asks for endlessly short steps. */
export class UnsteadyError extends Error {
  override readonly name = 'UnsteadyError';
}

const NODES = [0, 1 / 5, 3 / 10, 4 / 5, 8 / 9, 1, 1] as const;
const WEIGHTS: readonly (readonly number[])[] = [
  [],
  [1 / 5],
  [3 / 40, 9 / 40],
  [44 / 45, -56 / 15, 32 / 9],
  [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
  [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
  [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
];
/** Fifth order less fourth. */
const ERROR = [71 / 57600, 0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40] as const;
const DENSE = [
  -12715105075 / 11282082432,
  0,
  87487479700 / 32700410799,
  -10690763975 / 1880347072,
  701980252875 / 199316789632,
  -1453857185 / 822651844,
  69997945 / 29380423,
] as const;

const STAGES = 7;
/** Step control by the error of this step and the last (Hairer et al., II.4, with β = 0.04). */
const SAFETY = 0.9;
const BETA = 0.04;
const POWER = 0.2 - 0.75 * BETA;
const [SHRINKS, GROWS] = [0.2, 10] as const;
/** Halvings that place an event: to 1e-12 of the step. */
const HALVINGS = 40;
/** Places of a step that are looked at, so that a value which dips through nought and back is not missed. */
const LOOKS = 4;
/** A step shorter than that share of the time that was asked for goes nowhere. */
const SHORTEST = 1e-12;

const MOST_STEPS = 100_000;

/** Walks through the problem step by step; stops at the end or at an event that is the last. @throws UnsteadyError */
export function* dormandPrince(problem: OdeProblem): Generator<OdeStep, void> {
  const { rate, start, end, initial, relative, absolute, longestStep = Infinity, events = [] } = problem;
  const { mostSteps = MOST_STEPS } = problem;
  const size = initial.length;
  const array = () => new Float64Array(size);
  let y = Float64Array.from(initial);
  let next = array();
  const trial = array();
  const k = Array.from({ length: STAGES }, array);
  const allowed = (index: number) => (typeof absolute === 'number' ? absolute : absolute[index]!);
  let t = start;
  rate(t, y, k[0]!);
  let step = Math.min(longestStep, firstStep(problem, y, k[0]!, allowed), end - start);
  let lastError = 1e-4;
  let values = events.map(({ value }) => value(t, y));
  let tried = 0;
  while (t < end) {
    if (++tried > mostSteps)
      throw new UnsteadyError(
        `More than ${mostSteps} steps by ${t.toPrecision(6)}: it changes faster than can be followed.`,
      );
    if (!(step > SHORTEST * (end - start)))
      throw new UnsteadyError(`No step is short enough at ${t.toPrecision(6)}: the state changes without bound.`);
    step = Math.min(step, end - t);
    for (let stage = 1; stage < STAGES; stage++) {
      const weights = WEIGHTS[stage]!;
      const into = stage === STAGES - 1 ? next : trial;
      for (let i = 0; i < size; i++) {
        let sum = 0;
        for (let j = 0; j < stage; j++) sum += weights[j]! * k[j]![i]!;
        into[i] = y[i]! + step * sum;
      }
      rate(t + NODES[stage]! * step, into, k[stage]!);
    }
    let error = 0;
    for (let i = 0; i < size; i++) {
      let sum = 0;
      for (let j = 0; j < STAGES; j++) sum += ERROR[j]! * k[j]![i]!;
      const scale = allowed(i) + relative * Math.max(Math.abs(y[i]!), Math.abs(next[i]!));
      error += ((step * sum) / scale) ** 2;
    }
    error = Math.sqrt(error / size);
    if (!(error <= 1)) {
      step *= Number.isFinite(error) ? Math.max(SHRINKS, SAFETY * error ** -POWER) : SHRINKS;
      continue;
    }
    const dense = denseOutput(t, step, y, next, k);
    const to = t + step >= end - SHORTEST * (end - start) ? end : t + step;
    const found = findEvents(events, values, { from: t, to, at: dense }, size);
    const last = found.happened.find(({ isLast }) => isLast);
    const happened = last ? found.happened.slice(0, found.happened.indexOf(last) + 1) : found.happened;
    yield { from: t, to: last?.t ?? to, at: dense, happened, isEnded: last !== undefined };
    if (last) return;
    values = found.values;
    [y, next] = [next, y];
    t = to;
    k[0]!.set(k[STAGES - 1]!);
    const factor = SAFETY * Math.max(error, 1e-10) ** -POWER * lastError ** BETA;
    lastError = Math.max(error, 1e-4);
    step = Math.min(longestStep, step * Math.min(GROWS, Math.max(SHRINKS, factor)));
  }
}

/** A first step that neither misses what happens at once nor wastes a hundred. Source: Hairer et al., II.4. */
function firstStep(
  { rate, start, end }: OdeProblem,
  y: Float64Array,
  slope: Float64Array,
  allowed: (index: number) => number,
): number {
  const norm = (values: Float64Array) =>
    Math.sqrt(
      values.reduce((sum, value, i) => sum + (value / (allowed(i) + 1e-6 * Math.abs(y[i]!) + 1e-300)) ** 2, 0) /
        y.length,
    );
  const [size, speed] = [norm(y), norm(slope)];
  const guess = size < 1e-5 || speed < 1e-5 ? 1e-6 * (end - start) : (0.01 * size) / speed;
  const ahead = y.map((value, i) => value + guess * slope[i]!);
  const there = new Float64Array(y.length);
  rate(start + guess, ahead, there);
  const bend = norm(there.map((value, i) => value - slope[i]!)) / guess;
  const most = Math.max(speed, bend);
  const fifth = most <= 1e-15 ? Math.max(1e-6 * (end - start), guess * 1e-3) : (0.01 / most) ** 0.2;
  return Math.min(100 * guess, fifth);
}

/** The polynomial of fourth order over a step. */
function denseOutput(
  from: number,
  step: number,
  before: Float64Array,
  after: Float64Array,
  k: readonly Float64Array[],
): OdeStep['at'] {
  const size = before.length;
  const start = before.slice();
  const [change, bend, third, fourth] = [0, 1, 2, 3].map(() => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < size; i++) {
    change[i] = after[i]! - before[i]!;
    bend[i] = step * k[0]![i]! - change[i]!;
    third[i] = change[i]! - step * k[STAGES - 1]![i]! - bend[i]!;
    let sum = 0;
    for (let j = 0; j < STAGES; j++) sum += DENSE[j]! * k[j]![i]!;
    fourth[i] = step * sum;
  }
  return (t, out) => {
    const share = (t - from) / step;
    const rest = 1 - share;
    for (let i = 0; i < size; i++)
      out[i] = start[i]! + share * (change[i]! + rest * (bend[i]! + share * (third[i]! + rest * fourth[i]!)));
    return out;
  };
}

/** Sign changes within a step, in the order of time, and the values at its end. */
function findEvents(
  events: readonly OdeEvent[],
  before: readonly number[],
  { from, to, at }: Pick<OdeStep, 'from' | 'to' | 'at'>,
  size: number,
) {
  const state = new Float64Array(size);
  const values = [...before];
  const happened: { readonly name: string; readonly t: number; readonly isLast: boolean }[] = [];
  events.forEach(({ name, value, direction, isLast }, index) => {
    const valueAt = (t: number) => value(t, at(t, state));
    let [left, low] = [from, before[index]!];
    for (let look = 1; look <= LOOKS; look++) {
      const right = look === LOOKS ? to : from + ((to - from) * look) / LOOKS;
      const high = valueAt(right);
      const rises = low < 0 && high >= 0;
      const falls = low > 0 && high <= 0;
      if ((rises && direction !== -1) || (falls && direction !== 1)) {
        let [a, b] = [left, right];
        for (let halving = 0; halving < HALVINGS; halving++) {
          const middle = (a + b) / 2;
          if (valueAt(middle) > 0 === rises) b = middle;
          else a = middle;
        }
        happened.push({ name, t: b, isLast });
        // The next one of its kind comes in another step.
        if (isLast) break;
      }
      [left, low] = [right, high];
    }
    values[index] = low;
  });
  return { happened: happened.toSorted((a, b) => a.t - b.t), values };
}
