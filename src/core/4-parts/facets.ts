import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import { boundsOf, rectangle } from '@/core/3-shape/outline/path';
import { type Region, regionsWithin } from './polygons';
import type { Facet, Seat } from './seat';

/** A flat stretch of a bent part, and what of its outline lies on it. */
export interface OnFacet extends Region {
  readonly facet: Facet;
}

/** A part cut along its bends into what is flat in space. */
export function flatPieces({ edge, holes }: Pick<PartOutline, 'edge' | 'holes'>, seat: Seat): OnFacet[] {
  if (seat.length === 1) return [{ facet: seat[0], edge, holes }];
  const { left, right, bottom, top } = boundsOf([edge]);
  return seat.flatMap((facet, index): OnFacet[] => {
    const next = seat[index + 1];
    const isAcross = facet.above !== undefined;
    const [low, high] = [
      isAcross ? Math.max(bottom, facet.above) : bottom,
      isAcross ? Math.min(top, next?.above ?? top) : top,
    ];
    // What lies before the first bend belongs to the first stretch.
    const [from, to] = isAcross
      ? [left, right]
      : [index === 0 ? left : Math.max(left, facet.from), Math.min(right, next?.from ?? right)];
    if (!(high > low) || !(to > from)) return [];
    return regionsWithin({ edge, holes }, rectangle(from, low, to, high)).map((region) => ({ facet, ...region }));
  });
}
