import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { longitudinal } from '@/core/5-aero/aeroModel';
import { controlCase } from '@/core/5-aero/flowCase';
import { loadChange } from '@/core/5-aero/forces';
import { surfaceMask } from '@/core/5-aero/lattice';
import type { Solution } from '../solution/solution';

/** What feels the wash of others, for the time that it takes to arrive. */
export interface LateWash {
  /** Moment coefficient per radian of its angle; negative behind. */
  readonly momentPerRadian: number;
  /** dε/dα there. */
  readonly slope: number;
  /** Its quarter chord aft of the balance point [m]. */
  readonly arm: number;
}

/** The surface behind, which meets the wash of a moment ago. */
export function lateWash({ model, receiver, state, prepared, alpha }: Solution, slope: number | null): LateWash | null {
  if (!receiver || slope === null) return null;
  const { about, reference } = prepared;
  const { surfaces } = model.lattice;
  const moments = receiver.surfaces.map((index) => {
    const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
    return longitudinal(loadChange(model.matrices, state, turned, about), alpha, reference).moment;
  });
  // A tail that stands upright has no plan form to feel a wash with.
  const planform = integratePlanforms(receiver.surfaces.map((index) => surfaces[index]!));
  if (!planform) return null;
  return {
    momentPerRadian: moments.reduce((sum, moment) => sum + moment, 0),
    slope,
    arm: planform.meanChordLeadingEdge + planform.meanChord / 4 - about[0],
  };
}
