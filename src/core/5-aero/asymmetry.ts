import { Matrix, SingularValueDecomposition } from 'ml-matrix';
import { isAftTail } from '@/core/2-document/schema/roles';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import { developedLength } from '@/core/3-shape/geometry/layout';
import type { Radians, Vector3 } from '@/core/1-base/units/convert';
import type { AeroModel } from './aeroModel';
import { type EffectAt, neutralTurn } from './commands';
import type { ControlDerivatives, LateralDerivatives } from './derivatives';
import { combineCases, controlCase, type FlowCase } from './flowCase';
import { crossLoads, loadChange } from './forces';
import { forStrips, type Lattice } from './lattice';

/** What left–right differences ask for in level flight, controls to the right positive [rad]. */
export interface Asymmetry {
  /** Roll and yaw coefficients of the differences alone. */
  readonly roll: number;
  readonly yaw: number;
  readonly sideForce: number;
  /** Roll command that holds the wings level, yaw command and sideslip; null where that control is missing. */
  readonly aileron: Radians | null;
  readonly rudder: Radians | null;
  readonly sideslip: Radians | null;
  /** Hands-off roll rate over speed and half span, pb/2V. */
  readonly steadyRoll: number;
}

/** Half the difference of each panel's angle, right minus left, from measured incidence and twist and from controls off their middle. */
export function oddAngles(lattice: Lattice, effectAt?: EffectAt): Float64Array {
  const angles = new Float64Array(lattice.panels);
  lattice.surfaces.forEach((surface, index) => {
    const { halfIncidence, halfTipTwist } = builtAngles(surface);
    const length = developedLength(surface);
    forStrips(lattice, index, (strip, first) => {
      const angle = halfIncidence + (halfTipTwist * strip.middle) / length;
      angles.fill(angle, first, first + lattice.cells.count);
    });
    // A fin is by itself: what its rudder stands off is felt whole.
    neutralTurn(lattice, index, effectAt, 'half').angles.forEach((turn, i) => (angles[i]! += turn));
  });
  return angles;
}

const STRAIGHT: ControlDerivatives = { sideForce: 0, roll: 0, yaw: 0 };

/** A tail that leans with its right side down pulls its own load to that side; first order in the angle. */
function twistedTail(model: AeroModel, state: FlowCase, about: Vector3, twist: Radians): ControlDerivatives {
  const { lattice, matrices, reference } = model;
  const loads = crossLoads(matrices, state, state, about);
  let [sideForce, roll, yaw] = [0, 0, 0];
  lattice.surfaces.forEach((surface, index) => {
    const plan = isAftTail(surface) ? integratePlanforms([surface], 'true') : null;
    if (!plan) return;
    const side = (2 * loads[index]!.force[2] * twist) / reference.area;
    const aft = plan.meanChordLeadingEdge + plan.meanChord / 4 - about[0];
    sideForce += side;
    yaw -= (side * aft) / reference.span;
    roll += (side * (plan.centroidHeight - about[2])) / reference.span;
  });
  return { sideForce, roll, yaw };
}

interface AsymmetryInput {
  readonly alpha: number;
  readonly command: number;
  readonly about: Vector3;
  readonly lift: number;
  readonly lateral: LateralDerivatives;
  readonly effectAt?: EffectAt;
  /** Tail turned against the wing seen from behind, right side down. */
  readonly twist?: Radians;
}

/**
 * Small left–right differences as a perturbation of the symmetric state: an
 * angle or a warp by its own antisymmetric flow, a mass off the centre by the
 * roll of the lift about it (C_l = −C_L y/b with y to the right pulling right
 * down), a tail turned against the wing by its own load. Level trim solves side force, roll and yaw for sideslip and the
 * controls that are there, in the least-squares sense where one is missing.
 * Source: Etkin & Reid, Dynamics of Flight, section 2.9 (lateral trim).
 */
export function solveAsymmetry(
  model: AeroModel,
  { alpha, command, about, lift, lateral, effectAt, twist = 0 }: AsymmetryInput,
): Asymmetry {
  const { matrices, lattice, reference } = model;
  const odd = oddAngles(lattice, effectAt);
  const isStraight = odd.every((angle) => angle === 0);
  let disturbance = STRAIGHT;
  if (!isStraight) {
    const flow = combineCases([[Math.cos(alpha), controlCase(matrices, 'antisymmetric', odd)]]);
    const { force, moment } = loadChange(matrices, model.stateAt(alpha, command), flow, [about[0], 0, about[2]]);
    disturbance = {
      sideForce: (2 * force[1]) / reference.area,
      roll: (-2 * moment[0]) / (reference.area * reference.span),
      yaw: (-2 * moment[2]) / (reference.area * reference.span),
    };
  }
  const leaning = twist === 0 ? STRAIGHT : twistedTail(model, model.stateAt(alpha, command), about, twist);
  const total = {
    sideForce: disturbance.sideForce + leaning.sideForce,
    yaw: disturbance.yaw + leaning.yaw,
    roll: disturbance.roll + leaning.roll + (lift * about[1]) / reference.span,
  };
  const slip: ControlDerivatives = {
    sideForce: lateral.sideForceSlope,
    roll: lateral.dihedralEffect,
    yaw: lateral.yawStiffness,
  };
  const columns = [slip, lateral.roll, lateral.yaw].flatMap((column) => (column ? [column] : []));
  const system = new Matrix([
    columns.map(({ sideForce }) => sideForce),
    columns.map(({ roll }) => roll),
    columns.map(({ yaw }) => yaw),
  ]);
  const right = Matrix.columnVector([-total.sideForce, -total.roll, -total.yaw]);
  const answer = new SingularValueDecomposition(system, { autoTranspose: true }).solve(right).to1DArray();
  const place = (column: ControlDerivatives | null) => (column ? (answer[columns.indexOf(column)] ?? null) : null);
  return {
    ...total,
    sideslip: place(slip),
    aileron: place(lateral.roll),
    rudder: place(lateral.yaw),
    steadyRoll: -total.roll / lateral.rollDamping,
  };
}
