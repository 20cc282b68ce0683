import type { Vector3 } from '../units/convert';
import type { FlowCase, Onset } from './flowCase';
import type { InfluenceMatrices } from './influence';

/** Force [ρV² m²] and moment [ρV² m³] about a point, in document axes (x aft, y right, z up). */
export interface Load {
  readonly force: Vector3;
  readonly moment: Vector3;
}

export const NO_LOAD: Load = { force: [0, 0, 0], moment: [0, 0, 0] };

export function addLoads(loads: readonly Load[]): Load {
  const sum = (pick: (load: Load) => Vector3): Vector3 => {
    const total: [number, number, number] = [0, 0, 0];
    for (const load of loads) pick(load).forEach((value, axis) => (total[axis]! += value));
    return total;
  };
  return { force: sum((load) => load.force), moment: sum((load) => load.moment) };
}

export function scaleLoad({ force, moment }: Load, by: number): Load {
  const scaled = ([x, y, z]: Vector3): Vector3 => [by * x, by * y, by * z];
  return { force: scaled(force), moment: scaled(moment) };
}

/**
 * Force of the circulation of one case in the air of another, both halves, by
 * surface: F = ρ Γ V × l on every bound segment, with V including what all
 * vortices induce there, and on the legs along the chord F = ρ Γ V × x with V
 * of the free stream alone. What vortices induce on each other’s legs cancels
 * over the aircraft by action and reaction, but for the little that the wakes
 * feel; with it the legs give the side force and yaw of rolling that the
 * suction of the tips means, and dihedral its roll at lift.
 *
 * The force of a state s is `crossLoads(s, s)`; its change under a small case e
 * is `crossLoads(s, e) + crossLoads(e, s)`.
 * Source: Katz & Plotkin, Low-Speed Aerodynamics, 2nd ed., section 12.1.
 */
export function crossLoads(
  matrices: InfluenceMatrices,
  { circulation, parity }: FlowCase,
  air: FlowCase,
  about: Vector3,
): Load[] {
  const { lattice } = matrices;
  const count = lattice.cells.count;
  const lateral = parity !== air.parity;
  const [x0, y0, z0] = about;
  const sums = lattice.surfaces.map(() => new Float64Array(6));
  const { vortex } = lattice.cells;
  for (let stripIndex = 0; stripIndex < lattice.strips.length; stripIndex++) {
    const strip = lattice.strips[stripIndex]!;
    const sum = sums[strip.surface]!;
    const { a, b } = strip;
    const first = stripIndex * count;
    let fx = 0;
    let fy = 0;
    let fz = 0;
    let mx = 0;
    let my = 0;
    let mz = 0;
    const dy = matrices.forceY[first]! - y0;
    const dz = matrices.forceZ[first]! - z0;
    for (let k = 0; k < count; k++) {
      const i = first + k;
      const strength = circulation[i]!;
      const u = air.u[i]!;
      const v = air.v[i]!;
      const w = air.w[i]!;
      const lx = matrices.boundX[i]!;
      const ly = matrices.boundY[i]!;
      const lz = matrices.boundZ[i]!;
      const px = strength * (v * lz - w * ly);
      const py = strength * (w * lx - u * lz);
      const pz = strength * (u * ly - v * lx);
      const dx = matrices.forceX[i]! - x0;
      fx += px;
      fy += py;
      fz += pz;
      mx += dy * pz - dz * py;
      my += dz * px - dx * pz;
      mz += dx * py - dy * px;
      // Legs along the chord, from the vortex to the trailing edge, out along B and back along A.
      const rest = 1 - vortex[k]!;
      for (let side = -1; side <= 1; side += 2) {
        const edge = side > 0 ? b : a;
        const pull = side * strength * rest * edge.chord;
        const x = edge.x + edge.chord * (1 - rest / 2);
        const legY = pull * onsetUp(air.onset, x, edge.y);
        const legZ = -pull * onsetRight(air.onset, x, edge.z);
        fy += legY;
        fz += legZ;
        mx += (edge.y - y0) * legZ - (edge.z - z0) * legY;
        my -= (x - x0) * legZ;
        mz += (x - x0) * legY;
      }
    }
    const sides = lattice.surfaces[strip.surface]!.mirrored ? 2 : 1;
    if (lateral) {
      sum[1]! += sides * fy;
      sum[3]! += sides * mx;
      sum[5]! += sides * mz;
    } else {
      sum[0]! += sides * fx;
      sum[2]! += sides * fz;
      sum[4]! += sides * my;
    }
  }
  return sums.map((sum) => ({
    force: [sum[0]!, sum[1]!, sum[2]!],
    moment: [sum[3]!, sum[4]!, sum[5]!],
  }));
}

/** Parts of an onset across the chord, to the right and up; a leg feels them at its middle, as they change linearly. */
function onsetRight({ linear, turn, about }: Onset, x: number, z: number): number {
  return linear[1] - (turn[2] * (x - about[0]) - turn[0] * (z - about[2]));
}

function onsetUp({ linear, turn, about }: Onset, x: number, y: number): number {
  return linear[2] - (turn[0] * (y - about[1]) - turn[1] * (x - about[0]));
}

/** The same load about another point: M' = M + (r − r') × F. */
export function moveLoad({ force, moment }: Load, from: Vector3, to: Vector3): Load {
  const [x, y, z] = [from[0] - to[0], from[1] - to[1], from[2] - to[2]];
  return {
    force,
    moment: [
      moment[0] + y * force[2] - z * force[1],
      moment[1] + z * force[0] - x * force[2],
      moment[2] + x * force[1] - y * force[0],
    ],
  };
}

/** Change of the whole load when a state is disturbed a little. */
export function loadChange(matrices: InfluenceMatrices, state: FlowCase, change: FlowCase, about: Vector3): Load {
  return addLoads([...loadChangeBySurface(matrices, state, change, about)]);
}

export function loadChangeBySurface(
  matrices: InfluenceMatrices,
  state: FlowCase,
  change: FlowCase,
  about: Vector3,
): Load[] {
  const first = crossLoads(matrices, state, change, about);
  const second = crossLoads(matrices, change, state, about);
  return first.map((load, index) => addLoads([load, second[index]!]));
}
