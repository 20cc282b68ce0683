import { type AeroModel, loadPerAlphaWithoutTail, longitudinal } from './aero/aeroModel';
import { solveAsymmetry } from './aero/asymmetry';
import { lateralDerivatives, neutralPointAt, type PitchDerivatives, pitchDerivatives } from './aero/derivatives';
import { downwashReceiver, meanDownwash } from './aero/downwash';
import { controlCase, type FlowCase } from './aero/flowCase';
import { crossLoads, loadChange } from './aero/forces';
import { stripLifts } from './aero/farField';
import { isTail, surfaceMask } from './aero/lattice';
import { flapHold } from './aero/stallDetails';
import { sharedThrow } from './aero/sharedThrow';
import { SingularMatrixError } from './aero/luFactors';
import { zeroLift } from './aero/trim';
import { cruiseState } from './analysis/cruise';
import { emptyAnalysis } from './analysis/empty';
import { flightLimits } from './analysis/flightLimits';
import { type AnalyseOptions, type Prepared, prepare } from './analysis/prepare';
import { nulls, TRIM_KEYS } from './analysis/nulls';
import { sectionSummaries } from './analysis/sections';
import type { Analysis } from './analysis/types';
import { balanceSchools } from './balance/schools';
import type { Design } from './document/schema/design';
import type { AnalysisWithoutFindings } from './findings/rule';
import { findFindings } from './findings/rules';
import { builtAngles } from './geometry/asBuilt';
import { tailVolume } from './geometry/planform';
import type { Vector3 } from './units/convert';
import { modesOfDesign } from './motion/modesOfDesign';
import { explain } from './working/explain';

export type { AnalyseOptions } from './analysis/prepare';
export type { Analysis } from './analysis/types';

/** A coarse lattice that only says how far the choice of wake moves the neutral point. */
const BAND_GRID = { strips: 6, chordwise: 2 };

/**
 * The whole story of one design: lay out, weigh, cut into a lattice, solve,
 * trim, take derivatives, find stall, drag, speeds and the balance window,
 * judge, and explain every number.
 */
export function analyse(design: Design, options: AnalyseOptions = {}): Analysis {
  const numbers = computeNumbers(design, options);
  const tryOut = options.withoutRemedies ? null : (changed: Design) => computeNumbers(changed, options);
  return { ...numbers, findings: findFindings(design, numbers, tryOut) };
}

/** All numbers, without the judgement. */
export function computeNumbers(design: Design, options: AnalyseOptions): AnalysisWithoutFindings {
  const prepared = prepare(design, options);
  if (!prepared) return emptyAnalysis(design, options);
  try {
    const solved = solve(prepared, options);
    const numbers = { ...solved, motion: motionGroup(prepared, solved) };
    return { ...numbers, workings: explain(design, prepared, numbers) };
  } catch (error) {
    if (!(error instanceof SingularMatrixError)) throw error;
    return emptyAnalysis(design, options, `${error.message} Move one of them by a few millimetres.`);
  }
}

/** Small motions, or why they could not be found. */
function motionGroup(prepared: Prepared, numbers: Omit<AnalysisWithoutFindings, 'motion'>): Analysis['motion'] {
  const modes = modesOfDesign(prepared, numbers);
  return typeof modes === 'string'
    ? { longitudinal: [], lateral: [], reasons: { longitudinal: modes, lateral: modes } }
    : { ...modes, reasons: {} };
}

