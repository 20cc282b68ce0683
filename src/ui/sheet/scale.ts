import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

/** Numbers to pixels along one axis, with round places for its ticks. */
export interface Scale {
  (value: number): number;
  ticks(count?: number): number[];
  invert(pixel: number): number;
}

export type Interval = readonly [number, number];

export const linear = (domain: Interval, range: Interval): Scale => scaleLinear(domain, range);

/** Round places of an axis, as many as asked for or fewer, so that they stand at least so many pixels apart. */
export function ticksApart(scale: Scale, count: number, least: number): number[] {
  for (let fewer = count; fewer > 1; fewer--) {
    const ticks = scale.ticks(fewer);
    if (ticks.slice(1).every((tick, index) => Math.abs(scale(tick) - scale(ticks[index]!)) >= least)) return ticks;
  }
  return scale.ticks(1);
}

/** The domain ends on round numbers. */
export const niceLinear = (domain: Interval, range: Interval, count = 5): Scale =>
  scaleLinear(domain, range).nice(count);

/** Least interval that holds all, a little wider than a point; of nothing, nought to one. */
export function spanOf(values: readonly number[], least = 1e-6): Interval {
  const known = values.filter(Number.isFinite);
  if (known.length === 0) return [0, 1];
  const [low, high] = [Math.min(...known), Math.max(...known)];
  return high - low < least ? [low - least / 2, high + least / 2] : [low, high];
}

export type Places = readonly (readonly [number, number])[];

/** A line through places in pixels; it breaks where one is no number. */
export const pathThrough = (places: Places): string =>
  line<readonly [number, number]>()
    .defined(([x, y]) => Number.isFinite(x) && Number.isFinite(y))
    .x(([x]) => Math.round(x * 10) / 10)
    .y(([, y]) => Math.round(y * 10) / 10)(places as [number, number][]) ?? '';

/** Value of a curve whose first numbers rise, linear between its points; the ends are held. */
export function valueAt(curve: Places, at: number): number | null {
  if (curve.length === 0) return null;
  const next = curve.findIndex(([x]) => x >= at);
  if (next === 0) return curve[0]![1];
  if (next < 0) return curve.at(-1)![1];
  const [x0, y0] = curve[next - 1]!;
  const [x1, y1] = curve[next]!;
  return y0 + ((y1 - y0) * (at - x0)) / (x1 - x0);
}
