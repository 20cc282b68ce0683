import type { Fraction } from '@/core/1-base/units/convert';
import { type Worked, workedBy } from '../beam/beam';
import { CUT, PART, type Passing, placeOfCut } from '../beam/passing';
import type { Stretch } from '../beam/stretch';
import { rootJoint } from '../joints/rootJoint';
import type { PullUp, PullUps } from './pullUp';
import { spanShare, type SuppleAircraft } from './suppleAircraft';

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

/** What passes a beam in pull-ups of one and of two times the weight; everything grows evenly with it. */
type Grown = readonly [one: Passing, two: Passing];

/** A cut of a beam under loads that grow evenly with the load factor. */
interface Loaded {
  readonly surface: number;
  readonly place: number;
  readonly stretch: Stretch;
  readonly isJoint: boolean;
  readonly cut: number;
  readonly asDrawn: Grown;
  readonly asBent: Grown;
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
    const { stiff, bent } = body.passing;
    const asDrawn = [stiff(surface, one), stiff(surface, two)] as const;
    const asBent = [bent(surface, one), bent(surface, two)] as const;
    const pressed = (cut: number) => {
      const at = cut + PART.upward;
      return Math.max(Math.abs(partAt(asDrawn, at, START)), Math.abs(partAt(asBent, at, START)));
    };
    beam.stretches.forEach((stretch, index) => {
      const [inner, outer] = [placeOfCut(index, CUT.inner), placeOfCut(index, CUT.outer)];
      // A stretch is alike from end to end: only the end that is bent harder can break.
      const isInner = pressed(outer) <= pressed(inner);
      const [place, cut] = isInner ? [stretch.from, inner] : [stretch.to, outer];
      all.push({ surface, place, stretch, isJoint: false, cut, asDrawn, asBent });
    });
    const joint = body.surfaces[surface]!.source.mirrored ? rootJoint(beam) : null;
    const root = beam.stretches[0];
    if (joint && root) {
      const stretch = { ...root, whole: joint, shearStrength: Infinity };
      const cut = placeOfCut(0, CUT.inner);
      all.push({ surface, place: root.from, stretch, isJoint: true, cut, asDrawn, asBent });
    }
  }
  return all;
}

/** What bends may be worked harder or less than what is stiff: the harder counts, so that stiffer is never worse. */
function harder({ asDrawn, asBent }: Pick<Loaded, 'asDrawn' | 'asBent'>, cut: number, factor: number): Grown {
  const upward = (of: Grown) => Math.abs(partAt(of, cut + PART.upward, factor));
  return upward(asBent) > upward(asDrawn) ? asBent : asDrawn;
}

/** What grows evenly with the load factor, from what passes at one and at two. */
const partAt = ([one, two]: Grown, at: number, factor: number): number =>
  one[at]! + (two[at]! - one[at]!) * (factor - 1);

/** How hard moments and shear work a cut. */
function workedIn(loaded: Loaded, factor: number): Worked {
  const { stretch, cut } = loaded;
  const by = harder(loaded, cut, factor);
  const part = (which: number) => partAt(by, cut + which, factor);
  return workedBy(stretch, part(PART.upward), part(PART.rearward), part(PART.shear));
}

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
  const shareOf = (loaded: Loaded, factor: number) => workedIn(loaded, factor).share;
  const leastFrom = (start: number) => {
    const hardest = all
      .map((loaded) => ({ loaded, share: shareOf(loaded, start) }))
      .toSorted((a, b) => b.share - a.share)
      .slice(0, CLOSELY);
    let least: { readonly factor: number; readonly loaded: Loaded } | null = null;
    for (const { loaded, share } of hardest) {
      const factor = factorAt((n) => shareOf(loaded, n), start, share);
      if (factor !== null && factor < (least?.factor ?? MOST)) least = { factor, loaded };
    }
    return least;
  };
  const found = leastFrom(START);
  // Far below, what the air bends without any pull may be worked harder than what was hardest worked there.
  const isLow = found !== null && found.factor < START / 2;
  const alone = isLow ? all.find((loaded) => shareOf(loaded, 0) >= 1) : undefined;
  const nearer = alone ? { factor: 0, loaded: alone } : isLow ? leastFrom(found.factor) : null;
  const least = nearer && nearer.factor < found!.factor ? nearer : found;
  if (!least) return 'never';
  const { loaded, factor } = least;
  const { by } = workedIn(loaded, factor);
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
  // Whether it breaks under the most is asked only where that is near.
  let breaks = there >= 1;
  let guess = there > 0 ? start / there : Infinity;
  for (let round = 0; round < ROUNDS && high - low > 1e-4 * high; round++) {
    if (!breaks && guess >= high) {
      if (share(MOST) < 1) return null;
      breaks = true;
    }
    if (!(guess > low && guess < high)) guess = (low + high) / 2;
    const here = share(guess);
    if (Math.abs(here - 1) < 1e-4) return guess;
    if (here < 1) low = guess;
    else {
      high = guess;
      breaks = true;
    }
    guess = guess / here;
  }
  return breaks || share(MOST) >= 1 ? (low + high) / 2 : null;
}
