import { metres, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Fingers under the balance point reach back so far, and a hand that lets go late as much again [m]; C, practice. */
const NEAR = 0.08;

/** A propeller turns right behind the hand that throws. */
export const handNearDisc = makeRule(
  { id: 'handNearDisc', stage: 'power', source: 'Reach of a hand; practice of the field' },
  ({ brief }, { takeOff: { handToDisc } }) => {
    if (brief.launch !== 'hand' || handToDisc === null || handToDisc >= NEAR) return null;
    return {
      severity: 'caution',
      message: say`The propeller turns ${metres(handToDisc)} behind the balance point, where a hand holds it. Throw it by the nose or by a grip ahead, start the motor only when it has left the hand, or launch it by bungee.`,
      numbers: { handToDisc: metres(handToDisc) },
      remedies: [],
    };
  },
);
