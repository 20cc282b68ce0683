import { expect, test } from 'vitest';
import { rodSection } from './rod';

const of = (shape: 'rectangle' | 'round' | 'tube', width: number, height: number, innerDiameter = 0) =>
  rodSection({ shape, width, height, innerDiameter } as never);

// Gere, Mechanics of Materials, appendix E: w h³/12, π d⁴/64, π (d⁴ − d_i⁴)/64.
test('rods by their shape', () => {
  expect(of('rectangle', 3, 10).secondMoment).toBeCloseTo(250e-12, 18);
  expect(of('rectangle', 3, 10).modulus).toBeCloseTo(50e-9, 15);
  expect(of('round', 4, 99).secondMoment * 1e12).toBeCloseTo(12.566, 3);
  expect(of('round', 4, 99).area * 1e6).toBeCloseTo(12.566, 3);
  expect(of('tube', 10, 10, 8).secondMoment * 1e12).toBeCloseTo(289.81, 2);
  // Cantilever case: 6 × 4 tube of 120 GPa, 10 N on half a metre bend it by 68.01 mm.
  const { secondMoment } = of('tube', 6, 6, 4);
  expect((10 * 0.5 ** 3) / (3 * 120e9 * secondMoment)).toBeCloseTo(0.06801, 5);
  expect(of('tube', 6, 6, 9).secondMoment).toBe(0);
  expect(of('rectangle', 0, 0).modulus).toBe(0);
});
