import { loadPerAlphaWithoutTail } from './aero/aeroModel';
import { solveAsymmetry } from './aero/asymmetry';
import { lateralDerivatives, pitchDerivatives } from './aero/derivatives';
import { downwashReceiver, meanDownwash } from './aero/downwash';
import { stripLifts } from './aero/farField';
import { crossLoads } from './aero/forces';
import { isTail } from './aero/lattice';
import { SingularMatrixError } from './aero/luFactors';
import { sharedThrow } from './aero/sharedThrow';
import { zeroLift } from './aero/trim';
import { cruiseState } from './analysis/cruise';
import { emptyAnalysis } from './analysis/empty';
import { flightLimits } from './analysis/flightLimits';
import { feelGroup, motionGroup, riggingGroup } from './analysis/handling';
import { nulls, TRIM_KEYS } from './analysis/nulls';
import { type AnalyseOptions, type Prepared, prepare } from './analysis/prepare';
import { sectionSummaries } from './analysis/sections';
import { flapTrimChange, neutralTailIncidence, wakeBand, washBySurface } from './analysis/trimDetails';
import type { Analysis } from './analysis/types';
import { balanceSchools } from './balance/schools';
import type { Design } from './document/schema/design';
import { manoeuvreMargin } from './feel/controlFeel';
import type { AnalysisWithoutFindings } from './findings/rule';
import { findFindings } from './findings/rules';
import { tailVolume } from './geometry/planform';
import { handsOff } from './rigging/handsOff';
import { explain } from './working/explain';

export type { AnalyseOptions } from './analysis/prepare';
export type { Analysis } from './analysis/types';

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
    const moving = { ...solved, motion: motionGroup(prepared, solved) };
    const numbers = { ...moving, feel: feelGroup(prepared, moving) };
    return { ...numbers, workings: explain(design, prepared, numbers) };
  } catch (error) {
    if (!(error instanceof SingularMatrixError)) throw error;
    return emptyAnalysis(design, options, `${error.message} Move one of them by a few millimetres.`);
  }
}

function solve(prepared: Prepared, options: AnalyseOptions): Omit<AnalysisWithoutFindings, 'motion' | 'feel'> {
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
  const wash = washBySurface(model, state, quarterTurn);
  const angles = handsOff(model, {
    about,
    alpha,
    command,
    liftSlope: pitch.liftSlope,
    momentSlope: pitch.momentSlope,
    maximumLift: limits.stall.liftCoefficient,
    wash,
  });
  const staticMargin = mass ? (pitch.neutralPoint - about[0]) / reference.meanChord : null;
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
      neutralPointBand: options.quick ? null : hasTail || receiver ? wakeBand(prepared, alpha) : 0,
      neutralPointWithoutTail: withoutTail ? about[0] - withoutTail.moment[1] / withoutTail.force[2] : null,
      staticMargin,
      manoeuvreMargin:
        mass && staticMargin !== null
          ? manoeuvreMargin({
              staticMargin,
              pitchDamping: pitch.pitchDamping,
              mass: mass.total,
              density: prepared.air.density,
              area: reference.area,
              meanChord: reference.meanChord,
            })
          : null,
      downwash: receiver ? meanDownwash(model.matrices, receiver, state) : null,
      downwashSlope: receiver ? meanDownwash(model.matrices, receiver, quarterTurn) : null,
      pitchDamping: pitch.pitchDamping,
      liftFromElevator: pitch.liftFromElevator,
      momentFromElevator: pitch.momentFromElevator,
      momentReference: about,
      reasons: {
        ...(hasTail ? {} : { neutralPointWithoutTail: 'There is no tail to leave out.' }),
        ...(options.quick ? { neutralPointBand: 'It is computed when the drag ends.' } : {}),
        ...(receiver ? {} : { downwash: ONE_SURFACE, downwashSlope: ONE_SURFACE }),
        ...(mass
          ? {}
          : {
              staticMargin: `${NO_MASS} Moments refer to the quarter point of the mean chord.`,
              manoeuvreMargin: NO_MASS,
            }),
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
    wash,
    rigging: riggingGroup(prepared, angles),
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

const NO_MASS = 'Nothing has a mass yet: choose a material for the board parts or add equipment.';
const ONE_SURFACE = 'There is no second surface behind the first.';
const NO_PITCH = 'No control answers to pitch.';
const NO_ROLL = 'No control answers to roll.';
const NO_YAW = 'No control answers to yaw.';