function solve(prepared: Prepared, options: AnalyseOptions): Omit<AnalysisWithoutFindings, 'motion'> {
  const { design, reference, weights, about, placed, commands } = prepared;
  const straight = prepared.modelAt(0);
  const straightCruise = cruiseState(prepared, straight);
  const isWind = options.wake === 'wind';
  const model = isWind ? prepared.modelAt(Math.tan(straightCruise.state.alpha)) : straight;
  const cruise = isWind ? cruiseState(prepared, model) : straightCruise;
  const { alpha, elevator } = cruise.state;
  const command = elevator ?? 0;
  const state = model.stateAt(alpha, command);
  const pitch = pitchDerivatives(model, alpha, command, about);
  const lateral = lateralDerivatives(model, {
    alpha,
    command,
    about,
    roll: commands.roll,
    yaw: commands.yaw,
  });
  const mass = weights.properties;
  const hasTail = model.lattice.surfaces.some(isTail);
  const withoutTail = hasTail ? loadPerAlphaWithoutTail(model, alpha, about) : null;
  const receiver = downwashReceiver(model.lattice);
  const quarterTurn = model.stateAt(alpha + Math.PI / 2, command);
  const loads = crossLoads(model.matrices, state, state, about);
  const lifts = loads.map(({ force }) => force[2]);
  const wholeLift = lifts.reduce((sum, value) => sum + value, 0);
  const zero = zeroLift(model, about);
  const limits = flightLimits(prepared, model, cruise, pitch.neutralPoint);
  const neutral = cruise.isTrimmed ? neutralTailIncidence(model, alpha, command, about) : null;
  const flapElevator = flapTrimChange(prepared, model, { alpha, command, droop: limits.stall.flapDroop }, pitch);
  const lateralReasons: Record<string, string> = {
    ...(lateral.roll ? {} : { rollFromAileron: NO_ROLL, yawFromAileron: NO_ROLL }),
    ...(lateral.yaw ? {} : { rollFromRudder: NO_YAW, yawFromRudder: NO_YAW }),
  };
  const massReasons: Record<string, string> = mass
    ? {}
    : { total: NO_MASS, cg: NO_MASS, inertia: NO_MASS, wingLoading: NO_MASS };
  const stripLift = stripLifts(model.matrices, state);
  return {
    format: 'inclinar-analysis',
    version: 1,
    options: { surfacesOnly: prepared.surfacesOnly, wake: isWind ? 'wind' : 'datum' },
    reference: {
      area: reference.area,
      span: reference.span,
      meanChord: reference.meanChord,
      meanChordLeadingEdge: reference.meanChordLeadingEdge,
      aspectRatio: reference.aspectRatio,
      reasons: {},
    },
    mass: {
      total: mass?.total ?? null,
      cg: mass?.centreOfGravity ?? null,
      inertia: mass?.inertia ?? null,
      wingLoading: mass ? mass.total / reference.area : null,
      parts: weights.parts,
      reasons: massReasons,
    },
    pitch: {
      liftSlope: pitch.liftSlope,
      zeroLiftAlpha: zero.alpha,
      momentSlope: pitch.momentSlope,
      zeroLiftMoment: zero.moment,
      neutralPoint: pitch.neutralPoint,
      neutralPointBand: hasTail || receiver ? wakeBand(prepared, alpha) : 0,
      neutralPointWithoutTail: withoutTail ? about[0] - withoutTail.moment[1] / withoutTail.force[2] : null,
      staticMargin: mass ? (pitch.neutralPoint - about[0]) / reference.meanChord : null,
      downwash: receiver ? meanDownwash(model.matrices, receiver, state) : null,
      downwashSlope: receiver ? meanDownwash(model.matrices, receiver, quarterTurn) : null,
      pitchDamping: pitch.pitchDamping,
      liftFromElevator: pitch.liftFromElevator,
      momentFromElevator: pitch.momentFromElevator,
      momentReference: about,
      reasons: {
        ...(hasTail ? {} : { neutralPointWithoutTail: 'There is no tail to leave out.' }),
        ...(receiver ? {} : { downwash: ONE_SURFACE, downwashSlope: ONE_SURFACE }),
        ...(mass ? {} : { staticMargin: `${NO_MASS} Moments refer to the quarter point of the mean chord.` }),
        ...(pitch.momentFromElevator === null ? { liftFromElevator: NO_PITCH, momentFromElevator: NO_PITCH } : {}),
      },
    },
    lateral: {
      sideForceSlope: lateral.sideForceSlope,
      dihedralEffect: lateral.dihedralEffect,
      yawStiffness: lateral.yawStiffness,
      rollDamping: lateral.rollDamping,
      yawDamping: lateral.yawDamping,
      rollFromYawRate: lateral.rollFromYawRate,
      yawFromRollRate: lateral.yawFromRollRate,
      rollFromAileron: lateral.roll?.roll ?? null,
      yawFromAileron: lateral.roll?.yaw ?? null,
      rollFromRudder: lateral.yaw?.roll ?? null,
      yawFromRudder: lateral.yaw?.yaw ?? null,
      sideForceFromRollRate: lateral.sideForceFromRollRate,
      sideForceFromYawRate: lateral.sideForceFromYawRate,
      reasons: lateralReasons,
    },
    lift: cruise.isTrimmed
      ? {
          shares: Object.fromEntries(model.lattice.surfaces.map(({ id }, index) => [id, lifts[index]! / wholeLift])),
          reasons: {},
        }
      : { shares: null, reasons: { shares: cruise.reason! } },
    trim: cruise.isTrimmed
      ? {
          speed: design.conditions.cruiseSpeed,
          alpha,
          elevator,
          liftCoefficient: cruise.state.lift,
          residualMoment: elevator === null ? cruise.state.moment : 0,
          tailIncidence: neutral,
          flapElevator,
          thrustMoment: cruise.thrustMoment,
          elevatorPowerOff: cruise.powerOff?.elevator ?? null,
          reasons: {
            ...(elevator === null ? { elevator: NO_PITCH, elevatorPowerOff: NO_PITCH } : {}),
            ...(neutral === null
              ? { tailIncidence: 'There is no tail or canard whose angle could stand in for the pitch control.' }
              : {}),
            ...(flapElevator === null
              ? { flapElevator: 'Nothing droops as a flap, or no control answers to pitch.' }
              : {}),
            ...(cruise.thrustMoment === null ? { thrustMoment: 'There is no drive, or it is left out.' } : {}),
          },
        }
      : nulls(TRIM_KEYS, cruise.reason!),
    asymmetry: cruise.isTrimmed
      ? solveAsymmetry(model, { alpha, command, about, lift: cruise.state.lift, lateral })
      : null,
    slipstream: cruise.slipstream && {
      pressureRatio: cruise.slipstream.pressureRatio,
      tailShare: Math.max(0, ...cruise.slipstream.shares.values()),
    },
    sharedThrow: sharedThrow(prepared.mixes.pitch, prepared.mixes.roll, command),
    wash: washBySurface(model, state, quarterTurn),
    ...limits,
    schools: balanceSchools(placed, reference),
    spanLoading: model.lattice.strips.map((strip, index) => ({
      surface: model.lattice.surfaces[strip.surface]!.id,
      spanFraction: strip.middle / model.lattice.surfaces[strip.surface]!.stations.at(-1)!.distance,
      y: strip.m.y,
      z: strip.m.z,
      lift: stripLift[index]!,
      chord: strip.m.chord,
    })),
    tails: placed
      .filter(({ role }) => role !== 'wing' && role !== 'secondWing')
      .map((surface) => tailVolume(surface, reference)),
    sections: sectionSummaries(prepared),
    workings: [],
  };
}

