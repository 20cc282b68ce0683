import { radians, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';
import { rodRemedies } from '../stiffenings';

/** Two wings that turn apart by so much change their decalage by as much as is rigged; C, practice [rad]. */
const APART = 0.044;

/** Two wings of which one gives more: decalage changes in a pull-up, and one side may let go first. */
export const wingsPart = makeRule(
  { id: 'wingsPart', stage: 'strength', source: 'Difference of twist in the pull-up, as computed' },
  (design, { strength: { flexApart } }) => {
    if (flexApart === null || Math.abs(flexApart) < APART) return null;
    return {
      severity: 'caution',
      message: say`In a hard pull-up the front wing turns ${radians(Math.abs(flexApart))} ${
        flexApart > 0 ? 'more' : 'less'
      } than the other: the angle between them changes by that, and limp wings give unequally left and right. Stiffen the softer one or brace them together.`,
      numbers: { apart: radians(flexApart) },
      remedies: rodRemedies(design, undefined),
    };
  },
);
