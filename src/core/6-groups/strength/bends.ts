import type { MetresPerSecond } from '@/core/1-base/units/convert';
import { metresPerSecond, say, type Words } from '@/core/1-base/words/phrase';
import { isWing } from '@/core/2-document/schema/roles';
import type { Divergence } from '@/core/5-strength/aircraft/divergence';
import { breakingAt } from '@/core/5-strength/aircraft/breaking';
import { pitchEffects } from '@/core/5-strength/aircraft/effects';
import { type FlexedNode, flexed, momentsIn, pressureOf, shapeIn } from '@/core/5-strength/aircraft/flexed';
import { turnsOf } from '@/core/5-strength/aeroelastic/twists';
import type { PullUp, PullUps } from '@/core/5-strength/aircraft/pullUp';
import type { SuppleAircraft } from '@/core/5-strength/aircraft/suppleAircraft';
import { bandOf } from '@/core/5-strength/section/composite';
import type { StrengthContext } from './context';

export const NO_BOARD = 'Nobody says what its wings are made of: choose a material for them.';
const NO_TRIM = 'It does not come to trimmed flight, so what bends it is not known.';
const TOO_FAR =
  'It would bend or twist much further than small bending tells: by more than half of its half span, or thirty degrees.';
const NEVER = 'More than a hundred times its weight: nothing of board is asked for that.';
const ONE_WING = 'There are no two wings to differ.';

/** Deflections, what breaks, and what bending does to lift. */
export function bendsOf(context: StrengthContext) {
  const { body, cruise, dive, away, divergence, asked, solution, atCruise, atMiddle, atFastest } = context;
  const limit = atFastest?.(asked) ?? null;
  const surfaces =
    atCruise && atMiddle && atFastest && limit
      ? [...body.beams.keys()].map((surface) => along(body, surface, [atCruise, atMiddle, atFastest], limit))
      : [];
  const wing = mainWing(body);
  const tip = wing === null ? undefined : surfaces.find(({ surface }) => surface === nameAt(body, wing))?.nodes.at(-1);
  const breaks = breakingAt(body, atCruise);
  const inDive = dive < away ? breakingAt(body, atFastest) : null;
  const known = breaks !== null && breaks !== 'never' ? breaks : null;
  const { density } = solution.prepared.air;
  const keptAt = (speed: number) => (speed < away ? pitchEffects(body, pressureOf(density, speed)) : null);
  const kept = keptAt(cruise);
  const keptInDive = dive === cruise ? kept : keptAt(dive);
  const isSteep = divergence !== null && kept !== null && kept.liftSlopeKept > STEEPEST;
  const byBooms = cruise < away ? pitchEffects(body, pressureOf(density, cruise), 'booms') : null;
  const band = wing === null ? null : bandAtRoot(body, wing);
  const apart = flexApart(body, limit);
  const because = body.beams.size === 0 ? NO_BOARD : heldBack(context, cruise);
  const isTooFar = tip !== undefined && isFar(tip);
  const shownTip = isTooFar ? undefined : tip;
  return {
    values: {
      breakingLoadFactor: known?.factor ?? null,
      breakingBand: known ? band : null,
      breaksAt: known ? { surface: known.surface, spanFraction: known.share, member: known.rod ?? known.member } : null,
      breakingAtDive: inDive !== null && inDive !== 'never' ? inDive.factor : null,
      tipDeflection: shownTip?.cruise.bends ?? null,
      tipTwist: shownTip?.cruise.twists ?? null,
      deflectionBand: shownTip ? band : null,
      liftSlopeKept: kept && !isSteep ? kept.liftSlopeKept : null,
      neutralPointShift: kept?.neutralPointShift ?? null,
      neutralPointShiftByBooms: byBooms?.neutralPointShift ?? null,
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
        : reasonsOf(
            ['breakingAtDive'],
            inDive === 'never' ? NEVER : body.beams.size === 0 ? NO_BOARD : heldBack(context, dive),
          )),
      ...(shownTip
        ? {}
        : reasonsOf(
            ['tipDeflection', 'tipTwist', 'deflectionBand'],
            wing === null ? NO_BOARD : isTooFar ? TOO_FAR : because,
          )),
      ...(kept ? {} : reasonsOf(['liftSlopeKept', 'neutralPointShift'], because)),
      ...(byBooms ? {} : reasonsOf(['neutralPointShiftByBooms'], because)),
      ...(isSteep ? reasonsOf(['liftSlopeKept'], nearAway(divergence)) : {}),
      ...(keptInDive ? {} : reasonsOf(['neutralPointShiftAtDive'], heldBack(context, dive))),
      ...(limit ? {} : reasonsOf(['bentUpTo'], because)),
      ...(apart === null ? reasonsOf(['flexApart'], limit ? ONE_WING : because) : {}),
    },
  };
}

/** Why nothing is told of how it bends at a speed. */
export const heldBack = ({ divergence, away }: StrengthContext, speed: MetresPerSecond): Words =>
  divergence && speed >= away
    ? say`From ${metresPerSecond(divergence.speed)} on the air turns ${divergence.part} further than it holds: nothing is left to tell.`
    : NO_TRIM;

/** More lift slope than that as it bends, over that of a stiff one, says no more than that it is about to turn away. */
const STEEPEST = 3;

const nearAway = ({ speed, part }: Divergence): Words =>
  say`More than three times that of a stiff one: at ${metresPerSecond(speed)} the air turns ${part} away.`;

/** More than that of its half span, or more turn than that, is not small [rad]. */
const FAR = { span: 0.5, turn: 0.52 };

type Tip = ReturnType<typeof along>['nodes'][number];

const isFar = ({ y, cruise: { bends, twists } }: Tip): boolean =>
  Math.abs(bends) > FAR.span * y || Math.abs(twists) > FAR.turn;

export const reasonsOf = (keys: readonly string[], because: Words): Record<string, Words> =>
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
