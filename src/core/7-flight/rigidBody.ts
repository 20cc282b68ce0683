import { inverse, Matrix } from 'ml-matrix';
import type { Kilograms, Metres, MetresPerSecond, Vector3 } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { ApparentMass } from '@/core/5-aero/apparentMass';
import { type Quaternion, quaternionOf, turnMatrix, type Attitude } from './attitude';

/** What is moved: mass and inertia about the balance point, and the air that has to be moved along. SI, flight axes. */
export interface RigidBody {
  readonly mass: Kilograms;
  readonly inertia: { readonly xx: number; readonly yy: number; readonly zz: number; readonly xz: number };
  /** None where the air takes no part. */
  readonly apparent?: ApparentMass;
  /** Pitching moment per ẇ of a tail that meets the wash of a moment ago [kg·m], negative behind; none without. */
  readonly lateWash?: number;
}

/** Places in the state of a flight: where it is (earth axes, z down), how it lies (quaternion), its speed and turning in flight axes. */
export const AT = { place: 0, turn: 3, speed: 7, rate: 10 } as const;
export const STATE_SIZE = 13;

/** Force [N] and moment about the balance point [N·m] of everything but weight, in flight axes. */
export interface BodyLoads {
  readonly force: Vector3;
  readonly moment: Vector3;
}

export interface Launch {
  /** Height above the ground. */
  readonly height: Metres;
  readonly attitude: Attitude;
  /** Velocity in flight axes [m/s], and turning [rad/s]. */
  readonly speed: readonly [MetresPerSecond, MetresPerSecond, MetresPerSecond];
  readonly rate: Vector3;
}

export function launchState({ height, attitude, speed, rate }: Launch): Float64Array {
  return Float64Array.from([0, 0, -height, ...quaternionOf(attitude), ...speed, ...rate]);
}

export const quaternionAt = (state: ArrayLike<number>): Quaternion => [state[3]!, state[4]!, state[5]!, state[6]!];

/** Pulls the length of the quaternion back to one, this fast [1/s]; without it rounding would let it drift. */
const HELD = 1;

/**
 * Six degrees of freedom in still coordinates of the earth: M v̇ + ω × (m v) = F,
 * I ω̇ + ω × (I₀ ω) = moment. M and I hold the apparent mass of the air, whose
 * middle is not the balance point, so that ẇ and q̇ are coupled; m and I₀ do
 * not: what it does in steady motion is in the air loads already. Source:
 * Etkin & Reid, Dynamics of Flight, 3rd ed., chapter 4; apparent mass after
 * Munk and Gracey (see `apparentMass`).
 * @param loads everything but weight, for a time and a state
 */
export function flightRate(body: RigidBody, loads: (t: number, state: Float64Array) => BodyLoads) {
  const { mass, inertia } = body;
  const { xx, yy, zz, xz } = inertia;
  const inverted = inverse(new Matrix(massMatrix(body))).to2DArray();
  const gravity = GRAVITY;
  const right = new Float64Array(6);
  return (t: number, y: Float64Array, out: Float64Array): void => {
    const turn = turnMatrix(quaternionAt(y));
    const [u, v, w] = [y[7]!, y[8]!, y[9]!];
    const [p, q, r] = [y[10]!, y[11]!, y[12]!];
    for (let axis = 0; axis < 3; axis++) out[axis] = turn[axis]![0] * u + turn[axis]![1] * v + turn[axis]![2] * w;
    const [e0, e1, e2, e3] = [y[3]!, y[4]!, y[5]!, y[6]!];
    const pull = HELD * (1 - (e0 * e0 + e1 * e1 + e2 * e2 + e3 * e3));
    out[3] = -0.5 * (e1 * p + e2 * q + e3 * r) + pull * e0;
    out[4] = 0.5 * (e0 * p + e2 * r - e3 * q) + pull * e1;
    out[5] = 0.5 * (e0 * q + e3 * p - e1 * r) + pull * e2;
    out[6] = 0.5 * (e0 * r + e1 * q - e2 * p) + pull * e3;
    const { force, moment } = loads(t, y);
    const weight = mass * gravity;
    const [hx, hy, hz] = [xx * p - xz * r, yy * q, zz * r - xz * p];
    right[0] = force[0] + weight * turn[2][0] - mass * (q * w - r * v);
    right[1] = force[1] + weight * turn[2][1] - mass * (r * u - p * w);
    right[2] = force[2] + weight * turn[2][2] - mass * (p * v - q * u);
    right[3] = moment[0] - (q * hz - r * hy);
    right[4] = moment[1] - (r * hx - p * hz);
    right[5] = moment[2] - (p * hy - q * hx);
    for (let i = 0; i < 6; i++) {
      let sum = 0;
      const row = inverted[i]!;
      for (let j = 0; j < 6; j++) sum += row[j]! * right[j]!;
      out[AT.speed + i] = sum;
    }
  };
}

/** Of u̇, v̇, ẇ, ṗ, q̇, ṙ. Air that is moved in heave at an arm behind the balance point turns with it. */
function massMatrix({ mass, inertia: { xx, yy, zz, xz }, apparent, lateWash = 0 }: RigidBody): number[][] {
  const { heave = 0, heaveMoment = 0, pitch = 0, roll = 0 } = apparent ?? {};
  return [
    [mass, 0, 0, 0, 0, 0],
    [0, mass, 0, 0, 0, 0],
    [0, 0, mass + heave, 0, heaveMoment, 0],
    [0, 0, 0, xx + roll, 0, -xz],
    [0, 0, heaveMoment - lateWash, 0, yy + pitch, 0],
    [0, 0, 0, -xz, 0, zz],
  ];
}

/** Energy of motion and height above the launch level’s zero, without the air that is moved [J]. */
export function energyOf({ mass, inertia: { xx, yy, zz, xz } }: RigidBody, state: ArrayLike<number>): number {
  const [u, v, w, p, q, r] = Array.from({ length: 6 }, (_, index) => state[AT.speed + index]!) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const turning = xx * p * p + yy * q * q + zz * r * r - 2 * xz * p * r;
  return (mass * (u * u + v * v + w * w) + turning) / 2 - mass * GRAVITY * state[2]!;
}
