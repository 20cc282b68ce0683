import { dormandPrince, type OdeEvent, UnsteadyError } from '@/core/1-base/numeric/dormandPrince';
import type { Steps } from '@/core/1-base/steps';
import type { Fraction, Metres, MetresPerSecond, Radians, Seconds, Vector3 } from '@/core/1-base/units/convert';
import type { AirField, Terrain } from './air';
import { attitudeOf } from './attitude';
import type { Carried } from './carried';
import type { Commands } from './commands';
import type { Carrier } from './launches';
import { type FlightEvent, type Samples, STALLED, type Throw } from './flightRecord';
import type { FlyingModel } from './flyingModel';
import { judgeFlight, type Outcome } from './judgeFlight';
import { carriedBy } from './carriedBy';
import { pathOf, pilot, type PilotName } from './pilots';
import type { ThrustOf } from './thrust';
import { type BodyLoads, AT, launchState, quaternionAt, STATE_SIZE } from './rigidBody';

export interface FlightPlan {
  readonly launch: Throw;
  readonly pilot: PilotName;
  readonly longest: Seconds;
  /** What the drives do; none without. The model has to be a powered one then. */
  readonly thrust?: ThrustOf;
  /** What carries it from rest until it flies free; it is thrown without. On wheels the speed is that from which it is pulled off. */
  readonly carriedBy?: Carrier;
  /** How the land lies ahead; level without. */
  readonly terrain?: Terrain;
  /** How the air moves where it flies; still without. */
  readonly air?: AirField;
  /** Whether enough has been seen by a time of it; it is followed to its end without. */
  readonly isSeen?: (t: Seconds, happened: readonly FlightEvent[]) => boolean;
  /** What acts on it beside the drawing, as built otherwise than drawn, and how many times its mass it has. */
  readonly beside?: (state: ArrayLike<number>) => BodyLoads;
  readonly heavier?: Fraction;
  /** Commands that it stands at with the sticks in the middle, beside those of the pilot. */
  readonly stands?: Pick<Commands, 'pitch' | 'roll'>;
  /** Error allowed in a step, of every part of the state; as fine as anyone can see without. */
  readonly relative?: number;
}

export interface Flown extends Outcome {
  readonly samples: Samples;
  readonly events: readonly FlightEvent[];
}

/** Samples a second. */
const RATE = 50;
/** Tolerance of a step, and the least of places, turns, speeds and rates that count. */
const RELATIVE = 1e-4;
const ABSOLUTE = [1e-3, 1e-5, 1e-3, 1e-3, 5e-3] as const;
/** No step is longer [s]; gusts want to be met one by one, and a figure ended where it ends. */
const LONGEST_STEP = { still: 0.2, moving: 0.05 } as const;
/** A tumble of half a minute takes a few thousand steps. */
const MOST_STEPS = 30_000;
/** Attached over more of the wings than that it has recovered from a stall. */
const RECOVERED = 0.9;
/** Balance point so high above ground stands on it [m]. */
const ON_GROUND: Metres = 0.05;

const LEVEL: Terrain = () => 0 as Metres;

/** The pause that shows how far it is, in flown time [s]. */
const SHOWN_EVERY = 0.5;

/** Where line or wheels let it go, as the large one counts times and lengths. */
export interface Freed {
  readonly t: number;
  readonly state: Float64Array;
}

/**
 * Throws a model and follows it to the ground or to the end of the time. A
 * scale λ flies the dynamically alike small one: given and told are its own
 * lengths, times and speeds, which go with λ and √λ of the large one’s; the
 * model has to be made for that scale. Source: similarity at equal lift and
 * Froude number, V² ∝ g L. @throws UnsteadyError where the motion ends in no numbers
 */
export function* fly(model: FlyingModel, plan: FlightPlan, scale = 1): Steps<Flown> {
  const flight = flightOf(model, plan, scale);
  const freed = yield* flight.carriedOff();
  if (freed) yield* flight.flownFree(freed);
  return flight.end();
}

/** Follows a launch from rest to where it is let go; null where it does not come free. @throws UnsteadyError where the motion ends in no numbers */
export function* carryOff(model: FlyingModel, plan: FlightPlan, scale = 1): Steps<Freed | null> {
  return yield* flightOf(model, plan, scale).carriedOff();
}

/** Follows one that line or wheels have let go. @throws UnsteadyError where the motion ends in no numbers */
export function* flyFreed(model: FlyingModel, plan: FlightPlan, freed: Freed, scale = 1): Steps<Flown> {
  const flight = flightOf(model, plan, scale);
  yield* flight.flownFree(freed);
  return flight.end(freed);
}

