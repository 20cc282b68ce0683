import type { Fraction, Metres, MetresPerSecond, Pascals, Radians, Vector3 } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { apparentMass } from '@/core/5-aero/apparentMass';
import { addLoads, type Load, scaleLoad } from '@/core/5-aero/forces';
import { lateWash } from '@/core/6-groups/motion/lateWash';
import type { Numbers } from '@/core/6-groups/page';
import { numbersFrom } from '@/core/6-groups/solve';
import { plus, times } from '@/core/1-base/numeric/vectors';
import { prepare, type Prepared } from '@/core/6-groups/solution/prepare';
import { FORGOTTEN, groundInFlight } from '@/core/6-groups/solution/groundEffect';
import { Solution } from '@/core/6-groups/solution/solution';
import { AT_REST, type Motion } from './attachedLoads';
import type { Commands } from './commands';
import { turnMatrix } from './attitude';
import { AT, type BodyLoads, flightRate, quaternionAt, type RigidBody, STATE_SIZE } from './rigidBody';
import { stripFlow } from './stripFlow';
import type { ThrustOf } from './thrust';

/** An aircraft ready to be flown: state of a rigid body, and behind it the share of attached flow of every strip. */
export interface FlyingModel {
  readonly prepared: Prepared;
  /** What the analysis says of the same design, without bands. */
  readonly numbers: Numbers;
  readonly body: RigidBody;
  readonly strips: number;
  readonly size: number;
  /** Level flight at cruise speed: angle of attack and pitch command. */
  readonly trim: { readonly alpha: Radians; readonly command: Radians };
  /** Full nose-up as the pitch controls turn [rad], with its sign; null without one. */
  readonly fullNoseUp: Radians | null;
  /** Share of the plan of all wings over which the flow is attached, by the state. */
  readonly attachedShare: (state: ArrayLike<number>) => number;
  /** Air loads in flight axes about the balance point [N, N·m], for a state and what is commanded. */
  readonly loads: (
    state: ArrayLike<number>,
    commands: Commands,
    air?: MovingAir,
    /** Dynamic pressure that each drive adds behind it. */
    jets?: readonly Pascals[],
    /** Of the balance point over the ground; far off without. */
    height?: Metres,
  ) => BodyLoads;
  /** What the ground adds per density at unit speed, in document axes about the balance point, by the height of that and the angle of attack; held beyond attached flow, null far off. */
  readonly nearGround: (height: Metres, alpha: Radians) => Load | null;
  /** The same once the flow over every strip has settled to that motion; writes its shares into the state. */
  readonly settledLoads: (state: Float64Array, commands: Commands) => BodyLoads;
  /** Rate of the whole state. */
  readonly rate: (surroundings: Surroundings) => (t: number, state: Float64Array, out: Float64Array) => void;
}

/** What a flight meets beside its own motion. */
export interface Surroundings {
  readonly commands: (t: number, state: Float64Array) => Commands;
  /** Height of the balance point over the ground, by the state; far off without. */
  readonly ground?: ((state: ArrayLike<number>) => Metres) | undefined;
  /** What carries it beside air, drives and weight, in flight axes about the balance point; nothing without. */
  readonly carried?: ((state: ArrayLike<number>, commands: Commands) => BodyLoads) | undefined;
  /** How many times its mass it has, spread alike: all that acts on it moves it the less; once without. */
  readonly heavier?: Fraction | undefined;
  /** What the drives do and what they blow. */
  readonly drives?: ThrustOf | undefined;
  /** Velocity of the air in earth axes, z down [m/s], at the balance point or off it (in the same axes); still air without. */
  readonly air?: ((t: number, state: Float64Array, off?: Vector3) => Vector3) | undefined;
}

/** What moving air adds to the motion through it, in flight axes: velocity, and turning by how it changes over the aircraft. */
export interface MovingAir {
  readonly velocity: Vector3;
  readonly turning: Vector3;
}

const together = (a: BodyLoads, b: BodyLoads): BodyLoads => ({
  force: plus(a.force, b.force),
  moment: plus(a.moment, b.moment),
});

const divided = ({ force, moment }: BodyLoads, by: number): BodyLoads => ({
  force: times(force, 1 / by),
  moment: times(moment, 1 / by),
});

/** A velocity of the earth as the aircraft has it. */
function inFlightAxes([x, y, z]: Vector3, state: ArrayLike<number>): Vector3 {
  const [a, b, c] = turnMatrix(quaternionAt(state));
  return [0, 1, 2].map((axis) => a[axis]! * x + b[axis]! * y + c[axis]! * z) as unknown as Vector3;
}

