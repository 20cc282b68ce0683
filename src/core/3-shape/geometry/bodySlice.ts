import type { Millimetres } from '@/core/1-base/units/convert';
import type { Body } from '@/core/2-document/schema/airframe';

/** A body cut across at a place along the datum line, outside measures. */
export interface BodySlice {
  readonly half: Millimetres;
  readonly top: Millimetres;
  readonly bottom: Millimetres;
}

/** The slice at a place, straight from frame to frame; null where the body does not reach. */
export function sliceAt({ frames, position }: Body, x: Millimetres): BodySlice | null {
  const along = x - position.x;
  const next = frames.findIndex((frame) => frame.x >= along);
  if (next < 0 || along < frames[0]!.x) return null;
  const b = frames[next]!;
  const a = frames[Math.max(0, next - 1)]!;
  const share = a === b ? 0 : (along - a.x) / (b.x - a.x);
  const between = (key: 'width' | 'top' | 'bottom') => a[key] + (b[key] - a[key]) * share;
  return { half: between('width') / 2, top: position.z + between('top'), bottom: position.z + between('bottom') };
}
