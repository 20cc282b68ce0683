import { percent, say, type Words } from '@/core/1-base/words/phrase';
import type { Numbers } from '@/core/6-groups/page';
import { makeRule } from '../makeRule';

type Kind = Numbers['strength']['checks'][number]['kind'];

/** What is asked for more than it bears, and what to do. */
const WORDS: Readonly<Record<Kind, string>> = {
  bandsHold: 'the bands do not hold it in the pull-up: take more of them, or stronger ones',
  bandsBite: 'bands bite into the edge: lay a stick or tape under them',
  joinerSocket: 'the joiner crushes its socket: let it reach farther in, or line the socket',
  finRoot: 'the glue at its root gives way in a dive: let it through the board, or brace it',
  packHeld: 'what holds it gives way when it lands: take a strap',
  noseLanding: 'the nose bends when it lands: double its walls',
  tailLanding: 'the rear bends when it lands: double its walls',
  saddle: 'the wing crushes its seat: line it with a stick',
  undercarriage: 'the leg goes through its plate: make the plate larger, or double the floor',
  motorMount: 'the bulkhead of the motor comes off when it lands: glue a stick into its corners',
  coverPull: 'the cover bows the rear edge between the ribs: take a stouter edge, or ribs nearer to one another',
};

/** A joint or seat that is asked for more than it bears. */
export const weakJoint = makeRule(
  { id: 'weakJoint', stage: 'strength', source: 'Forces by hand on what is drawn; glue and foam ±40 %' },
  (_design, { strength: { checks } }) => {
    const worst = checks.toSorted((a, b) => b.share - a.share)[0];
    if (!worst || worst.share <= 1) return null;
    const words: Words = say`Asked for ${percent(worst.share, 0)} of what it bears, ${worst.part}: ${WORDS[worst.kind]}.`;
    return { severity: 'caution', message: words, numbers: { share: percent(worst.share, 0) } };
  },
);
