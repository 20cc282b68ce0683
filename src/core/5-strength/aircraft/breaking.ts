import type { Fraction } from '@/core/1-base/units/convert';
import { type BeamLoad, centreAt, type Internal, internalAt, type Stretch, workedAt } from '../beam/beam';
import { dot, minus, plus, times } from '../beam/vectors';

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
    const source = body.surfaces[surface]!.source;
    const under = (pull: PullUp, loads: PullUp['bent']) => beamLoads(body, surface, loads, pull);
    const pairs = [
      [under(one, one.rigid), under(two, two.rigid)],
      [under(one, one.bent), under(two, two.bent)],
    ] as const;
    const put = (stretch: Stretch, place: number, isJoint: boolean) => {
      const both = pairs.map(([first, second]) => grown(first, second, place, stretch));
      // What bends may be worked harder or less than what is stiff: the harder counts, so that stiffer is never worse.
      const harder = both.reduce((a, b) => (bending(stretch, b) > bending(stretch, a) ? b : a));
      all.push({ surface, place, stretch, isJoint, at: harder });
    };
    beam.stretches.forEach((stretch) => {
      put(stretch, stretch.from, false);
      put(stretch, stretch.to, false);
    });
    const joint = source.mirrored ? rootJoint(beam) : null;
    const first = beam.stretches[0];
    if (joint && first) put({ ...first, whole: joint, shearStrength: Infinity }, 0, true);
  }
  return all;
}

function grown(
  first: readonly BeamLoad[],
  second: readonly BeamLoad[],
  place: number,
  stretch: Stretch,
): (factor: number) => Internal {
  const centre = centreAt(stretch, place);
  const a = internalAt(first, place, centre);
  const b = internalAt(second, place, centre);
  return (factor) => ({
    force: plus(a.force, times(minus(b.force, a.force), factor - 1)),
    moment: plus(a.moment, times(minus(b.moment, a.moment), factor - 1)),
  });
}

const bending = ({ aft }: Stretch, at: (factor: number) => Internal): number => Math.abs(dot(at(1).moment, aft));

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
  const start = 3;
  const hardest = all
    .map((loaded) => ({ loaded, share: shareOf(loaded, start) }))
    .toSorted((a, b) => b.share - a.share)
    .slice(0, CLOSELY);
  let least: { factor: number; loaded: Loaded } | null = null;
  for (const { loaded, share } of hardest) {
    const factor = factorAt((n) => shareOf(loaded, n), start, share);
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
