import type { Metres, Vector3 } from '@/core/1-base/units/convert';
import { lengthOf, minus } from '@/core/1-base/numeric/vectors';
import type { Composite } from '../section/composite';

/**
 * A stretch of a beam, straight and alike from its inner to its outer end.
 * `along` points outwards, `aft` to the rear, `up` to the upper side, in the
 * axes of the document; the three are square to one another.
 */
export interface Stretch {
  readonly from: Metres;
  readonly to: Metres;
  readonly inner: Vector3;
  readonly outer: Vector3;
  readonly along: Vector3;
  readonly aft: Vector3;
  readonly up: Vector3;
  readonly whole: Composite;
  /** Twist stiffness [N·m²], stiffness and strength in shear up and down [N]. */
  readonly twist: number;
  readonly shear: number;
  readonly shearStrength: number;
  /** Point of the section in the middle of the stretch through which a load does not twist it [m]. */
  readonly centre: Vector3;
}

/** Held at its inner end, free at its outer one. */
export interface Beam {
  readonly stretches: readonly Stretch[];
}

/** A force spread evenly from one place along the beam to another, or at one point where both are alike [N, m]. */
export interface BeamLoad {
  readonly from: Metres;
  readonly to: Metres;
  /** Where it acts in the middle of its stretch, and which way that moves along the beam, per metre. */
  readonly at: Vector3;
  readonly way: Vector3;
  readonly force: Vector3;
  /** Moment of its own beside that [N·m]. */
  readonly moment?: Vector3;
}

/** What passes a section: force, and moment about its centre [N, N·m]. */
export interface Internal {
  readonly force: Vector3;
  readonly moment: Vector3;
}

/** That point of the section at a place of the stretch. */
export function centreAt({ centre, along, from, to, inner, outer }: Stretch, place: Metres): Vector3 {
  const length = lengthOf(minus(outer, inner));
  const off = ((place - (from + to) / 2) / (to - from)) * length;
  return [centre[0] + off * along[0], centre[1] + off * along[1], centre[2] + off * along[2]];
}

/** Everything that lies outboard of a place, about a point: Σ F and Σ (r − r₀) × F + M. Written out: it is asked for thousands of times. */
export function internalAt(loads: readonly BeamLoad[], place: Metres, [x0, y0, z0]: Vector3): Internal {
  let [fx, fy, fz, mx, my, mz] = [0, 0, 0, 0, 0, 0];
  for (const { from, to, at, way, force, moment } of loads) {
    if (place >= to && to > from) continue;
    if (place > from && to <= from) continue;
    const share = place <= from ? 1 : (to - place) / (to - from);
    const middle = share === 1 ? 0 : (place - from) / 2;
    const px = share * force[0];
    const py = share * force[1];
    const pz = share * force[2];
    const x = at[0] + middle * way[0] - x0;
    const y = at[1] + middle * way[1] - y0;
    const z = at[2] + middle * way[2] - z0;
    fx += px;
    fy += py;
    fz += pz;
    mx += y * pz - z * py;
    my += z * px - x * pz;
    mz += x * py - y * px;
    if (moment) {
      mx += share * moment[0];
      my += share * moment[1];
      mz += share * moment[2];
    }
  }
  return { force: [fx, fy, fz], moment: [mx, my, mz] };
}
