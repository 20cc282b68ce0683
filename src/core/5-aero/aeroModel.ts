import { builtAngles } from '@/core/3-shape/geometry/asBuilt';
import { developedLength } from '@/core/3-shape/geometry/layout';
import type { Reference } from '@/core/3-shape/geometry/planform';
import type { Vector3 } from '@/core/1-base/units/convert';
import { addTurn, type CommandAngles, type EffectAt, neutralTurn } from './commands';
import {
  combineCases,
  controlCase,
  type FlowCase,
  solveCase,
  solveCaseWithoutTail,
  STILL_AIR,
  unitCase,
} from './flowCase';
import { addLoads, crossLoads, type Load, loadChange, moveLoad, NO_LOAD } from './forces';
import type { InfluenceMatrices } from './influence';
import { camberAndTwist, forStrips, type Lattice, type PanelTurn } from './lattice';
import { wakeTurned } from './turningWakes';

/**
 * Loads of what the lattice does not hold (bodies, propellers, drag), per ρV²
 * and as functions of the state; angles in radians. Absent with surfaces only.
 */
export interface ExtraLoads {
  /** Moments of the bodies alone, nose up per radian of attack and nose into the wind per radian of slip. */
  readonly bodies: { readonly perAlpha: number; readonly perBeta: number };
  /** Load at an angle of attack, and its change per radian. */
  readonly atAlpha: (alpha: number, about: Vector3) => Load;
  readonly perAlpha: (alpha: number, about: Vector3) => Load;
  /** Change per radian of sideslip. */
  readonly perBeta: (about: Vector3) => Load;
  /** Change per unit of pitch or yaw rate over speed [rad/m]. */
  readonly perPitchRate: (about: Vector3) => Load;
  readonly perYawRate: (about: Vector3) => Load;
}

export const NO_EXTRA_LOADS: ExtraLoads = {
  bodies: { perAlpha: 0, perBeta: 0 },
  atAlpha: () => NO_LOAD,
  perAlpha: () => NO_LOAD,
  perBeta: () => NO_LOAD,
  perPitchRate: () => NO_LOAD,
  perYawRate: () => NO_LOAD,
};

/** The longitudinal model: any state of angle of attack and pitch command as a recombination of solved cases. */
export interface AeroModel {
  readonly matrices: InfluenceMatrices;
  readonly lattice: Lattice;
  readonly reference: Reference;
  /** How the panels stand when no command is given. */
  readonly standing: PanelTurn;
  readonly pitch: CommandAngles;
  readonly extra: ExtraLoads;
  /** True when wakes go with the wind, and so turn with every change of angle. */
  readonly turnsWakes: boolean;
  readonly stateAt: (alpha: number, pitchCommand: number) => FlowCase;
  /** Load of surfaces and everything else at a state. */
  readonly loadAt: (alpha: number, pitchCommand: number, about: Vector3) => Load;
  /** The solved cases: unit speed along the datum, unit speed up, unit pitch command. */
  readonly level: FlowCase;
  readonly rising: FlowCase;
  readonly commanded: FlowCase | null;
}

const ORIGIN: Vector3 = [0, 0, 0];

/**
 * How every panel stands: camber, twist and incidence, as measured where it was
 * measured (mean of both sides), else as drawn, and controls as far as their
 * neutral turns them.
 */
export function standingPanels(lattice: Lattice, effectAt?: EffectAt): PanelTurn {
  const angles = camberAndTwist(lattice);
  const lean = new Float64Array(lattice.panels);
  lattice.surfaces.forEach((surface, index) => {
    const { meanIncidence, meanTipTwist } = builtAngles(surface);
    const length = developedLength(surface);
    forStrips(lattice, index, (strip, first) => {
      const angle = meanIncidence + (meanTipTwist * strip.middle) / length;
      for (let k = 0; k < lattice.cells.count; k++) angles[first + k]! += angle;
    });
    if (surface.mirrored) addTurn({ angles, lean }, neutralTurn(lattice, index, effectAt), 1);
  });
  return { angles, lean };
}

export interface AeroModelInput {
  readonly matrices: InfluenceMatrices;
  readonly reference: Reference;
  readonly pitch: CommandAngles;
  /** Loads beside the surfaces, given the flow of a unit upwash. */
  readonly extra: (rising: FlowCase) => ExtraLoads;
  readonly turnsWakes?: boolean;
  /** How much of its ideal effect a control has on a strip; all of it without. */
  readonly effectAt?: EffectAt;
  /** How the panels of that lattice stand, where that is known. */
  readonly standing?: PanelTurn;
}

interface KnownState {
  readonly alpha: number;
  readonly command: number;
  readonly state: FlowCase;
}

const KEPT_STATES = 6;

