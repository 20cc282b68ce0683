import { longitudinal } from '@/core/5-aero/aeroModel';
import { controlCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import type { Radians } from '@/core/1-base/units/convert';
import type { Solution } from '../solution/solution';

/**
 * Pitch command that holds the same lift when the flaps droop, beyond the one
 * without, to first order: δ = −(C_m,f − C_mα C_L,f/C_Lα)/(C_mδ − C_mα C_Lδ/C_Lα).
 */
export function flapTrimChange(
  { model, prepared, pitch, state, alpha, command }: Solution,
  droop: Radians | null,
): Radians | null {
  const { about, reference, commands, reach } = prepared;
  if (droop === null || pitch.momentFromElevator === null || pitch.liftFromElevator === null) return null;
  const flow = controlCase(model.matrices, 'symmetric', commands.flap.even.angles);
  const perRadian = longitudinal(loadChange(model.matrices, state, flow, about), alpha, reference);
  const angle = reach.flap.held(droop);
  const stiffness = pitch.momentSlope / pitch.liftSlope;
  const upset = (perRadian.moment - stiffness * perRadian.lift) * angle;
  const asked = -upset / (pitch.momentFromElevator - stiffness * pitch.liftFromElevator);
  return reach.pitch.turnFor(command + asked) - reach.pitch.turnFor(command);
}
