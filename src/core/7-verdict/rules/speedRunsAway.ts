import { say, seconds } from '@/core/1-base/words/phrase';
import { runsAway } from '@/core/6-groups/motion/runsAway';
import { makeRule } from '../makeRule';
import { otherThrustLines } from '../thrustLines';

/** Full-size aircraft may double a change of speed in six seconds at the least; time shrinks with the root of size, here a sixth [s]. */
const TOO_QUICK = 2.5;

/** Under power it does not hold its speed: faster, the thrust holds the nose up less. */
export const speedRunsAway = makeRule(
  { id: 'speedRunsAway', stage: 'stability', source: 'Etkin & Reid, section 6.3; MIL-F-8785C, 3.2.1.1' },
  (design, { motion, pitch, trim }) => {
    const away = runsAway({ motion, pitch });
    if (!away || away.of === 'nose' || !(away.mode.timeToHalf! < TOO_QUICK)) return null;
    return {
      severity: 'caution',
      message: say`Under power it does not hold its speed: a change doubles in ${seconds(away.mode.timeToHalf!, 1)}, as the thrust holds the nose up less the faster it flies. Let the thrust line pitch it less, or bring the balance forward.`,
      numbers: { timeToDouble: seconds(away.mode.timeToHalf!) },
      remedies: trim.thrustMoment !== null && trim.thrustMoment > 0 ? otherThrustLines(design, true) : [],
    };
  },
);