/** Wash of all others at every level surface: angle at trim and slope with angle of attack. */
function washBySurface(model: AeroModel, state: FlowCase, quarterTurn: FlowCase): Analysis['wash'] {
  return Object.fromEntries(
    model.lattice.surfaces.flatMap(({ id, mirrored, role }, index) => {
      if (!mirrored || role === 'fin' || role === 'tipFin') return [];
      const receiver = { surfaces: [index], name: id };
      const at = (flow: FlowCase) => meanDownwash(model.matrices, receiver, flow);
      return [[id, { angle: at(state), slope: at(quarterTurn) }]];
    }),
  );
}

/** Angle of the tail against the datum that does what the pitch command does, to first order [rad]. */
function neutralTailIncidence(model: AeroModel, alpha: number, command: number, about: Vector3): number | null {
  const index = model.lattice.surfaces.findIndex(isTail);
  if (index < 0 || !model.commanded) return null;
  const turned = controlCase(model.matrices, 'symmetric', surfaceMask(model.lattice, index));
  const state = model.stateAt(alpha, command);
  const momentOf = (change: FlowCase) => loadChange(model.matrices, state, change, about).moment[1];
  const change = (command * momentOf(model.commanded)) / momentOf(turned);
  return builtAngles(model.lattice.surfaces[index]!).meanIncidence + change;
}

/**
 * Pitch command that holds the same lift when the flaps droop, beyond the one
 * without, to first order [rad]: δ = −(C_m,f − C_mα C_L,f/C_Lα)/(C_mδ − C_mα C_Lδ/C_Lα).
 */
function flapTrimChange(
  prepared: Prepared,
  model: AeroModel,
  { alpha, command, droop }: { alpha: number; command: number; droop: number | null },
  pitch: PitchDerivatives,
): number | null {
  const { about, reference, commands } = prepared;
  if (droop === null || pitch.momentFromElevator === null || pitch.liftFromElevator === null) return null;
  const flow = controlCase(model.matrices, 'symmetric', commands.flap.even);
  const change = loadChange(model.matrices, model.stateAt(alpha, command), flow, about);
  const perRadian = longitudinal(change, alpha, reference);
  const angle = droop * flapHold(droop);
  const stiffness = pitch.momentSlope / pitch.liftSlope;
  const upset = (perRadian.moment - stiffness * perRadian.lift) * angle;
  return -upset / (pitch.momentFromElevator - stiffness * pitch.liftFromElevator);
}

const NO_MASS = 'Nothing has a mass yet: choose a material for the board parts or add equipment.';
const ONE_SURFACE = 'There is no second surface behind the first.';
const NO_PITCH = 'No control answers to pitch.';
const NO_ROLL = 'No control answers to roll.';
const NO_YAW = 'No control answers to yaw.';

/** Rise of the tilted wake that the band is taken from; the shift grows in proportion to it. */
const BAND_RISE = 0.1;

/** How far the neutral point moves when wakes leave along the wind instead of the datum [m]. */
function wakeBand(prepared: Prepared, alpha: number): number {
  const coarse = prepare(prepared.design, { surfacesOnly: true, grid: BAND_GRID })!;
  const at = (rise: number) => neutralPointAt(coarse.modelAt(rise), alpha, coarse.about);
  return Math.abs(((at(BAND_RISE) - at(0)) * Math.tan(alpha)) / BAND_RISE);
}
