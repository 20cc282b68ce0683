import { type Fraction, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { attitudeOf, quaternionOf } from '../attitude';
import type { Throw } from '../flightRecord';
import type { Freed } from '../fly';
import { AT, quaternionAt } from '../rigidBody';
import { sigmasOf } from './belief';

/** How one throw is off from what was meant. */
export interface HandError {
  readonly speed: Fraction;
  readonly path: Radians;
  readonly alpha: Radians;
  readonly roll: Radians;
  /** [rad/s] */
  readonly rollRate: number;
  readonly pitchRate: number;
}

/** Scatter of a hand, ±1σ: speed as a share, path, angle of attack and roll, rates of both [rad/s]. Half of what hands are off at worst. C. */
const HAND = {
  speed: 0.08,
  path: radiansFromDegrees(2.5),
  alpha: radiansFromDegrees(2.5),
  roll: radiansFromDegrees(5),
  rate: 0.25,
};
/** Steps of an even spread over six axes: powers of the root of x⁷ = x + 1 (Roberts’ additive recurrence). */
const ROOT = 1.1127756842787055;

/** Even numbers between 0 and 1 as standard deviations of a normal distribution, three at most. */
const asNormal = (even: number): number => {
  const share = Math.min(0.9987, Math.max(0.0013, even));
  return share < 0.5 ? -sigmasOf(share) : sigmasOf(1 - share);
};

/** How the throw of that number of a row is off; a row spreads evenly. */
export function handError(index: number): HandError {
  const [speed, path, alpha, roll, rollRate, pitchRate] = [1, 2, 3, 4, 5, 6].map((power) =>
    asNormal((0.5 + (index + 1) / ROOT ** power) % 1),
  ) as [number, number, number, number, number, number];
  return {
    speed: HAND.speed * speed,
    path: (HAND.path * path) as Radians,
    alpha: (HAND.alpha * alpha) as Radians,
    roll: (HAND.roll * roll) as Radians,
    rollRate: HAND.rate * rollRate,
    pitchRate: HAND.rate * pitchRate,
  };
}

/** A throw that is off by that. */
export const thrownOff = (launch: Throw, off: HandError): Throw => ({
  ...launch,
  speed: launch.speed * (1 + off.speed),
  path: (launch.path + off.path) as Radians,
  alphaError: off.alpha,
  roll: off.roll,
  rollRate: off.rollRate,
  pitchRate: off.pitchRate,
});

/** What line or wheels let go, off by that. @param scale of which it is; how far a hand turns it in a second is its own */
export function letGoOff({ t, state }: Freed, off: HandError, scale: number): Freed {
  const [u, v, w] = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
  const alpha = Math.atan2(w, u) + off.alpha;
  const [speed, ahead] = [1 + off.speed, Math.hypot(u, w)];
  const { roll, pitch, yaw } = attitudeOf(quaternionAt(state));
  const changed = Float64Array.from(state);
  changed.set(
    quaternionOf({ roll: (roll + off.roll) as Radians, pitch: (pitch + off.path + off.alpha) as Radians, yaw }),
    AT.turn,
  );
  changed.set([ahead * speed * Math.cos(alpha), v * speed, ahead * speed * Math.sin(alpha)], AT.speed);
  const slower = Math.sqrt(scale);
  changed[AT.rate]! += off.rollRate * slower;
  changed[AT.rate + 1]! += off.pitchRate * slower;
  return { t, state: changed };
}
