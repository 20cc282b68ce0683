import type { MetresPerSecond, Vector3 } from '@/core/1-base/units/convert';
import { isWing } from '@/core/2-document/schema/roles';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import type { SectionData } from '@/core/3-shape/section/lowReynolds';
import { stripData } from '@/core/5-aero/polar';
import type { Prepared } from '@/core/6-groups/solution/prepare';
import { type StallingSection, stallingSection } from './separation';

/** One strip of one side. The left one is seen in the mirror: y outboard, as on the right. */
export interface StripNode {
  readonly strip: number;
  /** 1 right, −1 left, 0 a surface in the middle. */
  readonly side: 1 | -1 | 0;
  readonly chord: number;
  readonly width: number;
  /** Quarter chord of its middle, and the way up from the board, in its own mirror. */
  readonly place: Vector3;
  readonly up: readonly [y: number, z: number];
  readonly section: StallingSection;
  readonly data: SectionData;
}

/** A strip on the right with its left behind it, or one in the middle. */
export const pairsOf = (nodes: readonly StripNode[]): readonly (readonly number[])[] =>
  nodes.flatMap(({ side }, i) => (side === -1 ? [] : [side === 1 ? [i, i + 1] : [i]]));

/** Share of the area of all wings that each strip is; none on other surfaces. */
export function liftingShares({ lattice }: Prepared, nodes: readonly StripNode[]): Float64Array {
  const areas = nodes.map(({ strip, chord, width }) =>
    isWing(lattice.surfaces[lattice.strips[strip]!.surface]!) ? chord * width : 0,
  );
  const whole = areas.reduce((sum, area) => sum + area, 0);
  return Float64Array.from(areas, (area) => area / whole);
}

/** All strips, right before left, with their sections at a speed. */
export function nodesOf({ lattice, sections, air, about }: Prepared, speed: MetresPerSecond): StripNode[] {
  const data = stripData(sections, air, speed);
  const aspects = lattice.surfaces.map((surface) => {
    const area = integratePlanforms([surface], 'true')!.area;
    return ((surface.mirrored ? 2 : 1) * surface.stations.at(-1)!.distance) ** 2 / area;
  });
  return lattice.strips.flatMap((strip, index): StripNode[] => {
    const own = data[index]!;
    const { m, width, tangentY, tangentZ, surface } = strip;
    const node = {
      strip: index,
      chord: m.chord,
      width,
      place: [m.x + m.chord / 4 - about[0], m.y, m.z - about[2]] as Vector3,
      up: [-tangentZ, tangentY] as const,
      section: stallingSection(
        2 * Math.PI * own.liftSlopeFactor,
        { above: own.maximumLift, below: own.invertedLift },
        aspects[surface]!,
      ),
      data: own,
    };
    return lattice.surfaces[surface]!.mirrored
      ? [
          { ...node, side: 1 },
          { ...node, side: -1 },
        ]
      : [{ ...node, side: 0 }];
  });
}
