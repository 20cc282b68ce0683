import type { Radians } from '@/core/1-base/units/convert';
import { stripLifts } from '@/core/5-aero/farField';
import { isTail } from '@/core/5-aero/lattice';
import { stripData } from '@/core/5-aero/polar';
import { DROOPED_EXTRA_LIFT } from '@/core/5-aero/stallDetails';
import type { Solution } from './solution';

/**
 * The part of the full pitch command that the tail or canard can carry before
 * it stalls itself, at an angle of attack near the stall of the wing.
 */
export function usableCommand({ prepared, model }: Solution, full: Radians, alpha: Radians): Radians {
  const { sections, air, design, lattice } = prepared;
  const data = stripData(sections, air, design.conditions.cruiseSpeed);
  const tail = lattice.strips.flatMap((strip, index) => (isTail(lattice.surfaces[strip.surface]!) ? [index] : []));
  if (tail.length === 0) return full;
  const neutral = stripLifts(model.matrices, model.stateAt(alpha, 0));
  const commanded = stripLifts(model.matrices, model.stateAt(alpha, full));
  let share = 1;
  for (const index of tail) {
    const gained = commanded[index]! - neutral[index]!;
    const limit = Math.sign(gained) * (data[index]!.maximumLift + DROOPED_EXTRA_LIFT);
    const room = (limit - neutral[index]!) / gained;
    if (Number.isFinite(room)) share = Math.min(share, Math.max(0, room));
  }
  return share * full;
}
