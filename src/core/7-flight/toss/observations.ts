import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { ShownOf } from './outcomes';
import type { Toss } from './settings';

/** One thing that was seen of a toss: what it was, how far off it may be, and what a flight would show of it. */
export interface Observation {
  readonly what: 'distance' | 'time' | 'sideways' | 'result' | 'endSpeed';
  readonly seen: number;
  /** Standard deviation, in the same unit. */
  readonly sigma: number;
  readonly of: (shows: ShownOf) => number;
}

/** Paced or taped, and by stopwatch: five in a hundred, and three that a throw itself is not told to; no better than a step and a thumb. C. */
const SHARE = Math.hypot(0.05, 0.03);
const STEP = 0.3;
const THUMB = 0.1;
/** Where it comes down beside the line is told less well: of the distance, and at least [m]. C. */
const BESIDE = 0.1;
const LEAST_BESIDE = 0.7;
/** A speed from places on a video: so many of the last of them, a share. C. */
const LAST_PLACES = 4;
const VIDEO = 0.08;

/** Angles from which people say what a flight did, and how differently they say it. As `judgeFlight` words it. C. */
const RISES = radiansFromDegrees(15);
const DIVES = radiansFromDegrees(-20);
const ANGLE_SPREAD = radiansFromDegrees(5);
const STALL_SPREAD = radiansFromDegrees(2);
const TURNS = radiansFromDegrees(30);
const TURN_SPREAD = radiansFromDegrees(15);

/** How far a value falls short of a bound, in its spread; nothing on the right side of it. */
const short = (value: number, bound: number, spread: number): number => Math.max(0, (bound - value) / spread);

/** What a word says of a flight: nought where the flight fits it, else by how many times people’s spread it does not. */
function against(result: Toss['result']): ((shows: ShownOf) => number) | null {
  switch (result) {
    case 'steadyGlide':
      return ({ rise, endPath, overStall }) =>
        short(-rise, -RISES, ANGLE_SPREAD) + short(endPath, DIVES, ANGLE_SPREAD) + short(-overStall, 0, STALL_SPREAD);
    case 'dived':
      return ({ endPath }) => short(-endPath, -DIVES, ANGLE_SPREAD);
    case 'ballooned':
      return ({ rise }) => short(rise, RISES, ANGLE_SPREAD);
    case 'stalled':
    case 'snapped':
      return ({ overStall }) => short(overStall, 0, STALL_SPREAD);
    case 'turnedLeft':
      return ({ turned }) => short(-turned, TURNS, TURN_SPREAD);
    case 'turnedRight':
      return ({ turned }) => short(turned, TURNS, TURN_SPREAD);
    case 'other':
      return null;
  }
}

/** Everything that a logged toss says; none for one that says nothing. */
export function observationsOf({ distance, time, sideways, result, track }: Toss): Observation[] {
  const seen: Observation[] = [];
  if (distance !== undefined)
    seen.push({
      what: 'distance',
      seen: distance,
      sigma: Math.max(STEP, SHARE * distance),
      of: (shows) => shows.distance,
    });
  if (time !== undefined && time > 0)
    seen.push({ what: 'time', seen: time, sigma: Math.max(THUMB, SHARE * time), of: (shows) => shows.time });
  if (sideways !== undefined)
    seen.push({
      what: 'sideways',
      seen: sideways,
      sigma: Math.max(LEAST_BESIDE, BESIDE * (distance ?? Math.abs(sideways))),
      of: (shows) => shows.sideways,
    });
  const miss = against(result);
  if (miss) seen.push({ what: 'result', seen: 0, sigma: 1, of: miss });
  const last = track.slice(-LAST_PLACES);
  const [from, to] = [last[0], last.at(-1)];
  if (from && to && to.t - from.t > THUMB) {
    const speed = Math.hypot(to.x - from.x, to.z - from.z) / (to.t - from.t);
    if (speed > 0) seen.push({ what: 'endSpeed', seen: speed, sigma: VIDEO * speed, of: (shows) => shows.endSpeed });
  }
  return seen;
}
