import { UnsteadyError } from '@/core/1-base/numeric/dormandPrince';
import { finish, type Steps } from '@/core/1-base/steps';
import { type Metres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Flown } from '../fly';
import type { Throw } from '../flightRecord';
import type { FlyingModel } from '../flyingModel';
import { sigmasOf } from './belief';
import { flyGlider } from './flyGlider';
import { type Glider, gliderOf } from './glider';
import { likeMass } from './settings';
import { airOf, readied, tossOf, type VirtualToss } from './virtualToss';

/** Where one of many throws came down, what it did, and whether that is well. */
export interface Landing {
  readonly x: Metres;
  readonly y: Metres;
  readonly outcome: Flown['outcome'] | 'tumbles';
  readonly isWell: boolean;
}

export type Spread =
  | {
      readonly ok: true;
      readonly landings: readonly Landing[];
      /** Share of the throws that go well: no stalled wing for three seconds, and down at less than two metres a second. */
      readonly well: number;
    }
  | { readonly ok: false; readonly because: string };

/** Scatter of a hand, ±1σ: speed as a share, path, angle of attack and roll, rates of both [rad/s]. Half of what hands are off at worst. C. */
const HAND = {
  speed: 0.08,
  path: radiansFromDegrees(2.5),
  alpha: radiansFromDegrees(2.5),
  roll: radiansFromDegrees(5),
  rate: 0.25,
};
const THROWS = 200;
/** Steps of an even spread over six axes: powers of the root of x⁷ = x + 1 (Roberts’ additive recurrence). */
const ROOT = 1.1127756842787055;
/** A step may be off by that much: many are looked at, none closely. */
const COARSELY = 1e-4;
/** From one throw to the next other gusts blow: parts of the golden section never come round. */
const GOLDEN = 0.6180339887498949;
const STALL_FREE = 3;
const SOFT = 2;

/** Even numbers between 0 and 1 as standard deviations of a normal distribution, three at most. */
const asNormal = (even: number): number => {
  const share = Math.min(0.9987, Math.max(0.0013, even));
  return share < 0.5 ? -sigmasOf(share) : sigmasOf(1 - share);
};

/** The same throw many times, as a hand does it. */
export function* tossOften(toss: Omit<VirtualToss, 'change'>, throws = THROWS): Steps<Spread> {
  const ready = readied(toss);
  if ('because' in ready) return { ok: false, because: ready.because };
  const { model, launch, thrust, carriedBy, terrain, airOverHill } = ready;
  const isPlain = toss.pilot === 'handsOff' && !(toss.isGusty && toss.wind) && !thrust && !airOverHill && !carriedBy;
  const made = isPlain ? gliderOf(toss.design, toss.scale) : null;
  const glider = made && !('because' in made) ? made : null;
  const landings: Landing[] = [];
  for (let index = 0; index < throws; index++) {
    const [speed, path, alpha, roll, rollRate, pitchRate] = [1, 2, 3, 4, 5, 6].map((power) =>
      asNormal((0.5 + (index + 1) / ROOT ** power) % 1),
    ) as [number, number, number, number, number, number];
    const thrown: Throw = {
      ...launch,
      speed: launch.speed * (1 + HAND.speed * speed),
      path: launch.path + HAND.path * path,
      alphaError: HAND.alpha * alpha,
      roll: HAND.roll * roll,
      rollRate: HAND.rate * rollRate,
      pitchRate: HAND.rate * pitchRate,
    };
    landings.push(
      (glider && clearLanding(glider, toss.wind ?? 0, thrown)) ??
        landingOf(model, {
          launch: thrown,
          carriedBy,
          pilot: toss.pilot,
          scale: toss.scale,
          air: airOverHill ?? airOf(toss, index * GOLDEN),
          terrain,
          thrust,
        }),
    );
    yield { done: index + 1, total: throws };
  }
  return { ok: true, landings, well: landings.filter(({ isWell }) => isWell).length / landings.length };
}

function landingOf(model: FlyingModel, tossing: Parameters<typeof tossOf>[1]): Landing {
  try {
    const { samples, events, outcome } = finish(tossOf(model, { ...tossing, relative: COARSELY }));
    const last = samples.t.length - 1;
    const sink = -samples.speed[last]! * Math.sin(samples.path[last]!);
    const free = events.find(({ name }) => name === 'free')?.t ?? 0;
    const isStalled = events.some(({ name, t }) => name === 'stall' && t < free + STALL_FREE);
    return {
      x: samples.x[last]!,
      y: samples.y[last]!,
      outcome,
      isWell: !isStalled && sink < SOFT && events.at(-1)!.name === 'ground',
    };
  } catch (error) {
    if (error instanceof UnsteadyError) return { x: 0, y: 0, outcome: 'tumbles', isWell: false };
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
    isWell: -shows.endSpeed * Math.sin(shows.endPath) < SOFT,
  };
}
