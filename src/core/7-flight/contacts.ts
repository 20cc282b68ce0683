import { type Metres, metresFromMillimetres, type Newtons, type Vector3 } from '@/core/1-base/units/convert';
import { cross, dot, minus, plus, times } from '@/core/1-base/numeric/vectors';
import type { Design } from '@/core/2-document/schema/design';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Terrain } from './air';
import { turnMatrix } from './attitude';
import type { FlyingModel } from './flyingModel';
import { AT, type BodyLoads, quaternionAt } from './rigidBody';

/** A point that can stand on the ground, in flight axes from the balance point. */
export interface Contact {
  readonly at: Vector3;
  /** Force against rolling ahead and against sliding across, over what it bears. */
  readonly along: number;
  readonly across: number;
  /** Turns with the yaw stick: nose first or tail first. */
  readonly steers: 'ahead' | 'behind' | null;
}

/** A wheel rolling on short grass and held across, and foam or wire that slides on it; C (rolling as in the ground run of the drive). */
const WHEEL = { along: 0.08, across: 0.6 } as const;
const SLIDE = { along: 0.35, across: 0.35 } as const;
/** Grass and legs give so far under the weight on all wheels [m], and swallow that share of the critical damping. C. */
export const GIVES: Metres = 0.008;
const DAMPED = 0.4;
/** A damper takes hold over so much of the way in [m], friction over so much speed [m/s]. */
const SOFT_WAY = 0.002;
const SOFT_SPEED = 0.25;
/** How far the wheel that steers turns with the full stick [rad]. C. */
const STEERS = 0.26;

/** Everything that can touch the ground: wheels, skids, bellies of bodies, roots and tips of surfaces. */
export function contactsOf({ prepared }: FlyingModel): Contact[] {
  const { design, about, placed } = prepared;
  const inFlightAxes = (x: Metres, y: Metres, z: Metres): Vector3 => [about[0] - x, y, about[2] - z];
  const sides = (y: Metres, mirrored: boolean) => (mirrored && y !== 0 ? [y, -y] : [y]);
  const steering = steeringWheel(design, about[0]);
  const wheels = design.wheels.flatMap((wheel): Contact[] => {
    const { position, diameter, mirrored } = wheel;
    const [x, y, z] = [position.x, position.y, position.z - diameter / 2].map(metresFromMillimetres) as [
      Metres,
      Metres,
      Metres,
    ];
    const steers = wheel !== steering ? null : x < about[0] ? 'ahead' : 'behind';
    return sides(y, mirrored).map((side) => ({
      at: inFlightAxes(x, side, z),
      ...(diameter > 0 ? WHEEL : SLIDE),
      steers,
    }));
  });
  const bodies = design.bodies.flatMap(({ frames, position, mirrored }) =>
    frames.flatMap((frame) =>
      sides(metresFromMillimetres(position.y), mirrored).map((side): Contact => ({
        at: inFlightAxes(
          metresFromMillimetres(position.x + frame.x),
          side,
          metresFromMillimetres(position.z + frame.bottom),
        ),
        ...SLIDE,
        steers: null,
      })),
    ),
  );
  const surfaces = placed.flatMap(({ stations, mirrored }) =>
    [stations[0]!, stations.at(-1)!].flatMap(({ x, y, z, chord }) =>
      sides(y, mirrored).map((side): Contact => ({ at: inFlightAxes(x + chord, side, z), ...SLIDE, steers: null })),
    ),
  );
  return [...wheels, ...bodies, ...surfaces];
}

/** The single wheel on the middle line that lies farthest from the balance point: it turns with the rudder. */
function steeringWheel({ wheels }: Design, balance: Metres) {
  return wheels
    .filter(({ mirrored, position, diameter }) => !mirrored && Math.abs(position.y) < 1 && diameter > 0)
    .toSorted(
      (a, b) =>
        Math.abs(metresFromMillimetres(b.position.x) - balance) -
        Math.abs(metresFromMillimetres(a.position.x) - balance),
    )[0];
}

/** Height of the lowest point of an aircraft over the land, by its state; positive in the air [m]. */
export function clearance(contacts: readonly Contact[], terrain: Terrain, state: ArrayLike<number>): Metres {
  const turn = turnMatrix(quaternionAt(state));
  let least = Infinity;
  for (const { at } of contacts)
    least = Math.min(least, -(state[2]! + dot(turn[2], at)) - terrain((state[0]! + dot(turn[0], at)) as Metres));
  return least as Metres;
}

/**
 * What the ground gives back, in flight axes about the balance point: a spring
 * and a damper upright under every point that is in it, and friction against
 * how it moves, along the wheel and across. Ground that gives under g/(2 s)
 * swings slowly enough for steps of a hundredth of a second. @param steered
 * share of the yaw stick, right positive
 */
export function groundLoads(
  { body: { mass } }: FlyingModel,
  contacts: readonly Contact[],
  terrain: Terrain,
): (state: ArrayLike<number>, steered: number) => BodyLoads {
  const spring = (mass * GRAVITY) / (2 * GIVES);
  const damper = DAMPED * 2 * Math.sqrt((spring * mass) / 3);
  return (state, steered) => {
    const turn = turnMatrix(quaternionAt(state));
    const down = turn[2];
    const speed: Vector3 = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
    const rate: Vector3 = [state[AT.rate]!, state[AT.rate + 1]!, state[AT.rate + 2]!];
    let force: Vector3 = [0, 0, 0];
    let moment: Vector3 = [0, 0, 0];
    for (const { at, along, across, steers } of contacts) {
      const depth = state[2]! + dot(down, at) + terrain((state[0]! + dot(turn[0], at)) as Metres);
      if (depth <= 0) continue;
      const moves = plus(speed, cross(rate, at));
      const sinks = dot(down, moves);
      const bears: Newtons = Math.max(0, spring * depth + damper * Math.min(1, depth / SOFT_WAY) * sinks);
      const level = minus(moves, times(down, sinks));
      const turned = steers === null ? 0 : (steers === 'ahead' ? 1 : -1) * STEERS * steered;
      const heading = ontoGround([Math.cos(turned), Math.sin(turned), 0], down);
      const rolls = dot(level, heading);
      const slides = minus(level, times(heading, rolls));
      const against = plus(
        times(heading, (-along * rolls) / Math.hypot(rolls, SOFT_SPEED)),
        times(slides, -across / Math.hypot(...slides, SOFT_SPEED)),
      );
      const push = times(minus(against, down), bears);
      force = plus(force, push);
      moment = plus(moment, cross(at, push));
    }
    return { force, moment };
  };
}

/** A direction laid onto the ground, of length one. */
function ontoGround(way: Vector3, down: Vector3): Vector3 {
  const level = minus(way, times(down, dot(way, down)));
  const length = Math.hypot(...level);
  return length > 1e-6 ? times(level, 1 / length) : level;
}
