import { controlCase, type FlowCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import { isTail, surfaceMask } from '@/core/5-aero/lattice';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import type { Radians } from '@/core/1-base/units/convert';
import type { Solution } from '../solution/solution';

/** Angle of the tail against the datum that does what the pitch command does, to first order; null without either. */
export function neutralTailIncidence({ model, state, command, prepared }: Solution): Radians | null {
  const index = model.lattice.surfaces.findIndex(isTail);
  if (index < 0 || !model.commanded) return null;
  const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
  const momentOf = (change: FlowCase) => loadChange(model.matrices, state, change, prepared.about).moment[1];
  const change = (command * momentOf(model.commanded)) / momentOf(turned);
  return builtAngles(model.lattice.surfaces[index]!).meanIncidence + change;
}
