import type { ValueOf } from '../group';
import type { pitch as pitchGroup } from '../pitch/pitch';
import type { Mode } from './linearModes';
import type { motion as motionGroup } from './motion';

/**
 * A motion in pitch that grows without swinging: of the nose where the balance
 * lies behind the neutral point, else of the speed, which thrust makes run away
 * as it falls with speed and holds the nose up. Fastest one; null without.
 * Source: Etkin & Reid, Dynamics of Flight, sections 2.4 and 6.3.
 */
export function runsAway({
  motion,
  pitch,
}: {
  readonly motion: Pick<ValueOf<typeof motionGroup>, 'longitudinal'>;
  readonly pitch: Pick<ValueOf<typeof pitchGroup>, 'staticMargin'>;
}): { readonly of: 'nose' | 'speed'; readonly mode: Mode } | null {
  const mode = motion.longitudinal
    .filter(({ grows, period, timeToHalf }) => grows && period === null && timeToHalf !== null)
    .sort((a, b) => a.timeToHalf! - b.timeToHalf!)[0];
  if (!mode) return null;
  return { of: (pitch.staticMargin ?? -1) > 0 ? 'speed' : 'nose', mode };
}
