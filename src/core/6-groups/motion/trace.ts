import type { Mode } from './linearModes';

/** One moment of a motion let go at 1: time [s], and what is left of the nudge. */
export type TracePoint = readonly [time: number, left: number];

const POINTS = 160;
/** A trace shows so many swings, or halvings where it does not swing; and at least and at most so long [s]. */
const SWINGS = 3;
const HALVINGS = 4;
const LEAST = 0.3;
const MOST = 60;
/** What grows is shown up to so many times the nudge. */
const GREATEST = 2;

/** How long a trace is worth watching [s]. */
export function traceLength({ period, timeToHalf }: Pick<Mode, 'period' | 'timeToHalf'>): number {
  const halvings = timeToHalf === null ? MOST : HALVINGS * timeToHalf;
  const wanted = period === null ? halvings : Math.max(SWINGS * period, Math.min(halvings, 2 * SWINGS * period));
  return Math.min(MOST, Math.max(LEAST, wanted));
}

/**
 * Motion of one mode after a nudge of 1: x(t) = e^(σt) cos(ωt), the eigenvalue
 * σ ± iω; cut off where it has grown to twice the nudge. Linear, small motions.
 * Source: Etkin & Reid, Dynamics of Flight, section 6.1.
 */
export function traceOf(mode: Pick<Mode, 'real' | 'imaginary' | 'period' | 'timeToHalf'>): TracePoint[] {
  const length = traceLength(mode);
  const points: TracePoint[] = [];
  for (let index = 0; index <= POINTS; index++) {
    const time = (length * index) / POINTS;
    const left = Math.exp(mode.real * time) * Math.cos(mode.imaginary * time);
    if (Math.abs(left) > GREATEST) break;
    points.push([time, left]);
  }
  return points;
}
