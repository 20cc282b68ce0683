import type { MetresPerSecond, Seconds } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { FlightRun } from '../sights';
import type { Track } from './track';

/** A run that was found in a recording, and when. */
export interface FoundRun {
  readonly run: FlightRun;
  readonly from: Seconds;
  readonly to: Seconds;
}

/** Steps in which a recording is looked at, and over how long a climb is told [s]. */
const STEP = 0.2;
const OVER = 2;
/** Shorter a run says little [s]. */
const SHORTEST = 4;
/** Speed changes less than that along a run [m/s²], and scatters by less than that share. C. */
const STEADY = 0.5;
const SCATTER = 0.08;
/** Less than that share of the speed up or down is level. C. */
const LEVEL = 0.04;
const CLOSED = 0.05;
const FULL = 0.9;
/** A stall: slowed down to the least for a while, then this much faster within that time, and lower. C. */
const DROPS = { by: 0.15, within: 2.5, height: 0.8, before: 3 } as const;

interface Look {
  readonly t: Seconds;
  readonly speed: MetresPerSecond;
  readonly height: number;
  readonly throttle: number | undefined;
}

/** A recording at even steps, between its moments. */
function evenly(track: Track): Look[] {
  const [first, last] = [track[0], track.at(-1)];
  if (!first || !last) return [];
  const looks: Look[] = [];
  let at = 0;
  for (let t = first.t; t <= last.t; t += STEP) {
    while (at < track.length - 2 && track[at + 1]!.t < t) at++;
    const [a, b] = [track[at]!, track[at + 1] ?? track[at]!];
    const share = b.t > a.t ? (t - a.t) / (b.t - a.t) : 0;
    const between = (from: number, to: number) => from + share * (to - from);
    looks.push({
      t,
      speed: between(a.speed, b.speed),
      height: between(a.height, b.height),
      throttle: a.throttle,
    });
  }
  return looks;
}

/** Slope of a line through values at even steps (least squares), each second, and their mean. */
function lineThrough(values: readonly number[]): { readonly slope: number; readonly mean: number } {
  const middle = (values.length - 1) / 2;
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  let [above, below] = [0, 0];
  values.forEach((value, index) => {
    above += (index - middle) * (value - mean);
    below += (index - middle) ** 2;
  });
  return { slope: below > 0 ? above / below / STEP : 0, mean };
}

type Kind = Exclude<FlightRun['kind'], 'stall'>;

/** What every moment belongs to, by what goes on around it; null what is no steady flight. */
function kindsOf(looks: readonly Look[]): (Kind | null)[] {
  const half = Math.round(OVER / STEP / 2);
  return looks.map(({ throttle }, index) => {
    const around = looks.slice(Math.max(0, index - half), index + half + 1);
    if (around.length < half + 1) return null;
    const speed = lineThrough(around.map((look) => look.speed));
    const climb = lineThrough(around.map((look) => look.height)).slope;
    if (speed.mean <= 0 || Math.abs(speed.slope) > STEADY) return null;
    const isLevel = Math.abs(climb) < LEVEL * speed.mean;
    if (throttle === undefined) return isLevel ? 'level' : climb < 0 ? 'glide' : null;
    if (throttle <= CLOSED) return climb < 0 ? 'glide' : null;
    if (throttle >= FULL) return climb > 0 && !isLevel ? 'climb' : isLevel ? 'level' : null;
    return isLevel ? 'level' : null;
  });
}

/**
 * The parts of a recording that say something by themselves: level runs, climbs
 * at full throttle, glides, and stalls. A glide is counted with what speed it
 * lost as height (E = h + V²/2g), so that a slowing one is not too flat.
 */
export function findRuns(track: Track): FoundRun[] {
  const looks = evenly(track);
  const kinds = kindsOf(looks);
  const found: FoundRun[] = [];
  let from = 0;
  for (let index = 1; index <= looks.length; index++) {
    if (index < looks.length && kinds[index] === kinds[from]) continue;
    const kind = kinds[from];
    const run = kind && steadyRun(kind, looks.slice(from, index));
    if (run) found.push(run);
    from = index;
  }
  return [...found, ...stallsIn(looks)].toSorted((a, b) => a.from - b.from);
}

/** Half of what is looked at around a moment belongs to what goes on beside it [s]. */
const EDGE = 0.6;

function steadyRun(kind: Kind, looks: readonly Look[]): FoundRun | null {
  const edge = Math.round(EDGE / STEP);
  const inner = looks.slice(edge, looks.length - edge);
  const [first, last] = [inner[0], inner.at(-1)];
  if (!first || !last || last.t - first.t < SHORTEST - 2 * EDGE) return null;
  const duration = looks.at(-1)!.t - looks[0]!.t;
  if (duration < SHORTEST) return null;
  const speed = lineThrough(inner.map((look) => look.speed));
  const scatter = Math.sqrt(inner.reduce((sum, look) => sum + (look.speed - speed.mean) ** 2, 0) / inner.length);
  if (scatter > Math.max(0.4, SCATTER * speed.mean)) return null;
  const climb = lineThrough(inner.map((look) => look.height)).slope;
  const sink = -climb - (speed.mean * speed.slope) / GRAVITY;
  const run: FlightRun = { kind, speed: speed.mean, duration, from: 'recorder' };
  if (kind !== 'glide') return { run, from: looks[0]!.t, to: looks.at(-1)!.t };
  if (!(sink > 0.05) || sink > 0.7 * speed.mean) return null;
  const ahead = Math.sqrt(speed.mean ** 2 - climb ** 2);
  return { run: { ...run, glideRatio: Math.min(100, ahead / sink) }, from: looks[0]!.t, to: looks.at(-1)!.t };
}

/** Where it slowed down to the least and then dropped its nose. */
function stallsIn(looks: readonly Look[]): FoundRun[] {
  const smooth = looks.map(
    (_, index) => lineThrough(looks.slice(Math.max(0, index - 1), index + 2).map(({ speed }) => speed)).mean,
  );
  const [before, within] = [Math.round(DROPS.before / STEP), Math.round(DROPS.within / STEP)];
  const stalls: FoundRun[] = [];
  for (let index = before; index + within < looks.length; index++) {
    const here = smooth[index]!;
    const around = smooth.slice(index - before, index + within + 1);
    if (here > Math.min(...around) || here <= 1) continue;
    const slowed = smooth[index - before]! > (1 + DROPS.by) * here;
    const faster = Math.max(...smooth.slice(index, index + within + 1)) > (1 + DROPS.by) * here;
    const lower = looks[index]!.height - looks[index + within]!.height > DROPS.height;
    const isPowered = (looks[index]!.throttle ?? 0) > 0.5;
    if (!slowed || !faster || !lower || isPowered) continue;
    if (stalls.length > 0 && looks[index]!.t - stalls.at(-1)!.to < DROPS.within) continue;
    stalls.push({
      run: { kind: 'stall', speed: here, from: 'recorder' },
      from: looks[index - before]!.t,
      to: looks[index + within]!.t,
    });
  }
  return stalls;
}
