import type { Pascals } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import type { Prepared } from '@/core/6-groups/solution/prepare';
import { blownStrips } from './blown';
import type { StripMeeting } from './stripAir';
import type { MetAir } from './stripForces';
import { pairsOf, type StripNode } from './stripNodes';

interface Into extends Pick<MetAir, 'along' | 'faster' | 'gained' | 'risen'> {
  /** What strips would meet at unit speed along the datum. */
  readonly perSpeed: StripMeeting;
}

interface Answering {
  readonly reach: Float64Array;
  readonly answers: Float64Array;
}

/**
 * What jets add to the air of every strip. In a jet a strip meets more of what
 * comes from ahead, at the angles that it and its control stand at. A tail lies
 * in it with most of its span and has what it has at that speed; a wing sticks
 * out on both sides: what its strips gain of circulation goes through the
 * answers of all, and a narrow jet gains little of it.
 */
export function stripJets(prepared: Prepared, nodes: readonly StripNode[], { reach, answers }: Answering) {
  const { design, lattice, air } = prepared;
  const size = nodes.length;
  const blown = blownStrips(design, lattice, nodes);
  const isOnWing = nodes.map(({ strip }) => isWing(lattice.surfaces[lattice.strips[strip]!.surface]!));
  const pairs = pairsOf(nodes).map(([right, left]) => ({ right: right!, left: left ?? null }));
  const added = new Float64Array(size);
  /** What a strip of a wing that sticks out of the jet stands at in it. */
  const stand = (i: number, more: Float64Array, { own }: StripMeeting): number =>
    isOnWing[i] ? blown.answered[i]! * more[i]! * own[i]! : 0;
  return (jets: readonly Pascals[], { along, faster, gained, risen, perSpeed }: Into): void => {
    blown.blow(jets, air.density, along, added);
    for (let i = 0; i < size; i++) faster[i] = added[i]! * perSpeed.along[i]!;
    // Both sides at once: what is alike on both stays so to the last digit.
    for (const { right, left } of pairs) {
      const own = stand(right, added, perSpeed);
      const twin = left === null ? 0 : stand(left, added, perSpeed);
      for (const i of left === null ? [right] : [right, left]) {
        gained[i]! += isOnWing[i] ? 0 : added[i]! * perSpeed.strength[i]!;
        // Of the angle that a strip stands at itself nothing moves the air.
        risen[i]! += isOnWing[i] ? -(i === right ? own : twin) : added[i]! * perSpeed.across[i]!;
      }
      if (own === 0 && twin === 0) continue;
      const [row, next] = [right * size, (left ?? right) * size];
      for (let j = 0; j < size; j++) {
        const circulation = own * answers[row + j]! + twin * answers[next + j]!;
        gained[j]! += circulation;
        risen[j]! += circulation / reach[j]!;
      }
    }
  };
}
