import { dormandPrince } from '@/core/1-base/numeric/dormandPrince';
import type { Fraction, Kilograms, Metres, MetresPerSecond, Radians, Seconds } from '@/core/1-base/units/convert';
import { minus } from '@/core/1-base/numeric/vectors';
import { turnMatrix } from '../attitude';
import { pathOf } from '../pilots';
import { AT, type BodyLoads, flightRate, launchState, quaternionAt, type RigidBody, STATE_SIZE } from '../rigidBody';
import { COLUMN, COLUMNS, type Glider } from './glider';

/** How a glider is thrown, and what is on it: its own lengths, masses and speeds. */
export interface TossSetting {
  readonly mass: Kilograms;
  /** Balance point aft of where it is drawn, at its scale. */
  readonly balance: Metres;
  /** How far the surface that trims it is turned nose up beyond the drawing. */
  readonly shim: Radians;
  readonly speed: MetresPerSecond;
  readonly path: Radians;
  readonly height: Metres;
  /** Against the throw. */
  readonly wind: MetresPerSecond;
  /** How the hand was off: nose up, right wing down, and turning in roll and pitch [rad/s]. */
  readonly hand?: Readonly<Record<'alpha' | 'roll' | 'rollRate' | 'pitchRate', number>>;
}

/** What a glider may differ in from its drawing, all at once. */
export interface Errors {
  /** Of the surface that trims it, nose up beyond what is drawn and shimmed. */
  readonly decalage: Radians;
  /** Of the balance point, aft, or of the neutral point, forward, as a share of the mean chord. */
  readonly balance: Fraction;
  /** Of the least drag. */
  readonly drag: Fraction;
  /** From tip to tip, the left one nose up against the right. */
  readonly warp: Radians;
}

/** What a toss shows to whoever stands beside it. */
export interface TossShows {
  readonly distance: Metres;
  /** Of that, ahead. */
  readonly ahead: Metres;
  readonly time: Seconds;
  /** False where it still flies after the longest that anyone follows it. */
  readonly isDown: boolean;
  /** To the right of where it was thrown to. */
  readonly sideways: Metres;
  /** How much steeper than thrown it climbs at most, and how steep it is at the end. */
  readonly rise: Radians;
  readonly endPath: Radians;
  /** Largest angle of attack over that of the stall, and when it stalls first; null where it does not. */
  readonly overStall: Radians;
  readonly stallsAt: Seconds | null;
  /** Heading gone through, right positive. */
  readonly turned: Radians;
  /** Over ground, at the end. */
  readonly endSpeed: MetresPerSecond;
}

/** Longer than that nobody follows a toss [s]. */
const LONGEST = 20;
/** Balance point so high above ground stands on it [m]. */
const ON_GROUND = 0.05;
const RELATIVE = 1e-4;
const LONGEST_STEP = 0.25;
/** A tumble takes some hundreds of steps; what takes more is none. */
const MOST_STEPS = 6000;
/** Slower than that there are no loads [m/s]. */
const STILL = 1e-3;

/** Throws a glider with given errors and follows it to the ground. @throws UnsteadyError where the motion ends in no numbers */
export function flyGlider(glider: Glider, setting: TossSetting, errors: Errors): TossShows {
  const { model, scale } = glider;
  const body = bodyOf(glider, setting);
  const loads = loadsOf(glider, setting, errors);
  const { alpha: off = 0, roll = 0, rollRate = 0, pitchRate = 0 } = setting.hand ?? {};
  const alpha = model.trim.alpha + off;
  const start = new Float64Array(STATE_SIZE);
  start.set(
    launchState({
      height: setting.height,
      attitude: { roll, pitch: setting.path + alpha, yaw: 0 },
      speed: [setting.speed * Math.cos(alpha), 0, setting.speed * Math.sin(alpha)],
      rate: [rollRate, pitchRate, 0],
    }),
  );
  const state = start.slice();
  let [steepest, highest, turned, heading, last] = [-Infinity, -Infinity, 0, 0, 0];
  let stallsAt: Seconds | null = null;
  for (const step of dormandPrince({
    rate: flightRate(body, loads),
    start: 0,
    end: LONGEST,
    initial: start,
    relative: RELATIVE,
    absolute: RELATIVE * Math.max(0.1, scale),
    longestStep: LONGEST_STEP * Math.sqrt(scale),
    mostSteps: MOST_STEPS,
    events: [{ name: 'ground', value: (_, y) => -y[2]! - ON_GROUND, direction: -1, isLast: true }],
  })) {
    last = step.to;
    step.at(last, state);
    const [u, v, w] = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
    steepest = Math.max(steepest, pathOf(state));
    highest = Math.max(highest, Math.atan2(w, u));
    if (stallsAt === null && highest > glider.stallAngle) stallsAt = last;
    const across = turnMatrix(quaternionAt(state));
    const now = Math.atan2(
      across[1][0] * u + across[1][1] * v + across[1][2] * w,
      across[0][0] * u + across[0][1] * v + across[0][2] * w,
    );
    turned += now - heading - 2 * Math.PI * Math.round((now - heading) / (2 * Math.PI));
    heading = now;
  }
  return {
    distance: Math.hypot(state[0]!, state[1]!),
    ahead: state[0]!,
    time: last,
    isDown: last < LONGEST,
    sideways: state[1]!,
    rise: steepest - setting.path,
    endPath: pathOf(state),
    overStall: highest - glider.stallAngle,
    stallsAt,
    turned,
    endSpeed: Math.hypot(state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!),
  };
}

