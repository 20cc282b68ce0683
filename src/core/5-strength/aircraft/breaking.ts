import type { Fraction } from '@/core/1-base/units/convert';
import { centreAt, type Internal, internalsAt, type Stretch, workedAt } from '../beam/beam';
import { dot, minus, plus, times } from '@/core/1-base/numeric/vectors';

import { rootJoint } from '../joints/rootJoint';
import { beamLoads, type PullUp, type PullUps, spanShare, type SuppleAircraft } from './suppleAircraft';

/** Where an aircraft breaks, and by what. */
export interface Breaking {
  readonly factor: Fraction;
  readonly surface: string;
  readonly share: Fraction;
  readonly member: string;
  /** Name of the rod, where it is one. */
  readonly rod: string | null;
  readonly isPressed: boolean;
}

/** A section under loads that grow evenly with the load factor. */
interface Loaded {
  readonly surface: number;
  readonly place: number;
  readonly stretch: Stretch;
  readonly isJoint: boolean;
  readonly at: (factor: number) => Internal;
}

/** Places that are looked at closely once the hardest worked are known. */
const CLOSELY = 4;
/** More load than that nothing of board is asked for. */
const MOST = 100;
const ROUNDS = 12;

/** Everything that passes the ends of all stretches, by what is there at one and at two times the weight. */
function loadedSections(body: SuppleAircraft, one: PullUp, two: PullUp): Loaded[] {
  const all: Loaded[] = [];
  for (const [surface, beam] of body.beams) {
    const ends = beam.stretches.flatMap((stretch) =>
      [stretch.from, stretch.to].map((place) => ({ stretch, place, centre: centreAt(stretch, place) })),
    );
    const under = (pull: PullUp, loads: PullUp['bent']) => internalsAt(beamLoads(body, surface, loads, pull), ends);
    const [stiff, bent] = [
      [under(one, one.rigid), under(two, two.rigid)],
      [under(one, one.bent), under(two, two.bent)],
    ] as const;
    const sections = ends.map(({ stretch, place }, index): Loaded => {
      const [asDrawn, asBent] = [stiff, bent].map(([first, second]) => grown(first[index]!, second[index]!)) as [
        Grown,
        Grown,
      ];
      // What bends may be worked harder or less than what is stiff: the harder counts, so that stiffer is never worse.
      const at: Grown = (factor) => {
        const [a, b] = [asDrawn(factor), asBent(factor)];
        return bending(stretch, b) > bending(stretch, a) ? b : a;
      };
      return { surface, place, stretch, isJoint: false, at };
    });
    // A stretch is alike from end to end: only the end that is bent harder can break.
    for (let inner = 0; inner + 1 < sections.length; inner += 2) {
      const [a, b] = [sections[inner]!, sections[inner + 1]!];
      all.push(bending(b.stretch, b.at(START)) > bending(a.stretch, a.at(START)) ? b : a);
    }
    const joint = body.surfaces[surface]!.source.mirrored ? rootJoint(beam) : null;
    const root = sections[0];
    if (joint && root)
      all.push({ ...root, stretch: { ...root.stretch, whole: joint, shearStrength: Infinity }, isJoint: true });
  }
  return all;
}

type Grown = (factor: number) => Internal;

/** What grows evenly with the load factor, from what it is at one and at two. */
const grown =
  (one: Internal, two: Internal): Grown =>
  (factor) => ({
    force: plus(one.force, times(minus(two.force, one.force), factor - 1)),
    moment: plus(one.moment, times(minus(two.moment, one.moment), factor - 1)),
  });

const bending = ({ aft }: Stretch, { moment }: Internal): number => Math.abs(dot(moment, aft));

/** The load factor from which the search starts. */
const START = 3;

/**
 * The load factor at which the first section breaks at a speed; null where
 * nothing is known of any, or more than the most that is asked for.
 */
export function breakingAt(body: SuppleAircraft, pulls: PullUps | null): Breaking | 'never' | null {
  if (!pulls) return null;
  const [one, two] = [pulls(1), pulls(2)];
  const all = loadedSections(body, one, two);
  if (all.length === 0) return null;
  const shareOf = ({ stretch, at }: Loaded, factor: number) => workedAt(stretch, at(factor)).share;
  const hardest = all
    .map((loaded) => ({ loaded, share: shareOf(loaded, START) }))
    .toSorted((a, b) => b.share - a.share)
    .slice(0, CLOSELY);
  let least: { factor: number; loaded: Loaded } | null = null;
  for (const { loaded, share } of hardest) {
    const factor = factorAt((n) => shareOf(loaded, n), START, share);
    if (factor !== null && factor < (least?.factor ?? MOST)) least = { factor, loaded };
  }
  if (!least) return 'never';
  const { loaded, factor } = least;
  const { by } = workedAt(loaded.stretch, loaded.at(factor));
  const placed = body.surfaces[loaded.surface]!;
  return {
    factor,
    surface: placed.source.name || placed.id,
    share: spanShare(placed, loaded.place),
    member: loaded.isJoint ? 'joint' : by === 'shear' ? 'shear' : (by.fibre?.member ?? 'core'),
    rod: by === 'shear' ? null : (by.fibre?.rod ?? null),
    isPressed: by !== 'shear' && by.isPressed,
  };
}

/** Where a share that grows about evenly with the factor is 1; null beyond the most. */
function factorAt(share: (factor: number) => number, start: number, there: number): number | null {
  let [low, high] = there >= 1 ? [0, start] : [start, MOST];
  if (there < 1 && share(MOST) < 1) return null;
  let guess = there > 0 ? Math.min(high, Math.max(low, start / there)) : (low + high) / 2;
  for (let round = 0; round < ROUNDS && high - low > 1e-4 * high; round++) {
    const here = share(guess);
    if (Math.abs(here - 1) < 1e-4) return guess;
    if (here < 1) low = guess;
    else high = guess;
    const next = guess / here;
    guess = next > low && next < high ? next : (low + high) / 2;
  }
  return (low + high) / 2;
}
