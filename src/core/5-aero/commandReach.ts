import { standsAt } from '@/core/3-shape/geometry/asBuilt';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { type Fraction, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Control } from '@/core/2-document/schema/surface';
import type { MixTerm } from './commands';
import { effectiveTurn } from './controlHold';

/**
 * How far a command that moves both sides alike can go, and what it does on
 * the way: `held` is the small command of the same effect, since a flap loses
 * hold the further it turns. Where several controls follow, the one that
 * follows most stands for all.
 */
export interface EvenReach {
  /** Until the first control meets its stop, trailing edges up and down. */
  readonly up: Radians;
  readonly down: Radians;
  readonly held: (turn: Radians) => Radians;
  /** The command whose effect is that of a small one. */
  readonly turnFor: (held: Radians) => Radians;
}

/** Turns that differ by less are one [rad]. */
const ROUNDING = 1e-12;
/** Beyond this nothing turns. */
const MOST_TURN = radiansFromDegrees(120);

/** Effect that a control gains when it turns so far from where it stands. */
function gained(control: Control, turn: Radians): Radians {
  if (control.allMoving) return turn;
  const from = standsAt(control).mean;
  return effectiveTurn(from + turn) - effectiveTurn(from);
}

const gainOf = ({ left, right }: MixTerm): number => (Math.abs(right) >= Math.abs(left) ? right : left);

/** Travel of a control the way that a signed turn goes [rad]. */
const throwTowards = ({ throwUp, throwDown }: Control, sign: number): Radians =>
  radiansFromDegrees(sign > 0 ? throwDown : throwUp);

export function evenReach(mix: readonly MixTerm[]): EvenReach {
  const moving = mix.filter((term) => gainOf(term) !== 0);
  const travel = (sign: 1 | -1) =>
    moving.length === 0
      ? 0
      : Math.min(
          ...moving.flatMap(({ control, left, right }) =>
            [left, right].map((gain) => (gain === 0 ? Infinity : throwTowards(control, sign * gain) / Math.abs(gain))),
          ),
        );
  const leading = moving.reduce<MixTerm | null>(
    (best, term) => (best && Math.abs(gainOf(best)) >= Math.abs(gainOf(term)) ? best : term),
    null,
  );
  const held = (turn: Radians) => (leading ? gained(leading.control, gainOf(leading) * turn) / gainOf(leading) : turn);
  return {
    up: travel(-1),
    down: travel(1),
    held,
    turnFor: (wanted) => {
      // Most commands are small, and a small turn holds all of its effect.
      if (Math.abs(held(wanted) - wanted) < ROUNDING) return wanted;
      const found = findRoot((turn) => held(turn) - wanted, { low: -MOST_TURN, high: MOST_TURN, tolerance: 1e-10 });
      return found.kind === 'root' ? found.x : Math.sign(wanted) * MOST_TURN;
    },
  };
}

/** Full stick to either side as the small command of the same effect; 0 without one. */
export interface OddReach {
  readonly right: Radians;
  readonly left: Radians;
  /** Share of the throws at which the effect is a share of the full one: less than that, since a flap loses hold as it turns. */
  readonly throwFor: (effect: Fraction) => Fraction;
}

/**
 * Small command of the same effect as full stick to the right and to the left,
 * for a command that moves the sides against each other. Each side goes to its
 * own stop: with differential throw the one that rises goes further.
 */
export function oddReach(mix: readonly MixTerm[]): OddReach {
  const towards = (sign: 1 | -1, share = 1): Radians => {
    const shares = mix.flatMap(({ control, mirrored, left, right }) => {
      const sides = (mirrored ? [left, right] : [right]).filter((gain) => gain !== 0);
      if (sides.length === 0) return [];
      const effects = sides.map((gain) => {
        const turn = Math.sign(sign * gain) * share * throwTowards(control, sign * gain);
        return Math.abs(gained(control, turn) / gain);
      });
      return [effects.reduce((sum, effect) => sum + effect, 0) / sides.length];
    });
    return shares.length > 0 ? Math.min(...shares) : 0;
  };
  const right = towards(1);
  return { right, left: towards(-1), throwFor: (effect) => shareFor((share) => towards(1, share), effect * right) };
}

/** Most that throws are told to grow. */
const MOST_SHARE = 20;

/** Share at which something that grows with it reaches a value; the greatest where nothing does. */
function shareFor(at: (share: Fraction) => number, wanted: number): Fraction {
  const found = findRoot((share) => at(share) - wanted, { low: 0, high: MOST_SHARE, tolerance: 1e-6 });
  return found.kind === 'root' ? found.x : MOST_SHARE;
}

/** The same for the pitch command, by its shorter way. */
export const throwForPitch = ({ up, down, held }: EvenReach, effect: Fraction): Fraction => {
  const at = (share: Fraction) => Math.min(held(share * down), -held(-share * up));
  return shareFor(at, effect * at(1));
};
