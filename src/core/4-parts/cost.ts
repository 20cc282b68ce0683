import { metresFromMillimetres, squareMetresFromSquareMillimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { glueOf } from './glue';
import type { Layout } from './layout';
import { CARD, type CutList } from './part';

/** What is bought, and what it costs; null where its price is not known. */
export interface Cost {
  readonly boards: number | null;
  readonly rods: number | null;
  readonly glue: number | null;
  readonly covering: number | null;
}

/** Glue is sold by so much [g]. */
const GLUE_SOLD = 100;

/** Boards by the sheet, rods by their own price or that of all, glue and covering as parts say they need. */
export function costOf(design: Design, { rods }: CutList, { sheets }: Layout): Cost {
  const { materials, surfaces, bodies, prices } = design;
  const built = [...surfaces, ...bodies].flatMap(({ construction, mirrored }) =>
    construction ? [{ ...construction, sides: mirrored ? 2 : 1 }] : [],
  );
  const glue = built.reduce((sum, { sides, ...part }) => sum + glueOf(part, design.figures?.glue) * sides, 0);
  const covering = built.reduce((sum, { tapeArea }) => sum + squareMetresFromSquareMillimetres(tapeArea), 0);
  return {
    boards: sumOf(
      sheets
        .filter(({ material }) => material !== CARD)
        .map(({ material }) => materials.find(({ id }) => id === material)?.price),
    ),
    rods: sumOf(
      rods.map(({ price = prices.rod, count, length }) =>
        price === undefined ? undefined : price * count * metresFromMillimetres(length),
      ),
    ),
    glue: glue > 0 ? priced(prices.glue, glue / GLUE_SOLD) : 0,
    covering: covering > 0 ? priced(prices.covering, covering) : 0,
  };
}

const priced = (price: number | undefined, count: number): number | null =>
  price === undefined ? null : price * count;

function sumOf(prices: readonly (number | undefined)[]): number | null {
  let sum = 0;
  for (const price of prices) {
    if (price === undefined) return null;
    sum += price;
  }
  return sum;
}
