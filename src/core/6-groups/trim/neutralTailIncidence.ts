import { longitudinal } from '@/core/5-aero/aeroModel';
import { controlCase, type FlowCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import { isTail, surfaceMask } from '@/core/5-aero/lattice';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import type { Radians } from '@/core/1-base/units/convert';
import type { Solution } from '../solution/solution';

/**
 * Angle of the tail against the datum at which level flight needs no pitch
 * control, to first order: it does what the command does, or what is missing
 * where there is none. Null without a tail or canard.
 */
export function neutralTailIncidence({
  model,
  state,
  command,
  cruise,
  pitch,
  alpha,
  prepared,
}: Solution): Radians | null {
  const index = model.lattice.surfaces.findIndex(isTail);
  if (index < 0) return null;
  const { about, reference } = prepared;
  const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
  const momentOf = (change: FlowCase) => loadChange(model.matrices, state, change, about).moment[1];
  const now = builtAngles(model.lattice.surfaces[index]!).meanIncidence;
  if (model.commanded) return now + (command * momentOf(model.commanded)) / momentOf(turned);
  const byTurn = longitudinal(loadChange(model.matrices, state, turned, about), alpha, reference);
  // At the same lift: what the tail lifts more the wing lifts less.
  return now - cruise.state.moment / (byTurn.moment - (byTurn.lift * pitch.momentSlope) / pitch.liftSlope);
}
