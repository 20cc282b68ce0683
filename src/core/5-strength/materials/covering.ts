import {
  kilogramsPerSquareMetre,
  type GramsPerSquareMetre,
  type KilogramsPerCubicMetre,
  squareMetresFromSquareMillimetres,
  type SquareMetres,
  type SquareMillimetres,
} from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';
import type { Covering } from './board';
import { gigapascals, megapascals, type Solid } from './solid';

type Kind = NonNullable<Surface['construction']>['covering'];

const solid = (young: number, shear: number, tension: number, compression: number, band: number): Solid => ({
  young: gigapascals(young),
  shear: gigapascals(shear),
  tension: megapascals(tension),
  compression: megapascals(compression),
  band,
});

/**
 * Packing tape is polypropylene film with a soft glue that is most of its
 * weight, iron-on film polyester with glue; tissue with dope; light glass cloth
 * in resin, by weight half of each. Moduli over the whole thickness as put on,
 * from the usual tables of films and laminates, C, ±40 %. Paint stiffens nothing.
 */
const COVERINGS: Readonly<Record<Kind, { readonly solid: Solid; readonly density: KilogramsPerCubicMetre } | null>> = {
  tape: { solid: solid(1.1, 0.4, 45, 15, 0.4), density: 930 },
  film: { solid: solid(1.8, 0.65, 70, 25, 0.4), density: 1200 },
  tissue: { solid: solid(2.5, 0.9, 25, 12, 0.4), density: 700 },
  glass: { solid: solid(12, 3, 150, 100, 0.3), density: 1700 },
  paint: null,
};

interface Fastened {
  readonly tapeArea: SquareMillimetres;
  readonly tapeDensity: GramsPerSquareMetre;
  readonly covering: Kind;
}

/** A covering on all of both faces, as thick as what there is makes it when it is spread over them; null for none. @param faces area of both faces [m²] */
export function coveringOf({ tapeArea, tapeDensity, covering }: Fastened, faces: SquareMetres): Covering | null {
  const known = COVERINGS[covering];
  const share = Math.min(1, squareMetresFromSquareMillimetres(tapeArea) / faces);
  if (!known || !(share > 0)) return null;
  return { solid: known.solid, thickness: (share * kilogramsPerSquareMetre(tapeDensity)) / known.density };
}

/** Film over ribs, of the sort that wings are covered with. */
export function filmOf(density: GramsPerSquareMetre): Covering {
  const { solid: film, density: own } = COVERINGS.film!;
  return { solid: film, thickness: kilogramsPerSquareMetre(density) / own };
}
