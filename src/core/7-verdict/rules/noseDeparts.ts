import { say, seconds } from '@/core/1-base/words/phrase';
import { runsAway } from '@/core/6-groups/motion/runsAway';
import { makeRule } from '../makeRule';

/** A swing shorter than this is one of the nose, not of the speed [s] (Etkin & Reid, section 6.3: short period). */
const FAST_SWING = 2;
/** Doubling faster than this nobody catches it [s]; practice of the field. */
const TOO_QUICK = 2;

/** The nose runs away by itself: a motion in pitch that grows without swinging, or a fast one that grows. */
export const noseDeparts = makeRule(
  { id: 'noseDeparts', stage: 'stability', source: 'Etkin & Reid, Dynamics of Flight, section 6.3' },
  (_design, { motion, pitch }) => {
    const ofSpeed = (runsAway({ motion, pitch })?.of ?? 'nose') === 'speed';
    const fast = motion.longitudinal
      .filter(
        ({ grows, period, timeToHalf }) =>
          grows && timeToHalf !== null && (period === null ? !ofSpeed : period < FAST_SWING),
      )
      .sort((a, b) => a.timeToHalf! - b.timeToHalf!)[0];
    if (!fast) return null;
    return {
      severity: fast.timeToHalf! < TOO_QUICK ? 'stop' : 'caution',
      message: say`Left alone the nose departs: a disturbance doubles in ${seconds(fast.timeToHalf!, 1)}. Bring the balance forward, or give it more tail.`,
      numbers: { timeToDouble: seconds(fast.timeToHalf!) },
    };
  },
);
