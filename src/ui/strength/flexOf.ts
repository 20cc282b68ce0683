import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Analysis } from '@/core/analyse';
import { type PlacedSurface, planformAt } from '@/core/3-shape/geometry/layout';
import type { Places } from '../sheet/scale';

type Strength = Analysis['strength'];
type FlexedSurface = Strength['surfaces'][number];
type Node = FlexedSurface['nodes'][number];

/** Load factor and speed at which a wing is looked at [m/s]. */
export interface Pull {
  readonly factor: number;
  readonly speed: number;
}

/** How far a node stands up and is turned under a pull [m, rad]: even with the load factor, and between both speeds with the dynamic pressure. */
export function flexAt({ cruise, dive }: Node, { factor, speed }: Pull, speeds: readonly [number, number]) {
  const [slow, fast] = speeds;
  const share = fast > slow ? (speed ** 2 - slow ** 2) / (fast ** 2 - slow ** 2) : 0;
  const more = factor - 1;
  const mix = (atCruise: number, inDive: number) => atCruise + (inDive - atCruise) * share;
  return {
    bends: mix(cruise.bends + more * cruise.bendsPerG, dive.bends + more * dive.bendsPerG),
    twists: mix(cruise.twists + more * cruise.twistsPerG, dive.twists + more * dive.twistsPerG),
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
  const drawn = nodes.map(({ spanFraction }) => {
    const { y, z, panel } = planformAt(surface, Math.min(spanFraction, 1) * length);
    const [a, b] = [surface.stations[panel]!, surface.stations[panel + 1]!];
    const [dy, dz] = [b.y - a.y, b.z - a.z];
    const along = Math.hypot(dy, dz);
    return { y, z, up: [-dz / along, dy / along] as const };
  });
  return {
    drawn: drawn.map(({ y, z }) => [millimetresFromMetres(y), millimetresFromMetres(z)] as const),
    bent: drawn.map(({ y, z, up }, index) => {
      const off = enlarged * flexAt(nodes[index]!, pull, speeds).bends;
      return [millimetresFromMetres(y + off * up[0]), millimetresFromMetres(z + off * up[1])] as const;
    }),
  };
}

/** What goes on along the right half of a surface, from the plane of symmetry [mm]. */
export function strengthCurves({ nodes }: FlexedSurface, pull: Pull, speeds: readonly [number, number]) {
  const along = (pick: (node: Node) => number): Places =>
    nodes.map((node) => [millimetresFromMetres(node.y), pick(node)] as const);
  return {
    level: along(({ moment }) => moment),
    limit: along(({ momentAtLimit }) => momentAtLimit),
    worked: along(({ worked }) => worked),
    twist: along((node) => flexAt(node, pull, speeds).twists),
    bending: along(({ stiffness }) => stiffness),
    twisting: along(({ twistStiffness }) => twistStiffness),
  };
}
