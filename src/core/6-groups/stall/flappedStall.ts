import { stripLifts } from '@/core/5-aero/farField';
import { controlCase } from '@/core/5-aero/flowCase';
import type { TrimmedLine } from '@/core/5-aero/polar';
import { findStall } from '@/core/5-aero/stall';
import { droopedExtraLift } from '@/core/5-aero/stallDetails';
import { wholeLift } from '@/core/5-aero/wholeLift';
import { stripTurns } from '@/core/5-aero/stripTurns';
import { metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Solution } from '../solution/solution';

interface FlappedStall {
  readonly lift: number;
  readonly droop: number;
}

/** Steps in which the droop is tried up to the full travel. */
const DROOP_STEPS = 6;

/** The droop that gives the greatest C_Lmax: flaps lift more and stall later, but steep ones lose their hold. */
export function flappedStall({ prepared, model }: Solution, line: TrimmedLine): FlappedStall | null {
  const { commands, sections, air, weights, design, mixes, reach } = prepared;
  const flapTravel = reach.flap.down;
  if (!commands.flap.hasEven || flapTravel <= 0) return null;
  const perRadian = stripLifts(model.matrices, controlCase(model.matrices, 'symmetric', commands.flap.even.angles));
  const { lattice } = model;
  const count = lattice.cells.count;
  // Between the flaps the fuselage carries their lift across: its strips do not stall before the flapped ones.
  const half = Math.max(
    0,
    ...design.bodies
      .filter(({ mirrored }) => !mirrored)
      .flatMap(({ frames }) => frames.map(({ width }) => metresFromMillimetres(width) / 2)),
  );
  const isFlapped = lattice.strips.map(
    ({ m }, index) => commands.flap.even.angles[index * count + count - 1] !== 0 || Math.abs(m.y) < 1.1 * half,
  );
  let best: FlappedStall | null = null;
  for (let step = 1; step <= DROOP_STEPS; step++) {
    const droop = (flapTravel * step) / DROOP_STEPS;
    const held = reach.flap.held(droop);
    const gained = perRadian.map((value) => value * held);
    const whole = wholeLift(model, gained);
    // At a whole lift C_L the aircraft without flaps carries C_L less what the flaps add by themselves.
    const found = findStall({
      model,
      sections,
      air,
      mass: weights.properties?.total ?? null,
      cruiseSpeed: design.conditions.cruiseSpeed,
      extraLimitAt: (lift) => {
        const turns = stripTurns(lattice, [
          { mix: mixes.flap, turn: droop },
          { mix: mixes.pitch, turn: reach.pitch.turnFor(line.commandAt(lift - whole)) },
        ]);
        return turns.map((turn, i) => droopedExtraLift(turn === 0 && isFlapped[i] ? droop : turn));
      },
      line: { ...line, stripLiftsAt: (lift) => line.stripLiftsAt(lift - whole).map((value, i) => value + gained[i]!) },
    });
    if (!('reason' in found) && found.liftCoefficient > (best?.lift ?? 0))
      best = { lift: found.liftCoefficient, droop };
  }
  return best;
}
