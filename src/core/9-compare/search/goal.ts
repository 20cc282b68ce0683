import type { Design } from '@/core/2-document/schema/design';
import type { Numbers } from '@/core/6-groups/page';
import { estimatedCost } from '../estimatedCost';

/** What a search makes as small, or as wide, as it can. */
export const GOALS = ['mass', 'cost', 'span', 'window', 'sink'] as const;
export type Goal = (typeof GOALS)[number];

/** The number itself: kg, the unit of prices, m, m, m/s; null where it is not known. */
export function goalOf(goal: Goal, design: Design, numbers: Numbers): number | null {
  switch (goal) {
    case 'mass':
      return numbers.mass.total;
    case 'cost':
      return estimatedCost(design, numbers);
    case 'span':
      return numbers.reference.span;
    case 'window': {
      const { forward, aft } = numbers.window;
      return forward === null || aft === null ? null : aft - forward;
    }
    case 'sink':
      return numbers.speeds.sink;
  }
}

/** Only a window is better the wider it is. */
export const isMore = (goal: Goal): boolean => goal === 'window';
