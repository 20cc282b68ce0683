import type { Control } from '@/core/2-document/schema/surface';

/**
 * Degrees of a control from its linkage: the rod carries arm sin(travel) over
 * to the horn, so sin δ = arm sin(travel)/horn. A pin that runs out of
 * quadrant is stopped there. Angles in degrees, lengths in mm.
 */
export interface LinkageTravel {
  readonly degrees: number;
  /** True when the horn is so short that the rod would pull it past a quarter turn. */
  readonly binds: boolean;
}

export function linkageTravel({ travel, arm, horn }: NonNullable<Control['servo']>): LinkageTravel {
  const sine = (arm * Math.sin((travel * Math.PI) / 180)) / Math.max(horn, 1e-9);
  return sine >= 1 ? { degrees: 90, binds: true } : { degrees: (Math.asin(sine) * 180) / Math.PI, binds: false };
}

/** Horn height that gives a wanted travel [mm]. */
export function hornFor({ travel, arm }: NonNullable<Control['servo']>, degrees: number): number {
  return (arm * Math.sin((travel * Math.PI) / 180)) / Math.sin((degrees * Math.PI) / 180);
}
