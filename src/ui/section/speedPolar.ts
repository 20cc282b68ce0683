import type { Analysis } from '@/core/analyse';
import { airAt } from '@/core/5-aero/atmosphere';
import type { Design } from '@/core/2-document/schema/design';
import { type Places, valueAt } from '../sheet/scale';

/** Drag [N] and sinking speed [m/s] over speed [m/s] without power, slowest first. */
export interface SpeedPolar {
  readonly drag: Places;
  readonly sink: Places;
  readonly stall: number | null;
}

export function speedPolar({ conditions }: Design, { drag, reference, speeds }: Analysis): SpeedPolar {
  const { density } = airAt(conditions.elevation, conditions.temperature);
  const points = drag.polar.toSorted((a, b) => a.speed - b.speed);
  const area = reference.area ?? 0;
  return {
    drag: points.map(
      ({ speed, drag: coefficient }) => [speed, (density * speed ** 2 * area * coefficient) / 2] as const,
    ),
    sink: points.map(({ speed, sink }) => [speed, sink] as const),
    stall: speeds.stall,
  };
}

/** From which speed to which one curve lies below the other; a stretch at a time. */
export interface Win {
  readonly who: 'first' | 'second';
  readonly from: number;
  readonly to: number;
}

const STEPS = 240;
/** Curves nearer than this share of themselves are alike. */
const ALIKE = 0.005;

/** Where each of two curves is the lower one, over the speeds that both have. */
export function wins(first: Places, second: Places): Win[] {
  if (first.length < 2 || second.length < 2) return [];
  const from = Math.max(first[0]![0], second[0]![0]);
  const to = Math.min(first.at(-1)![0], second.at(-1)![0]);
  if (to <= from) return [];
  const found: Win[] = [];
  const step = (to - from) / STEPS;
  for (let index = 0; index < STEPS; index++) {
    const at = from + (index + 0.5) * step;
    const [a, b] = [valueAt(first, at)!, valueAt(second, at)!];
    if (Math.abs(a - b) < ALIKE * Math.max(a, b)) continue;
    const who = a < b ? 'first' : 'second';
    const last = found.at(-1);
    const begin = from + index * step;
    if (last?.who === who && begin - last.to < 1.5 * step) found[found.length - 1] = { ...last, to: begin + step };
    else found.push({ who, from: begin, to: begin + step });
  }
  return found;
}
