import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { Steps } from '@/core/1-base/steps';
import { type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Errors } from './flyGlider';
import { COLUMN, COLUMNS, type Glider } from './glider';
import { type Observation, observationsOf } from './observations';
import { type Outcomes, outcomesOf, ROUGHLY, type ShownOf } from './outcomes';
import { type Belief, believe, type Fineness, type Grid, type Seen } from './belief';
import { settingOf, type Toss } from './settings';
import { priorOf, type Unknown, UNKNOWNS } from './unknowns';

/** A value and how far off it may be, one standard deviation. */
export interface Told {
  readonly value: number;
  readonly sigma: number;
}

/** A toss that does not fit what is known without it. */
export interface Contradiction {
  readonly toss: string;
  readonly what: Observation['what'];
  /** By how many standard deviations. */
  readonly sigmas: number;
}

export interface Inferred {
  readonly errors: Readonly<Record<Unknown, Told>>;
  readonly prior: Readonly<Record<Unknown, Told>>;
  /** Lift at which it settles hands off as it is drawn, without shims and ballast; null where it does not. */
  readonly handsOffLift: Told | null;
  readonly priorLift: Told | null;
  readonly contradictions: readonly Contradiction[];
}

/** A flight through the stall is told to so much of what it shows, once it goes well beyond it [rad]. C. */
const STALLED_SHARE = 0.12;
const WELL_STALLED = radiansFromDegrees(4);
/** Beyond that many standard deviations a toss says something else than the others. */
const APART = 3;
/** Where it settles is told when it does so for at least that share of what is believed. */
const MOSTLY = 0.8;

/** One toss with what it would show for any error, and what was seen. */
interface Thrown {
  readonly id: string;
  readonly observations: readonly Observation[];
  readonly outcomes: Outcomes;
}

/** Outcomes by glider and by how it was thrown: throws that are alike are flown once. */
const known = new WeakMap<Glider, Map<string, Outcomes>>();

function outcomesFor(glider: Glider, toss: Toss, steps?: typeof ROUGHLY): Outcomes {
  const setting = settingOf(glider, toss);
  const isTold = toss.launchSpeed !== undefined;
  const key = JSON.stringify([setting, isTold, steps]);
  const own = known.get(glider) ?? new Map<string, Outcomes>();
  known.set(glider, own);
  const made = own.get(key) ?? outcomesOf(glider, setting, priorOf(glider), isTold, steps);
  own.set(key, made);
  return made;
}

/** What a toss shows at given errors beside what was seen, each in its own spread. */
function seenAt({ observations, outcomes }: Thrown, { decalage, balance, warp }: Grid): Seen {
  const { base: shows, varied } = outcomes.at(decalage, balance, warp);
  const read = (flight: ShownOf) => observations.map(({ of, sigma }) => of(flight) / sigma);
  const base = read(shows);
  const drag = read(varied.drag);
  const middle = (up: readonly number[], down: readonly number[]) => base.map((_, at) => (up[at]! - down[at]!) / 2);
  const bent = (up: readonly number[], down: readonly number[]) =>
    base.map((value, at) => (up[at]! + down[at]!) / 2 - value);
  const [faster, slower, steeper, flatter] = [
    read(varied.faster),
    read(varied.slower),
    read(varied.steeper),
    read(varied.flatter),
  ];
  const [bySpeed, byPath] = [bent(faster, slower), bent(steeper, flatter)];
  const loose = STALLED_SHARE * Math.min(1, Math.max(0, shows.overStall / WELL_STALLED));
  return {
    // A throw that is off either way lies off the middle by as much as it bends: b ξ + c ξ² has the mean c and the variance b² + 2 c².
    residuals: observations.map(({ seen, sigma }, at) => seen / sigma - base[at]! - bySpeed[at]! - byPath[at]!),
    spread: base.map((value, at) => 1 + 2 * (bySpeed[at]! ** 2 + byPath[at]! ** 2) + (loose * value) ** 2),
    drag: base.map((value, at) => drag[at]! - value),
    thrown: [middle(faster, slower), middle(steeper, flatter)],
  };
}

/** Weighs all errors by what tosses show. */
const believed = (tosses: readonly Thrown[], fineness: Fineness): Belief =>
  believe(
    tosses.map((toss) => (at) => seenAt(toss, at)),
    fineness,
  );

const thrownOf = (glider: Glider, toss: Toss): Thrown => ({
  id: toss.id,
  observations: observationsOf(toss),
  outcomes: outcomesFor(glider, toss),
});

/** What is believed after some tosses. */
export const believedAfter = (glider: Glider, tosses: readonly Toss[]): Belief =>
  believed(
    tosses.map((toss) => thrownOf(glider, toss)).filter(({ observations }) => observations.length > 0),
    'fine',
  );

