import { radiansFromDegrees } from '@/core/1-base/units/convert';
import { type Errors, flyGlider, type TossShows } from '@/core/7-flight/toss/flyGlider';
import type { Glider } from '@/core/7-flight/toss/glider';
import { settingOf, type Toss } from '@/core/7-flight/toss/settings';
import { sigmasOf } from '@/core/7-flight/toss/belief';
import { priorOf, UNKNOWNS } from '@/core/7-flight/toss/unknowns';

/** Even numbers from 0 to 1 (mulberry32) and normal ones of them (Box–Muller), the same for the same seed. */
export function normalNumbers(seed: number): () => number {
  let a = seed;
  const even = () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return (((t ^ (t >>> 14)) >>> 0) + 0.5) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(even())) * Math.cos(2 * Math.PI * even());
}

/** Steps through all ranks of a sample, one for each unknown, so that no two go together. */
const STRIDES = [1, 3, 7, 11] as const;

/** One of so many gliders as they might have come out of the hands: errors from the bands of hand building, evenly spread over them (a Latin hypercube). @param of how many; no multiple of 3, 7 or 11 */
export function builtGlider(glider: Glider, index: number, of: number): Errors {
  const prior = priorOf(glider);
  const errors = UNKNOWNS.map((unknown, which) => {
    const share = (((index * STRIDES[which]! + which) % of) + 0.5) / of;
    const sigmas = share < 0.5 ? -sigmasOf(share) : sigmasOf(1 - share);
    return [unknown, sigmas * prior[unknown]];
  });
  return Object.fromEntries(errors) as unknown as Errors;
}

/** What somebody beside the field calls a flight. */
function wordFor({ rise, overStall, endPath }: TossShows): Toss['result'] {
  if (overStall > 0) return 'stalled';
  if (rise > radiansFromDegrees(15)) return 'ballooned';
  return endPath < radiansFromDegrees(-20) ? 'dived' : 'steadyGlide';
}

/** A toss as it would be logged: thrown a little otherwise than meant, paced and timed to five in a hundred. */
export function tossed(
  glider: Glider,
  truth: Errors,
  normal: () => number,
  asked: Pick<Toss, 'id'> & Partial<Toss>,
): Toss {
  const meant: Toss = {
    at: '2026-05-01T10:00:00Z',
    scale: glider.scale,
    result: 'other',
    track: [],
    notes: '',
    ...asked,
  };
  const setting = settingOf(glider, meant);
  const shows = flyGlider(
    glider,
    {
      ...setting,
      speed: setting.speed * (1 + 0.05 * normal()),
      path: setting.path + radiansFromDegrees(3) * normal(),
    },
    truth,
  );
  return {
    ...meant,
    launchSpeed: setting.speed,
    distance: shows.distance * (1 + 0.05 * normal()),
    time: shows.time * (1 + 0.05 * normal()),
    sideways: shows.sideways + 0.7 * normal(),
    result: wordFor(shows),
  };
}
