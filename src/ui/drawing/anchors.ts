import { millimetresFromMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { planformAt } from '@/core/3-shape/geometry/layout';

/** A point of the aircraft that can be measured from [mm]: x aft, y right, z up. */
export interface Anchor {
  /** Stays the same while the point moves. */
  readonly id: string;
  readonly words: string;
  readonly at: readonly [x: number, y: number, z: number];
}

/** Corners of surfaces and hinges, frames of bodies, middles of equipment, wheels and propellers; right halves only. */
export function anchorsOf(design: Design, placed: readonly PlacedSurface[]): Anchor[] {
  const nameOf = ({ name, id }: { readonly name: string; readonly id: string }) => name || id;
  const surfaces = placed.flatMap((surface) => {
    const { stations, source } = surface;
    const name = nameOf(source);
    const corners = stations.flatMap((station, index): Anchor[] => {
      const where = index === 0 ? 'root' : index === stations.length - 1 ? 'tip' : `station ${index + 1}`;
      const [x, y, z] = [station.x, station.y, station.z].map(millimetresFromMetres) as [number, number, number];
      return [
        { id: `${source.id} ${index} front`, words: `${name}, ${where}, leading edge`, at: [x, y, z] },
        {
          id: `${source.id} ${index} rear`,
          words: `${name}, ${where}, trailing edge`,
          at: [x + millimetresFromMetres(station.chord), y, z],
        },
      ];
    });
    const length = stations.reduce(
      (sum, { y, z }, index) =>
        index === 0 ? 0 : sum + Math.hypot(y - stations[index - 1]!.y, z - stations[index - 1]!.z),
      0,
    );
    const hinges = source.controls
      .filter(({ allMoving }) => !allMoving)
      .flatMap((control) =>
        (
          [
            ['inboard', control.from, control.hingeInboard],
            ['outboard', control.to, control.hingeOutboard],
          ] as const
        ).map(([end, share, hinge]): Anchor => {
          const { x, y, z, chord } = planformAt(surface, share * length);
          return {
            id: `${source.id} ${control.id} ${end}`,
            words: `${nameOf(control)}, ${end} end of the hinge`,
            at: [x + hinge * chord, y, z].map(millimetresFromMetres) as [number, number, number],
          };
        }),
      );
    return [...corners, ...hinges];
  });
  const bodies = design.bodies.flatMap((body) =>
    body.frames.flatMap(({ x, top, bottom }, index): Anchor[] =>
      (
        [
          ['top', top],
          ['bottom', bottom],
        ] as const
      ).map(([edge, z]) => ({
        id: `${body.id} ${index} ${edge}`,
        words: `${nameOf(body)}, frame ${index + 1}, ${edge}`,
        at: [body.position.x + x, body.position.y, body.position.z + z],
      })),
    ),
  );
  const middles = [...design.massItems, ...design.propulsion, ...design.wheels].map((part): Anchor => {
    const { x, y, z } = part.position;
    return { id: `${part.id} middle`, words: `middle of ${'name' in part ? nameOf(part) : 'a wheel'}`, at: [x, y, z] };
  });
  return [...surfaces, ...bodies, ...middles];
}

/** The anchor nearest to a place of a view, within reach [mm]. */
export function nearestAnchor(
  anchors: readonly Anchor[],
  view: 'plan' | 'side',
  [x, across]: readonly [number, number],
  reach: number,
): Anchor | null {
  const away = ({ at }: Anchor) => Math.hypot(at[0] - x, (view === 'plan' ? at[1] : at[2]) - across);
  const [best] = anchors.filter((anchor) => away(anchor) <= reach).sort((a, b) => away(a) - away(b));
  return best ?? null;
}
