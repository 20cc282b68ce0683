import { isAftTail } from '@/core/2-document/schema/roles';
import { nameOf, percent, plain, say } from '@/core/1-base/words/phrase';
import { scaledSurface } from '@/core/3-shape/planform/scaleSurface';
import { shareByArm } from '@/core/3-shape/planform/shareByArm';
import { makeRule } from '../makeRule';

/** Of the usual share for this arm; below it the school calls the tail small. */
const LEAST = 0.6;

/** The level tail is small for its arm. Canards and tailless aircraft follow other rules. */
export const smallTail = makeRule(
  { id: 'smallTail', stage: 'tail', source: 'Tail share by arm, practice of the field ±20 %; tail volume S_t l/(S c̄)' },
  (design, { tails, reference }) => {
    const tail = design.surfaces.find((surface) => isAftTail(surface) && surface.controls.length > 0);
    const volume = tails.find(({ surface }) => surface === tail?.id);
    if (!tail || !volume || reference.meanChord === null || volume.arm <= 0) return null;
    const share = (volume.horizontal * reference.meanChord) / volume.arm;
    const usual = shareByArm('level', volume.arm / reference.meanChord);
    if (share >= LEAST * usual) return null;
    const grow = (factor: number) => ({
      label: say`Give ${nameOf(tail)} ${percent(factor - 1, 0)} more area`,
      change: scaledSurface(tail, factor),
    });
    return {
      severity: 'caution',
      message: say`${nameOf(tail)} has ${percent(share, 0)} of the wing’s area${tail.role === 'vTail' ? ', seen from above,' : ''} on an arm of ${plain(volume.arm / reference.meanChord, 1)} chords, where about ${percent(usual, 0)} is usual (tail volume ${plain(volume.horizontal)}): the window narrows and gusts pitch it.`,
      numbers: { share: percent(share), usual: percent(usual), volume: plain(volume.horizontal) },
      remedies: [grow((1.02 * LEAST * usual) / share), grow(usual / share)],
    };
  },
);
