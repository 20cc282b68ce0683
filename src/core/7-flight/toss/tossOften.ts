import { UnsteadyError } from '@/core/1-base/numeric/dormandPrince';
import { finish, type Steps } from '@/core/1-base/steps';
import { type Metres, radiansFromDegrees, type Seconds } from '@/core/1-base/units/convert';
import { attitudeOf } from '../attitude';
import { carryOff, type FlightPlan, type Flown, fly, flyFreed, type Freed } from '../fly';
import { type FlightEvent, STALLED, type Throw } from '../flightRecord';
import type { FlyingModel } from '../flyingModel';
import { pathOf } from '../pilots';
import { AT, quaternionAt } from '../rigidBody';
import { flyGlider } from './flyGlider';
import { type Glider, gliderOf } from './glider';
import { handError, letGoOff, thrownOff } from './hand';
import { likeMass } from './settings';
import { airOf, planOf, readied, type VirtualToss } from './virtualToss';

/** Where one of many throws came down, or was seen last, what it did, and whether that is well. */
export interface Landing {
  readonly x: Metres;
  readonly y: Metres;
  readonly outcome: Flown['outcome'] | 'tumbles';
  /** False where it still flies. */
  readonly isDown: boolean;
  readonly isWell: boolean;
}

export type Spread =
  | {
      readonly ok: true;
      readonly landings: readonly Landing[];
      /** Share of the throws that go well: no stalled wing for three seconds, and down, or still flying, at a sink of less than two metres a second. */
      readonly well: number;
    }
  | { readonly ok: false; readonly because: string };

const THROWS = 200;
/** A step may be off by that much: many are looked at, none closely. */
export const COARSELY = 1e-3;
/** From one throw to the next other gusts blow: parts of the golden section never come round. */
const GOLDEN = 0.6180339887498949;
/** As long as that no wing stalls in one that goes well [s], and so fast it may sink at its end [m/s]. */
export const STALL_FREE = 3;
export const SOFT = 2;
/** So long after it is let go a launch under power has gone well or not, and one that stalled at once has been seen to [s]. */
export const SEEN = 4 as Seconds;
const NOT_FREE = 'It does not come off: nothing flies that could scatter.';
const TUMBLES: Landing = { x: 0, y: 0, outcome: 'tumbles', isDown: true, isWell: false };

/**
 * The same throw many times, as a hand does it. What is carried, by a line or
 * on wheels, is carried once: it scatters from where it is let go.
 */
export function* tossOften(toss: Omit<VirtualToss, 'change'>, throws = THROWS): Steps<Spread> {
  const ready = readied(toss);
  if ('because' in ready) return { ok: false, because: ready.because };
  const { model, launch, thrust, carriedBy, airOverHill } = ready;
  const isPlain = toss.pilot === 'handsOff' && !(toss.isGusty && toss.wind) && !thrust && !airOverHill;
  const made = isPlain ? gliderOf(toss.design, toss.scale) : null;
  const glider = made && !('because' in made) ? made : null;
  const flown: FlightPlan = { ...planOf(ready, toss), relative: COARSELY };
  const freed = carriedBy ? yield* carried(model, flown, toss.scale) : undefined;
  if (freed === null) return { ok: false, because: NOT_FREE };
  const began = (freed ? freed.t * Math.sqrt(toss.scale) : 0) as Seconds;
  const plan: FlightPlan = {
    ...flown,
    isSeen: (t, happened) => t > began + SEEN && (thrust !== undefined || stalledAtOnce(began, happened)),
  };
  const landings: Landing[] = [];
  for (let index = 0; index < throws; index++) {
    const off = handError(index);
    const blown = airOverHill ?? airOf(toss, index * GOLDEN);
    const gusty: FlightPlan = blown ? { ...plan, air: blown } : plan;
    if (freed) {
      const letGo = letGoOff(freed, off, toss.scale);
      landings.push(
        (glider && clearOfStall(glider, toss.wind ?? 0, letGo)) ??
          landingOf(began, () => finish(flyFreed(model, gusty, letGo, toss.scale))),
      );
    } else {
      const thrown = thrownOff(launch, off);
      landings.push(
        (glider && clearLanding(glider, toss.wind ?? 0, thrown)) ??
          landingOf(began, () => finish(fly(model, { ...gusty, launch: thrown }, toss.scale))),
      );
    }
    yield { done: index + 1, total: throws };
  }
  return { ok: true, landings, well: landings.filter(({ isWell }) => isWell).length / landings.length };
}

