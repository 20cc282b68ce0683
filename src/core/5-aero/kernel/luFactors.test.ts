import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { dotRow } from './inTypeScript';
import { factorise, factoriseInPlace, SingularMatrixError, solveFactored, solveTogether } from './luFactors';

function randomMatrix(size: number, seed: number): Float64Array {
  let state = seed;
  const next = () => ((state = (state * 1103515245 + 12345) % 2147483648) / 2147483648) * 2 - 1;
  const matrix = Float64Array.from({ length: size * size }, next);
  for (let i = 0; i < size; i++) matrix[i * size + i]! += 2;
  return matrix;
}

const multiply = (matrix: Float64Array, x: Float64Array, size: number) =>
  Float64Array.from({ length: x.length }, (_, i) =>
    x.reduce((sum, value, j) => sum + matrix[i * size + j]! * value, 0),
  );

describe('factors', () => {
  test('solve what they came from, for every size around the width of a sweep', () => {
    forAll(100, [fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 1e6 })], (size, seed) => {
      const matrix = randomMatrix(size, seed);
      const wanted = Float64Array.from({ length: size }, (_, index) => Math.sin(index + seed));
      const got = solveFactored(factorise(matrix, size), multiply(matrix, wanted, size));
      got.forEach((value, index) => expect(value).toBeCloseTo(wanted[index]!, 7));
    });
  });

  test('the leading block is factored by itself', () => {
    for (const [size, block] of [
      [9, 4],
      [12, 7],
      [20, 13],
      [6, 6],
    ] as const) {
      const matrix = randomMatrix(size, 7 * size + block);
      const factors = factorise(matrix, size, { block });
      const wanted = Float64Array.from({ length: block }, (_, index) => 1 + index);
      const right = new Float64Array(size);
      for (let i = 0; i < block; i++) for (let j = 0; j < block; j++) right[i]! += matrix[i * size + j]! * wanted[j]!;
      solveFactored(factors, right, block).forEach((value, index) => expect(value).toBeCloseTo(wanted[index]!, 8));
      const whole = solveFactored(factors, right);
      multiply(matrix, whole, size).forEach((value, index) => expect(value).toBeCloseTo(right[index]!, 8));
    }
  });

  test('leading unknowns that stand for themselves change nothing but the work', () => {
    for (const [size, from] of [
      [9, 3],
      [14, 6],
      [17, 1],
    ] as const) {
      const matrix = randomMatrix(size, 31 * size);
      for (let i = 0; i < size; i++) {
        for (let j = 0; j < size; j++) if (i < from || j < from) matrix[i * size + j] = i === j ? 1 : 0;
      }
      const right = Float64Array.from({ length: size }, (_, index) => Math.cos(3 * index));
      const whole = solveFactored(factorise(matrix, size), right);
      const short = solveFactored(factorise(matrix, size, { from }), right);
      short.forEach((value, index) => expect(value).toBeCloseTo(whole[index]!, 12));
    }
  });

  test('several right sides at once are answered as each by itself', () => {
    for (const [size, from, count] of [
      [9, 0, 4],
      [14, 6, 6],
      [13, 2, 3],
    ] as const) {
      const matrix = randomMatrix(size, 17 * size);
      for (let i = 0; i < size; i++)
        for (let j = 0; j < size; j++) if (i < from || j < from) matrix[i * size + j] = i === j ? 1 : 0;
      const wanted = Array.from({ length: count }, (_, side) =>
        Float64Array.from({ length: size }, (__, index) => Math.sin(3 * index + side)),
      );
      const got = solveTogether(
        factorise(matrix, size, { from }),
        wanted.map((one) => multiply(matrix, one, size)),
      );
      expect(got).toHaveLength(count);
      got.forEach((one, side) => one.forEach((value, index) => expect(value).toBeCloseTo(wanted[side]![index]!, 8)));
    }
  });

  test('a copy is factored, or the matrix itself when asked for', () => {
    const matrix = randomMatrix(8, 5);
    const before = matrix.slice();
    const { values } = factorise(matrix, 8);
    expect(matrix).toEqual(before);
    expect(factoriseInPlace(matrix, 8).values).toBe(matrix);
    expect(matrix).toEqual(values);
  });

  test('a row times a vector, over any stretch', () => {
    const a = Float64Array.from({ length: 24 }, (_, index) => index + 1);
    const x = Float64Array.from({ length: 12 }, (_, index) => (index % 2 ? -1 : 2));
    for (let from = 0; from < 12; from++) {
      for (let to = from; to <= 12; to++) {
        let wanted = 0;
        for (let j = from; j < to; j++) wanted += a[12 + j]! * x[j]!;
        expect(dotRow(a, 12, x, from, to)).toBeCloseTo(wanted, 12);
      }
    }
  });

  test('rows are exchanged where the pivot is nought', () => {
    const got = solveFactored(factorise(Float64Array.of(0, 1, 1, 0), 2), Float64Array.of(3, 5));
    expect([...got]).toEqual([5, 3]);
  });

  test('a matrix without an inverse is refused, also when rounding hides it', () => {
    expect(() => factorise(Float64Array.of(1, 2, 2, 4), 2)).toThrow(SingularMatrixError);
    const near = Float64Array.of(1, 1, 1, 1, 1 + 1e-15, 1, 2, 2, 2);
    expect(() => factorise(near, 3)).toThrow(SingularMatrixError);
  });

  test('only the whole or the block can be solved', () => {
    const factors = factorise(randomMatrix(5, 3), 5, { block: 3 });
    expect(() => solveFactored(factors, new Float64Array(5), 4)).toThrow(RangeError);
  });
});
