import { radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import { polygon } from '@/core/3-shape/outline/path';
import type { Developed, Place3 } from '../develop';
import { anticlockwise } from '../polygons';
import { nameOfSurface } from './panels';

/** Length of a row of places up to each. */
export const lengths = (points: readonly (readonly [number, number])[]): number[] => {
  let sum = 0;
  return points.map(([x, z], index) => {
    if (index > 0) sum += Math.hypot(x - points[index - 1]![0], z - points[index - 1]![1]);
    return sum;
  });
};

/** A contour where its station is: turned by its twist about the nose, set back by its offset. */
export const placed = (
  points: readonly (readonly [number, number])[],
  { twist, leadingEdgeOffset, distanceFromRoot }: Station,
): Place3[] => {
  const angle = radiansFromDegrees(twist);
  const [cosine, sine] = [Math.cos(angle), Math.sin(angle)];
  return points.map(([x, z]) => [leadingEdgeOffset + x * cosine + z * sine, distanceFromRoot, z * cosine - x * sine]);
};

/** Along the board to the right, nose up: developed skins grow to +y from the end of the lower skin; upside down they lie as they are folded. */
export const skinOutline = ({ near, far }: Developed) => anticlockwise(polygon([...near, ...far.toReversed()]));

/** A panel by its name; the only one by that of its surface. */
export const labelOf = (surface: Surface, panel: number): string =>
  surface.stations.length > 2 ? `${nameOfSurface(surface)}, panel ${panel + 1}` : nameOfSurface(surface);
