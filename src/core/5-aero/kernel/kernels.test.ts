import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { KERNELS, useKernel } from './inUse';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { buildLattice } from '../lattice';
import { solveCase, STILL_AIR } from '../flowCase';
import { buildInfluence } from '../influence';
import { induceAlong, velocityRow } from '../inducedVelocity';
import { vortexField } from '../vortexField';
import { wakesChanged } from '../wakeChange';
import { factorise, multiplyRows, SingularMatrixError, solveFactored, solveTogether } from './luFactors';

const compiled = KERNELS.compiled!;

/** Numbers from −1 to 1, the same for a seed. */
function numbers(length: number, seed: number): Float64Array {
  let state = seed;
  return Float64Array.from(
    { length },
    () => ((state = (state * 1103515245 + 12345) % 2147483648) / 2147483648) * 2 - 1,
  );
}

/** A matrix that is far from singular; its first `from` unknowns stand for themselves. */
function soundMatrix(size: number, seed: number, from = 0): Float64Array {
  const matrix = numbers(size * size, seed);
  for (let i = 0; i < size; i++) {
    for (let j = 0; j < size; j++) if (i < from || j < from) matrix[i * size + j] = 0;
    matrix[i * size + i]! += i < from ? 1 : size / 4;
  }
  return matrix;
}

/** What is asked, by the kernel in TypeScript and by the compiled one. */
function byBoth<T>(ask: () => T): [T, T] {
  return [KERNELS.reference, compiled].map((kernel) => {
    const back = useKernel(kernel);
    try {
      return ask();
    } finally {
      back();
    }
  }) as [T, T];
}

function expectAlike(got: Float64Array, wanted: Float64Array): void {
  const most = wanted.reduce((largest, value) => Math.max(largest, Math.abs(value)), 0);
  expect(got).toHaveLength(wanted.length);
  // What is no number stays in the largest.
  const off = got.reduce((largest, value, index) => Math.max(largest, Math.abs(value - wanted[index]!)), 0);
  expect(off).toBeLessThanOrEqual(1e-9 * most);
}

test('the compiled kernel is to be had here', () => {
  expect(KERNELS.compiled).not.toBeNull();
});

test('factors and answers of both kernels are alike to 1e-9, for every size, block and lead', () => {
  forAll(
    60,
    [
      fc.integer({ min: 12, max: 90 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.integer({ min: 0, max: 11 }),
      fc.integer({ min: 1, max: 1e6 }),
    ],
    (size, share, from, seed) => {
      const block = from + 1 + Math.floor((size - from - 1) * share);
      const matrix = soundMatrix(size, seed, from);
      const rights = [1, 2, 3, 4, 5, 6, 7].map((side) => numbers(size, seed + side));
      // Sides that begin with noughts skip what they need not take off.
      rights.forEach((right, side) => right.fill(0, 0, side % 2 ? Math.floor(size / 2) : 0));
      const [wanted, got] = byBoth(() => {
        const factors = factorise(matrix, size, { block, from });
        return {
          factors,
          whole: solveFactored(factors, rights[0]!),
          leading: solveFactored(factors, rights[0]!, block),
          together: solveTogether(factors, rights),
          late: solveTogether(factors, [rights[1]!, rights[3]!]),
        };
      });
      expectAlike(got.factors.values, wanted.factors.values);
      expect(got.factors.order).toEqual(wanted.factors.order);
      expectAlike(got.whole, wanted.whole);
      expectAlike(got.leading, wanted.leading);
      got.together.forEach((one, side) => expectAlike(one, wanted.together[side]!));
      got.late.forEach((one, side) => expectAlike(one, wanted.late[side]!));
    },
  );
});

test('products of both kernels are alike, with any number of rows, beside others as by themselves', () => {
  forAll(
    60,
    [
      fc.integer({ min: 12, max: 90 }),
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 0, max: 11 }),
      fc.integer({ min: 1, max: 4 }),
      fc.integer({ min: 1, max: 1e6 }),
    ],
    (columns, rows, from, count, seed) => {
      const matrices = [numbers(rows * columns, seed), numbers((rows + 1) * columns, seed + 9)];
      const sides = Array.from({ length: count }, (_, side) => numbers(columns, seed + 1 + side));
      const [wanted, got] = byBoth(() => multiplyRows(matrices, columns, sides, from));
      matrices.forEach((a, which) =>
        sides.forEach((x, side) => {
          const product = got[which]![side]!;
          expectAlike(product, wanted[which]![side]!);
          const last = a.subarray(a.length - columns);
          const byHand = last.reduce((sum, value, j) => sum + (j < from ? 0 : value * x[j]!), 0);
          expect(product.at(-1)).toBeCloseTo(byHand, 10);
          expect(byBoth(() => multiplyRows([a], columns, [x], from)[0]![0]!)[1]).toEqual(product);
        }),
      );
    },
  );
});

