import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import type { Lattice } from '@/core/5-aero/lattice';
import { developedLength } from '@/core/3-shape/geometry/layout';
import { factorise, solveFactored } from '@/core/5-aero/kernel/luFactors';

/** Shapes in which a surface twists: powers of the share of its span, nothing at its root. */
export interface TwistShapes {
  readonly surface: number;
  /** Values on the strips of the surface, shape by shape. */
  readonly values: readonly Float64Array[];
  /** Shares of the shapes that come nearest to given turns of its strips (least squares, by area). */
  readonly nearest: (turns: Float64Array) => Float64Array;
  /** What a turn of one strip adds to each of these shares [shape][strip]. */
  readonly byStrip: readonly Float64Array[];
}

/** A wing with rods that end twists in more ways than a tail does. */
const SHAPES = { wing: 3, other: 1 } as const;

/** Twists of one surface. Three powers give what wings do, kinks where rods end included, to half a percent of what six give. */
export function twistShapes({ surfaces, firstStrip, strips }: Lattice, surface: number, isWing: boolean): TwistShapes {
  const length = developedLength(surfaces[surface]!);
  const own = strips.slice(firstStrip[surface]!, firstStrip[surface + 1]!);
  const count = Math.min(own.length, isWing ? SHAPES.wing : SHAPES.other);
  const values = Array.from({ length: count }, (_, power) =>
    mapToNumbers(own, ({ middle }) => (middle / length) ** (power + 1)),
  );
  const weights = own.map(({ width, m }) => width * m.chord);
  const product = (a: Float64Array, b: Float64Array) =>
    weights.reduce((sum, w, strip) => sum + w * a[strip]! * b[strip]!, 0);
  const normal = new Float64Array(count * count);
  values.forEach((a, row) => values.forEach((b, column) => (normal[row * count + column] = product(a, b))));
  const factors = factorise(normal, count);
  const alone = own.map((_, strip) =>
    solveFactored(
      factors,
      mapToNumbers(values, (shape) => weights[strip]! * shape[strip]!),
    ),
  );
  return {
    surface,
    values,
    nearest: (turns) =>
      solveFactored(
        factors,
        mapToNumbers(values, (shape) => product(shape, turns)),
      ),
    byStrip: values.map((_, shape) => mapToNumbers(alone, (shares) => shares[shape]!)),
  };
}