/** Mass as it is tossed, inertia spread as in the drawing, the air that is moved along at its scale. */
function bodyOf({ model, scale }: Glider, { mass, balance }: TossSetting): RigidBody {
  const { inertia, mass: drawn, apparent, lateWash = 0 } = model.body;
  const spread = (scale ** 2 * mass) / drawn;
  return {
    mass,
    inertia: {
      xx: inertia.xx * spread,
      yy: inertia.yy * spread,
      zz: inertia.zz * spread,
      xz: inertia.xz * spread,
    },
    ...(apparent
      ? {
          apparent: {
            heave: apparent.heave * scale ** 3,
            heaveMoment: apparent.heaveMoment * scale ** 4 - apparent.heave * scale ** 3 * balance,
            pitch: apparent.pitch * scale ** 5,
            roll: apparent.roll * scale ** 5,
          },
        }
      : {}),
    lateWash: lateWash * scale ** 4,
  };
}

/** Air loads of a glider with its shim, its balance point and its errors. */
function loadsOf(
  glider: Glider,
  { balance, shim, wind }: Pick<TossSetting, 'balance' | 'shim' | 'wind'>,
  errors: Errors,
) {
  const { model, scale, table, pitching, sideways, leastDrag } = glider;
  const row = new Float64Array(COLUMNS);
  const { density } = model.prepared.air;
  const area = glider.area * scale ** 2;
  const [span, chord] = [glider.span * scale, glider.chord * scale];
  const tail = shim + errors.decalage;
  const aft = balance + errors.balance * chord;
  const brake = errors.drag * leastDrag;
  return (_: number, state: Float64Array): BodyLoads => {
    let [u, v, w] = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
    if (wind !== 0) {
      const [ahead] = turnMatrix(quaternionAt(state));
      [u, v, w] = [u + wind * ahead[0], v + wind * ahead[1], w + wind * ahead[2]];
    }
    const speed = Math.hypot(u, v, w);
    if (speed < STILL) return { force: [0, 0, 0], moment: [0, 0, 0] };
    const [p, q, r] = [state[AT.rate]!, state[AT.rate + 1]!, state[AT.rate + 2]!];
    const alpha = Math.atan2(w, u);
    const beta = Math.asin(Math.min(1, Math.max(-1, v / speed)));
    table(alpha, row);
    const along = (column: 0 | 1 | 2) => row[column]! + row[column + 3]! * tail;
    const pressure = (density * speed ** 2 * area) / 2;
    const pitch = (q * chord) / (2 * speed);
    // A warp from tip to tip turns the air along the span as a rolling does: a roll of half of it each span over twice the speed (linear twist; Munk).
    const roll = (p * span) / (2 * speed) - errors.warp / 2;
    const yaw = (r * span) / (2 * speed);
    const x = along(COLUMN.x) - brake * Math.cos(alpha);
    const z = along(COLUMN.z) + pitching.z * pitch - brake * Math.sin(alpha);
    const side = (axis: 0 | 1 | 2) =>
      sideways.beta[axis] * beta + sideways.roll[axis] * roll + sideways.yaw[axis] * yaw;
    const m = along(COLUMN.m) + pitching.m * pitch;
    const y = side(0);
    // Half a turn about y from the axes of the document; forces with the square of the scale, moments with its cube.
    const near = model.nearGround(-state[2]! / scale, alpha);
    const lifted = density * speed ** 2 * scale ** 2;
    const [fx, fz, my] = near
      ? [-lifted * near.force[0], -lifted * near.force[2], lifted * scale * near.moment[1]]
      : [0, 0, 0];
    return {
      force: [pressure * x + fx, pressure * y, pressure * z + fz],
      moment: [
        pressure * span * side(1),
        pressure * (chord * m - aft * z) + my - aft * fz,
        pressure * (span * side(2) + aft * y),
      ],
    };
  };
}

const AS_DRAWN = { balance: 0, shim: 0, wind: 0 } as const;
const NO_ERRORS: Errors = { decalage: 0, balance: 0, drag: 0, warp: 0 };

/** What errors alone add to the loads of a model of full size, by the tables of its glider. */
export function errorLoads(glider: Glider, errors: Errors): (state: ArrayLike<number>) => BodyLoads {
  const [wrong, right] = [loadsOf(glider, AS_DRAWN, errors), loadsOf(glider, AS_DRAWN, NO_ERRORS)];
  return (state) => {
    const [a, b] = [wrong(0, state as Float64Array), right(0, state as Float64Array)];
    return { force: minus(a.force, b.force), moment: minus(a.moment, b.moment) };
  };
}
