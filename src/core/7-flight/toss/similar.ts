import type { Metres } from '@/core/1-base/units/convert';

/** What a dynamically alike small one is, and what its board makes of it. */
export interface Small {
  readonly mass: number;
  readonly boardMass: number;
  readonly ballast: number;
  readonly span: Metres;
  readonly speedRatio: number;
  readonly reynoldsRatio: number;
  readonly inertiaRatio: number;
}

/**
 * Similarity at equal lift and Froude number: mass λ³, speed and time √λ,
 * inertia λ⁵, Reynolds number λ^1.5. Cut of the same board it weighs λ² of the
 * large one’s board; ballast at the balance point makes up the mass where that
 * is less, not the inertia. [exact] @param boardMass of everything that is cut [kg]
 */
export function similar(
  { mass, span, boardMass }: { readonly mass: number; readonly span: Metres; readonly boardMass: number },
  scale: number,
): Small {
  const [wanted, board] = [mass * scale ** 3, boardMass * scale ** 2];
  return {
    mass: wanted,
    boardMass: board,
    ballast: wanted - board,
    span: span * scale,
    speedRatio: Math.sqrt(scale),
    reynoldsRatio: scale ** 1.5,
    inertiaRatio: scale ** 5,
  };
}
