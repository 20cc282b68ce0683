import { EigenvalueDecomposition, inverse, Matrix } from 'ml-matrix';
import type { Fraction, MetresPerSecond } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/flowCase';
import { feedbackAt } from '../aeroelastic/equations';
import { FASTEST, pressureAt } from './speeds';
import type { SuppleAircraft } from './suppleAircraft';

/** Where nothing holds against the air. */
export interface Divergence {
  readonly speed: MetresPerSecond;
  /** What then turns away: the surface, or the body that carries it, which would have to be stiffer. */
  readonly part: string;
}

const ROUNDS = 8;
const NEAR = 1e-5;

/**
 * The least speed at which twists feed themselves: every round of air and
 * bending, x → q K x, gives back at least as much as it took. With λ the
 * eigenvalues of q K that is where the greatest real part among them is one;
 * by the determinant of I − q K two wings that turn away at nearly the same
 * speed would be overlooked. Of both halves the slower; null up to the fastest.
 * Source: Bisplinghoff, Ashley & Halfman, Aeroelasticity, 1955, ch. 8.
 */
export function divergenceOf(body: SuppleAircraft): Divergence | null {
  let speed = FASTEST;
  let found: Divergence | null = null;
  for (const parity of ['symmetric', 'antisymmetric'] as const) {
    let { grows, parts } = feedback(body, parity, speed);
    if (grows < 1) continue;
    // Left and right against one another it hangs a little on the speed what one speed more answers.
    for (let round = 0; round < ROUNDS && Math.abs(grows - 1) > NEAR && grows > 0; round++) {
      speed /= Math.sqrt(grows);
      ({ grows, parts } = feedback(body, parity, speed));
    }
    found = { speed, part: parts() };
  }
  return found;
}

/** By how much a round of air and bending grows at most, and what part of the aircraft it hangs on. */
function feedback(body: SuppleAircraft, parity: Parity, speed: MetresPerSecond) {
  const { body: supple } = body.equations(parity, pressureAt(body, speed));
  const { size } = supple;
  if (size === 0) return { grows: 0, parts: () => '' };
  const fed = new Matrix(size, size);
  feedbackAt(supple, pressureAt(body, speed)).forEach((value, index) =>
    fed.set(Math.floor(index / size), index % size, value),
  );
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(fed, { assumeSymmetric: false });
  const grows = Math.max(...realEigenvalues);
  return {
    grows,
    parts: () => hangsOn(body, parity, participation(eigenvectorMatrix, realEigenvalues, grows)),
  };
}

/**
 * How much an eigenvalue grows as each row does, y_i x_i with the left vector y
 * and the right one x: what is stiffer by a hundredth takes so many hundredths
 * of it away. Of a complex pair, whose real and imaginary parts are columns,
 * both together. Source: Wilkinson, The Algebraic Eigenvalue Problem, 1965, ch. 2.
 */
function participation(vectors: Matrix, values: readonly number[], wanted: number): Fraction[] {
  const left = inverse(vectors, true);
  const alike = values.flatMap((value, which) => (value === wanted ? [which] : []));
  return values.map((_, row) => alike.reduce((sum, which) => sum + vectors.get(row, which) * left.get(which, row), 0));
}

function hangsOn({ surfaces, booms, ...body }: SuppleAircraft, parity: Parity, shares: readonly Fraction[]): string {
  const supple = parity === 'symmetric' ? body.alike : body.opposite();
  let row = 0;
  const take = (rows: number) => shares.slice(row, (row += rows)).reduce((sum, share) => sum + share, 0);
  const parts = [
    ...supple.shapes.map(({ surface, values }) => {
      const { source, id } = surfaces[surface]!;
      return { name: source.name || id, share: take(values.length) };
    }),
    ...booms.filter(({ beam }) => beam !== null).map(({ body: own }) => ({ name: own.name || own.id, share: take(3) })),
  ];
  return parts.toSorted((a, b) => b.share - a.share)[0]!.name;
}
