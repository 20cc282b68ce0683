import { EigenvalueDecomposition, inverse, LuDecomposition, Matrix } from 'ml-matrix';
import type { Fraction, MetresPerSecond } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/influence';
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
/** So nearly the same multiple of one another two rounds grow alike. */
const ALIKE = 1e-12;

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
    let fed = feedback(body, parity, speed);
    let { grows, parts } = growth(body, parity, fed);
    if (grows < 1) continue;
    // Where a mount rolls it hangs a little on the speed what one speed more answers.
    for (let round = 0; round < ROUNDS && Math.abs(grows - 1) > NEAR && grows > 0; round++) {
      const by = 1 / grows;
      speed *= Math.sqrt(by);
      const next = feedback(body, parity, speed);
      if (next.every((value, index) => Math.abs(value - by * fed[index]!) <= ALIKE * Math.abs(value))) break;
      fed = next;
      ({ grows, parts } = growth(body, parity, fed));
    }
    found = { speed, part: parts() };
  }
  return found;
}

/** A round of air and bending at a speed, row by row. */
function feedback(body: SuppleAircraft, parity: Parity, speed: MetresPerSecond): Float64Array {
  const pressure = pressureAt(body, speed);
  return feedbackAt(body.equations(parity, pressure).body, pressure);
}

/** By how much a round of air and bending grows at most, and what part of the aircraft it hangs on. */
function growth(body: SuppleAircraft, parity: Parity, fed: Float64Array) {
  if (fed.length === 0) return { grows: 0, parts: () => '' };
  const size = Math.sqrt(fed.length);
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(Matrix.from1DArray(size, size, fed), {
    assumeSymmetric: false,
  });
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
  const factors = new LuDecomposition(vectors);
  // Two alike that share a vector leave no inverse: the nearest to one serves.
  const left = factors.isSingular() ? inverse(vectors, true) : factors.solve(Matrix.eye(values.length));
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
