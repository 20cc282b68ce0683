import type { Steps } from '@/core/1-base/steps';
import type { Fraction, Kilograms } from '@/core/1-base/units/convert';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import type { Built, Off } from './built';
import { toleratedAircraft, type ToleratedAircraft } from './builtAircraft';
import { normalDraws, offIn, quantileOf } from './draws';
import { type BuiltOff, goesWell, thrownOf, type Thrown } from './firstThrow';
import type { Tolerance } from './inputs';
import { tightenings, type Tightened } from './tighten';
import { holdsAll, holdsOf, limitsFor, type Limits } from './verdicts';

/** Verdicts whose chance is told; the last one is all of them and a throw that goes well. */
export const CHANCES = ['inWindow', 'handsOff', 'noTipStall', 'rollTrimmable', 'firstThrow'] as const;
export type ChanceName = (typeof CHANCES)[number];

/** Numbers that are told, by the names of the analysis, SI. */
export const OUTPUTS = {
  'pitch.staticMargin': (built: Built) => built.staticMargin,
  'pitch.neutralPoint': (built: Built) => built.neutralPoint,
  'mass.total': (built: Built) => built.mass,
  'mass.cg.0': (built: Built) => built.balance,
  'rigging.handsOffLift': (built: Built) => built.handsOffLift,
  'rigging.handsOffSpeed': (built: Built) => built.handsOffSpeed,
  'trim.elevator': (built: Built) => built.elevator,
  'stall.liftCoefficient': (built: Built) => built.maximumLift,
  'stall.speed': (built: Built) => built.stallSpeed,
  'asymmetry.aileron': (built: Built) => built.rollCommand,
} as const satisfies Readonly<Record<string, (built: Built) => number | null>>;
export type ToleratedOutput = keyof typeof OUTPUTS;

/** How an output is spread: median and the middle nine tenths; of the draws that have it. */
export interface Spread {
  readonly median: number;
  readonly p05: number;
  readonly p95: number;
  readonly mean: number;
  readonly sigma: number;
  /** As drawn. */
  readonly drawn: number | null;
  /** Share of its variance that each input brings, by its id. */
  readonly shares: Readonly<Record<string, Fraction>>;
  /** How many lie in each of as many equal steps, from the least to the greatest. */
  readonly counts: readonly number[];
  readonly from: number;
  readonly to: number;
  /** What it should keep to as drawn; null where nothing asks for it. */
  readonly limits: Limits;
}

/** Steps of a distribution. */
const BINS = 24;

function countsOf(sorted: Float64Array): Pick<Spread, 'counts' | 'from' | 'to'> {
  const [from, to] = [sorted[0]!, sorted.at(-1)!];
  const counts = Array.from({ length: BINS }, () => 0);
  for (const value of sorted) {
    const bin = to > from ? Math.floor((BINS * (value - from)) / (to - from)) : 0;
    counts[Math.min(BINS - 1, bin)]!++;
  }
  return { counts, from, to };
}

export interface Tolerated {
  readonly ok: true;
  readonly draws: number;
  /** Draws in which something has no number: nothing holds the nose. They count against every verdict that needs it. */
  readonly failed: number;
  readonly tolerances: readonly Tolerance[];
  readonly outputs: Readonly<Partial<Record<ToleratedOutput, Spread>>>;
  /** Null where it cannot be told, and why. */
  readonly chances: Readonly<Record<ChanceName, Fraction | null>>;
  readonly reasons: Readonly<Record<string, string>>;
  /** Chance that all verdicts hold that building decides, throws left out. */
  readonly all: Fraction;
  /** What would have to come down by how much for that chance to be nine and a half in ten. */
  readonly tighten: Tightened;
}

const NOT_THROWN = 'It is not launched by hand: what a throw does says nothing of it.';
const NO_SECTIONS = 'What its sections carry is not known.';
const NO_WINDOW = 'There is no balance window to lie in.';

/** How it was built, as a throw has it. */
const thrownAs = (
  { glider }: Thrown,
  { of, decalage, shift, stands }: ToleratedAircraft,
  { off, mass }: { readonly off: Off; readonly mass: Kilograms },
): BuiltOff => ({
  errors: {
    decalage: decalage(off),
    balance: shift(off) / glider.chord,
    drag: of(off, 'drag'),
    warp: of(off, 'warp'),
  },
  stands: stands(off),
  mass,
});

