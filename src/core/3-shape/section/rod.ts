import { metresFromMillimetres, type Metres, type SquareMetres } from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';

type RodShape = Pick<Surface['spars'][number], 'shape' | 'width' | 'height' | 'innerDiameter'>;

/** A rod seen from its end. */
export interface RodSection {
  readonly area: SquareMetres;
  readonly height: Metres;
  readonly width: Metres;
  /** Second moment of area about its own middle, bent upwards and sideways [m⁴]. */
  readonly secondMoment: number;
  readonly sideways: number;
  /** Section modulus upwards, second moment over half the height [m³]; 0 for a rod without size. */
  readonly modulus: number;
}

/**
 * Round rod π d⁴/64, tube π (d⁴ − d_i⁴)/64, rectangle w h³/12 (Gere, Mechanics
 * of Materials, appendix E). A round one is as high as its diameter.
 */
export function rodSection({ shape, width, height, innerDiameter }: RodShape): RodSection {
  const [w, h] = [metresFromMillimetres(width), metresFromMillimetres(shape === 'rectangle' ? height : width)];
  const inner = shape === 'tube' ? Math.min(h, metresFromMillimetres(innerDiameter)) : 0;
  const round = (Math.PI * (h ** 4 - inner ** 4)) / 64;
  const secondMoment = shape === 'rectangle' ? (w * h ** 3) / 12 : round;
  return {
    area: shape === 'rectangle' ? w * h : (Math.PI * (h ** 2 - inner ** 2)) / 4,
    height: h,
    width: w,
    secondMoment,
    sideways: shape === 'rectangle' ? (h * w ** 3) / 12 : round,
    modulus: h > 0 ? (2 * secondMoment) / h : 0,
  };
}
