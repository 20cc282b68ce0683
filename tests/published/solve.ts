import { aeroModel, type AeroModel, NO_EXTRA_LOADS } from '@/core/5-aero/aeroModel';
import { commandAngles, mixOf } from '@/core/5-aero/commands';
import { lateralDerivatives, pitchDerivatives } from '@/core/5-aero/derivatives';
import { farField, stripCirculations } from '@/core/5-aero/farField';
import { buildInfluence } from '@/core/5-aero/influence';
import { buildLattice, type Grid } from '@/core/5-aero/lattice';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { referenceOf } from '@/core/3-shape/geometry/planform';
import type { Vector3 } from '@/core/1-base/units/convert';

/** Fine enough that no case below moves by more than half a percent on a finer one. */
export const CONVERGED: Grid = { strips: 30, chordwise: 8 };

/** Surfaces only, inviscid: what lifting-surface theory speaks of. Straight wakes, or such that rise and turn with the wind. */
export function solveSurfaces(design: Design, grid: Grid = CONVERGED, rise = 0, turnsWakes = false) {
  const placed = design.surfaces.map(placeSurface);
  const reference = referenceOf(placed)!;
  const lattice = buildLattice(placed, grid);
  const command = (name: 'pitch' | 'roll' | 'yaw') => commandAngles(lattice, mixOf(design, placed, name));
  const matrices = buildInfluence(lattice, { rise });
  const extra = () => NO_EXTRA_LOADS;
  const model: AeroModel = aeroModel({ matrices, reference, pitch: command('pitch'), extra, turnsWakes });
  return {
    model,
    reference,
    matrices,
    lattice,
    pitch: (alpha = 0, about: Vector3 = [0, 0, 0]) => pitchDerivatives(model, alpha, 0, about),
    lateral: (alpha = 0, about: Vector3 = [0, 0, 0]) =>
      lateralDerivatives(model, { alpha, command: 0, about, roll: command('roll'), yaw: command('yaw') }),
    farField: (alpha: number) => farField(matrices, model.stateAt(alpha, 0)),
    strips: (alpha: number) => stripCirculations(matrices, model.stateAt(alpha, 0).circulation),
  };
}
