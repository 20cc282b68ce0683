import { degreesFromRadians, radiansFromDegrees, type Degrees } from '@/core/1-base/units/convert';
import type { Control } from '@/core/2-document/schema/surface';

/**
 * Degrees of a control from its linkage: the rod carries arm sin(travel) over
 * to the horn, so sin δ = arm sin(travel)/horn. A pin that runs out of
 * quadrant is stopped there. Angles in degrees, lengths in mm.
 */
export interface LinkageTravel {
  readonly degrees: Degrees;
  /** True when the horn is so short that the rod would pull it past a quarter turn. */
  readonly binds: boolean;
}

export function linkageTravel({ travel, arm, horn }: NonNullable<Control['servo']>): LinkageTravel {
  const sine = (arm * Math.sin(radiansFromDegrees(travel))) / Math.max(horn, 1e-9);
  return sine >= 1 ? { degrees: 90, binds: true } : { degrees: degreesFromRadians(Math.asin(sine)), binds: false };
}

/** Horn height that gives a wanted travel [mm]. */
export function hornFor({ travel, arm }: NonNullable<Control['servo']>, degrees: number): number {
  return (arm * Math.sin(radiansFromDegrees(travel))) / Math.sin(radiansFromDegrees(degrees));
}
