import { expect, test } from 'vitest';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { demoDesign } from '#/demo';
import { type CaseInput, type FlowCase, solveCase, STILL_AIR } from './flowCase';
import { buildInfluence } from './influence';
import { buildLattice } from './lattice';

const lattice = buildLattice(demoDesign('harbour-steward').surfaces.map(placeSurface), { strips: 8, chordwise: 3 });
const influence = () => buildInfluence(lattice, { rise: 0 });

/** Rising and turning at once, in so many different shares. */
const cases = Array.from({ length: 12 }, (_, index): CaseInput => ({
  parity: index % 3 === 2 ? 'antisymmetric' : 'symmetric',
  onset:
    index % 3 === 2
      ? { ...STILL_AIR, turn: [-1, 0, index / 10] }
      : { ...STILL_AIR, linear: [index / 20, 0, 1], turn: [0, index / 5, 0] },
}));
const airOf = ({ u, v, w, legV, legW }: FlowCase) => [u, v, w, legV, legW];

test('the air of a case is the same by itself as beside others, whichever is asked first and however long it waits', () => {
  const alone = cases.map((input) => airOf(solveCase(influence(), input)));
  for (const order of [(index: number) => index, (index: number) => 11 - index, (index: number) => (7 * index) % 12]) {
    const matrices = influence();
    const solved = cases.map((input) => solveCase(matrices, input));
    for (const index of cases.keys()) expect(airOf(solved[order(index)]!)).toEqual(alone[order(index)]);
  }
});

test('what a case moves is Γ times what every horseshoe induces, and what streams past', () => {
  const matrices = influence();
  const [first, second] = [cases[1]!, cases[4]!].map((input) => solveCase(matrices, input));
  for (const one of [first!, second!]) {
    const { bound, legs } = matrices.half('symmetric');
    const { linear, turn } = one.onset;
    const n = lattice.panels;
    for (const panel of [0, 17, n - 1]) {
      let sum = linear[2] + turn[1] * matrices.forceX[panel]!;
      for (let j = 0; j < n; j++) sum += bound.w[panel * n + j]! * one.circulation[j]!;
      expect(one.w[panel]).toBeCloseTo(sum, 10);
    }
    const piece = 5;
    let sum = linear[2] + turn[1] * matrices.field.pieceX[piece]!;
    for (let j = 0; j < n; j++) sum += legs!.w[piece * n + j]! * one.circulation[j]!;
    expect(one.legW[piece]).toBeCloseTo(sum, 10);
  }
});