/** Speed through air that moves, in flight axes. */
function throughAir(state: ArrayLike<number>, moving: MovingAir | undefined): Vector3 {
  const own: Vector3 = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
  if (!moving) return own;
  const [u, v, w] = moving.velocity;
  return [own[0] - u, own[1] - v, own[2] - w];
}

/** Share of the span at which the two sides are looked at: where a linear gust rolls as it does over the whole wing. */
const ASIDE = 0.3;

/**
 * The air over an aircraft as it is at the balance point and changes evenly
 * from there: a wing that meets more upwash on one side is met as if it rolled,
 * a tail as if it pitched or yawed (p − ∂w/∂y, q + ∂w/∂x, r − ∂v/∂x). Source:
 * Etkin & Reid, Dynamics of Flight, ch. 13; MIL-F-8785C, 3.7.
 */
function airOver(
  at: (off?: Vector3) => Vector3,
  state: ArrayLike<number>,
  { span, arm }: { readonly span: number; readonly arm: number },
): MovingAir {
  const axes = turnMatrix(quaternionAt(state));
  const off = (axis: 0 | 1, by: number) => axes.map((row) => row[axis] * by) as unknown as Vector3;
  const seen = (place?: Vector3) => inFlightAxes(at(place), state);
  const aside = ASIDE * span;
  const [here, right, left, aft] = [seen(), seen(off(1, aside)), seen(off(1, -aside)), seen(off(0, -arm))];
  return {
    velocity: here,
    turning: [-(right[2] - left[2]) / (2 * aside), (here[2] - aft[2]) / arm, -(here[1] - aft[1]) / arm],
  };
}

/** Angle beyond which what the ground adds is held [rad]. */
const MOST_GROUND_ALPHA = 0.22;
/** Slower than that through the air there are no loads [m/s]. */
const STILL = 1e-3;

/** A share. */
const bounded = (share: number) => Math.min(1, Math.max(0, share));

/** Motion through the air, which may move itself. */
function motionOf(state: ArrayLike<number>, commands: Commands, moving?: MovingAir): Motion {
  const [u, v, w] = throughAir(state, moving);
  return {
    ...AT_REST,
    ...commands,
    u,
    v,
    w,
    p: state[AT.rate]! + (moving?.turning[0] ?? 0),
    q: state[AT.rate + 1]! + (moving?.turning[1] ?? 0),
    r: state[AT.rate + 2]! + (moving?.turning[2] ?? 0),
  };
}

export type Unflyable = { readonly because: string };

export interface FlyingOptions {
  /**
   * Of a model that is dynamically alike: its sections work at Reynolds numbers
   * λ^1.5 times as high; everything else stays, lengths, times and speeds of the
   * large one (see `dynamic scaling` at the launch).
   */
  readonly scale?: number;
  /** True where the propellers pull, and so do not drag. */
  readonly isPowered?: boolean;
}

