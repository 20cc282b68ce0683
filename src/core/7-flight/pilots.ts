import type { Radians } from '@/core/1-base/units/convert';
import { attitudeOf } from './attitude';
import type { Commands, FlyingModel } from './flyingModel';
import { AT, quaternionAt } from './rigidBody';

/** Programs that fly for a while: what the sticks do, by the time since launch and the state. */
export const PILOTS = ['handsOff', 'pullUp', 'holdHeading', 'pullOut', 'flare'] as const;
export type PilotName = (typeof PILOTS)[number];
export type Pilot = (t: number, state: ArrayLike<number>) => Commands;

const NEUTRAL: Commands = { pitch: 0 as Radians, roll: 0 as Radians, yaw: 0 as Radians, flap: 0 as Radians };
/** A hand that has let go takes the stick after so long [s]. */
const TAKES_OVER = 0.2;
/** Stick against bank, roll and heading: shares of the full command per radian and per radian a second. C. */
const AGAINST = { bank: 1.5, rolling: 0.25, heading: 1, turning: 0.3 } as const;
/** A dive steeper than that is pulled out of, until the path is level [rad]. */
const STEEP = -0.5;
const PULL_OUT = 0.6;
/** Height from which a landing is flared [m], and most of the elevator that is used. */
const FLARES_AT = 0.8;
const FLARES = 0.7;

interface Given {
  readonly model: FlyingModel;
  /** Height of the balance point above ground that counts as standing on it [m]. */
  readonly ground: number;
}

/** Up the nose by a share of all that the pitch control has, as the small command of the same effect. */
function noseUp({ prepared, fullNoseUp }: FlyingModel, share: number): Radians {
  return fullNoseUp === null ? (0 as Radians) : prepared.reach.pitch.held((share * fullNoseUp) as Radians);
}

/** Sticks to both sides that hold the wings level and the nose where it pointed at launch. */
function levelled({ prepared: { reach } }: FlyingModel, state: ArrayLike<number>): Pick<Commands, 'roll' | 'yaw'> {
  const { roll, yaw } = attitudeOf(quaternionAt(state));
  const within = (share: number) => Math.min(1, Math.max(-1, share));
  const sideways = within(-AGAINST.bank * roll - AGAINST.rolling * state[AT.rate]! - AGAINST.heading * yaw);
  const pointing = within(-AGAINST.heading * yaw - AGAINST.turning * state[AT.rate + 2]! - AGAINST.bank * roll);
  const full = (share: number, { right, left }: { readonly right: number; readonly left: number }) =>
    (share >= 0 ? share * right : share * left) as Radians;
  // Without ailerons the rudder holds the wings.
  return {
    roll: full(sideways, reach.roll),
    yaw: full(reach.roll.right > 0 ? within(-AGAINST.turning * state[AT.rate + 2]!) : pointing, reach.yaw),
  };
}

/** Climb angle of the path over ground. */
export function pathOf(state: ArrayLike<number>): Radians {
  const { pitch, roll } = attitudeOf(quaternionAt(state));
  const [u, v, w] = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
  const up = u * Math.sin(pitch) - (v * Math.sin(roll) + w * Math.cos(roll)) * Math.cos(pitch);
  const speed = Math.hypot(u, v, w);
  return (speed > 0 ? Math.asin(Math.min(1, Math.max(-1, up / speed))) : 0) as Radians;
}

/**
 * - handsOff: every stick in the middle;
 * - pullUp: full nose-up from the moment the hand takes the stick;
 * - holdHeading: wings level, nose where it was thrown, pitch left alone;
 * - pullOut: left alone until it dives, then pulled out with part of the stick, wings level;
 * - flare: heading held, the nose raised in the last metre.
 */
export function pilot(name: PilotName, { model, ground }: Given): Pilot {
  switch (name) {
    case 'handsOff':
      return () => NEUTRAL;
    case 'pullUp':
      return (t) => (t < TAKES_OVER ? NEUTRAL : { ...NEUTRAL, pitch: noseUp(model, 1) });
    case 'holdHeading':
      return (t, state) => (t < TAKES_OVER ? NEUTRAL : { ...NEUTRAL, ...levelled(model, state) });
    case 'pullOut':
      return (t, state) => {
        if (t < TAKES_OVER) return NEUTRAL;
        const dives = Math.min(1, Math.max(0, -pathOf(state) / -STEEP));
        return { ...NEUTRAL, ...levelled(model, state), pitch: noseUp(model, PULL_OUT * dives) };
      };
    case 'flare':
      return (t, state) => {
        if (t < TAKES_OVER) return NEUTRAL;
        const left = Math.max(0, -state[2]! - ground);
        const share = Math.max(0, 1 - left / FLARES_AT);
        return { ...NEUTRAL, ...levelled(model, state), pitch: noseUp(model, FLARES * share) };
      };
  }
}