/** One flight, leg by leg, and what is recorded of it. */
function flightOf(model: FlyingModel, plan: FlightPlan, scale: number) {
  const slower = Math.sqrt(scale);
  const { launch, terrain = LEVEL } = plan;
  const ground = ON_GROUND / scale;
  const land: Terrain = (x) => (terrain((x * scale) as Metres) / scale) as Metres;
  /** Of the balance point over the land below it, in the lengths of the large one. */
  const over = (state: ArrayLike<number>): Metres => -state[2]! - land(state[0]! as Metres);
  const recorded = recorder(model, scale);
  const happened: FlightEvent[] = [];
  const end = plan.longest / slower;
  const surroundings = { drives: plan.thrust, ground: over, air: plan.air && airOnScale(plan.air, scale) };
  const happens = (name: FlightEvent['name'], t: number) => happened.push({ name, t: (t * slower) as Seconds });
  let last: Freed = { t: 0, state: new Float64Array(model.size) };
  /** Follows it to an event that ends it or to a time; where and when that is. */
  function* leg({ from, to, ...flown }: Leg): Steps<Freed> {
    const every = 1 / RATE / slower;
    const state = new Float64Array(model.size);
    let [sample, shown, reached] = [Math.ceil(from.t / every), from.t, from.t];
    // What went on before has shown where it begins.
    if (recorded.samples.t.length > 0 && sample * every === from.t) sample++;
    for (const step of dormandPrince({
      rate: model.rate({
        ...surroundings,
        heavier: plan.heavier,
        commands: plan.stands ? standing(flown.commands, plan.stands) : flown.commands,
        carried: flown.carried ?? plan.beside,
      }),
      start: from.t,
      end: to,
      initial: from.state,
      relative: plan.relative ?? RELATIVE,
      absolute: tolerances(model.size, (plan.relative ?? RELATIVE) / RELATIVE),
      longestStep: LONGEST_STEP[plan.air || flown.follow || flown.carried ? 'moving' : 'still'] / slower,
      mostSteps: MOST_STEPS,
      events: flown.events,
    })) {
      for (; sample * every <= step.to; sample++) recorded.add(sample * every, step.at(sample * every, state));
      for (const { name, t } of step.happened) happens(name as FlightEvent['name'], t);
      reached = step.to;
      if (flown.follow?.(reached, step.at(reached, state))) happens('figure', reached);
      if (step.to - shown >= SHOWN_EVERY) {
        shown = step.to;
        yield { done: step.to, total: end };
      }
      const isSeen = plan.isSeen?.((reached * slower) as Seconds, happened) ?? false;
      if (step.isEnded || step.to >= to || isSeen) recorded.add(step.to, step.at(step.to, state));
      if (isSeen) break;
    }
    last = { t: reached, state };
    return last;
  }
  return {
    /** From the launch to where it flies free, at once where nothing carries it; null where it does not come free. */
    *carriedOff(): Steps<Freed | null> {
      const carried = plan.carriedBy && carriedBy(plan.carriedBy, model, launchOnScale(launch, scale), land);
      const initial = new Float64Array(model.size).fill(1);
      initial.set(carried?.state ?? thrown(model, launch, scale));
      if (!carried) return { t: 0, state: initial };
      const letGo = yield* leg({
        from: { t: 0, state: initial },
        to: Math.min(end, carried.longest),
        commands: carried.commands,
        carried: carried.loads,
        events: [
          { name: 'free', value: (_, state) => carried.holds(state), direction: -1, isLast: true },
          { name: 'overturns', value: (_, state) => carried.standsUp(state), direction: -1, isLast: true },
        ],
      });
      return happened.at(-1)?.name === 'free' ? letGo : null;
    },
    /** On from there; the hand or the stick is taken over. */
    *flownFree(from: Freed): Steps<void> {
      if (from.t >= end) return;
      const { follow, commands } = pilot(plan.pilot, { model, ground });
      yield* leg({
        from,
        to: end,
        commands: (t, state) => commands(t - from.t, state),
        ...(follow ? { follow: (t: number, state: Float64Array) => follow(t - from.t, state) } : {}),
        events: freeEvents(model, { over, ground, scale }),
      });
    },
    /** What came of it. @param freed where line or wheels had let it go before */
    end(freed?: Freed): Flown {
      if (!['ground', 'overturns'].includes(happened.at(-1)?.name ?? '')) happens('end', last.t);
      const { samples } = recorded;
      if (!samples.z.every(Number.isFinite)) throw new UnsteadyError('The flight ends in no numbers.');
      if (freed) happened.unshift({ name: 'free', t: (freed.t * slower) as Seconds });
      return { samples, events: happened, ...judgeFlight(samples, happened, launch) };
    },
  };
}

const standing =
  (commands: Leg['commands'], { pitch, roll }: Pick<Commands, 'pitch' | 'roll'>): Leg['commands'] =>
  (t, state) => {
    const own = commands(t, state);
    return { ...own, pitch: (own.pitch + pitch) as Radians, roll: (own.roll + roll) as Radians };
  };