test.each(DEMO_NAMES)('%s: what horseshoes induce is alike, on boards, beside and behind them', (name) => {
  const lattice = buildLattice(demoDesign(name).surfaces.map(placeSurface), { strips: 9, chordwise: 3 });
  const field = vortexField(lattice, { rise: 0 });
  const { m, surface } = lattice.strips[Math.floor(lattice.strips.length / 2)]!;
  for (const [line, xs] of [
    [{ y: m.y, z: m.z, own: surface }, [m.x + 0.3 * m.chord, m.x + 0.7 * m.chord, m.x + 0.9 * m.chord]],
    [{ y: -m.y, z: m.z, own: surface }, [m.x, m.x + m.chord]],
    [{ y: field.edgeY[1]!, z: field.edgeZ[1]!, own: -1 }, [field.cornerX[2]! + 1e-3, 3, -2, 0.1, 0.2]],
  ] as const) {
    const [wanted, got] = byBoth(() => {
      const rows = xs.map(() => velocityRow(lattice.panels));
      induceAlong(field, line, xs, rows);
      return rows;
    });
    got.forEach((row, index) => {
      const all = (of: typeof row) => Float64Array.from([...of.u, ...of.v, ...of.w]);
      expectAlike(all(row), all(wanted[index]!));
    });
  }
});

test.each([
  ['up', { rise: 0.12 }],
  ['up and to the right', { rise: 0.08, drift: 0.05 }],
])('wakes that go %s, and what moves when they turn, are alike', (_, direction) => {
  const lattice = buildLattice(demoDesign('harbour-steward').surfaces.map(placeSurface), { strips: 8, chordwise: 3 });
  const field = vortexField(lattice, direction);
  const [strengths, images] = [numbers(field.edges, 9), numbers(field.edges, 10)];
  for (const strip of [lattice.strips[0]!, lattice.strips.at(-1)!]) {
    const { m, surface } = strip;
    for (const line of [
      { y: m.y, z: m.z, own: surface },
      { y: -m.y, z: m.z, own: surface },
      { y: m.y + 0.01, z: m.z - 0.02, own: -1 },
    ]) {
      const xs = [m.x, m.x + 0.4 * m.chord, m.x + 2 * m.chord];
      const asked = { ...line, xs, normal: [0, 1], row: 0, from: 0, to: lattice.panels } as const;
      const [wanted, got] = byBoth(() => {
        const rows = xs.map(() => velocityRow(lattice.panels));
        induceAlong(field, line, xs, rows);
        const turned = wakesChanged(field, [strengths, images], [asked, { ...asked, z: line.z + 0.1 }]);
        // The second of the last pair is the last point again, or nothing. Wakes that go aside do not turn.
        const isKnown = (index: number) => !('drift' in direction) && (index % 24 < 12 || index % 2 === 0);
        const known = turned.filter((_, index) => isKnown(index));
        return Float64Array.from([...rows.flatMap(({ u, v, w }) => [...u, ...v, ...w]), ...known]);
      });
      expectAlike(got, wanted);
    }
  }
});

