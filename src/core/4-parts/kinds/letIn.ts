import { type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import { millimetres, say, type Words } from '@/core/1-base/words/phrase';
import type { MassItem } from '@/core/2-document/schema/airframe';
import type { Surface } from '@/core/2-document/schema/surface';
import { type Path, type Point, polygon } from '@/core/3-shape/outline/path';
import { isInside } from '@/core/3-shape/outline/partOutline';
import { cutOut, type Region } from '../polygons';
import { edgesAt } from './panels';

/** A servo that is let into a surface: where its middle lies along the board and behind the root’s nose, and how large it is. */
export interface LetIn {
  readonly name: string;
  readonly distance: Millimetres;
  readonly x: Millimetres;
  readonly alongChord: Millimetres;
  readonly alongSpan: Millimetres;
}

/** Room round a servo, and how far off the board its middle may lie beyond half its height [mm]. */
const ROUND: Millimetres = 0.5;
const OFF: Millimetres = 4;

/** Servos whose box stands in a surface on its right side. */
export function servosIn(surface: Surface, massItems: readonly MassItem[]): LetIn[] {
  const { stations, position } = surface;
  const whole = stations.at(-1)!.distanceFromRoot;
  return massItems.flatMap(({ category, size, position: own, name, id }): LetIn[] => {
    if (category !== 'servo' || !size || size.length <= 0 || size.width <= 0) return [];
    let [y, z, from]: [Millimetres, Millimetres, Millimetres] = [position.y, position.z, 0];
    for (let panel = 0; panel + 1 < stations.length; panel++) {
      const length = stations[panel + 1]!.distanceFromRoot - stations[panel]!.distanceFromRoot;
      const turn = radiansFromDegrees(stations[panel]!.dihedral);
      const [cosine, sine] = [Math.cos(turn), Math.sin(turn)];
      const [dy, dz] = [Math.abs(own.y) - y, own.z - z];
      const along = dy * cosine + dz * sine;
      const off = Math.abs(dz * cosine - dy * sine);
      if (along > 0 && along <= length && off <= size.height / 2 + OFF) {
        const distance = from + along;
        const { nose, chord } = edgesAt(surface, distance);
        const x = own.x - position.x;
        const isWithin =
          x - size.length / 2 > nose &&
          x + size.length / 2 < nose + chord &&
          distance - size.width / 2 > 0 &&
          distance + size.width / 2 < whole;
        // On its side in the wing: its length lies along the chord.
        return isWithin
          ? [
              {
                name: name || id,
                distance,
                x,
                alongChord: size.length + 2 * ROUND,
                alongSpan: size.width + 2 * ROUND,
              },
            ]
          : [];
      }
      [y, z, from] = [y + length * cosine, z + length * sine, from + length];
    }
    return [];
  });
}

/** Its corners on a part, by where a place along the board and behind the root’s nose lies on it. */
export const openingOn = (
  { distance, x, alongChord, alongSpan }: LetIn,
  place: (distance: Millimetres, x: Millimetres) => Point,
): Path =>
  polygon(
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([a, b]) => place(distance + (a! * alongSpan) / 2, x + (b! * alongChord) / 2)),
  );

/** A part with what is let into it cut out, as far as it lies wholly on it. */
export function withLetIn(
  region: Region,
  servos: readonly LetIn[],
  place: (distance: Millimetres, x: Millimetres) => Point,
): Region & { readonly notes: readonly Words[] } {
  const own = servos
    .map((servo) => ({ servo, path: openingOn(servo, place) }))
    .filter(({ path }) => path.vertices.every(({ x, y }) => isInside([x, y], region.edge)));
  if (own.length === 0) return { ...region, notes: [] };
  const left = cutOut(
    region,
    own.map(({ path }) => path),
  );
  return {
    edge: left?.edge ?? region.edge,
    holes: left?.holes ?? region.holes,
    notes: own.map(
      ({ servo: { name } }) => say`${name} is let in from below, ${millimetres(ROUND, 1)} of play all round`,
    ),
  };
}
