import type { Radians } from '@/core/1-base/units/convert';
import { attitudeOf } from './attitude';
import type { Commands } from './commands';
import type { FlyingModel } from './flyingModel';
import { AT, quaternionAt } from './rigidBody';

/** Programs that fly for a while: what the sticks do, by the time since launch and the state. */
export const PILOTS = ['handsOff', 'pullUp', 'holdHeading', 'pullOut', 'flare', 'loop', 'roll'] as const;
export type PilotName = (typeof PILOTS)[number];

export interface Pilot {
  readonly commands: (t: number, state: ArrayLike<number>) => Commands;
  /** Told where every step ends; true when the figure it flies has come to its end. */
  readonly follow?: (t: number, state: ArrayLike<number>) => boolean;
}

/** Every stick in the middle. */
export const NEUTRAL: Commands = { pitch: 0 as Radians, roll: 0 as Radians, yaw: 0 as Radians, flap: 0 as Radians };
/** A hand that has let go takes the stick after so long [s]. */
const TAKES_OVER = 0.2;
/** Stick against bank, roll and heading: shares of the full command per radian and per radian a second. C. */
const AGAINST = { bank: 1.5, rolling: 0.25, heading: 1, turning: 0.3 } as const;
/** A dive steeper than that is pulled out of, until the path is level [rad]. */
const STEEP = -0.5;
const PULL_OUT = 0.6;
/** Of the elevator through a loop, and of the roll control through a roll. */
const LOOPS = 0.8;
const ROLLS = 1;
/** A figure is handed over so far before it has gone all round: the turning runs on [rad]. */
const RUNS_ON = { loop: 0.3, roll: 0.6 } as const;
/** Height from which a landing is flared [m], and most of the elevator that is used. */
const FLARES_AT = 0.8;
const FLARES = 0.7;

interface Given {
  readonly model: FlyingModel;
  /** Height of the balance point above ground that counts as standing on it [m]. */
  readonly ground: number;
}

/** Where the sticks are: shares of full, nose up and to the right. */
type Sticks = Partial<NonNullable<Commands['sticks']>>;

/** Controls as the sticks move them: the small commands of the same effect. */
export function commandsOf(
  { prepared: { reach }, fullNoseUp }: FlyingModel,
  { pitch = 0, roll = 0, yaw = 0 }: Sticks,
): Commands {
  const sideways = (share: number, { right, left }: { readonly right: number; readonly left: number }) =>
    (share >= 0 ? share * right : share * left) as Radians;
  return {
    pitch: fullNoseUp === null ? (0 as Radians) : reach.pitch.held((pitch * fullNoseUp) as Radians),
    roll: sideways(roll, reach.roll),
    yaw: sideways(yaw, reach.yaw),
    flap: 0 as Radians,
    sticks: { pitch, roll, yaw },
  };
}

/** Sticks to both sides that hold the wings level and the nose where it pointed at launch. */
export function levelled(state: ArrayLike<number>, hasAilerons: boolean): Sticks {
  const { roll, yaw } = attitudeOf(quaternionAt(state));
  const within = (share: number) => Math.min(1, Math.max(-1, share));
  const sideways = within(-AGAINST.bank * roll - AGAINST.rolling * state[AT.rate]! - AGAINST.heading * yaw);
  const pointing = within(-AGAINST.heading * yaw - AGAINST.turning * state[AT.rate + 2]! - AGAINST.bank * roll);
  // Without ailerons the rudder holds the wings.
  return { roll: sideways, yaw: hasAilerons ? within(-AGAINST.turning * state[AT.rate + 2]!) : pointing };
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
 * - flare: heading held, the nose raised in the last metre;
 * - loop: the nose pulled up until it has gone all round, then the heading held;
 * - roll: rolled right until it has gone all round, then the heading held.
 */
export function pilot(name: PilotName, given: Given): Pilot {
  const { model } = given;
  if (name === 'loop' || name === 'roll') return figure(name, model);
  const sticks = sticksOf(name, given);
  return { commands: (t, state) => (t < TAKES_OVER ? NEUTRAL : commandsOf(model, sticks(state))) };
}

/** Whether anything rolls it beside the rudder: ailerons, or drives that tilt with the stick. */
export const rollsBySide = ({ prepared: { reach, design } }: FlyingModel): boolean =>
  reach.roll.right > 0 || design.mixes.some(({ command, drives }) => command === 'roll' && drives.length > 0);

/** What the sticks do once the hand has taken them. */
function sticksOf(
  name: Exclude<PilotName, 'loop' | 'roll'>,
  { model, ground }: Given,
): (state: ArrayLike<number>) => Sticks {
  const level = (state: ArrayLike<number>) => levelled(state, rollsBySide(model));
  switch (name) {
    case 'handsOff':
      return () => ({});
    case 'pullUp':
      return () => ({ pitch: 1 });
    case 'holdHeading':
      return level;
    case 'pullOut':
      return (state) => ({
        ...level(state),
        pitch: PULL_OUT * Math.min(1, Math.max(0, -pathOf(state) / -STEEP)),
      });
    case 'flare':
      return (state) => {
        const left = Math.max(0, -state[2]! - ground);
        return { ...level(state), pitch: FLARES * Math.max(0, 1 - left / FLARES_AT) };
      };
  }
}

/** All round about one axis, counted from the turning itself: heading and bank mean nothing upside down. */
function figure(name: 'loop' | 'roll', model: FlyingModel): Pilot {
  const axis = name === 'loop' ? 1 : 0;
  const hasAilerons = rollsBySide(model);
  // Without ailerons the rudder rolls it.
  const flies = commandsOf(model, name === 'loop' ? { pitch: LOOPS } : hasAilerons ? { roll: ROLLS } : { yaw: ROLLS });
  let [turned, last, isDone] = [0, 0, false];
  return {
    commands: (t, state) =>
      t < TAKES_OVER ? NEUTRAL : isDone ? commandsOf(model, levelled(state, hasAilerons)) : flies,
    follow: (t, state) => {
      const before = isDone;
      turned += state[AT.rate + axis]! * (t - last);
      last = t;
      isDone ||= turned > 2 * Math.PI - RUNS_ON[name];
      return isDone && !before;
    },
  };
}
