import type { Design } from '@/core/2-document/schema/design';
import { type FigureName, NO_FIGURES } from '@/core/2-document/schema/figures';
import type { FoldOfSheet } from '@/core/3-shape/pattern/foldPattern';
import { solve } from '@/core/6-groups/solve';
import type { WeightRow } from '@/core/4-weight/weightRows';
import type { Evidence } from './evidence';
import { predictAt } from './predict';
import { type Flight, sightsOf } from './sights';

/** What a measurement says, before anybody took it to heart. */
export type Lesson = Pick<Evidence, 'figure' | 'ratio' | 'sigma'> & { readonly readings: number };

/** A glide says of drag what of it is not induced; less of it says nothing. */
const LEAST_SHARE = 0.2;

/** Records that figures are learned of. */
export interface LessonSources {
  readonly flights: readonly Flight[];
  readonly folds: readonly FoldOfSheet[];
}

/** What stalls and glides of flights say of greatest lift and of drag, against the table. */
export function lessonsOf(design: Design, flights: readonly Flight[]): Lesson[] {
  const figures = design.figures ?? NO_FIGURES;
  const [lifts, drags]: [Reading[], Reading[]] = [[], []];
  for (const { what, value, sigma, speed } of flights.flatMap(sightsOf)) {
    if (what !== 'stallSpeed' && what !== 'glideRatio') continue;
    const at = what === 'stallSpeed' ? design.conditions.cruiseSpeed : (speed ?? design.conditions.cruiseSpeed);
    const told = predictAt(design, at, { boomsSofter: 1 })[what];
    if (told === null) continue;
    if (what === 'stallSpeed') {
      // Speed goes with one over the root of lift.
      const ratio = (told / value) ** 2 * figures.greatestLift;
      lifts.push({ ratio, sigma: (2 * sigma * ratio) / value });
    } else {
      const { drag } = solve(
        { ...design, conditions: { ...design.conditions, cruiseSpeed: at } },
        { without: ['bands'] },
      ).numbers;
      const share = drag.total === null ? 0 : 1 - (drag.induced ?? 0) / drag.total;
      if (share < LEAST_SHARE) continue;
      const ratio = (1 + (told / value - 1) / share) * figures.drag;
      drags.push({ ratio, sigma: (sigma / value / share) * figures.drag });
    }
  }
  return [...together('greatestLift', lifts), ...together('drag', drags)];
}

/** What all boards that were weighed say, against what is computed. */
export function lessonOfWeights(design: Design, rows: readonly WeightRow[]): Lesson[] {
  const factor = design.figures?.boards ?? 1;
  const weighed = rows.filter(({ kind, measured, computed }) => kind !== 'item' && measured !== null && computed > 0);
  return together(
    'boards',
    weighed.map(({ measured, computed }) => ({ ratio: (measured! / computed) * factor, sigma: 0.06 })),
  );
}

/** One measurement of a figure, and how well it says it, ±1σ. */
export interface Reading {
  readonly ratio: number;
  readonly sigma: number;
}

/** What no builder reaches is a reading of something else: a third to three times, or two boards for a radian of a fold. */
const isBelievable = (figure: FigureName, ratio: number): boolean =>
  NO_FIGURES[figure] === 0 ? Math.abs(ratio) <= 2 : ratio >= 0.3 && ratio <= 3;

/** Several readings of one figure as one, weighed by how well each is known; none where there is none. */
export function together(figure: FigureName, readings: readonly Reading[]): Lesson[] {
  const weights = readings.map(({ sigma }) => 1 / sigma ** 2);
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const ratio = readings.reduce((sum, reading, index) => sum + weights[index]! * reading.ratio, 0) / whole;
  if (!isBelievable(figure, ratio)) return [];
  return [{ figure, ratio, sigma: Math.sqrt(1 / whole), readings: readings.length }];
}