export function aeroModel(input: AeroModelInput): AeroModel {
  const { matrices, reference, pitch, extra: extraOf, turnsWakes = false, effectAt } = input;
  const { lattice } = matrices;
  const standing = input.standing ?? standingPanels(lattice, effectAt);
  const level = solveCase(matrices, { parity: 'symmetric', onset: { ...STILL_AIR, linear: [1, 0, 0] }, ...standing });
  const rising = unitCase(matrices, 'rising', { parity: 'symmetric', onset: { ...STILL_AIR, linear: [0, 0, 1] } });
  const extra = extraOf(rising);
  const commanded = pitch.hasEven ? controlCase(matrices, 'symmetric', pitch.even.angles) : null;
  const cases = commanded ? [level, rising, commanded] : [level, rising];
  const weights = (alpha: number, command: number) => [Math.cos(alpha), Math.sin(alpha), command * Math.cos(alpha)];
  // Groups ask for the same few states again and again.
  let states: readonly KnownState[] = [];
  const stateAt = (alpha: number, command: number): FlowCase => {
    const before = states.find((one) => one.alpha === alpha && one.command === command);
    if (before) return before.state;
    const share = weights(alpha, command);
    const state = combineCases(cases.map((part, index) => [share[index]!, part]));
    states = [{ alpha, command, state }, ...states].slice(0, KEPT_STATES);
    return state;
  };
  // The load is a quadratic form in the weights of the cases, so a state costs a handful of products.
  let known: Load[][] | null = null;
  const surfaceLoadAt = (alpha: number, command: number): Load => {
    const forms = (known ??= cases.map((a) => cases.map((b) => addLoads(crossLoads(matrices, a, b, ORIGIN)))));
    const share = weights(alpha, command);
    const force: [number, number, number] = [0, 0, 0];
    const moment: [number, number, number] = [0, 0, 0];
    for (let i = 0; i < forms.length; i++) {
      for (let j = 0; j < forms.length; j++) {
        const form = forms[i]![j]!;
        const weight = share[i]! * share[j]!;
        for (let axis = 0; axis < 3; axis++) {
          force[axis]! += weight * form.force[axis]!;
          moment[axis]! += weight * form.moment[axis]!;
        }
      }
    }
    return { force, moment };
  };
  return {
    matrices,
    lattice,
    reference,
    standing,
    pitch,
    extra,
    turnsWakes,
    level,
    rising,
    commanded,
    stateAt,
    loadAt: (alpha, command, about) =>
      addLoads([moveLoad(surfaceLoadAt(alpha, command), ORIGIN, about), extra.atAlpha(alpha, about)]),
  };
}

/** Lift, drag and pitching moment coefficients of a load per ρV² (q = ½ρV²), in wind axes. */
export interface LongitudinalCoefficients {
  readonly lift: number;
  readonly drag: number;
  /** About the point the load was taken about, nose-up positive. */
  readonly moment: number;
}

export function longitudinal(
  { force, moment }: Load,
  alpha: number,
  { area, meanChord }: Reference,
): LongitudinalCoefficients {
  const cosine = Math.cos(alpha);
  const sine = Math.sin(alpha);
  return {
    lift: (2 * (force[2] * cosine - force[0] * sine)) / area,
    drag: (2 * (force[0] * cosine + force[2] * sine)) / area,
    moment: (2 * moment[1]) / (area * meanChord),
  };
}

/** What a state gains per radian of angle of attack: the same state a quarter turn on, and its wakes as they turn. */
export function changeWithAlpha(model: AeroModel, alpha: number, command: number): FlowCase {
  const turned = model.stateAt(alpha + Math.PI / 2, command);
  return model.turnsWakes ? withTurnedWakes(model, model.stateAt(alpha, command), turned, alpha) : turned;
}

function withTurnedWakes(
  { matrices }: AeroModel,
  state: FlowCase,
  turned: FlowCase,
  alpha: number,
  withoutTail = false,
): FlowCase {
  return combineCases([
    [1, turned],
    [1 / Math.cos(alpha) ** 2, wakeTurned(matrices, state, 'up', withoutTail)],
  ]);
}

/** Change of load with angle of attack without the tail, from the leading block of the same factors. */
export function loadPerAlphaWithoutTail(model: AeroModel, alpha: number, about: Vector3): Load {
  const { matrices, standing, extra } = model;
  const onset = (linear: Vector3) => ({ ...STILL_AIR, linear });
  const level = solveCaseWithoutTail(matrices, { parity: 'symmetric', onset: onset([1, 0, 0]), ...standing });
  const rising = unitCase(matrices, 'rising without tail', { parity: 'symmetric', onset: onset([0, 0, 1]) }, true);
  const turned = (angle: number) =>
    combineCases([
      [Math.cos(angle), level],
      [Math.sin(angle), rising],
    ]);
  const state = turned(alpha);
  const next = turned(alpha + Math.PI / 2);
  const change = model.turnsWakes ? withTurnedWakes(model, state, next, alpha, true) : next;
  const surfaces = loadChange(matrices, state, change, about);
  return addLoads([surfaces, extra.perAlpha(alpha, about)]);
}
