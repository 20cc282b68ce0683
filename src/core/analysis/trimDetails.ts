import { type AeroModel, aeroModel, longitudinal, NO_EXTRA_LOADS } from '../aero/aeroModel';
import { commandAngles } from '../aero/commands';
import { neutralPointAt, type PitchDerivatives } from '../aero/derivatives';
import { meanDownwash } from '../aero/downwash';
import { controlCase, type FlowCase } from '../aero/flowCase';
import { loadChange } from '../aero/forces';
import { buildLattice, isTail, surfaceMask } from '../aero/lattice';
import { flapHold } from '../aero/stallDetails';
import { builtAngles } from '../geometry/asBuilt';
import type { Vector3 } from '../units/convert';
import { influenceOf } from './influenceCache';
import type { Prepared } from './prepare';
import type { Analysis } from './types';

/** Wash of all others at every level surface: angle at trim and slope with angle of attack. */
export function washBySurface(model: AeroModel, state: FlowCase, quarterTurn: FlowCase): Analysis['wash'] {
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
export function neutralTailIncidence(model: AeroModel, alpha: number, command: number, about: Vector3): number | null {
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
export function flapTrimChange(
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

/** A coarse lattice that only says how far the choice of wake moves the neutral point. */
const BAND_GRID = { strips: 6, chordwise: 2 };

/** Rise of the tilted wake that the band is taken from; the shift grows in proportion to it. */
const BAND_RISE = 0.1;

/** How far the neutral point moves when wakes leave along the wind instead of the datum [m]. */
export function wakeBand({ placed, reference, about }: Prepared, alpha: number): number {
  const lattice = buildLattice(placed, BAND_GRID);
  const pitch = commandAngles(lattice, []);
  const at = (rise: number) => {
    const matrices = influenceOf(lattice, rise, null, true);
    return neutralPointAt(aeroModel({ matrices, reference, pitch, extra: () => NO_EXTRA_LOADS }), alpha, about);
  };
  return Math.abs(((at(BAND_RISE) - at(0)) * Math.tan(alpha)) / BAND_RISE);
}
