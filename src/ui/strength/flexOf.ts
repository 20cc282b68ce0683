import { degreesFromRadians, millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import { type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import { decimal, type DisplayUnits, formatLength } from '@/words/formatQuantity';
import type { Places } from '../sheet/scale';
import { bentBetween } from './bentBetween';

type Strength = Analysis['strength'];
type FlexedSurface = Strength['surfaces'][number];
type Node = FlexedSurface['nodes'][number];

/** Load factor and speed at which a wing is looked at [m/s]. */
export interface Pull {
  readonly factor: number;
  readonly speed: number;
}

/** Where a speed lies between that of cruise and that of the dive, by dynamic pressure. */
export function pressureShare(speed: number, [slow, fast]: readonly [number, number]): number {
  return fast > slow ? (speed ** 2 - slow ** 2) / (fast ** 2 - slow ** 2) : 0;
}

/** A number at a speed between three at which it is known: at cruise, midway by dynamic pressure, in the dive. */
export const between = (share: number, [first, middle, last]: readonly [number, number, number]): number =>
  2 * (share - 0.5) * (share - 1) * first + 4 * share * (1 - share) * middle + 2 * share * (share - 0.5) * last;

/** How far a node stands up and is turned under a pull [m, rad]: even with the load factor, and between three speeds with the dynamic pressure. */
export function flexAt(node: Node, { factor, speed }: Pull, speeds: readonly [number, number]) {
  const share = pressureShare(speed, speeds);
  const more = factor - 1;
  const at = (pick: (flex: Node['cruise']) => number) =>
    between(share, [pick(node.cruise), pick(node.between), pick(node.dive)]);
  return {
    bends: at(({ bends, bendsPerG }) => bends + more * bendsPerG),
    twists: at(({ twists, twistsPerG }) => twists + more * twistsPerG),
  };
}

/** Where that takes a tip, in words. */
export function tipWords({ bends, twists }: ReturnType<typeof flexAt>, units: DisplayUnits): string {
  const far = formatLength(millimetresFromMetres(Math.abs(bends)), units, 1);
  const turned = decimal(degreesFromRadians(Math.abs(twists)), 1);
  const way = turned === '0' ? 'less than 0.1°' : `${turned}° leading edge ${twists < 0 ? 'down' : 'up'}`;
  return `tip ${far} ${bends < 0 ? 'down' : 'up'}, turned ${way}`;
}

type Boom = Strength['booms'][number];

/** How the far end of a boom is turned under a pull, and by full yaw command at that speed [rad]; null where it is not known. */
export function boomAt(
  { cruise, between: middle, dive }: Boom,
  { factor, speed }: Pull,
  speeds: readonly [number, number],
) {
  if (!cruise || !middle || !dive) return null;
  const share = pressureShare(speed, speeds);
  const at = (pick: (flex: NonNullable<Boom['cruise']>) => number) =>
    between(share, [pick(cruise), pick(middle), pick(dive)]);
  return {
    pitch: at(({ pitch, pitchPerG }) => pitch + (factor - 1) * pitchPerG),
    yaw: at(({ yaw }) => yaw),
    roll: at(({ roll }) => roll),
  };
}

/** A surface from ahead, right half: the drawn line and the bent one, so many times as far [mm]. */
export function bentLine(
  surface: PlacedSurface,
  { nodes }: FlexedSurface,
  pull: Pull,
  speeds: readonly [number, number],
  enlarged: number,
): { readonly drawn: Places; readonly bent: Places } {
  const length = surface.stations.at(-1)!.distance;
  const known = nodes.map((node) => ({
    place: Math.min(node.spanFraction, 1) * length,
    bends: enlarged * flexAt(node, pull, speeds).bends,
  }));
  const line = bentBetween(known, STEPS).map(({ place, bends }) => {
    const { y, z, panel } = planformAt(surface, place);
    const [a, b] = [surface.stations[panel]!, surface.stations[panel + 1]!];
    const [dy, dz] = [b.y - a.y, b.z - a.z];
    const along = Math.hypot(dy, dz);
    return { y, z, bentY: y - (bends * dz) / along, bentZ: z + (bends * dy) / along };
  });
  return {
    drawn: line.map(({ y, z }) => [millimetresFromMetres(y), millimetresFromMetres(z)] as const),
    bent: line.map(({ bentY, bentZ }) => [millimetresFromMetres(bentY), millimetresFromMetres(bentZ)] as const),
  };
}

/** Places that are drawn of every stretch of a wing. */
const STEPS = 4;

/** What goes on along the right half of a surface, from the plane of symmetry [mm]. */
export function strengthCurves({ nodes }: FlexedSurface, pull: Pull, speeds: readonly [number, number]) {
  const along = (pick: (node: Node) => number): Places =>
    nodes.map((node) => [millimetresFromMetres(node.y), pick(node)] as const);
  return {
    level: along(({ moment }) => moment),
    limit: along(({ momentAtLimit }) => momentAtLimit),
    members: membersOf(nodes).map((member) => ({
      member,
      places: along(({ members }) => members.find((one) => one.member === member)?.share ?? 0),
    })),
    twist: along((node) => flexAt(node, pull, speeds).twists),
    bending: along(({ stiffness }) => stiffness),
    twisting: along(({ twistStiffness }) => twistStiffness),
  };
}

/** Members from the hardest worked on. */
function membersOf(nodes: readonly Node[]): readonly string[] {
  const most = new Map<string, number>();
  for (const { members } of nodes)
    for (const { member, share } of members) most.set(member, Math.max(share, most.get(member) ?? 0));
  return [...most].toSorted((a, b) => b[1] - a[1]).map(([member]) => member);
}
