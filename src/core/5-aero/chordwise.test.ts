import { Matrix, solve } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import { twoParabolas } from '@/core/3-shape/section/contour';
import { thinAerofoil } from '@/core/3-shape/section/thinAerofoil';
import { camberSlopeSeries, chordwiseCells, hingeSlopeSeries, type SlopeSeries, slopeAt } from './chordwise';

/** Lift and quarter-chord moment of the plane lattice for a slope series, nose-up slopes positive. */
function planeLattice(count: number, series: SlopeSeries) {
  const cells = chordwiseCells(count);
  const { vortex, control } = cells;
  const matrix = Matrix.zeros(count, count);
  for (let i = 0; i < count; i++)
    for (let j = 0; j < count; j++) matrix.set(i, j, 1 / (2 * Math.PI * (control[i]! - vortex[j]!)));
  const strengths = solve(
    matrix,
    Matrix.columnVector(Array.from(control, (_, point) => -slopeAt(cells, series, point))),
  ).to1DArray();
  return {
    lift: 2 * strengths.reduce((sum, strength) => sum + strength, 0),
    moment: -2 * strengths.reduce((sum, strength, k) => sum + strength * (vortex[k]! - 0.25), 0),
  };
}

describe('in two dimensions the lattice is exact', () => {
  test.each([3, 4, 5, 8, 12])('%d cells: a flat plate lifts 2π per radian at its quarter chord', (count) => {
    const series = new Float64Array(count);
    series[0] = -1;
    const { lift, moment } = planeLattice(count, series);
    expect(lift).toBeCloseTo(2 * Math.PI, 10);
    expect(moment).toBeCloseTo(0, 10);
  });

  // Flap effectiveness: Glauert, The Elements of Aerofoil and Airscrew Theory, section 7.5.
  test.each([3, 5, 8].flatMap((count) => [0.5, 0.6, 0.75, 0.8, 0.92].map((hinge) => [count, hinge] as const)))(
    '%d cells, hinge at %d: lift 2(π − θ + sin θ), moment −½ sin θ (1 − cos θ)',
    (count, hinge) => {
      const theta = Math.acos(1 - 2 * hinge);
      const { lift, moment } = planeLattice(count, hingeSlopeSeries(hinge, count));
      expect(lift).toBeCloseTo(2 * (Math.PI - theta + Math.sin(theta)), 10);
      expect(moment).toBeCloseTo(-0.5 * Math.sin(theta) * (1 - Math.cos(theta)), 10);
    },
  );

  test('a camber line gives what its integrals give, whatever the count', () => {
    const x = Array.from({ length: 161 }, (_, index) => (1 - Math.cos((Math.PI * index) / 160)) / 2);
    const heights = x.map(twoParabolas(0.04, 0.3));
    const exact = thinAerofoil(x, heights);
    for (const count of [3, 5, 9]) {
      const { lift, moment } = planeLattice(count, camberSlopeSeries(x, heights, count));
      expect(lift).toBeCloseTo(-2 * Math.PI * exact.zeroLiftAngle, 10);
      expect(moment).toBeCloseTo(exact.quarterChordMoment, 10);
    }
  });
});
