import { scaled } from '@/core/1-base/numeric/scaled';
import type { Fraction, Pascals, Vector3 } from '@/core/1-base/units/convert';
import { type Equations, equationsAt } from './equations';
import type { Supple } from './supple';
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
 * and the turned steady loads add, the share is 1 + e(x)/e₀. It is nought where
 * I − q (K − t e/e₀) has no inverse; the determinant of that is the share times
 * that of I − q K (matrix determinant lemma), whose sign tells a reversal from
 * a divergence, beside which the share turns its sign too. Null where the
 * effect is none to begin with. @param equations those of steady flight by the
 * dynamic pressure; of the aircraft as it comes without it
 */
export function effectKept(
  body: Supple,
  loads: StripLoads,
  { about, pick }: Effect,
  equations: (pressure: Pascals) => Equations = (pressure) => equationsAt(body, pressure),
): EffectKept | null {
  const { lattice, parity } = body;
  const effectOf = (of: StripLoads) => pick(totalOf(lattice, of, parity, about));
  const stiff = effectOf(loads);
  if (!(Math.abs(stiff) > NOTHING)) return null;
  const turns = body.turnsBy(loads);
  // The effect is linear in the unknowns: one number for each of them serves all speeds.
  const each = body.totals(about).map((total) => pick(total) / stiff);
  const byTilt = body.tilts.map(({ totals }) => totals(about).map((total) => (total ? pick(total) / stiff : 0)));
  const shareOf = ({ body: here, held }: Equations, pressure: Pascals) => {
    const unknowns = held?.(scaled(turns, pressure));
    if (!unknowns) return null;
    let share = 1;
    for (let unknown = 0; unknown < unknowns.length; unknown++) {
      let adds = here.scale[unknown]! * each[unknown]!;
      for (let which = 0; which < byTilt.length; which++) adds += here.shares[which]! * byTilt[which]![unknown]!;
      share += unknowns[unknown]! * adds;
    }
    return share;
  };
  return {
    at: (pressure) => shareOf(equations(pressure), pressure),
    signAt: (pressure) => {
      const there = equations(pressure);
      return there.sign * (shareOf(there, pressure) ?? 0);
    },
  };
}