/** Cuts, weighs and solves a design once, so that it can be flown; section data at its cruise speed. */
export function flyingModel(
  design: Design,
  { scale = 1, isPowered = false }: FlyingOptions = {},
): FlyingModel | Unflyable {
  const prepared = prepare(design, {});
  if (!prepared) return { because: 'There is no wing with an area.' };
  const weighed = prepared.weights.properties;
  if (!weighed) return { because: 'Nothing has a mass yet: choose a board, or type what the parts weigh.' };
  const solution = new Solution(prepared, { without: ['bands'] });
  if (!solution.isSolvable) return { because: 'Surfaces lie in one another: no flow can be computed.' };
  const { model } = solution;
  const { air, placed, about, reference, restingPropellers } = prepared;
  const speed = design.conditions.cruiseSpeed as MetresPerSecond;
  const flow = stripFlow(prepared, model, (speed * scale ** 1.5) as MetresPerSecond);
  const ground = groundInFlight(solution);
  const numbers = numbersFrom(solution);
  const wash = lateWash(solution, numbers.pitch.downwashSlope);
  const apparent = apparentMass(placed, air.density, about);
  const delay = wash
    ? (wash.momentPerRadian * wash.slope * air.density * reference.area * reference.meanChord * wash.arm) / 2
    : 0;
  const body: RigidBody = { mass: weighed.total, inertia: weighed.inertia, apparent, lateWash: delay };
  const steady = new Float64Array(flow.nodes);
  const pace = new Float64Array(flow.nodes);
  // To the hindmost strip, over which a change of the air pitches and yaws it.
  const arm = Math.max(reference.meanChord, ...prepared.lattice.strips.map(({ m }) => m.x + m.chord / 4 - about[0]));
  const told = { steady, pace };
  const shares = new Float64Array(flow.nodes);

  /** What bodies, propellers without power and drag items add, per density; linear in small angles and bounded in large ones. */
  function extra({ u, v, w, q, r }: Motion): Load {
    const square = u * u + v * v + w * w;
    const met = Math.sqrt(square);
    if (met < STILL) return addLoads([]);
    const alpha = (u * w) / Math.max(STILL ** 2, u * u + w * w);
    const beta = (v * Math.sqrt(u * u + w * w)) / square;
    const scaled = ({ force, moment }: Load, by: number): Load => ({
      force: force.map((value) => by * value) as unknown as Vector3,
      moment: moment.map((value) => by * value) as unknown as Vector3,
    });
    const drag = isPowered ? 0 : (restingPropellers / 2) * met;
    return addLoads([
      scaled(model.extra.atAlpha(alpha, about), square),
      scaled(model.extra.perBeta(about), square * beta),
      scaled(model.extra.perPitchRate(about), met * q),
      scaled(model.extra.perYawRate(about), met * r),
      { force: [drag * u, -drag * v, drag * w], moment: [0, 0, 0] },
    ]);
  }

  function nearGround(height: Metres, alpha: Radians): Load | null {
    if (!(height < (FORGOTTEN + 1) * reference.span) || !(Math.abs(alpha) < Math.PI / 2)) return null;
    const held = Math.min(MOST_GROUND_ALPHA, Math.max(-MOST_GROUND_ALPHA, alpha));
    return ground(height - about[2], held);
  }

  function loads(
    state: ArrayLike<number>,
    commands: Commands,
    moving?: MovingAir,
    jets?: readonly Pascals[],
    height: Metres = Infinity,
  ): BodyLoads {
    const motion = motionOf(state, commands, moving);
    const { u: ahead, v: right, w: down } = motion;
    for (let i = 0; i < flow.nodes; i++) shares[i] = bounded(state[STATE_SIZE + i]!);
    const near = nearGround(height, Math.atan2(down, ahead));
    const { force, moment } = addLoads([
      flow.loads(motion, shares, told, jets),
      extra(motion),
      ...(near ? [scaleLoad(near, ahead * ahead + right * right + down * down)] : []),
    ]);
    const { density } = air;
    const [u, v] = [state[AT.speed]! - ahead, state[AT.speed + 1]! - right];
    // Air that is moved along answers to how the motion through the air changes: in wind a turning aircraft has less of that.
    const late = motion.p * v - motion.q * u;
    // Half a turn about y from document to flight axes.
    return {
      force: [-density * force[0], density * force[1], -density * force[2] - apparent.heave * late],
      moment: [-density * moment[0], density * moment[1] - (apparent.heaveMoment - delay) * late, -density * moment[2]],
    };
  }

  function settledLoads(state: Float64Array, commands: Commands): BodyLoads {
    const attached = state.subarray(STATE_SIZE);
    attached.forEach((share, i) => (attached[i] = bounded(share)));
    flow.settle(motionOf(state, commands), attached, told);
    return loads(state, commands);
  }

  return {
    prepared,
    numbers,
    body,
    settledLoads,
    strips: flow.nodes,
    size: STATE_SIZE + flow.nodes,
    trim: { alpha: solution.alpha as Radians, command: solution.command as Radians },
    fullNoseUp: solution.fullNoseUp as Radians | null,
    attachedShare: (state) => {
      let sum = 0;
      for (let i = 0; i < flow.nodes; i++) sum += flow.liftingShare[i]! * state[STATE_SIZE + i]!;
      return sum;
    },
    loads,
    nearGround,
    rate: ({ commands, drives, carried, heavier = 1, air: airAt, ground: heightAt }) => {
      flow.forget();
      const rigid = flightRate(body, (t, state) => {
        const moving = airAt && airOver((off) => airAt(t, state, off), state, { span: reference.span, arm });
        const commanded = commands(t, state);
        const driven = drives?.(throughAir(state, moving), commanded.sticks);
        const own = loads(state, commanded, moving, driven?.jets, heightAt?.(state));
        const all = driven ? together(own, driven) : own;
        const whole = carried ? together(all, carried(state, commanded)) : all;
        return heavier === 1 ? whole : divided(whole, heavier);
      });
      return (t, state, out) => {
        rigid(t, state, out);
        for (let i = 0; i < flow.nodes; i++) out[STATE_SIZE + i] = (steady[i]! - state[STATE_SIZE + i]!) * pace[i]!;
      };
    },
  };
}
