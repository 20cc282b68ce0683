import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import type { Vector3 } from '@/core/1-base/units/convert';
import type { AeroModel } from './aeroModel';
import { changeWithAlpha, longitudinal } from './aeroModel';
import type { Reference } from '@/core/3-shape/geometry/planform';
import type { CommandAngles } from './commands';
import { combineCases, controlCase, type FlowCase, type Onset, solveCase, STILL_AIR, unitCase } from './flowCase';
import type { PanelTurn } from './lattice';
import { wakeTurned } from './turningWakes';
import { addLoads, type Load, loadChange, loadChangeBySurface, scaleLoad } from './forces';

/**
 * Derivatives about a trimmed state, in body axes (datum axes), about a given
 * point. Per radian; pitch rate made dimensionless by c̄/2V, roll and yaw rate
 * by b/2V. Lift is the only one in wind axes.
 * Signs: sideslip positive with wind from the right; roll positive right wing
 * down; yaw positive nose right; pitch positive nose up; side force positive
 * to the right; commands positive to the right or trailing edge down.
 */
export interface PitchDerivatives {
  readonly liftSlope: number;
  readonly momentSlope: number;
  /** x of the point about which the moment does not change with angle of attack [m]. */
  readonly neutralPoint: number;
  readonly liftFromPitchRate: number;
  readonly pitchDamping: number;
  readonly liftFromElevator: number | null;
  readonly momentFromElevator: number | null;
}

export interface LateralDerivatives {
  readonly sideForceSlope: number;
  readonly dihedralEffect: number;
  readonly yawStiffness: number;
  readonly sideForceFromRollRate: number;
  readonly rollDamping: number;
  readonly yawFromRollRate: number;
  readonly sideForceFromYawRate: number;
  readonly rollFromYawRate: number;
  readonly yawDamping: number;
  readonly roll: ControlDerivatives | null;
  readonly yaw: ControlDerivatives | null;
}

export interface ControlDerivatives {
  readonly sideForce: number;
  readonly roll: number;
  readonly yaw: number;
}

/** @param rate flow of a unit of q/V about that point, where it is known */
export function pitchDerivatives(
  model: AeroModel,
  alpha: number,
  command: number,
  about: Vector3,
  rate: FlowCase = pitchRateCase(model, about, command),
): PitchDerivatives {
  const { reference, matrices, extra } = model;
  const state = model.stateAt(alpha, command);
  const byAlpha = addLoads([
    loadChange(matrices, state, changeWithAlpha(model, alpha, command), about),
    extra.perAlpha(alpha, about),
  ]);
  const total = model.loadAt(alpha, command, about);
  const slope = longitudinal(byAlpha, alpha, reference);
  const drag = longitudinal(total, alpha, reference).drag;
  const byRate = addLoads([loadChange(matrices, state, rate, about), extra.perPitchRate(about)]);
  const perRate = longitudinal(scaleLoad(byRate, 2 / reference.meanChord), alpha, reference);
  const elevator = model.pitch.hasEven ? elevatorChange(model, state, alpha, about) : null;
  return {
    // Turning the wind axes with α adds −C_D to the lift slope.
    liftSlope: slope.lift - drag,
    momentSlope: slope.moment,
    neutralPoint: about[0] - byAlpha.moment[1] / byAlpha.force[2],
    liftFromPitchRate: perRate.lift,
    pitchDamping: perRate.moment,
    liftFromElevator: elevator?.lift ?? null,
    momentFromElevator: elevator?.moment ?? null,
  };
}

function elevatorChange(model: AeroModel, state: FlowCase, alpha: number, about: Vector3) {
  const step = combineCases([[Math.cos(alpha), model.commanded!]]);
  return longitudinal(loadChange(model.matrices, state, step, about), alpha, model.reference);
}

/** x of the point about which the moment does not change with angle of attack, and nothing else [m]. */
export function neutralPointAt(model: AeroModel, alpha: number, about: Vector3): number {
  const { matrices, extra } = model;
  const byAlpha = addLoads([
    loadChange(matrices, model.stateAt(alpha, 0), changeWithAlpha(model, alpha, 0), about),
    extra.perAlpha(alpha, about),
  ]);
  return about[0] - byAlpha.moment[1] / byAlpha.force[2];
}

/** How the panels stand to the air that streams past: as they stand, and turned by the pitch command. */
function flownPanels({ standing, pitch }: AeroModel, command: number): PanelTurn {
  return {
    angles: mapToNumbers(standing.angles, (angle, i) => angle + command * pitch.even.angles[i]!),
    lean: mapToNumbers(standing.lean, (lean, i) => lean + command * pitch.even.lean[i]!),
  };
}

/** Flow of a unit of q/V about a point, panels as they are flown. */
export function pitchRateCase(model: AeroModel, about: Vector3, command: number): FlowCase {
  return solveCase(model.matrices, {
    parity: 'symmetric',
    onset: { linear: [0, 0, 0], turn: [0, 1, 0], about },
    ...flownPanels(model, command),
  });
}

export interface LateralCases {
  readonly sideslip: FlowCase;
  readonly rollRate: FlowCase;
  readonly yawRate: FlowCase;
}

