import type { RodStock } from './catalogue/rods';
import type { Surface } from './schema/surface';

type Spar = Surface['spars'][number];

/** Share of the span that a rod reaches as it is laid at first. */
export const REACH = 0.85;
/** Its place in the chord: the thickest part, or where no other rod lies yet, forward before aft. */
const PLACES = [0.3, 0.24, 0.36, 0.18, 0.42, 0.12, 0.48, 0.54] as const;
/** Board that stays between two rods [mm]. */
const BETWEEN = 2;

/** A stock rod laid from the root to most of the span, beside those that lie there. @param reach share of the half span that it reaches */
export function laidRod(surface: Pick<Surface, 'spars' | 'stations'>, stock: RodStock, reach: number = REACH): Spar {
  const { spars } = surface;
  let id = 'rod';
  for (let number = 2; spars.some((spar) => spar.id === id); number++) id = `rod${number}`;
  const lines = PLACES.map((place) => lineAt(surface, place, reach));
  const line = lines.find((candidate) => spars.every((spar) => isClear(candidate, stock, spar))) ?? lines[0]!;
  return { ...stock, level: 'middle', id, ...line };
}

/** Along one share of the chord. Millimetres. */
function lineAt({ stations }: Pick<Surface, 'stations'>, place: number, reach: number): Pick<Spar, 'start' | 'end'> {
  const [root, tip] = [stations[0]!, stations.at(-1)!];
  return {
    start: { distanceFromRoot: 0, x: Math.round(place * root.chord) },
    end: {
      distanceFromRoot: Math.round(reach * tip.distanceFromRoot),
      x: Math.round(reach * tip.leadingEdgeOffset + place * (root.chord + reach * (tip.chord - root.chord))),
    },
  };
}

/** Whether a rod along a line stays beside another over the stretch that both have; straight lines are nearest at its ends. */
function isClear(line: Pick<Spar, 'start' | 'end'>, { width }: RodStock, other: Spar): boolean {
  const from = Math.max(line.start.distanceFromRoot, other.start.distanceFromRoot);
  const to = Math.min(line.end.distanceFromRoot, other.end.distanceFromRoot);
  if (to < from) return true;
  const apart = [from, to].map((at) => xAt(line, at) - xAt(other, at));
  const least = (width + other.width) / 2 + BETWEEN;
  return apart.every((gap) => gap >= least) || apart.every((gap) => gap <= -least);
}

function xAt({ start, end }: Pick<Spar, 'start' | 'end'>, distance: number): number {
  const length = end.distanceFromRoot - start.distanceFromRoot;
  return length === 0 ? start.x : start.x + ((end.x - start.x) * (distance - start.distanceFromRoot)) / length;
}
