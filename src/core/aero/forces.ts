import type { Vector3 } from '../units/convert';
import { type FlowCase, onsetAt } from './flowCase';
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
 * vortices induce there, and ρ Γ V × x on the legs along the chord, of which
 * only the air along the span counts (the boundary condition stops the rest).
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
  const sums = lattice.surfaces.map(() => new Float64Array(6));
  lattice.strips.forEach((strip, stripIndex) => {
    const sum = sums[strip.surface]!;
    const sides = lattice.surfaces[strip.surface]!.mirrored ? 2 : 1;
    const normalY = -strip.tangentZ;
    const normalZ = strip.tangentY;
    const add = (x: number, y: number, z: number, fx: number, fy: number, fz: number) => {
      const dx = x - about[0];
      const dy = y - about[1];
      const dz = z - about[2];
      if (lateral) {
        sum[1]! += sides * fy;
        sum[3]! += sides * (dy * fz - dz * fy);
        sum[5]! += sides * (dx * fy - dy * fx);
      } else {
        sum[0]! += sides * fx;
        sum[2]! += sides * fz;
        sum[4]! += sides * (dz * fx - dx * fz);
      }
    };
    for (let k = 0; k < count; k++) {
      const i = stripIndex * count + k;
      const strength = circulation[i]!;
      const u = air.u[i]!;
      const v = air.v[i]!;
      const w = air.w[i]!;
      const lx = matrices.boundX[i]!;
      const ly = matrices.boundY[i]!;
      const lz = matrices.boundZ[i]!;
      add(
        matrices.forceX[i]!,
        matrices.forceY[i]!,
        matrices.forceZ[i]!,
        strength * (v * lz - w * ly),
        strength * (w * lx - u * lz),
        strength * (u * ly - v * lx),
      );
      for (const [edge, sign] of [
        [strip.a, -1],
        [strip.b, 1],
      ] as const) {
        const length = edge.chord * (1 - lattice.cells.vortex[k]!);
        const x = edge.x + edge.chord - length / 2;
        const [, ov, ow] = onsetAt(air.onset, x, edge.y, edge.z);
        const along = ov * strip.tangentY + ow * strip.tangentZ;
        if (along === 0) continue;
        const pull = -sign * strength * length * along;
        add(x, edge.y, edge.z, 0, pull * normalY, pull * normalZ);
      }
    }
  });
  return sums.map((sum) => ({
    force: [sum[0]!, sum[1]!, sum[2]!],
    moment: [sum[3]!, sum[4]!, sum[5]!],
  }));
}

/** Force of a state, or its change when it is disturbed, summed over all surfaces. */
export function totalLoad(matrices: InfluenceMatrices, state: FlowCase, about: Vector3): Load {
  return addLoads(crossLoads(matrices, state, state, about));
}

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
