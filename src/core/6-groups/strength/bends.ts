import { isWing } from '@/core/2-document/schema/roles';
import { breakingAt } from '@/core/5-strength/aircraft/breaking';
import { pitchEffects } from '@/core/5-strength/aircraft/effects';
import { type FlexedNode, flexed, momentsIn, pressureOf, shapeIn } from '@/core/5-strength/aircraft/flexed';
import { turnsOf } from '@/core/5-strength/aeroelastic/supple';
import type { PullUp, PullUps } from '@/core/5-strength/aircraft/pullUp';
import type { SuppleAircraft } from '@/core/5-strength/aircraft/suppleAircraft';
import { bandOf } from '@/core/5-strength/section/composite';
import type { StrengthContext } from './context';

export const NO_BOARD = 'Nobody says what its wings are made of: choose a material for them.';
const UNSETTLED = 'The air bends it more than it holds at this speed: it twists or bends away.';
const NEVER = 'More than a hundred times its weight: nothing of board is asked for that.';
const ONE_WING = 'There are no two wings to differ.';

/** Deflections, what breaks, and what bending does to lift. */
export function bendsOf({ body, cruise, dive, asked, solution, atCruise, atMiddle, atDive }: StrengthContext) {
  const limit = atDive?.(asked) ?? null;
  const surfaces =
    atCruise && atMiddle && atDive && limit
      ? [...body.beams.keys()].map((surface) => along(body, surface, [atCruise, atMiddle, atDive], limit))
      : [];
  const wing = mainWing(body);
  const tip = wing === null ? undefined : surfaces.find(({ surface }) => surface === nameAt(body, wing))?.nodes.at(-1);
  const breaks = breakingAt(body, atCruise);
  const inDive = breakingAt(body, atDive);
  const known = breaks !== null && breaks !== 'never' ? breaks : null;
  const { density } = solution.prepared.air;
  const kept = pitchEffects(body, pressureOf(density, cruise));
  const keptInDive = dive === cruise ? kept : pitchEffects(body, pressureOf(density, dive));
  const band = wing === null ? null : bandAtRoot(body, wing);
  const apart = flexApart(body, limit);
  const because = body.beams.size === 0 ? NO_BOARD : UNSETTLED;
  return {
    values: {
      breakingLoadFactor: known?.factor ?? null,
      breakingBand: known ? band : null,
      breaksAt: known ? { surface: known.surface, spanFraction: known.share, member: known.rod ?? known.member } : null,
      breakingAtDive: inDive !== null && inDive !== 'never' ? inDive.factor : null,
      tipDeflection: tip?.cruise.bends ?? null,
      tipTwist: tip?.cruise.twists ?? null,
      deflectionBand: tip ? band : null,
      liftSlopeKept: kept?.liftSlopeKept ?? null,
      neutralPointShift: kept?.neutralPointShift ?? null,
      neutralPointShiftAtDive: keptInDive?.neutralPointShift ?? null,
      flexApart: apart,
      surfaces,
    },
    reasons: {
      ...(known
        ? {}
        : reasonsOf(['breakingLoadFactor', 'breakingBand', 'breaksAt'], breaks === 'never' ? NEVER : because)),
      ...(inDive !== null && inDive !== 'never'
        ? {}
        : reasonsOf(['breakingAtDive'], inDive === 'never' ? NEVER : because)),
      ...(tip ? {} : reasonsOf(['tipDeflection', 'tipTwist', 'deflectionBand'], wing === null ? NO_BOARD : UNSETTLED)),
      ...(kept ? {} : reasonsOf(['liftSlopeKept', 'neutralPointShift'], UNSETTLED)),
      ...(keptInDive ? {} : reasonsOf(['neutralPointShiftAtDive'], UNSETTLED)),
      ...(apart === null ? reasonsOf(['flexApart'], limit ? ONE_WING : because) : {}),
    },
  };
}

