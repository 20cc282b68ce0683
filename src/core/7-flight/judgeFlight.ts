import { type Metres, type MetresPerSecond, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { type FlightEvent, type Samples, STALLED, type Throw } from './flightRecord';

/** What a flight did, in one word. */
export const DEEDS = [
  'settles',
  'dives',
  'balloons',
  'stalls',
  'spiralsLeft',
  'spiralsRight',
  'snaps',
  'other',
] as const;
export type Deed = (typeof DEEDS)[number];

export interface Outcome {
  readonly outcome: Deed;
  /** From the launch point to where it ended, over ground. */
  readonly distance: Metres;
  /** Distance over height lost, what speed was lost counted as height; null for what is no glide. */
  readonly glideRatio: number | null;
  /** Mean over the last third; null where it does not settle. */
  readonly sinkRate: MetresPerSecond | null;
  readonly settledSpeed: MetresPerSecond | null;
}

/** Rolled so far within so short a time as it flies stalled, it snapped. C. */
const SNAPS: Radians = radiansFromDegrees(75);
const SNAPS_WITHIN = 1.2;
/** At more of an angle it falls rather than flies. */
const FALLS: Radians = radiansFromDegrees(60);
/** Banked so far at the end, or turned so far, it spirals. C. */
const BANKED: Radians = radiansFromDegrees(40);
const TURNED: Radians = radiansFromDegrees(75);
/** Climbed so much steeper than it was thrown, and so much of the height that its speed holds. C. */
const STEEPER: Radians = radiansFromDegrees(15);
const OF_ITS_SPEED = 0.15;
/** Steeper than that heading and bank say nothing. */
const UPRIGHT: Radians = radiansFromDegrees(65);
/** A path so steep at the end, faster than half a second before, is a dive. C. */
const DIVES: Radians = radiansFromDegrees(-20);
/** Speed and path that change less over the last third are settled. C. */
const SAME_SPEED = 0.08;
const SAME_PATH: Radians = radiansFromDegrees(6);
/** Slower losses of height are no glide [m]. */
const LEAST_LOSS = 0.05;

/** Names what happened from what was recorded: the gravest first. What line or wheels do is no flight yet: it is judged from where they let go. */
export function judgeFlight(recorded: Samples, events: readonly FlightEvent[], launch: Throw): Outcome {
  const distance = Math.hypot(recorded.x.at(-1)!, recorded.y.at(-1)!) as Metres;
  if (events.some(({ name }) => name === 'overturns'))
    return { outcome: 'other', distance, glideRatio: null, sinkRate: null, settledSpeed: null };
  const samples = after('free', recorded, events);
  const { t, x, y, z, speed, path } = samples;
  const last = t.length - 1;
  const third = Math.floor((2 * last) / 3);
  const mean = (values: readonly number[], from: number) =>
    values.slice(from).reduce((sum, value) => sum + value, 0) / (values.length - from);
  const spread = (values: readonly number[]) => Math.max(...values.slice(third)) - Math.min(...values.slice(third));
  const isSettled = spread(speed) < SAME_SPEED * mean(speed, third) && spread(path) < SAME_PATH;
  const lost = z[0]! - z[last]! + (speed[0]! ** 2 - speed[last]! ** 2) / (2 * GRAVITY);
  const outcome = deedOf(after('figure', samples, events), events, launch, isSettled);
  const glides = outcome !== 'snaps' && lost > LEAST_LOSS;
  return {
    outcome,
    distance,
    glideRatio: glides ? Math.hypot(x[last]! - x[0]!, y[last]! - y[0]!) / lost : null,
    sinkRate: isSettled ? (((z[third]! - z[last]!) / (t[last]! - t[third]!)) as MetresPerSecond) : null,
    settledSpeed: isSettled ? (mean(speed, third) as MetresPerSecond) : null,
  };
}

function deedOf(samples: Samples, events: readonly FlightEvent[], launch: Throw, isSettled: boolean): Deed {
  const { t, z, speed, roll, yaw, path } = samples;
  const last = t.length - 1;
  const stall = events.find(({ name, t: at }) => name === 'stall' && at >= t[0]!);
  if (snaps(samples)) return 'snaps';
  const turned = turnedBy(yaw);
  const isLooping = path.some((angle) => Math.abs(angle) > UPRIGHT);
  if (!isLooping && (Math.abs(roll[last]!) > BANKED || Math.abs(turned) > TURNED))
    return (Math.abs(turned) > radiansFromDegrees(10) ? turned : roll[last]!) > 0 ? 'spiralsRight' : 'spiralsLeft';
  // A line, wheels and a figure leave it on some path; a climb counts from there.
  const flownOff = events.some(({ name }) => name === 'figure' || name === 'free')
    ? { path: path[0]!, speed: speed[0]! }
    : launch;
  const climbed = Math.max(...z) - z[0]!;
  const rises =
    Math.max(...path) > flownOff.path + STEEPER && climbed > (OF_ITS_SPEED * flownOff.speed ** 2) / (2 * GRAVITY);
  if (rises) return 'balloons';
  if (stall) return 'stalls';
  const before = Math.max(
    0,
    t.findIndex((time) => time > t[last]! - 0.5),
  );
  if (path[last]! < DIVES && speed[last]! > speed[before]!) return 'dives';
  if (isSettled || Math.abs(path[last]!) < -DIVES) return 'settles';
  return 'other';
}

/** Whether it rolls off as it flies stalled. */
function snaps({ t, rollRate, attached, alpha }: Samples): boolean {
  let rolled = 0;
  const turned = t.map((time, index) => (rolled += index > 0 ? rollRate[index]! * (time - t[index - 1]!) : 0));
  return t.some((time, from) => {
    if (attached[from]! > STALLED || Math.abs(alpha[from]!) > FALLS) return false;
    for (let index = from; index < t.length && t[index]! <= time + SNAPS_WITHIN; index++)
      if (Math.abs(turned[index]! - turned[from]!) > SNAPS) return true;
    return false;
  });
}

/** What was recorded from an event on; all of it where that did not happen. What a figure does is meant, and what line or wheels do. */
function after(event: 'free' | 'figure', samples: Samples, events: readonly FlightEvent[]): Samples {
  const end = events.find(({ name }) => name === event);
  if (!end) return samples;
  const from = samples.t.findIndex((time) => time >= end.t);
  return Object.fromEntries(
    Object.entries(samples).map(([key, values]: [string, readonly number[]]) => [key, values.slice(from)]),
  ) as unknown as Samples;
}

/** Heading gone through, full turns counted. */
function turnedBy(yaw: readonly number[]): number {
  return yaw.slice(1).reduce((sum, angle, index) => {
    const change = angle - yaw[index]!;
    return sum + change - 2 * Math.PI * Math.round(change / (2 * Math.PI));
  }, 0);
}
