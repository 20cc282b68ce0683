import type { RodStock } from './catalogue/rods';
import type { Surface } from './schema/surface';

type Spar = Surface['spars'][number];

/** Share of the span that a rod reaches as it is laid at first, and its place in the chord. */
export const REACH = 0.85;
const PLACE = 0.3;

/** A stock rod laid through 30 % of the chord, from the root to most of the span. @param reach share of the half span that it reaches */
export function laidRod(
  { spars, stations }: Pick<Surface, 'spars' | 'stations'>,
  stock: RodStock,
  reach: number = REACH,
): Spar {
  const [root, tip] = [stations[0]!, stations.at(-1)!];
  let id = 'rod';
  for (let number = 2; spars.some((spar) => spar.id === id); number++) id = `rod${number}`;
  return {
    ...stock,
    level: 'middle',
    id,
    start: { distanceFromRoot: 0, x: Math.round(PLACE * root.chord) },
    end: {
      distanceFromRoot: Math.round(reach * tip.distanceFromRoot),
      x: Math.round(reach * tip.leadingEdgeOffset + PLACE * (root.chord + reach * (tip.chord - root.chord))),
    },
  };
}