export const reasonsOf = (keys: readonly string[], because: string): Record<string, string> =>
  Object.fromEntries(keys.map((key) => [key, because]));

const nameAt = (body: SuppleAircraft, surface: number): string => {
  const { source, id } = body.surfaces[surface]!;
  return source.name || id;
};

/** The wing that is told of: the widest that is known. */
function mainWing(body: SuppleAircraft): number | null {
  let best: number | null = null;
  let span = 0;
  for (const surface of body.beams.keys()) {
    const placed = body.surfaces[surface]!;
    const reach = placed.stations.at(-1)!.distance;
    if (isWing(placed.source) && reach > span) [best, span] = [surface, reach];
  }
  return best;
}

type FlexAt = (index: number) => Readonly<Record<'bends' | 'bendsPerG' | 'twists' | 'twistsPerG', number>>;

/** A rod by its name where it has one. */
const rodName = (body: SuppleAircraft, surface: number, id: string): string =>
  body.surfaces[surface]!.source.spars.find((spar) => spar.id === id)?.name || id;

function along(body: SuppleAircraft, surface: number, speeds: readonly [PullUps, PullUps, PullUps], limit: PullUp) {
  const level = momentsIn(body, surface, speeds[0](1));
  const [cruise, middle, dive] = speeds.map((pulls) => {
    const [one, two] = [shapeIn(body, surface, pulls(1)), shapeIn(body, surface, pulls(2))];
    return (index: number) => ({
      bends: one[index]!.bends,
      bendsPerG: two[index]!.bends - one[index]!.bends,
      twists: one[index]!.twists,
      twistsPerG: two[index]!.twists - one[index]!.twists,
    });
  }) as [FlexAt, FlexAt, FlexAt];
  return {
    id: body.surfaces[surface]!.id,
    surface: nameAt(body, surface),
    nodes: flexed(body, surface, limit).map((node: FlexedNode, index) => ({
      spanFraction: node.share,
      y: node.y,
      moment: level[index]!,
      momentAtLimit: node.moment,
      cruise: cruise(index),
      between: middle(index),
      dive: dive(index),
      members: node.members.map(({ member, rod, share }) => ({
        member: rod === null ? member : rodName(body, surface, rod),
        share: Math.min(MOST_WORKED, share),
      })),
      worked: Math.min(MOST_WORKED, node.worked),
      member: node.member,
      stiffness: node.stiffness,
      twistStiffness: node.twistStiffness,
    })),
  };
}

/** Beyond that how hard something is worked says no more than that it breaks. */
const MOST_WORKED = 19;

/** Band of the stiffness about the root, where most of the bending is. */
function bandAtRoot(body: SuppleAircraft, surface: number): number {
  const { sections } = body.beams.get(surface)!;
  const inner = sections.slice(0, Math.max(1, Math.round(sections.length / 3)));
  return inner.reduce((sum, { whole }) => sum + bandOf(whole), 0) / inner.length;
}

/** Two wings: how much more the front one is turned, by its mean over the span, than the other. */
function flexApart(body: SuppleAircraft, limit: PullUp | null): number | null {
  const wings = [...body.beams.keys()].filter((surface) => isWing(body.surfaces[surface]!.source));
  if (wings.length < 2 || !limit) return null;
  const ordered = wings.toSorted((a, b) => body.surfaces[a]!.stations[0]!.x - body.surfaces[b]!.stations[0]!.x);
  const meanOf = (surface: number) => {
    const { firstStrip, strips } = body.alike.lattice;
    const turns = turnsOf(body.beams.get(surface)!, body.alike.lattice, surface, body.passing.bent(surface, limit));
    let [sum, area] = [0, 0];
    turns.forEach((turn, local) => {
      const { width, m } = strips[firstStrip[surface]! + local]!;
      sum += turn * width * m.chord;
      area += width * m.chord;
    });
    return sum / area;
  };
  return meanOf(ordered[0]!) - meanOf(ordered.at(-1)!);
}
