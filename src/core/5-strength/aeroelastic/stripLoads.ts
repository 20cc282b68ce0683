import type { Vector3 } from '@/core/1-base/units/convert';
import type { InfluenceMatrices } from '@/core/5-aero/influence';
import type { Parity } from '@/core/5-aero/influence';
import type { Lattice } from '@/core/5-aero/lattice';
import { solveTogether } from '@/core/5-aero/kernel/luFactors';
import type { BeamLoad } from '../beam/stretch';

/**
 * What every strip of the right half bears per dynamic pressure: force along
 * its normal (0, −t_z, t_y) [m²] at its quarter chord, and moment nose-up about
 * its own direction there [m³]. F = 2 q ΣΓ w at unit speed (Kutta–Joukowski in
 * the free stream; what the strips induce along the chord is of second order).
 */
export interface StripLoads {
  readonly force: Float64Array;
  readonly moment: Float64Array;
}

/** Where a strip’s load is counted, share of the chord. */
const QUARTER = 0.25;

/** Sums circulations of panels into loads of strips. */
export function stripLoadsOf(
  { lattice, boundY, boundZ, forceX }: InfluenceMatrices,
  circulation: Float64Array,
): StripLoads {
  const { count } = lattice.cells;
  const force = new Float64Array(lattice.strips.length);
  const moment = new Float64Array(lattice.strips.length);
  for (let strip = 0, panel = 0; strip < lattice.strips.length; strip++) {
    const { tangentY, tangentZ, m } = lattice.strips[strip]!;
    const quarter = m.x + QUARTER * m.chord;
    let [lifts, turns] = [0, 0];
    for (let k = 0; k < count; k++, panel++) {
      const lift = 2 * circulation[panel]! * (boundY[panel]! * tangentY + boundZ[panel]! * tangentZ);
      lifts += lift;
      turns -= lift * (forceX[panel]! - quarter);
    }
    force[strip] = lifts;
    moment[strip] = turns;
  }
  return { force, moment };
}

/** Loads of all strips as they are turned nose-up by given angles [rad], for several such turns. Centre fins bear nothing where left and right are equal. */
export function loadsOfTurns(
  matrices: InfluenceMatrices,
  parity: Parity,
  turns: readonly Float64Array[],
): StripLoads[] {
  const { lattice } = matrices;
  const half = matrices.half(parity);
  if (half.fault) throw half.fault;
  const { count } = lattice.cells;
  const rights = turns.map((turned) => {
    const right = new Float64Array(lattice.panels);
    for (let strip = 0; strip < lattice.strips.length; strip++)
      if (parity === 'antisymmetric' || lattice.doubled[strip * count])
        right.fill(-turned[strip]!, strip * count, (strip + 1) * count);
    return right;
  });
  return solveTogether(half.factors, rights).map((circulation) => stripLoadsOf(matrices, circulation));
}

export const normalOf = ({ tangentY, tangentZ }: { readonly tangentY: number; readonly tangentZ: number }): Vector3 => [
  0,
  -tangentZ,
  tangentY,
];

/** Where the load of a strip lies, whatever it is: the same for every load of a lattice. */
interface StripPlace {
  readonly from: number;
  readonly to: number;
  readonly at: Vector3;
  readonly way: Vector3;
}

const places = new WeakMap<Lattice, readonly StripPlace[]>();

function placesOf(lattice: Lattice): readonly StripPlace[] {
  const known = places.get(lattice);
  if (known) return known;
  const made = lattice.strips.map(({ from, to, a, b, m, width, tangentY, tangentZ }): StripPlace => ({
    from,
    to,
    at: [m.x + QUARTER * m.chord, m.y, m.z],
    way: [(b.x + QUARTER * b.chord - a.x - QUARTER * a.chord) / width, tangentY, tangentZ],
  }));
  places.set(lattice, made);
  return made;
}

/** The load of one strip as it lies on its beam [N, N·m]. */
export function beamLoadOf(lattice: Lattice, strip: number, force: number, moment: number): BeamLoad {
  const { tangentY, tangentZ } = lattice.strips[strip]!;
  const { from, to, at, way } = placesOf(lattice)[strip]!;
  return {
    from,
    to,
    at,
    way,
    force: [0, -tangentZ * force, tangentY * force],
    moment: [0, moment * tangentY, moment * tangentZ],
  };
}

/** Weighted sum of loads. */
export function sumLoads(parts: readonly (readonly [number, StripLoads])[]): StripLoads {
  const length = parts[0]![1].force.length;
  const force = new Float64Array(length);
  const moment = new Float64Array(length);
  for (const [share, loads] of parts) {
    if (share === 0) continue;
    for (let strip = 0; strip < length; strip++) {
      force[strip]! += share * loads.force[strip]!;
      moment[strip]! += share * loads.moment[strip]!;
    }
  }
  return { force, moment };
}

/** What acts on both sides together: force and moment about a point, per dynamic pressure [m², m³]. */
export interface Total {
  readonly force: Vector3;
  readonly moment: Vector3;
}

/** Force and moment about a point that loads of strips add up to on both sides. Asked for dozens of times: nothing is made on the way. */
export function totalOf(lattice: Lattice, loads: StripLoads, parity: Parity, [x0, y0, z0]: Vector3): Total {
  const at = placesOf(lattice);
  const { strips, surfaces } = lattice;
  let [side, up, roll, pitch, yaw] = [0, 0, 0, 0, 0];
  for (let index = 0; index < strips.length; index++) {
    const { tangentY, tangentZ, surface } = strips[index]!;
    const [x, y, z] = at[index]!.at;
    const force = loads.force[index]!;
    const moment = loads.moment[index]!;
    const [pushY, pushZ] = [-tangentZ * force, tangentY * force];
    const isMirrored = surfaces[surface]!.mirrored;
    const even = isMirrored ? (parity === 'symmetric' ? 2 : 0) : 1;
    const odd = isMirrored ? (parity === 'symmetric' ? 0 : 2) : 1;
    side += odd * pushY;
    up += even * pushZ;
    roll += odd * ((y - y0) * pushZ - (z - z0) * pushY);
    pitch += even * (moment * tangentY - (x - x0) * pushZ);
    yaw += odd * ((x - x0) * pushY + moment * tangentZ);
  }
  return { force: [0, side, up], moment: [roll, pitch, yaw] };
}

/** The same of forces on strips whichever way they point. */
export function totalOfForces(
  lattice: Lattice,
  parity: Parity,
  [x0, y0, z0]: Vector3,
  forces: readonly { readonly strip: number; readonly at: Vector3; readonly force: Vector3 }[],
): Total {
  let [ahead, side, up, roll, pitch, yaw] = [0, 0, 0, 0, 0, 0];
  for (const { strip, at, force } of forces) {
    const [x, y, z] = [at[0] - x0, at[1] - y0, at[2] - z0];
    const isMirrored = lattice.surfaces[lattice.strips[strip]!.surface]!.mirrored;
    const even = isMirrored ? (parity === 'symmetric' ? 2 : 0) : 1;
    const odd = isMirrored ? (parity === 'symmetric' ? 0 : 2) : 1;
    ahead += even * force[0];
    side += odd * force[1];
    up += even * force[2];
    roll += odd * (y * force[2] - z * force[1]);
    pitch += even * (z * force[0] - x * force[2]);
    yaw += odd * (x * force[1] - y * force[0]);
  }
  return { force: [ahead, side, up], moment: [roll, pitch, yaw] };
}
