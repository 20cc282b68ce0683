import { findRoot } from '@/core/1-base/numeric/findRoot';
import type { MetresPerSecond, Radians } from '@/core/1-base/units/convert';
import { longitudinal } from '@/core/5-aero/aeroModel';
import { stripLifts } from '@/core/5-aero/farField';
import { stripLimits } from '@/core/5-aero/polar';
import { STALL_SPEEDS, stallingStrips, stallSpeed } from '@/core/5-aero/stall';
import { droopedExtraLift } from '@/core/5-aero/stallDetails';
import { stripTurns } from '@/core/5-aero/stripTurns';
import { burstAngle, isSlenderDelta } from '@/core/5-aero/vortexLift';
import type { Solution } from './solution';

/** Angles of attack between which the stall is looked for [rad]. */
const [LEAST, MOST] = [-0.1, 0.6];

/**
 * Angle of attack at which the first strip of a wing or canard stalls while the
 * pitch command is held, wherever it balances, at the speed that this stall
 * has; null where none does. @param command as the small command of the same effect
 */
export function stallAtCommand({ prepared, model }: Solution, command: Radians): Radians | null {
  const { lattice, matrices, reference } = model;
  const { mixes, reach, sections, air, weights, about, design } = prepared;
  const turns = stripTurns(lattice, [{ mix: mixes.pitch, turn: reach.pitch.turnFor(command) }]);
  const lifting = stallingStrips(lattice);
  const burst = Math.min(Infinity, ...lattice.surfaces.filter(isSlenderDelta).map(burstAngle));
  // Lift of a strip is linear in the cosine and the sine of the angle.
  const [level, risen] = [0, Math.PI / 2].map((alpha) => stripLifts(matrices, model.stateAt(alpha, command)));
  const alphaAt = (speed: MetresPerSecond): Radians | null => {
    const sound = stripLimits(sections, air, speed);
    const room = (alpha: Radians) =>
      Math.min(
        burst - alpha,
        ...lifting.map((index) => {
          const lift = Math.cos(alpha) * level![index]! + Math.sin(alpha) * risen![index]!;
          return sound[index]! + droopedExtraLift(turns[index]!) - lift;
        }),
      );
    const found = findRoot(room, { low: LEAST, high: MOST, tolerance: 1e-7 });
    return found.kind === 'root' ? found.x : null;
  };
  const mass = weights.properties?.total;
  if (mass === undefined) return alphaAt(design.conditions.cruiseSpeed);
  const tooFast = (speed: MetresPerSecond) => {
    const alpha = alphaAt(speed);
    if (alpha === null) return NaN;
    const { lift } = longitudinal(model.loadAt(alpha, command, about), alpha, reference);
    // Without lift there is no speed slow enough.
    return speed - (lift > 0 ? stallSpeed(mass, air, reference.area, lift) : Infinity);
  };
  const found = findRoot(tooFast, { ...STALL_SPEEDS, tolerance: 1e-4 });
  return found.kind === 'root' ? alphaAt(found.x) : null;
}
