import { describe, expect, test } from 'vitest';
import { Matrix, inverse } from 'ml-matrix';
import { conditionOf, scaledColumns } from './conditionNumber';
import { factorise } from './kernel/luFactors';

const of = (rows: number[][]) => {
  const matrix = Float64Array.from(rows.flat());
  return conditionOf(factorise(matrix, rows.length), scaledColumns(matrix, rows.length)).number;
};
const oneNorm = (rows: number[][]) =>
  Math.max(...rows[0]!.map((_, j) => rows.reduce((sum, row) => sum + Math.abs(row[j]!), 0)));
const hilbert = (size: number) =>
  Array.from({ length: size }, (_, i) => Array.from({ length: size }, (__, j) => 1 / (i + j + 1)));

describe('condition of a matrix', () => {
  test('is 1 for the identity and for any diagonal, whatever its scale', () => {
    expect(
      of([
        [1, 0],
        [0, 1],
      ]),
    ).toBeCloseTo(1, 12);
    expect(
      of([
        [1e-6, 0],
        [0, 1e6],
      ]),
    ).toBeCloseTo(1, 12);
  });

  test('of a textbook pair of equations is what hand calculation gives', () => {
    // A = [[1, 2], [2, 1]]: ‖A‖₁ = 3, A⁻¹ = [[−1, 2], [2, −1]]/3, ‖A⁻¹‖₁ = 1.
    expect(
      of([
        [1, 2],
        [2, 1],
      ]),
    ).toBeCloseTo(3, 12);
  });

  test.each([3, 5, 8])('of the Hilbert matrix of order %i is near that of its inverse, never above', (size) => {
    const rows = hilbert(size);
    const scaled = rows.map((row) => row.map((value, j) => value / rows[j]![j]!));
    const exact = oneNorm(scaled) * oneNorm(inverse(new Matrix(scaled)).to2DArray());
    expect(of(rows)).toBeLessThanOrEqual(exact * (1 + 1e-6));
    expect(of(rows)).toBeGreaterThan(exact / 3);
  });

  test('grows without end as two rows become one', () => {
    const near = (gap: number) =>
      of([
        [1, 1, 0],
        [1, 1 + gap, 0],
        [0, 0, 1],
      ]);
    expect(near(1e-6)).toBeGreaterThan(1e6);
    expect(near(1e-9) / near(1e-6)).toBeCloseTo(1000, -1);
  });

  test('with unknowns that stand for themselves is that of the rest', () => {
    const matrix = Float64Array.from([1, 0, 0, 0, 1, 2, 0, 2, 1]);
    expect(conditionOf(factorise(matrix, 3, { from: 1 }), scaledColumns(matrix, 3, 1)).number).toBeCloseTo(3, 12);
  });
});
