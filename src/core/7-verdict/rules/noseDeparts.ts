import { say, seconds } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** The nose runs away by itself: a motion in pitch that grows without swinging, or a fast one that grows. */
export const noseDeparts = makeRule(
  { id: 'noseDeparts', stage: 'stability', source: 'Etkin & Reid, Dynamics of Flight, section 6.3' },
  (_design, { motion }) => {
    const fast = motion.longitudinal
      .filter(({ grows, period, timeToHalf }) => grows && timeToHalf !== null && (period === null || period < 2))
      .sort((a, b) => a.timeToHalf! - b.timeToHalf!)[0];
    if (!fast) return null;
    return {
      severity: fast.timeToHalf! < 2 ? 'stop' : 'caution',
      message: say`Left alone the nose departs: a disturbance doubles in ${seconds(fast.timeToHalf!, 1)}. Bring the balance forward, or give it more tail.`,
      numbers: { timeToDouble: seconds(fast.timeToHalf!) },
    };
  },
);
