import { contourOf } from '@/core/3-shape/section/contour';
import type { PlacedStation, PlacedSurface } from '@/core/3-shape/geometry/layout';
import { millimetresFromMetres, type Metres, type SquareMetres } from '@/core/1-base/units/convert';

/** Length of both faces of a section, nose to trailing edge and back [m]. */
function girth({ section, chord }: PlacedStation): Metres {
  const { x, upper, lower } = contourOf(section, millimetresFromMetres(chord));
  let length = 0;
  for (let index = 1; index < x.length; index++) {
    const along = x[index]! - x[index - 1]!;
    length += Math.hypot(along, upper[index]! - upper[index - 1]!);
    length += Math.hypot(along, lower[index]! - lower[index - 1]!);
  }
  return length * chord;
}

/**
 * Wetted area of both faces [m²], of both sides where the surface is mirrored:
 * the girth of the section along the board, ∫ g ds, g changing evenly over a
 * panel. What a fuselage covers is counted; edges and tips are not. Sweep
 * shears a panel and keeps its area.
 */
export function wettedAreaOf({ stations, mirrored }: PlacedSurface): SquareMetres {
  let area = 0;
  for (let index = 1; index < stations.length; index++) {
    const [inner, outer] = [stations[index - 1]!, stations[index]!];
    area += ((girth(inner) + girth(outer)) / 2) * (outer.distance - inner.distance);
  }
  return (mirrored ? 2 : 1) * area;
}
