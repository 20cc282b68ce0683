import { longitudinal, type LongitudinalCoefficients } from '@/core/5-aero/aeroModel';
import type { FlowCase } from '@/core/5-aero/flowCase';
import { addLoads, loadChange, type Load, scaleLoad } from '@/core/5-aero/forces';
import { frictionChange } from '@/core/5-aero/friction';
import { stripData } from '@/core/5-aero/polar';
import type { Solution } from '../solution/solution';

/** What a change does to side force, roll and yaw, on ½ρV² and area, and span. */
export interface Sideways {
  readonly sideForce: number;
  readonly roll: number;
  readonly yaw: number;
}

/**
 * Loads that small motions bring about level flight, flow and friction
 * together: per radian of angle of attack and of sideslip, per q c̄/2V, p b/2V
 * and r b/2V. Lift and drag along the axes of the trimmed flight, the rest in
 * axes of the datum.
 */
export interface SmallLoads {
  readonly byAlpha: LongitudinalCoefficients;
  readonly byPitchRate: LongitudinalCoefficients;
  readonly bySlip: Sideways;
  readonly byRollRate: Sideways;
  readonly byYawRate: Sideways;
}

/** Step of a difference quotient [rad]. */
const STEP = 1e-4;

const perStep = (at: number, load: (value: number) => Load): Load =>
  addLoads([scaleLoad(load(at + STEP), 1 / (2 * STEP)), scaleLoad(load(at - STEP), -1 / (2 * STEP))]);

/** Asks for a solvable design. */
export function smallLoads(solution: Solution): SmallLoads {
  const { model, prepared, alpha, state, byAlpha, disturbances } = solution;
  const { about, reference, sections, air, design, surfacesOnly, lattice } = prepared;
  const { extra, matrices } = model;
  const data = surfacesOnly ? null : stripData(sections, air, design.conditions.cruiseSpeed);
  const change = (flow: FlowCase, beside: readonly Load[]) =>
    addLoads([
      loadChange(matrices, state, flow, about),
      ...(data ? [frictionChange(lattice, data, { state, change: flow }, about)] : []),
      ...beside,
    ]);
  const upright = (load: Load) => longitudinal(load, alpha, reference);
  const sideways = ({ force, moment }: Load): Sideways => ({
    sideForce: (2 * force[1]) / reference.area,
    roll: (-2 * moment[0]) / (reference.area * reference.span),
    yaw: (-2 * moment[2]) / (reference.area * reference.span),
  });
  const perSpan = 2 / reference.span;
  return {
    // What drags beside the surfaces turns with the air as well, which the neutral point leaves out.
    byAlpha: upright(change(byAlpha, [perStep(alpha, (angle) => extra.atAlpha(angle, about))])),
    byPitchRate: upright(scaleLoad(change(solution.pitchRate, [extra.perPitchRate(about)]), 2 / reference.meanChord)),
    bySlip: sideways(change(disturbances.sideslip, [extra.perBeta(about)])),
    byRollRate: sideways(scaleLoad(change(disturbances.rollRate, []), perSpan)),
    byYawRate: sideways(scaleLoad(change(disturbances.yawRate, [extra.perYawRate(about)]), perSpan)),
  };
}
