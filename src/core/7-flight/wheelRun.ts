import {
  type Metres,
  type MetresPerSecond,
  type Radians,
  radiansFromDegrees,
  type Seconds,
} from '@/core/1-base/units/convert';
import type { Terrain } from './air';
import { attitudeOf } from './attitude';
import type { Carried } from './carried';
import { clearance, type Contact, contactsOf, GIVES, groundLoads } from './contacts';
import type { FlyingModel } from './flyingModel';
import { commandsOf, levelled, rollsBySide } from './pilots';
import { AT, launchState, quaternionAt } from './rigidBody';

/** Over the ground by so much it flies [m]. */
const CLEAR: Metres = 0.5;
/** It is pulled off to so much over the angle of level flight, by that share of the stick for every radian and radian a second. C. */
const PULLED_TO: Radians = radiansFromDegrees(6);
const PULLS = { angle: 3, turning: 0.4, least: -0.3, most: 0.8 } as const;
/** Banked or on its nose beyond that it has gone over. */
const OVER: Radians = radiansFromDegrees(50);
const LONGEST: Seconds = 20;

/**
 * How it stands: on the two points, seen from the side, between which the
 * balance point lies and under which there is nothing: the edge of the lower
 * hull that it stands over.
 */
export function standing(contacts: readonly Contact[]): { readonly height: Metres; readonly pitch: Radians } | null {
  let best: { height: Metres; pitch: Radians } | null = null;
  for (const { at: a } of contacts) {
    for (const { at: b } of contacts) {
      if (!(a[0] > 0 && b[0] <= 0)) continue;
      // Nose up by the slope from the front one down to the rear one.
      const pitch = Math.atan2(a[2] - b[2], a[0] - b[0]);
      const under = ([x, , down]: Contact['at']) => x * -Math.sin(pitch) + down * Math.cos(pitch);
      const height = under(a);
      if (contacts.every(({ at }) => under(at) <= height + 1e-9) && height > (best?.height ?? 0))
        best = { height: height as Metres, pitch: pitch as Radians };
    }
  }
  return best;
}

/**
 * From standing on its wheels until it is half a metre off the ground: full
 * power as given, wings and heading held, and the nose raised once it is fast
 * enough. The wheel on the middle line turns with the rudder. Null without
 * wheels or where it stands on nothing.
 * @param pullsAt speed through the air from which the nose is raised
 */
export function offWheels(model: FlyingModel, pullsAt: MetresPerSecond, terrain: Terrain): Carried | null {
  if (!model.prepared.design.wheels.some(({ diameter }) => diameter > 0)) return null;
  const contacts = contactsOf(model);
  const stands = standing(contacts);
  if (!stands) return null;
  const loads = groundLoads(model, contacts, terrain);
  const hasAilerons = rollsBySide(model);
  const asks = model.trim.alpha + PULLED_TO;
  return {
    state: launchState({
      height: (stands.height - GIVES / 2 + terrain(0 as Metres)) as Metres,
      attitude: { roll: 0 as Radians, pitch: stands.pitch, yaw: 0 as Radians },
      speed: [0, 0, 0] as never,
      rate: [0, 0, 0],
    }),
    commands: (_, state) => {
      const isFast = state[AT.speed]! >= pullsAt;
      const { pitch } = attitudeOf(quaternionAt(state));
      const pull = PULLS.angle * (asks - pitch) - PULLS.turning * state[AT.rate + 1]!;
      return commandsOf(model, {
        ...levelled(state, hasAilerons),
        pitch: isFast ? Math.min(PULLS.most, Math.max(PULLS.least, pull)) : 0,
      });
    },
    loads: (state, { sticks }) => loads(state, sticks?.yaw ?? 0),
    holds: (state) => CLEAR - clearance(contacts, terrain, state),
    standsUp: (state) => {
      const { roll, pitch } = attitudeOf(quaternionAt(state));
      return OVER - Math.max(Math.abs(roll), -pitch);
    },
    longest: LONGEST,
  };
}
