import type { Body, MassItem } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import { sliceAt } from '@/core/3-shape/geometry/bodySlice';

/** A box of equipment that does not fit into the body it sits in. */
export interface Misfit {
  readonly item: MassItem;
  readonly body: Body;
  readonly way: 'wide' | 'high';
  /** How much too large it is [mm]. */
  readonly by: number;
  /** Where along the datum line there is least room [mm]. */
  readonly at: number;
}

/** Narrower than this nobody can tell [mm]. */
const EASE = 0.5;

/** Width and height inside a body at a place along it [mm]; null where it does not reach. */
function insideAt(body: Body, x: number, board: number): { width: number; top: number; bottom: number } | null {
  const slice = sliceAt(body, x);
  return slice && { width: 2 * (slice.half - board), top: slice.top - board, bottom: slice.bottom + board };
}

/**
 * Boxes that are wider or higher than the inside of the body at the tightest
 * place over their length: outside less the board of both walls. A box whose
 * middle lies in no body, or that stands out in the wind, is not tested, nor
 * one without a size; boards upright have no inside.
 */
export function misfits(design: Design): Misfit[] {
  const thickness = new Map(design.materials.map((sheet) => [sheet.id, sheet.thickness]));
  return design.massItems.flatMap((item) => {
    const { size, position, inWind } = item;
    if (!size || inWind || size.length <= 0) return [];
    for (const body of design.bodies) {
      if (body.kind === 'plank') continue;
      const board = body.construction
        ? (thickness.get(body.construction.material) ?? 0) *
          body.construction.layers *
          (body.construction.truss ? 0 : 1)
        : 0;
      const middle = insideAt(body, position.x, board);
      const aside = Math.abs(Math.abs(position.y) - Math.abs(body.position.y));
      if (!middle || aside > middle.width / 2 || position.z > middle.top || position.z < middle.bottom) continue;
      // The inside changes linearly from frame to frame: it is tightest at an end of the box or at a frame between.
      const [from, to] = [position.x - size.length / 2, position.x + size.length / 2];
      const places = [
        from,
        to,
        ...body.frames.map((frame) => body.position.x + frame.x).filter((x) => x > from && x < to),
      ];
      const tight = places.flatMap((x) => {
        const inside = insideAt(body, x, board);
        return inside
          ? [
              { way: 'wide' as const, by: size.width - inside.width, at: x },
              { way: 'high' as const, by: size.height - (inside.top - inside.bottom), at: x },
            ]
          : [];
      });
      return (['wide', 'high'] as const).flatMap((way) => {
        const worst = tight.filter((place) => place.way === way).sort((a, b) => b.by - a.by)[0];
        return worst && worst.by > EASE ? [{ item, body, ...worst }] : [];
      });
    }
    return [];
  });
}
