import {
  type Fraction,
  gramsFromKilograms,
  type Kilograms,
  millimetresFromMetres,
  squareMillimetresFromSquareMetres,
  type Vector3,
} from '@/core/1-base/units/convert';
import { dragItemSchema } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { isWing } from '@/core/2-document/schema/roles';
import type { Surface } from '@/core/2-document/schema/surface';
import { type Solved, solve } from '@/core/6-groups/solve';
import { changed } from '@/core/7-flight/toss/virtualToss';
import { trimmerOf } from '@/core/7-flight/toss/glider';
import { HAND_SPREADS } from './handSpreads';

/** What may be other than drawn, and shows in flight. */
export const FAULTS = ['balance', 'decalage', 'thrustLine', 'warp', 'softBoom', 'drag', 'mass'] as const;
export type Fault = (typeof FAULTS)[number];

/** What faults are told against: the drawing and its numbers. */
export interface Drawn {
  readonly design: Design;
  readonly numbers: Solved['numbers'];
  readonly mass: Kilograms;
  /** Where it balances [m]. */
  readonly about: Vector3;
  /** Surface whose angle against the wing trims it; null where it has none of its own. */
  readonly trimmer: string | null;
}

/** A design as what is seen of it is told against; null where it cannot be flown. */
export function drawnOf(design: Design): Drawn | null {
  const { solution, numbers } = solve(design, { without: ['bands', 'remedies'] });
  const mass = solution?.prepared.weights.properties?.total;
  if (!solution?.cruise.isTrimmed || mass === undefined) return null;
  return { design, numbers, mass, about: solution.prepared.about, trimmer: trimmerOf(design, numbers) };
}

const DECALAGE = Math.hypot(HAND_SPREADS.shimmed, HAND_SPREADS.hotGlue);
const THRUST_LINE = 1;
/** A boom as a builder leaves it, with its creases and joints, turns as far again. C. */
const SOFTER: Fraction = 1;

/** One standard deviation of a fault, in its unit: millimetres, degrees, or a share; null where it cannot be. */
export function sigmaOf(fault: Fault, { design, numbers, trimmer }: Drawn): number | null {
  switch (fault) {
    case 'balance': {
      const chord = numbers.reference.meanChord;
      return chord === null
        ? null
        : Math.hypot(HAND_SPREADS.balance, HAND_SPREADS.neutralPoint * millimetresFromMetres(chord));
    }
    case 'decalage':
      return trimmer === null ? null : DECALAGE;
    case 'thrustLine':
      return design.propulsion.length > 0 ? THRUST_LINE : null;
    case 'warp':
      return design.surfaces.some(isWarped) ? HAND_SPREADS.warp : null;
    case 'softBoom':
      return numbers.strength.boomPitchFactor === null ? null : SOFTER;
    case 'drag':
      return numbers.drag.total === null ? null : HAND_SPREADS.drag;
    case 'mass':
      return HAND_SPREADS.mass;
  }
}

const isWarped = (surface: Surface): boolean => isWing(surface) && surface.mirrored;

/** A design with a fault, and how much softer than computed its booms are. */
export interface Faulty {
  readonly design: Design;
  readonly boomsSofter: number;
}

/** The aircraft as it would be with a fault of a size in its unit: aft, nose up, down thrust, left nose up, softer, more. */
export function withFault(drawn: Drawn, fault: Fault, size: number): Faulty {
  const { design, numbers, mass, about } = drawn;
  const loaded = { mass, balance: about[0] };
  const stiff = (other: Design): Faulty => ({ design: other, boomsSofter: 1 });
  switch (fault) {
    case 'balance':
      return stiff(changed(design, loaded, { what: 'balance', by: size }));
    case 'decalage':
      return stiff(changed(design, loaded, { what: 'tail', by: size }));
    case 'thrustLine':
      return stiff({
        ...design,
        propulsion: design.propulsion.map((drive) => ({ ...drive, downThrust: drive.downThrust + size })),
      });
    case 'warp':
      return stiff({ ...design, surfaces: warped(design.surfaces, size) });
    case 'softBoom':
      return { design, boomsSofter: 1 + size };
    case 'drag': {
      const { total, induced } = numbers.drag;
      const { area } = numbers.reference;
      const dragArea = ((total ?? 0) - (induced ?? 0)) * (area ?? 0) * size;
      const [x, , z] = about.map(millimetresFromMetres) as [number, number, number];
      const item = dragItemSchema.parse({
        id: 'more-drag',
        dragArea: Math.max(0, squareMillimetresFromSquareMetres(dragArea)),
        position: { x, y: 0, z },
      });
      return stiff({ ...design, dragItems: [...design.dragItems, item] });
    }
    case 'mass':
      return stiff(changed(design, loaded, { what: 'mass', by: gramsFromKilograms(mass) * size }));
  }
}

const reach = (surface: Surface) => Math.max(...surface.stations.map(({ distanceFromRoot }) => distanceFromRoot));

/** The wing that a warp counts on: the widest of two halves. */
export const widestWing = (surfaces: Design['surfaces']): Surface | undefined =>
  surfaces.filter(isWarped).toSorted((a, b) => reach(b) - reach(a))[0];

/** Twice from tip to tip on the widest wing, the left tip nose up. */
function warped(surfaces: Design['surfaces'], size: number): Design['surfaces'] {
  const widest = widestWing(surfaces);
  return surfaces.map((surface) => {
    if (surface !== widest) return surface;
    const drawn = surface.stations.at(-1)!.twist;
    const side = (which: 'left' | 'right', by: number) => ({
      ...surface.asBuilt?.[which],
      tipTwist: (surface.asBuilt?.[which]?.tipTwist ?? drawn) + by,
    });
    return { ...surface, asBuilt: { left: side('left', size / 2), right: side('right', -size / 2) } };
  });
}
