import type { Fraction, Pascals } from '@/core/1-base/units/convert';
import { settled, signAt, type Supple } from './supple';
import type { StripLoads } from './stripLoads';

/** What is left of an effect of a load as everything bends. */
export interface EffectKept {
  /** Share of it at a dynamic pressure; null where nothing holds against the air. */
  readonly at: (pressure: Pascals) => Fraction | null;
  /** A value whose sign turns with the dynamic pressure where nothing of the effect is left. */
  readonly signAt: (pressure: Pascals) => number;
}

/** Less than that is nothing to keep. */
const NOTHING = 1e-9;

/**
 * An effect e(L), linear in the loads, of loads L₀ that a command brings. With
 * x = q (I − q K)⁻¹ t, t the turns by L₀, and e(x) what the answers add, the
 * share 1 + e(x)/e₀ is nought where I − q (K − t e/e₀) has no inverse (matrix
 * determinant lemma). That tells a reversal from a divergence, beside which the
 * share turns its sign too. Null where the effect is none to begin with.
 */
export function effectKept(
  supple: Supple,
  loads: StripLoads,
  effectOf: (loads: StripLoads) => number,
): EffectKept | null {
  const stiff = effectOf(loads);
  if (!(Math.abs(stiff) > NOTHING)) return null;
  const turns = supple.turnsBy(loads);
  // The effect is linear in the unknowns: one number for each of them serves all speeds.
  const each = supple.answers.map((answer) => effectOf(answer) / stiff);
  const { size, coupling } = supple;
  const less: Supple = {
    ...supple,
    coupling: coupling.map((value, index) => value - turns[Math.floor(index / size)]! * each[index % size]!),
  };
  return {
    at: (pressure) => {
      const unknowns = settled(
        supple,
        pressure,
        turns.map((turn) => turn * pressure),
      );
      return unknowns && 1 + unknowns.reduce((sum, unknown, index) => sum + unknown * each[index]!, 0);
    },
    signAt: (pressure) => signAt(less, pressure),
  };
}
