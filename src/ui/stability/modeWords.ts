import type { Mode } from '@/core/6-groups/motion/linearModes';
import { decimal } from '@/words/formatQuantity';

/** A motion in plain words: how long it swings, and whether it dies away. */
export function modeWords({ period, timeToHalf, grows }: Pick<Mode, 'period' | 'timeToHalf' | 'grows'>): string {
  const swing = period === null ? '' : `${decimal(period, 1)} s a swing, `;
  if (timeToHalf === null) return `${swing}stays as it is`;
  return `${swing}${grows ? 'doubles' : 'halves'} in ${decimal(timeToHalf, timeToHalf < 1 ? 2 : 1)} s`;
}
