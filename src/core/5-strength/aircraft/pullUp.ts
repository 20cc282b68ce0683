import type { Fraction, MetresPerSecond, Pascals, Radians, Vector3 } from '@/core/1-base/units/convert';
import { scaled } from '@/core/1-base/numeric/scaled';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { sumLoads } from '../aeroelastic/stripLoads';
import { type Held, heldAt } from '../aeroelastic/equations';
import type { Supple } from '../aeroelastic/supple';
import type { Pulled } from './passings';
import type { SuppleAircraft } from './suppleAircraft';

/** Lift and pitching moment about the balance point, per dynamic pressure [m², m³], or under one [N, N·m]. */
export interface LiftAndMoment {
  readonly lift: number;
  readonly moment: number;
}

/** Unit cases in given shares: what they add up to, and the unknowns they turn before the air answers. */
export interface Mixed extends LiftAndMoment {
  readonly turns: Float64Array;
}

/** The unit cases in given shares. */
export function mixed({ cases, alike }: SuppleAircraft, shares: readonly number[]): Mixed {
  const turns = new Float64Array(alike.size);
  let [lift, moment] = [0, 0];
  cases.forEach((one, index) => {
    const share = shares[index]!;
    for (let row = 0; row < turns.length; row++) turns[row]! += share * one.turns[row]!;
    lift += share * one.total.force[2];
    moment += share * one.total.moment[1];
  });
  return { lift, moment, turns };
}

/** What the air answers to unknowns adds up to. */
export function answeredSum(alike: Supple, about: Vector3, unknowns: Float64Array): LiftAndMoment {
  let [lift, moment] = [0, 0];
  alike.totals(about).forEach((each, unknown) => {
    const share = unknowns[unknown]! * alike.scale[unknown]!;
    lift += share * each.force[2];
    moment += share * each.moment[1];
  });
  return { lift, moment };
}

/** A steady pull-up: what the strips bear, and how they are turned by bending. */
export interface PullUp extends Pulled {
  readonly unknowns: Float64Array;
  /** How much more pitch command it takes than a stiff one would. */
  readonly commandMore: Radians;
}

/**
 * Trimmed flight at a speed with n times the weight on it. Angle of attack and
 * pitch command are those at which lift and moment of the bent aircraft are
 * those of the stiff one in trim; null where that has no answer: nothing holds
 * against the air, or no trim.
 */
export function pullUp(body: SuppleAircraft, speed: MetresPerSecond, factor: Fraction): PullUp | null {
  const { air } = body.stiff;
  const pressure = (air.density * speed ** 2) / 2;
  const held = heldAt(body.alike, pressure);
  return held && trimmedAt(body, { pressure, held }, factor);
}

interface AtSpeed {
  readonly pressure: Pascals;
  readonly held: Held;
}

function trimmedAt(body: SuppleAircraft, { pressure, held }: AtSpeed, factor: Fraction): PullUp | null {
  const { alike, cases, stiff, weightTurns } = body;
  const { model, mass, about } = stiff;
  const trimmed = body.line?.((factor * mass * GRAVITY) / (pressure * model.reference.area));
  if (!trimmed) return null;
  const { alpha, command } = trimmed;
  const [cosine, sine] = [Math.cos(alpha), Math.sin(alpha)];
  const shares = [cosine, sine, command * cosine];
  const byAlpha = [-sine, cosine, -command * sine];
  const byCommand = model.commanded ? [0, 0, cosine] : null;
  /** What a mixture turns, weights among it, and what bending makes of its lift and moment. */
  const bends = ({ turns }: Mixed, weights = 0) => {
    const caused = scaled(turns, pressure);
    for (let row = 0; row < caused.length; row++) caused[row]! += weights * weightTurns[row]!;
    const unknowns = held(caused);
    return { unknowns, ...answeredSum(alike, about, unknowns) };
  };
  const base = bends(mixed(body, shares), factor);
  // What a change brings: its own load and what bending makes of it.
  const gained = (of: readonly number[]) => {
    const stiffly = mixed(body, of);
    const bent = bends(stiffly);
    return { unknowns: bent.unknowns, lift: stiffly.lift + bent.lift, moment: stiffly.moment + bent.moment };
  };
  const a = gained(byAlpha);
  const c = byCommand && gained(byCommand);
  const determinant = c ? a.lift * c.moment - c.lift * a.moment : a.lift;
  if (!(Math.abs(determinant) > 1e-12)) return null;
  const dAlpha = c ? (c.lift * base.moment - base.lift * c.moment) / determinant : -base.lift / a.lift;
  const dCommand = c ? (base.lift * a.moment - a.lift * base.moment) / determinant : 0;
  const unknowns = base.unknowns.map(
    (turn, row) => turn + dAlpha * a.unknowns[row]! + dCommand * (c?.unknowns[row] ?? 0),
  );
  const bent = sumLoads([
    ...cases.map(
      ({ loads }, index) =>
        [shares[index]! + dAlpha * byAlpha[index]! + dCommand * (byCommand?.[index] ?? 0), loads] as const,
    ),
    ...alike.answers.map((loads, index) => [unknowns[index]! * alike.scale[index]!, loads] as const),
  ]);
  return { factor, pressure, shares, bent, unknowns, commandMore: dCommand };
}

/** Pull-ups at one speed, by the load factor; everything grows evenly with it. */
export type PullUps = (factor: Fraction) => PullUp;

/** Pull-ups at one speed from two of them; null where there is none. */
export function pullUps(body: SuppleAircraft, speed: MetresPerSecond): PullUps | null {
  const pressure = (body.stiff.air.density * speed ** 2) / 2;
  const held = heldAt(body.alike, pressure);
  const [one, two] = held
    ? [trimmedAt(body, { pressure, held }, 1), trimmedAt(body, { pressure, held }, 2)]
    : [null, null];
  if (!one || !two) return null;
  return (factor) => {
    if (factor === 1) return one;
    if (factor === 2) return two;
    const more = factor - 1;
    return {
      factor,
      pressure,
      shares: one.shares.map((share, index) => share + more * (two.shares[index]! - share)),
      bent: sumLoads([
        [1 - more, one.bent],
        [more, two.bent],
      ]),
      commandMore: one.commandMore + more * (two.commandMore - one.commandMore),
      unknowns: one.unknowns.map((unknown, row) => unknown + more * (two.unknowns[row]! - unknown)),
      between: { one, two, share: more },
    };
  };
}
