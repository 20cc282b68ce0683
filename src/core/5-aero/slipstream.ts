import type { Design } from '@/core/2-document/schema/design';
import { metresFromMillimetres, vectorFromPoint } from '@/core/1-base/units/convert';
import { isTail, type Lattice } from './lattice';

/**
 * Air behind a propeller at level flight by momentum theory: far behind the
 * disc the dynamic pressure is q (1 + T/(qA)), in a stream narrowed to
 *
 *   R' = R √((1 + √(1 + c)) / (2 √(1 + c))),  c = T/(qA)
 *
 * Swirl is left out. Whether a tail lies in it follows from where disc and
 * tail are: behind the disc and within the stream; a pusher behind the tail
 * blows on nothing. Source: Glauert, The Elements of Aerofoil and Airscrew
 * Theory, 1926, ch. XV; good to ±20 % of the gain.
 */
export interface Slipstream {
  /** Dynamic pressure in the stream over that outside. */
  readonly pressureRatio: number;
  /** Share of the area of each tail surface that lies in it, by surface index. */
  readonly shares: ReadonlyMap<number, number>;
}

/** @param thrust thrust coefficient T/(qS), all drives together; reference area S in m² */
export function slipstreamOver(design: Design, lattice: Lattice, thrust: number, area: number): Slipstream {
  const discs = design.propulsion.flatMap((drive) => {
    const [x, y, z] = vectorFromPoint(drive.position);
    const radius = metresFromMillimetres(drive.propellerDiameter) / 2;
    return drive.mirrored
      ? [
          { x, y, z, radius },
          { x, y: -y, z, radius },
        ]
      : [{ x, y, z, radius }];
  });
  const discArea = discs.reduce((sum, { radius }) => sum + Math.PI * radius ** 2, 0);
  const shares = new Map<number, number>();
  if (discArea <= 0) return { pressureRatio: 1, shares };
  const loading = (thrust * area) / discArea;
  const jet = Math.sqrt(1 + loading);
  const narrowing = Math.sqrt((1 + jet) / (2 * jet));
  lattice.surfaces.forEach((surface, index) => {
    if (!isTail(surface)) return;
    let inside = 0;
    let whole = 0;
    for (const strip of lattice.strips) {
      if (strip.surface !== index) continue;
      const part = strip.width * strip.m.chord;
      whole += part;
      const isBlown = discs.some(
        ({ x, y, z, radius }) => strip.m.x > x && Math.hypot(strip.m.y - y, strip.m.z - z) < radius * narrowing,
      );
      if (isBlown) inside += part;
    }
    if (inside > 0) shares.set(index, inside / whole);
  });
  return { pressureRatio: 1 + loading, shares };
}
