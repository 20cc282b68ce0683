import { percent, radians, say } from '@/core/1-base/words/phrase';
import { type Found, makeRule } from '../makeRule';

/** Half of the torque in reserve, one degree of play, half of what buckles a rod: usual, C. */
const TORQUE = 0.5;
const PLAY = 0.0175;
const PUSH = 0.5;

/** A servo, a pushrod or play that leaves too little for a dive. */
export const weakLinkage = makeRule(
  { id: 'weakLinkage', stage: 'strength', source: 'Glauert, ARC R&M 1095, for the hinge moment; Euler for the rod' },
  (_design, { strength: { linkages } }): Found | null => {
    for (const { control, torqueShare, slop, bucklingShare } of linkages) {
      if (torqueShare !== null && torqueShare > TORQUE)
        return {
          severity: 'caution',
          message: say`Full throw of ${control} in a dive takes ${percent(torqueShare, 0)} of what its servo gives: take a stronger one, a shorter arm or a higher horn.`,
          numbers: { share: percent(torqueShare, 0) },
        };
      if (bucklingShare !== null && bucklingShare > PUSH)
        return {
          severity: 'caution',
          message: say`The pushrod of ${control} is pushed with ${percent(bucklingShare, 0)} of what buckles it: hold it in the middle, or take a thicker one.`,
          numbers: { share: percent(bucklingShare, 0) },
        };
      if (slop > PLAY)
        return {
          severity: 'caution',
          message: say`Play of ${radians(slop)} at ${control}: that is where flutter begins. Take it out, or use a higher horn.`,
          numbers: { play: radians(slop) },
        };
    }
    return null;
  },
);