/** Share of the variance of an output that each input brings: S_i = (∂y/∂x_i σ_i)²/Σ, about the drawing. */
function sharesOf({ tolerances, built }: ToleratedAircraft, pick: (built: Built) => number | null) {
  const squares = tolerances.map(({ sigma }, index) => {
    const at = (by: number) => {
      const off = new Float64Array(tolerances.length);
      off[index] = by * sigma;
      return pick(built(off));
    };
    const [more, less] = [at(0.5), at(-0.5)];
    return more === null || less === null ? 0 : (more - less) ** 2;
  });
  const whole = squares.reduce((sum, square) => sum + square, 0);
  return Object.fromEntries(
    tolerances.flatMap(({ id }, index) => (squares[index]! > 0 ? [[id, squares[index]! / whole] as const] : [])),
  );
}

function spreadOf(aircraft: ToleratedAircraft, all: readonly Built[], name: ToleratedOutput): Spread | null {
  const pick = OUTPUTS[name];
  const none = new Float64Array(aircraft.tolerances.length);
  const values = Float64Array.from(all.map(pick).filter((value) => value !== null)).sort();
  if (values.length === 0) return null;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const square = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return {
    median: quantileOf(values, 0.5),
    p05: quantileOf(values, 0.05),
    p95: quantileOf(values, 0.95),
    mean,
    sigma: values.length > 1 ? Math.sqrt(square / (values.length - 1)) : 0,
    drawn: pick(aircraft.built(none)),
    shares: sharesOf(aircraft, pick),
    ...countsOf(values),
    limits: limitsFor(aircraft, name, none),
  };
}

/** So many that hold are thrown with power, which takes its time: their share is known to half a tenth. */
const POWERED = 64;

export interface ToleranceOptions {
  readonly draws: number;
  readonly seed: number;
  /** What was read of the finished aircraft. */
  readonly readings?: readonly RecordOf<'benchReadings'>[];
}

/** How many at a time before others are let in. */
const AT_ONCE = 16;

/**
 * Builds an aircraft many times, each a little off as hands and boards are, and
 * counts how often every verdict holds. Source: Monte Carlo with Latin
 * hypercube draws of independent normal errors. Not every error is among them:
 * see `tolerancesOf`.
 */
export function* tolerate(
  design: Design,
  { draws, seed, readings }: ToleranceOptions,
): Steps<Tolerated | { readonly ok: false; readonly because: string }> {
  const aircraft = toleratedAircraft(design, readings);
  if (!aircraft.ok) return aircraft;
  const { tolerances } = aircraft;
  const isThrown = design.brief.launch === 'hand';
  const thrown = isThrown ? thrownOf(design) : null;
  const normals = normalDraws(draws, tolerances.length, seed);
  const all: Built[] = [];
  const held: Record<ChanceName, number> = {
    inWindow: 0,
    handsOff: 0,
    noTipStall: 0,
    rollTrimmable: 0,
    firstThrow: 0,
  };
  let failed = 0;
  let [hold, tried] = [0, 0];
  for (let index = 0; index < draws; index++) {
    const off = offIn(tolerances, normals, index);
    const built = aircraft.built(off);
    all.push(built);
    if (built.handsOffLift === null) failed++;
    const is = holdsOf(built);
    const isWell = holdsAll(built, is);
    for (const name of ['inWindow', 'handsOff', 'noTipStall', 'rollTrimmable'] as const) held[name] += Number(is[name]);
    if (isWell) hold++;
    if (isWell && thrown && !('because' in thrown) && (!thrown.thrust || tried < POWERED)) {
      tried++;
      if (goesWell(thrown, thrownAs(thrown, aircraft, { off, mass: built.mass }), index)) held.firstThrow++;
    }
    if ((index + 1) % AT_ONCE === 0) yield { done: index + 1, total: draws };
  }
  // Those that were thrown stand for all that hold.
  held.firstThrow *= tried > 0 ? hold / tried : 0;
  const [first] = all;
  const reasons: Record<string, string> = {
    ...aircraft.reasons,
    ...(first?.window === null ? { inWindow: NO_WINDOW } : {}),
    ...(first?.tipLeft === null ? { noTipStall: NO_SECTIONS } : {}),
    ...(isThrown ? (thrown && 'because' in thrown ? { firstThrow: thrown.because } : {}) : { firstThrow: NOT_THROWN }),
  };
  const outputs: Partial<Record<ToleratedOutput, Spread>> = {};
  for (const name of Object.keys(OUTPUTS) as ToleratedOutput[]) {
    const spread = spreadOf(aircraft, all, name);
    if (spread) outputs[name] = spread;
  }
  return {
    ok: true,
    draws,
    failed,
    tolerances,
    outputs,
    chances: Object.fromEntries(
      CHANCES.map((name) => [name, reasons[name] === undefined ? held[name] / draws : null]),
    ) as Record<ChanceName, Fraction | null>,
    reasons,
    all: hold / draws,
    tighten: tightenings(aircraft, normals),
  };
}
