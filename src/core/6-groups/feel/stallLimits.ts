import type { Fraction, MetresPerSecond, Radians } from '@/core/1-base/units/convert';
import { oddControlCase } from '@/core/5-aero/derivatives';
import { stripLifts } from '@/core/5-aero/farField';
import { stripLimits } from '@/core/5-aero/polar';
import { droopedExtraLift } from '@/core/5-aero/stallDetails';
import { stallingStrips } from '@/core/5-aero/stall';
import { stripTurns } from '@/core/5-aero/stripTurns';
import type { Solution } from '../solution/solution';

/** A surface counts as upright when it leans more than this; the sine of its angle. */
const UPRIGHT = 0.5;
/** Sideslip beyond which nothing stays attached where no section says less [rad]. */
const MOST_SIDESLIP = 0.35;

/**
 * Share of a steady roll that the wing can follow before a strip of it stalls:
 * each strip carries the lift of the straight flight, what its aileron adds and
 * what the roll adds; 1 where all of it is carried.
 * @param lift of the straight flight @param command full roll command @param rate p/V [rad/m]
 */
export function rollCarried(
  solution: Solution,
  { lift, speed, command, rate }: { lift: number; speed: MetresPerSecond; command: Radians; rate: number },
): Fraction {
  const { model, prepared, alpha, disturbances, line } = solution;
  if (line === null || 'reason' in line) return 1;
  const { lattice, matrices } = model;
  const sound = stripLimits(prepared.sections, prepared.air, speed);
  const straight = line.stripLiftsAt(lift);
  const byCommand = stripLifts(matrices, oddControlCase(model, prepared.commands.roll, alpha));
  const byRate = stripLifts(matrices, disturbances.rollRate);
  const turns = stripTurns(lattice, [{ mix: prepared.mixes.roll, turn: command }]);
  let share = 1;
  stallingStrips(lattice).forEach((index) => {
    const gained = byCommand[index]! * command + byRate[index]! * rate;
    // The left half gains what the right one loses.
    const extra = droopedExtraLift(gained > 0 ? turns[index]! : -turns[index]!);
    const room = Math.max(0, sound[index]! + Math.max(0, extra) - straight[index]!);
    if (Math.abs(gained) > room) share = Math.min(share, room / Math.abs(gained));
  });
  return share;
}

/** Sideslip at which the first strip of a fin or V-tail reaches the greatest lift of its section [rad]. */
export function sideslipCarried(solution: Solution, speed: MetresPerSecond): Radians {
  const { model, prepared, disturbances } = solution;
  const { lattice, matrices } = model;
  const sound = stripLimits(prepared.sections, prepared.air, speed);
  const bySlip = stripLifts(matrices, disturbances.sideslip);
  const limits = lattice.strips.flatMap(({ tangentZ }, index) => {
    const perRadian = Math.abs(bySlip[index]!);
    return Math.abs(tangentZ) > UPRIGHT && perRadian > 0 ? [sound[index]! / perRadian] : [];
  });
  return Math.min(MOST_SIDESLIP, ...limits);
}