/** Cases of unit sideslip, roll rate and yaw rate on panels as they are flown. */
function sideways(model: AeroModel, panels: PanelTurn) {
  const parity = 'antisymmetric';
  // A swept control that is turned meets the air along the span as well.
  const isLeaning = panels.lean.some((lean) => lean !== 0);
  return (name: string, onset: Onset) =>
    isLeaning
      ? solveCase(model.matrices, { parity, onset, lean: panels.lean })
      : unitCase(model.matrices, name, { parity, onset });
}

const slipping = (unit: ReturnType<typeof sideways>) => unit('sideslip', { ...STILL_AIR, linear: [0, -1, 0] });

/** What a state gains per unit β, its wakes turned where they go with the wind. */
function sideslipOf(model: AeroModel, alpha: number, command: number, flat: FlowCase): FlowCase {
  if (!model.turnsWakes) return flat;
  return combineCases([
    [1, flat],
    // Wind from the right takes the wakes to the left.
    [-1 / Math.cos(alpha), wakeTurned(model.matrices, model.stateAt(alpha, command), 'right')],
  ]);
}

/** The three lateral disturbances of a state at unit β, p/V and r/V. */
export function lateralCases(model: AeroModel, alpha: number, command: number, about: Vector3): LateralCases {
  const panels = flownPanels(model, command);
  const unit = sideways(model, panels);
  const sideslip = slipping(unit);
  return {
    sideslip: sideslipOf(model, alpha, command, sideslip),
    // Rolling about a line at height z is rolling about the datum and slipping by −z.
    rollRate: combineCases([
      [1, unit('rolling', { ...STILL_AIR, turn: [-1, 0, 0] })],
      [-about[2], sideslip],
    ]),
    // One half wing meets the air faster, so the angles as flown matter.
    yawRate: solveCase(model.matrices, {
      parity: 'antisymmetric',
      onset: { linear: [0, 0, 0], turn: [0, 0, -1], about },
      ...panels,
    }),
  };
}

export interface LateralInput {
  readonly alpha: number;
  readonly command: number;
  readonly about: Vector3;
  readonly roll: CommandAngles;
  readonly yaw: CommandAngles;
  /** The disturbances of that state where they are known already. */
  readonly cases?: LateralCases;
}

const sidewaysCoefficients = ({ force, moment }: Load, { area, span }: Reference): ControlDerivatives => ({
  sideForce: (2 * force[1]) / area,
  roll: (-2 * moment[0]) / (area * span),
  yaw: (-2 * moment[2]) / (area * span),
});

/** C_lβ and C_nβ alone: what a state does when it slips, at a third of the cost of all of them. */
export function sideslipDerivatives(
  model: AeroModel,
  { alpha, command, about }: Pick<LateralInput, 'alpha' | 'command' | 'about'>,
): Pick<LateralDerivatives, 'dihedralEffect' | 'yawStiffness'> {
  const slip = sideslipOf(model, alpha, command, slipping(sideways(model, flownPanels(model, command))));
  const load = loadChange(model.matrices, model.stateAt(alpha, command), slip, about);
  const { roll, yaw } = sidewaysCoefficients(addLoads([load, model.extra.perBeta(about)]), model.reference);
  return { dihedralEffect: roll, yawStiffness: yaw };
}

export function lateralDerivatives(model: AeroModel, input: LateralInput): LateralDerivatives {
  const { reference, matrices, extra } = model;
  const { about, alpha, command } = input;
  const state = model.stateAt(alpha, command);
  const cases = input.cases ?? lateralCases(model, alpha, command, about);
  const coefficients = (load: Load) => sidewaysCoefficients(load, reference);
  const change = (flow: FlowCase) => loadChange(matrices, state, flow, about);
  const perRate = 2 / reference.span;
  const bySlip = coefficients(addLoads([change(cases.sideslip), extra.perBeta(about)]));
  const byRoll = coefficients(scaleLoad(change(cases.rollRate), perRate));
  const byYaw = coefficients(scaleLoad(addLoads([change(cases.yawRate), extra.perYawRate(about)]), perRate));
  const byCommand = (angles: CommandAngles) =>
    angles.hasOdd ? coefficients(change(oddControlCase(model, angles, alpha))) : null;
  return {
    sideForceSlope: bySlip.sideForce,
    dihedralEffect: bySlip.roll,
    yawStiffness: bySlip.yaw,
    sideForceFromRollRate: byRoll.sideForce,
    rollDamping: byRoll.roll,
    yawFromRollRate: byRoll.yaw,
    sideForceFromYawRate: byYaw.sideForce,
    rollFromYawRate: byYaw.roll,
    yawDamping: byYaw.yaw,
    roll: byCommand(input.roll),
    yaw: byCommand(input.yaw),
  };
}

/** Flow of one radian of a command's opposite part. */
export function oddControlCase(model: AeroModel, { odd }: CommandAngles, alpha: number): FlowCase {
  return combineCases([[Math.cos(alpha), controlCase(model.matrices, 'antisymmetric', odd.angles)]]);
}

/** Yaw stiffness and side force by surface, to say which one carries them. */
export function sideslipShares(model: AeroModel, input: LateralInput): Load[] {
  const state = model.stateAt(input.alpha, input.command);
  const { sideslip } = lateralCases(model, input.alpha, input.command, input.about);
  return loadChangeBySurface(model.matrices, state, sideslip, input.about);
}
