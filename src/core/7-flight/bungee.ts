import {
  type Metres,
  metresFromMillimetres,
  type MetresPerSecond,
  millimetresFromMetres,
  type Radians,
  radiansFromDegrees,
  type Seconds,
  type Vector3,
} from '@/core/1-base/units/convert';
import { cross, dot, lengthOf, minus, times } from '@/core/1-base/numeric/vectors';
import { sliceAt } from '@/core/3-shape/geometry/bodySlice';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Terrain } from './air';
import { turnMatrix } from './attitude';
import type { Carried } from './carried';
import { clearance, contactsOf } from './contacts';
import type { Throw } from './flightRecord';
import type { FlyingModel } from './flyingModel';
import { NEUTRAL } from './pilots';
import { launchState, quaternionAt } from './rigidBody';

/** Pull of the stretched rubber over the weight. Practice of the field, ±25 %. C. */
const PULLS = 3.5;
/** What of its energy goes into line, rubber and the drag on the way. C. */
const LOST = 0.2;
/** Line and slack rubber are so many times as long as it is stretched. C. */
const SLACK = 3;
/** A helper lets go of it walking [m/s]. */
const WALKING: MetresPerSecond = 1.5;
/** The hook sits so far ahead of the plumb line under the balance point, seen from that. C. */
const HOOK_AHEAD: Radians = radiansFromDegrees(30);
/** Where there is no body: so far under the balance point [m]. */
const HOOK_UNDER: Metres = 0.03;
/** The ring slides off a hook that is pulled farther round than that, or by so little of the stretch. */
const SLIDES_OFF: Radians = radiansFromDegrees(80);
const LITTLE = 0.02;
const LONGEST: Seconds = 15;

/** Where the line holds it, in flight axes from the balance point. */
function hookOf({ prepared: { design, about } }: FlyingModel): Vector3 {
  const [x, , z] = about;
  const bottoms = design.bodies
    .filter(({ mirrored }) => !mirrored)
    .flatMap((body) => sliceAt(body, millimetresFromMetres(x))?.bottom ?? []);
  const under = bottoms.length > 0 ? Math.max(HOOK_UNDER, z - metresFromMillimetres(Math.min(...bottoms))) : HOOK_UNDER;
  return [under * Math.tan(HOOK_AHEAD), 0, under];
}

/**
 * A rubber line from a peg ahead to the hook under the balance point. It pulls
 * with k times its stretch; stretched with 3.5 weights it holds ½ F s, of which
 * a fifth is lost, so that s = V²/(0.8 · 3.5 g) for the speed at which it lets
 * go on the level. It lets go when it is slack or pulls backwards.
 * @param launch speed at which it would let go on the level; height and path of the hand that holds it
 */
export function offBungee(model: FlyingModel, launch: Throw, terrain: Terrain): Carried {
  const { speed, path, height } = launch;
  const alpha = (model.trim.alpha + (launch.alphaError ?? 0)) as Radians;
  const stretched = speed ** 2 / ((1 - LOST) * PULLS * GRAVITY);
  const slack = SLACK * stretched;
  const stiffness = (PULLS * model.body.mass * GRAVITY) / stretched;
  const hook = hookOf(model);
  const state = launchState({
    height,
    attitude: { roll: (launch.roll ?? 0) as Radians, pitch: (path + alpha) as Radians, yaw: 0 as Radians },
    speed: [WALKING * Math.cos(alpha), 0, WALKING * Math.sin(alpha)] as never,
    rate: [launch.rollRate ?? 0, launch.pitchRate ?? 0, 0],
  });
  const peg = slack + stretched;
  const contacts = contactsOf(model);
  /** From the hook to the peg, in flight axes, and how far it is stretched. */
  const lineOf = (now: ArrayLike<number>) => {
    const turn = turnMatrix(quaternionAt(now));
    const ahead = peg as Metres;
    const toPeg: Vector3 = [ahead - now[0]!, -now[1]!, -terrain(ahead) - now[2]!];
    const seen = [0, 1, 2].map((axis) => dot([turn[0][axis]!, turn[1][axis]!, turn[2][axis]!], toPeg));
    const line = minus(seen as unknown as Vector3, hook);
    const length = lengthOf(line);
    return { way: times(line, 1 / Math.max(length, 1e-9)), stretch: length - slack };
  };
  return {
    state,
    commands: () => NEUTRAL,
    loads: (now) => {
      const { way, stretch } = lineOf(now);
      const force = times(way, stiffness * Math.max(0, stretch));
      return { force, moment: cross(hook, force) };
    },
    holds: (now) => {
      const { way, stretch } = lineOf(now);
      return Math.min(stretch / stretched - LITTLE, way[0] - Math.cos(SLIDES_OFF));
    },
    standsUp: (now) => clearance(contacts, terrain, now),
    longest: LONGEST,
  };
}
