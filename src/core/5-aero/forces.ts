import { knownFrom } from '@/core/1-base/knownFrom';
import type { Vector3 } from '@/core/1-base/units/convert';
import type { FlowCase } from './flowCase';
import type { InfluenceMatrices } from './influence';
import type { Meeting } from './meetings';
import type { VortexField } from './vortexField';

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
 * surface: F = ρ Γ V × l on every bound segment and on the legs along the
 * chord, with V including what all vortices induce there. The legs give the
 * side force and yaw of rolling that the suction of the tips means, dihedral
 * its roll at lift, and a wing the push of another one's spanwise flow.
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
  const { lattice, forceX, boundX, boundY, boundZ } = matrices;
  const { u: airU, v: airV, w: airW } = air;
  const count = lattice.cells.count;
  const lateral = parity !== air.parity;
  const [x0, y0, z0] = about;
  const sums = lattice.surfaces.map(() => new Float64Array(6));
  for (let stripIndex = 0; stripIndex < lattice.strips.length; stripIndex++) {
    const strip = lattice.strips[stripIndex]!;
    const sum = sums[strip.surface]!;
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
      const u = airU[i]!;
      const v = airV[i]!;
      const w = airW[i]!;
      const lx = boundX[i]!;
      const ly = boundY[i]!;
      const lz = boundZ[i]!;
      const px = strength * (v * lz - w * ly);
      const py = strength * (w * lx - u * lz);
      const pz = strength * (u * ly - v * lx);
      const dx = forceX[i]! - x0;
      fx += px;
      fy += py;
      fz += pz;
      mx += dy * pz - dz * py;
      my += dz * px - dx * pz;
      mz += dx * py - dy * px;
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
  addLegForces(matrices, circulation, air, about, lateral, sums);
  return sums.map((sum) => ({
    force: [sum[0]!, sum[1]!, sum[2]!],
    moment: [sum[3]!, sum[4]!, sum[5]!],
  }));
}

/** Of a circulation in whatever air: every state meets that of several others. */
const knownShed = knownFrom<Float64Array, Float64Array>();

/**
 * Pull on every leg on the board: what the strip inboard of it sheds out less
 * what the one outboard takes in. Where surfaces meet, what is left of all.
 */
function addLegForces(
  { lattice, field }: InfluenceMatrices,
  circulation: Float64Array,
  { legV, legW }: FlowCase,
  [x0, y0, z0]: Vector3,
  lateral: boolean,
  sums: readonly Float64Array[],
): void {
  const { count } = lattice.cells;
  const shed = knownShed(circulation, [field], () => shedAlongLegs(field, circulation));
  lattice.surfaces.forEach(({ mirrored }, surface) => {
    const strips = lattice.firstStrip[surface + 1]! - lattice.firstStrip[surface]!;
    const sides = mirrored ? 2 : 1;
    const sum = sums[surface]!;
    for (let edge = field.firstEdge[surface]!; edge <= field.firstEdge[surface]! + strips; edge++) {
      const meeting = field.meetings[edge]!;
      const dy = field.edgeY[edge]! - y0;
      const dz = field.edgeZ[edge]! - z0;
      let fy = 0;
      let fz = 0;
      let my = 0;
      let mz = 0;
      for (let k = 0; k < count; k++) {
        const piece = edge * count + k;
        const dx = field.pieceX[piece]! - x0;
        const strength = meeting ? shedWhereTheyMeet(shed, count, meeting, edge, k) : shed[piece]!;
        const pull = strength * field.pieceLength[piece]!;
        const legY = pull * legW[piece]!;
        const legZ = -pull * legV[piece]!;
        fy += legY;
        fz += legZ;
        my -= dx * legZ;
        mz += dx * legY;
      }
      if (lateral) {
        sum[1]! += sides * fy;
        sum[3]! += sides * (dy * fz - dz * fy);
        sum[5]! += sides * mz;
      } else {
        sum[2]! += sides * fz;
        sum[4]! += sides * my;
      }
    }
  });
}

/** Strength of every leg at every piece: all that was shed into it from the nose to there. */
function shedAlongLegs({ lattice, edges, firstEdge }: VortexField, circulation: Float64Array): Float64Array {
  const { count } = lattice.cells;
  const shed = new Float64Array(edges * count);
  lattice.surfaces.forEach((_, surface) => {
    const first = lattice.firstStrip[surface]!;
    const strips = lattice.firstStrip[surface + 1]! - first;
    for (let local = 0; local <= strips; local++) {
      const inner = local > 0 ? (first + local - 1) * count : -1;
      const outer = local < strips ? (first + local) * count : -1;
      let sum = 0;
      for (let k = 0; k < count; k++) {
        if (inner >= 0) sum += circulation[inner + k]!;
        if (outer >= 0) sum -= circulation[outer + k]!;
        shed[(firstEdge[surface]! + local) * count + k] = sum;
      }
    }
  });
  return shed;
}

/** What all legs on one line leave of each other, abreast of a piece; nought where a longer chord bears it. */
function shedWhereTheyMeet(
  shed: Float64Array,
  count: number,
  { beside, borne }: Meeting,
  edge: number,
  k: number,
): number {
  if (borne[k]) return 0;
  let sum = shed[edge * count + k]!;
  for (const other of beside) {
    const abreast = other.abreast[k]!;
    if (abreast >= 0) sum += other.share * shed[other.edge * count + Math.min(abreast, count - 1)]!;
  }
  return sum;
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