/** What a toss would show that has not been thrown, its distance and its time, as well as they will be told. */
export function seenOf(glider: Glider, toss: Toss, belief: Belief): (at: Grid) => Seen {
  const outcomes = outcomesFor(glider, toss, ROUGHLY);
  const expected = (shown: 'distance' | 'time') =>
    Math.max(0, belief.told(({ decalage, balance, warp }) => outcomes.at(decalage, balance, warp).base[shown]).value);
  const observations = observationsOf({ ...toss, distance: expected('distance'), time: expected('time') });
  return (at) => seenAt({ id: toss.id, observations, outcomes }, at);
}

/** Lift coefficient at which nothing turns the nose, before the stall; null where there is none. */
export function handsOffLiftOf(
  { table, stallAngle }: Glider,
  { decalage, balance }: Pick<Errors, 'decalage' | 'balance'>,
): number | null {
  const row = new Float64Array(COLUMNS);
  const at = (alpha: Radians) => {
    table(alpha, row);
    const along = (column: 0 | 1 | 2) => row[column]! + row[column + 3]! * decalage;
    return { x: along(COLUMN.x), z: along(COLUMN.z), m: along(COLUMN.m) };
  };
  const found = findRoot(
    (alpha) => {
      const { z, m } = at(alpha);
      return m - balance * z;
    },
    { low: LOWEST, high: stallAngle, tolerance: 1e-6 },
  );
  if (found.kind !== 'root') return null;
  const { x, z } = at(found.x);
  return -z * Math.cos(found.x) + x * Math.sin(found.x);
}

const LOWEST = radiansFromDegrees(-12);

/**
 * Hands-off lift by errors in standard deviations, counted as the numbers of
 * the design count it: theirs as drawn, and what the errors make of it here (a
 * throw also knows the moment of the drag, which they leave out).
 */
export function liftBy(glider: Glider): (at: Pick<Grid, 'decalage' | 'balance'>) => number | null {
  const prior = priorOf(glider);
  const drawn = handsOffLiftOf(glider, { decalage: 0, balance: 0 });
  const counted = glider.model.numbers.rigging.handsOffLift;
  const shift = drawn === null || counted === null ? 0 : counted - drawn;
  return ({ decalage, balance }) => {
    const own = handsOffLiftOf(glider, { decalage: decalage * prior.decalage, balance: balance * prior.balance });
    return own === null ? null : own + shift;
  };
}

/** Hands-off lift over what is believed; null where it mostly settles nowhere. */
function liftTold(glider: Glider, belief: Belief): Told | null {
  const { value, sigma, share } = belief.told(liftBy(glider));
  return share > MOSTLY ? { value, sigma } : null;
}

/** How far each toss lies from what the others, and the drawing, let expect. */
function contradictionsOf(tosses: readonly Thrown[]): Contradiction[] {
  return tosses.flatMap((toss, index): Contradiction[] => {
    const others = tosses.filter((_, other) => other !== index);
    const apart = believed(others, 'coarse').apart((at) => seenAt(toss, at));
    const worst = apart
      .map((sigmas, place) => ({ toss: toss.id, what: toss.observations[place]!.what, sigmas }))
      .toSorted((a, b) => b.sigmas - a.sigmas)[0];
    return worst && worst.sigmas > APART ? [worst] : [];
  });
}

/**
 * What tosses tell of a glider, by Bayes: bands of hand building before the
 * first toss; errors of decalage, balance and warp weighed point by point,
 * since a throw goes with them on no straight line, and on every point the drag
 * and what nobody knows of the throw by a linear update (Kalman; Jazwinski,
 * Stochastic Processes and Filtering Theory, 1970, ch. 7). What lies beyond
 * three standard deviations of what the other tosses and the drawing let expect
 * is told.
 */
export function* infer(glider: Glider, tosses: readonly Toss[]): Steps<Inferred> {
  const thrown: Thrown[] = [];
  for (const [index, toss] of tosses.entries()) {
    const own = thrownOf(glider, toss);
    if (own.observations.length > 0) thrown.push(own);
    yield { done: index + 1, total: tosses.length + 1 };
  }
  const belief = believed(thrown, 'fine');
  const prior = priorOf(glider);
  const each = <Value>(of: (unknown: Unknown) => Value) =>
    Object.fromEntries(UNKNOWNS.map((unknown) => [unknown, of(unknown)])) as Record<Unknown, Value>;
  return {
    errors: each((unknown) => {
      const { value, sigma } = belief.of(unknown);
      return { value: value * prior[unknown], sigma: sigma * prior[unknown] };
    }),
    prior: each((unknown) => ({ value: 0, sigma: prior[unknown] })),
    handsOffLift: liftTold(glider, belief),
    priorLift: liftTold(glider, believed([], 'fine')),
    contradictions: contradictionsOf(thrown),
  };
}