test.each(DEMO_NAMES)('%s: both half problems are written alike, wakes straight and bent', (name) => {
  const lattice = buildLattice(demoDesign(name).surfaces.map(placeSurface), { strips: 7, chordwise: 3 });
  for (const rise of [0, 0.1]) {
    const [wanted, got] = byBoth(() => {
      const matrices = buildInfluence(lattice, { rise });
      const [symmetric, antisymmetric] = [matrices.half('symmetric'), matrices.half('antisymmetric')];
      return [symmetric, antisymmetric]
        .flatMap(({ bound, legs }) => [bound.u, bound.v, bound.w, legs!.v, legs!.w])
        .concat(matrices.symmetricNormal(), symmetric.factors.values, antisymmetric.factors.values)
        .map((matrix) => matrix.slice());
    });
    got.forEach((matrix, index) => expectAlike(matrix, wanted[index]!));
  }
});

test('what is induced is worked out again where newer lattices took its room', () => {
  const back = useKernel(compiled);
  const lattice = buildLattice(demoDesign('lagoon-postman').surfaces.map(placeSurface), { strips: 14, chordwise: 4 });
  const matrices = buildInfluence(lattice, { rise: 0 });
  const rising = { parity: 'symmetric', onset: { ...STILL_AIR, linear: [0, 0, 1] } } as const;
  const before = solveCase(matrices, rising);
  const { u: moved } = before;
  const first = matrices.half('symmetric');
  for (let count = 0; count < 30; count++) buildInfluence(lattice, { rise: 0.001 * count });
  const after = solveCase(matrices, rising);
  expect(matrices.half('symmetric')).not.toBe(first);
  for (const name of ['u', 'v', 'w', 'legV', 'legW'] as const) expect(after[name]).toEqual(before[name]);
  expect(before.u).toBe(moved);
  expect(() => multiplyRows([first.bound.u], lattice.panels, [before.circulation])).toThrow(/newer ones have taken/);
  back();
});

test('the half of left and right opposite, first asked for when its room is taken, is what it would have been', () => {
  const back = useKernel(compiled);
  const lattice = buildLattice(demoDesign('lagoon-postman').surfaces.map(placeSurface), { strips: 14, chordwise: 4 });
  const rolling = { parity: 'antisymmetric', onset: { ...STILL_AIR, turn: [1, 0, 0] } } as const;
  const wanted = solveCase(buildInfluence(lattice, { rise: 0 }), rolling).circulation;
  const matrices = buildInfluence(lattice, { rise: 0 });
  const early = matrices.half('symmetric');
  for (let count = 0; count < 30; count++) buildInfluence(lattice, { rise: 0.001 * count });
  expect(solveCase(matrices, rolling).circulation).toEqual(wanted);
  expect(matrices.half('symmetric')).not.toBe(early);
  expect(matrices.half('antisymmetric')).toBe(matrices.half('antisymmetric'));
  back();
});

test('a singular matrix is refused by both at the same unknown', () => {
  const size = 20;
  const matrix = soundMatrix(size, 3);
  for (let j = 0; j < size; j++) matrix[13 * size + j] = matrix[6 * size + j]!;
  for (const failed of byBoth(() => {
    try {
      factorise(matrix, size);
      return null;
    } catch (error) {
      return error;
    }
  })) {
    expect(failed).toBeInstanceOf(SingularMatrixError);
    expect((failed as SingularMatrixError).column).toBe(19);
  }
});

test('what had to make room for newer matrices is brought back when it is asked for', () => {
  const size = 300;
  const back = useKernel(compiled);
  const right = numbers(size, 1);
  const first = factorise(soundMatrix(size, 11), size);
  const before = solveFactored(first, right);
  const others = Array.from({ length: 120 }, (_, seed) => numbers(size * (size + seed), seed + 20));
  const products = others.map((matrix) => multiplyRows([matrix], size, [right]));
  expect(solveFactored(first, right)).toEqual(before);
  others.forEach((matrix, index) => {
    if (index % 17 === 0) expect(multiplyRows([matrix], size, [right])).toEqual(products[index]);
  });
  back();
});