interface Leg {
  readonly from: Freed;
  readonly to: number;
  readonly commands: (t: number, state: Float64Array) => Commands;
  readonly carried?: Carried['loads'];
  readonly follow?: (t: number, state: Float64Array) => boolean;
  readonly events: readonly OdeEvent[];
}

/** A throw in the lengths and speeds of the large one. */
const launchOnScale = (launch: Throw, scale: number): Throw => ({
  ...launch,
  speed: launch.speed / Math.sqrt(scale),
  height: (launch.height / scale) as Metres,
  rollRate: (launch.rollRate ?? 0) * Math.sqrt(scale),
  pitchRate: (launch.pitchRate ?? 0) * Math.sqrt(scale),
});

/** As it leaves the hand. */
function thrown(model: FlyingModel, launch: Throw, scale: number): Float64Array {
  const { speed, path, height, roll = 0, rollRate = 0, pitchRate = 0, alphaError = 0 } = launchOnScale(launch, scale);
  const alpha = (model.trim.alpha + alphaError) as Radians;
  return launchState({
    height,
    attitude: { roll: roll as Radians, pitch: (path + alpha) as Radians, yaw: 0 as Radians },
    speed: [speed * Math.cos(alpha), 0, speed * Math.sin(alpha)] as never,
    rate: [rollRate, pitchRate, 0],
  });
}

/** What happens in free flight. */
function freeEvents(
  model: FlyingModel,
  {
    over,
    ground,
    scale,
  }: {
    readonly over: (state: ArrayLike<number>) => Metres;
    readonly ground: Metres;
    readonly scale: number;
  },
): OdeEvent[] {
  const { fieldLength } = model.prepared.design.brief;
  return [
    { name: 'ground', value: (_, state) => over(state) - ground, direction: -1, isLast: true },
    { name: 'stall', value: (_, state) => model.attachedShare(state) - STALLED, direction: -1, isLast: false },
    { name: 'recovers', value: (_, state) => model.attachedShare(state) - RECOVERED, direction: 1, isLast: false },
    ...(fieldLength === undefined
      ? []
      : [
          {
            name: 'leaves',
            value: (_: number, state: Float64Array) => fieldLength - Math.hypot(state[0]!, state[1]!) * scale,
            direction: -1 as const,
            isLast: false,
          },
        ]),
  ];
}

/** A field of the small one’s air in the lengths and times of the large one. */
function airOnScale(air: AirField, scale: number) {
  const slower = Math.sqrt(scale);
  return (t: number, state: Float64Array, [x, y, z]: Vector3 = [0, 0, 0]): Vector3 => {
    const place = [(state[0]! + x) * scale, (state[1]! + y) * scale, -(state[2]! + z) * scale] as const;
    return air(t * slower, place).map((value) => value / slower) as unknown as Vector3;
  };
}

function tolerances(size: number, coarser: number): Float64Array {
  const allowed = new Float64Array(size).fill(ABSOLUTE[4]);
  allowed.fill(ABSOLUTE[0], AT.place, AT.turn);
  allowed.fill(ABSOLUTE[1], AT.turn, AT.speed);
  allowed.fill(ABSOLUTE[2], AT.speed, AT.rate);
  allowed.fill(ABSOLUTE[3], AT.rate, STATE_SIZE);
  return allowed.map((value) => value * coarser);
}

/** Writes states down in the lengths and times of the scale. */
function recorder(model: FlyingModel, scale: number) {
  const slower = Math.sqrt(scale);
  const samples = {
    t: [] as Seconds[],
    x: [] as Metres[],
    y: [] as Metres[],
    z: [] as Metres[],
    speed: [] as MetresPerSecond[],
    alpha: [] as Radians[],
    beta: [] as Radians[],
    roll: [] as Radians[],
    pitch: [] as Radians[],
    yaw: [] as Radians[],
    rollRate: [] as number[],
    path: [] as Radians[],
    attached: [] as number[],
  };
  return {
    samples: samples as Samples,
    add: (t: number, state: Float64Array) => {
      const [u, v, w] = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
      const speed = Math.hypot(u, v, w);
      const { roll, pitch, yaw } = attitudeOf(quaternionAt(state));
      samples.t.push((t * slower) as Seconds);
      samples.x.push((state[0]! * scale) as Metres);
      samples.y.push((state[1]! * scale) as Metres);
      samples.z.push((-state[2]! * scale) as Metres);
      samples.speed.push((speed * slower) as MetresPerSecond);
      samples.alpha.push(Math.atan2(w, u) as Radians);
      samples.beta.push((speed > 0 ? Math.asin(Math.min(1, Math.max(-1, v / speed))) : 0) as Radians);
      samples.roll.push(roll);
      samples.pitch.push(pitch);
      samples.yaw.push(yaw);
      samples.rollRate.push(state[AT.rate]! / slower);
      samples.path.push(pathOf(state));
      samples.attached.push(model.attachedShare(state));
    },
  };
}
