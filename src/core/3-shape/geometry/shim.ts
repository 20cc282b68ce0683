import { degreesFromRadians, radiansFromDegrees } from '@/core/1-base/units/convert';
/**
 * Shim under one edge of a surface that turns it by an angle: the edge rises
 * by chord × tan(angle) when the other stays. Millimetres and degrees; any
 * angle within ±20°. Elementary geometry.
 */
export interface Shim {
  readonly edge: 'leading' | 'trailing';
  readonly thickness: number;
}

/** @param chord seat of the surface between its edges [mm] @param change nose-up turn that is wanted [°] */
export function shimFor(chord: number, change: number): Shim {
  return {
    edge: change >= 0 ? 'leading' : 'trailing',
    thickness: Math.abs(chord * Math.tan(radiansFromDegrees(change))),
  };
}

/** Turn that a shim gives [°], nose-up positive. */
export function turnOfShim(chord: number, { edge, thickness }: Shim): number {
  const turn = degreesFromRadians(Math.atan(thickness / chord));
  return edge === 'leading' ? turn : -turn;
}