/** Where it is let go; null where it does not come free, or in no numbers. */
function* carried(model: FlyingModel, plan: FlightPlan, scale: number): Steps<Freed | null> {
  try {
    return yield* carryOff(model, plan, scale);
  } catch (error) {
    if (error instanceof UnsteadyError) return null;
    throw error;
  }
}

/** Whether a wing stalled so soon that it does not go well, whatever comes after it. */
export const stalledAtOnce = (began: Seconds, happened: readonly FlightEvent[]): boolean =>
  happened.some(({ name, t }) => name === 'stall' && t < began + STALL_FREE);

/** Judges a flight from the time on at which it was let go. */
export function landingOf(began: Seconds, flies: () => Flown): Landing {
  try {
    const { samples, events, outcome } = flies();
    const last = samples.t.length - 1;
    const sink = -samples.speed[last]! * Math.sin(samples.path[last]!);
    const isDown = events.at(-1)!.name === 'ground';
    // What still flies has no touchdown to judge: it goes well as long as the wings carry it.
    const ends = sink < SOFT && (isDown || samples.attached[last]! > STALLED);
    return { x: samples.x[last]!, y: samples.y[last]!, outcome, isDown, isWell: !stalledAtOnce(began, events) && ends };
  } catch (error) {
    if (error instanceof UnsteadyError) return TUMBLES;
    throw error;
  }
}

/** Nearer to the stall than that a flight is followed strip by strip. */
const CLEAR_OF_STALL = radiansFromDegrees(-1.5);
const NO_ERRORS = { decalage: 0, balance: 0, drag: 0, warp: 0 } as const;
/** As `judgeFlight` words it. */
const RISES = radiansFromDegrees(15);
const DIVES = radiansFromDegrees(-20);
const TURNS = radiansFromDegrees(75);
/** Let go so straight the tables, which begin straight, fly it alike. */
const STRAIGHT = radiansFromDegrees(0.5);

/** One that is let go and stays clear of the stall, by the tables; null for one that does not, or is not let go straight ahead. */
function clearOfStall(glider: Glider, wind: number, { state }: Freed): Landing | null {
  const { scale, model } = glider;
  const slower = Math.sqrt(scale);
  const { roll, yaw } = attitudeOf(quaternionAt(state));
  const [u, v, w] = [state[AT.speed]!, state[AT.speed + 1]!, state[AT.speed + 2]!];
  const speed = Math.hypot(u, v, w);
  if (Math.abs(yaw) > STRAIGHT || Math.abs(v) > STRAIGHT * speed || Math.abs(state[AT.rate + 2]!) > STRAIGHT)
    return null;
  const landing = clearLanding(glider, wind, {
    speed: speed * slower,
    path: pathOf(state),
    height: (-state[2]! * scale) as Metres,
    alphaError: (Math.atan2(w, u) - model.trim.alpha) as Throw['alphaError'] & number,
    roll,
    rollRate: state[AT.rate]! / slower,
    pitchRate: state[AT.rate + 1]! / slower,
  });
  return landing && { ...landing, x: landing.x + state[0]! * scale, y: landing.y + state[1]! * scale };
}

/** A throw that stays clear of the stall, by the tables of the glider, which fly it alike; null for one that does not. */
function clearLanding(glider: Glider, wind: number, launch: Throw): Landing | null {
  const shows = flyGlider(
    glider,
    {
      mass: likeMass(glider),
      balance: 0,
      shim: 0,
      speed: launch.speed,
      path: launch.path,
      height: launch.height,
      wind,
      hand: {
        alpha: launch.alphaError ?? 0,
        roll: launch.roll ?? 0,
        rollRate: launch.rollRate ?? 0,
        pitchRate: launch.pitchRate ?? 0,
      },
    },
    NO_ERRORS,
  );
  if (shows.overStall > CLEAR_OF_STALL) return null;
  const outcome =
    Math.abs(shows.turned) > TURNS
      ? shows.turned > 0
        ? 'spiralsRight'
        : 'spiralsLeft'
      : shows.rise > RISES
        ? 'balloons'
        : shows.endPath < DIVES
          ? 'dives'
          : 'settles';
  return {
    x: shows.ahead,
    y: shows.sideways,
    outcome,
    isDown: shows.isDown,
    isWell: -shows.endSpeed * Math.sin(shows.endPath) < SOFT,
  };
}
