import type { Fraction, Pascals, Vector3 } from '@/core/1-base/units/convert';
import { inState, settled, signAt, type SteadyState, type Supple } from './supple';
import { type StripLoads, type Total, totalOf } from './stripLoads';

/** What is left of an effect of a load as everything bends. */
export interface EffectKept {
  /** Share of it at a dynamic pressure; null where nothing holds against the air. */
  readonly at: (pressure: Pascals) => Fraction | null;
  /** A value whose sign turns with the dynamic pressure where nothing of the effect is left. */
  readonly signAt: (pressure: Pascals) => number;
}

/** Less than that is nothing to keep. */
const NOTHING = 1e-9;

/** An effect of loads: a part of the force and moment about a point that they add up to. */
export interface Effect {
  readonly about: Vector3;
  readonly pick: (total: Total) => number;
}

/**
 * An effect e(L), linear in the loads, of loads L₀ that a command brings. With
 * x = q (I − q K)⁻¹ t, t the turns by L₀, and e(x) what the answers of the air
 * and the turned steady loads add, the share 1 + e(x)/e₀ is nought where
 * I − q (K − t e/e₀) has no inverse (matrix determinant lemma). That tells a
 * reversal from a divergence, beside which the share turns its sign too. Null
 * where the effect is none to begin with. @param steadyAt steady flight by the
 * dynamic pressure; that of the aircraft as it comes without it
 */
export function effectKept(
  body: Supple,
  loads: StripLoads,
  { about, pick }: Effect,
  steadyAt: ((pressure: Pascals) => SteadyState) | null = null,
): EffectKept | null {
  const { lattice, parity, size } = body;
  const effectOf = (of: StripLoads) => pick(totalOf(lattice, of, parity, about));
  const stiff = effectOf(loads);
  if (!(Math.abs(stiff) > NOTHING)) return null;
  const turns = body.turnsBy(loads);
  // The effect is linear in the unknowns: one number for each of them serves all speeds.
  const each = body.answers.map((answer) => effectOf(answer) / stiff);
  const byTilt = body.tilts.map(({ totals }) => totals(about).map((total) => (total ? pick(total) / stiff : 0)));
  const less = (coupling: Float64Array, effects: readonly number[]) =>
    coupling.map((value, index) => value - turns[Math.floor(index / size)]! * effects[index % size]!);
  const without = {
    coupling: less(body.coupling, each),
    tilts: body.tilts.map((tilt, which) => ({ ...tilt, coupling: less(tilt.coupling, byTilt[which]!) })),
  };
  const stateAt = (pressure: Pascals) => (steadyAt ? inState(body, steadyAt(pressure)) : body);
  return {
    at: (pressure) => {
      const here = stateAt(pressure);
      const unknowns = settled(
        here,
        pressure,
        turns.map((turn) => turn * pressure),
      );
      const adds = (unknown: number) =>
        byTilt.reduce((sum, tilt, which) => sum + here.shares[which]! * tilt[unknown]!, 0) +
        here.scale[unknown]! * each[unknown]!;
      return unknowns && 1 + unknowns.reduce((sum, turn, unknown) => sum + turn * adds(unknown), 0);
    },
    signAt: (pressure) => signAt({ ...stateAt(pressure), ...without }, pressure),
  };
}
