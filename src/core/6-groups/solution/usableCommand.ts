import type { Radians } from '@/core/1-base/units/convert';
import { findRoot } from '@/core/1-base/numeric/findRoot';
import { stripLifts } from '@/core/5-aero/farField';
import { isTail } from '@/core/5-aero/lattice';
import { stripLimits } from '@/core/5-aero/polar';
import { droopedExtraLift } from '@/core/5-aero/stallDetails';
import { stripTurns } from '@/core/5-aero/stripTurns';
import type { Solution } from './solution';

/**
 * The part of a pitch command, as it is turned, that the tail or canard can
 * carry before it stalls itself, at an angle of attack near the stall of the
 * wing; as the small command of the same effect.
 */
export function usableCommand({ prepared, model }: Solution, turn: Radians, alpha: Radians): Radians {
  const { sections, air, design, lattice, reach, mixes } = prepared;
  const full = reach.pitch.held(turn);
  const data = stripLimits(sections, air, design.conditions.cruiseSpeed);
  const tail = lattice.strips.flatMap((strip, index) => (isTail(lattice.surfaces[strip.surface]!) ? [index] : []));
  if (tail.length === 0) return full;
  const neutral = stripLifts(model.matrices, model.stateAt(alpha, 0));
  const commanded = stripLifts(model.matrices, model.stateAt(alpha, full));
  /** Lift that the first strip of the tail has left when so much of the command is given. */
  const room = (share: number): number => {
    const turns = stripTurns(lattice, [{ mix: mixes.pitch, turn: share * turn }]);
    return Math.min(
      ...tail.map((index) => {
        const gained = commanded[index]! - neutral[index]!;
        const way = Math.sign(gained);
        return data[index]! + droopedExtraLift(way * turns[index]!) - way * (neutral[index]! + share * gained);
      }),
    );
  };
  if (room(1) >= 0) return full;
  const found = findRoot(room, { low: 0, high: 1, tolerance: 1e-6 });
  return found.kind === 'root' ? found.x * full : 0;
}
