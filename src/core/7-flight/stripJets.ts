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
  const pairs = pairsOf(nodes);
  const added = new Float64Array(size);
  return (jets: readonly Pascals[], { along, faster, gained, risen, perSpeed }: Into): void => {
    blown.blow(jets, air.density, along, added);
    for (let i = 0; i < size; i++) faster[i] = added[i]! * perSpeed.along[i]!;
    // Both sides at once: what is alike on both stays so to the last digit.
    for (const pair of pairs) {
      const stands = pair.map((i) => (isOnWing[i] ? blown.answered[i]! * added[i]! * perSpeed.own[i]! : 0));
      pair.forEach((i, which) => {
        gained[i]! += isOnWing[i] ? 0 : added[i]! * perSpeed.strength[i]!;
        // Of the angle that a strip stands at itself nothing moves the air.
        risen[i]! += isOnWing[i] ? -stands[which]! : added[i]! * perSpeed.across[i]!;
      });
      if (stands.every((own) => own === 0)) continue;
      for (let j = 0; j < size; j++) {
        const by = (which: number) => (which < pair.length ? stands[which]! * answers[pair[which]! * size + j]! : 0);
        const circulation = by(0) + by(1);
        gained[j]! += circulation;
        risen[j]! += circulation / reach[j]!;
      }
    }
  };
}
