import { metresFromMillimetres, type Metres, type Vector3 } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { developedLength, type PlacedSurface, planformAt } from './layout';

/** What is fixed within so much of the chord ahead of a wing or behind it sits on the wing. */
const NEAR = 0.6;

/** Half of the widest body in the middle: what lies farther out sits on a wing [mm]. */
export const bodyHalf = ({ bodies }: Pick<Design, 'bodies'>): number =>
  Math.max(
    0,
    ...bodies.filter(({ mirrored }) => !mirrored).flatMap(({ frames }) => frames.map(({ width }) => width / 2)),
  );

/** How far from the root of a surface a place in plan [mm] lies on it; null where it does not [m]. */
export function placeOnSurface(surface: PlacedSurface, x: number, y: number): Metres | null {
  const out = metresFromMillimetres(Math.abs(y) - surface.source.position.y);
  if (out < 0 || out > developedLength(surface)) return null;
  const { x: edge, chord } = planformAt(surface, out);
  const aft = metresFromMillimetres(x) - edge;
  return aft > -NEAR * chord && aft < (1 + NEAR) * chord ? out : null;
}

/** Distance from the root of the place on a surface that is nearest to a point [m]. */
export function distanceAt({ stations }: PlacedSurface, [, y, z]: Vector3): Metres {
  let best = 0;
  let nearest = Infinity;
  for (let panel = 0; panel + 1 < stations.length; panel++) {
    const [a, b] = [stations[panel]!, stations[panel + 1]!];
    const [dy, dz] = [b.y - a.y, b.z - a.z];
    const length = dy ** 2 + dz ** 2;
    const share = length > 0 ? Math.min(1, Math.max(0, ((y - a.y) * dy + (z - a.z) * dz) / length)) : 0;
    const apart = Math.hypot(y - a.y - share * dy, z - a.z - share * dz);
    if (apart < nearest) {
      nearest = apart;
      best = a.distance + share * (b.distance - a.distance);
    }
  }
  return best;
}
