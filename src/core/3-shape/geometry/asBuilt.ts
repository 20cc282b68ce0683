import { type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Control } from '@/core/2-document/schema/surface';
import type { PlacedSurface } from './layout';

/**
 * Angles measured on the airframe against the drawn ones: the mean of both
 * sides, which the symmetric problem flies with, and half their difference
 * (right minus left), which asks for roll and yaw trim. A side that was not
 * measured is taken as drawn. Radians.
 */
export interface BuiltAngles {
  readonly meanIncidence: Radians;
  readonly halfIncidence: Radians;
  /** Twist of the tip against the root, beyond the drawn one. */
  readonly meanTipTwist: Radians;
  readonly halfTipTwist: Radians;
}

export function builtAngles({ source, incidence, stations }: PlacedSurface): BuiltAngles {
  const drawnTwist = stations.at(-1)!.twist;
  const side = (which: 'left' | 'right') => {
    const measured = source.asBuilt?.[which];
    return {
      incidence: measured?.incidence === undefined ? incidence : radiansFromDegrees(measured.incidence),
      twist: measured?.tipTwist === undefined ? drawnTwist : radiansFromDegrees(measured.tipTwist),
    };
  };
  const left = side('left');
  const right = side('right');
  return {
    meanIncidence: (left.incidence + right.incidence) / 2,
    halfIncidence: (right.incidence - left.incidence) / 2,
    meanTipTwist: (left.twist + right.twist) / 2 - drawnTwist,
    halfTipTwist: (right.twist - left.twist) / 2,
  };
}

/** Where a control stands with the stick in the middle, trailing edge down: measured where it was, else as drawn. */
export function standsAt({ neutral, asBuilt }: Pick<Control, 'neutral' | 'asBuilt'>): {
  readonly mean: Radians;
  /** Half of right less left. */
  readonly half: Radians;
  /** A single one has no left side. */
  readonly right: Radians;
} {
  const [left, right] = [asBuilt?.left, asBuilt?.right].map((angle) => radiansFromDegrees(angle ?? neutral)) as [
    Radians,
    Radians,
  ];
  return { mean: (left + right) / 2, half: (right - left) / 2, right };
}

/** How far the tail is turned against the wing, seen from behind with its right side down: what was measured on bodies. */
export const builtTwist = ({ bodies }: Pick<Design, 'bodies'>): Radians =>
  radiansFromDegrees(bodies.reduce((sum, { asBuilt }) => sum + (asBuilt?.twist ?? 0), 0));
