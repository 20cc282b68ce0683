import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { gustyWind, lowGusts } from './gusts';

describe('gusts near the ground', () => {
  test('20 ft, 10 m/s: lengths and strengths of the standard, by hand', () => {
    // 0.177 + 0.000823 · 20 = 0.19346; 20/0.19346^1.2 = 143.6 ft; 0.19346^0.4 = 0.5183.
    const { sigma, length } = lowGusts(10, 20 * 0.3048);
    expectWithin(length[2], 6.096, 1e-9);
    expectWithin(length[0], 143.6 * 0.3048, 2e-3);
    expectWithin(sigma[2], 1, 1e-9);
    expectWithin(sigma[0], 1 / 0.5183, 1e-3);
    // Below ten feet nothing is said: as at ten.
    expect(lowGusts(10, 0.5)).toEqual(lowGusts(10, 3.048));
  });

  test.each([0, 7])(
    'along a long way %f m aside they are as strong as they should be, and lean to no side',
    (aside) => {
      const wind = gustyWind(8, 6.096, 0.3);
      const { sigma, length } = lowGusts(8, 6.096);
      const steps = 60_000;
      const way = 2000 * length[0];
      const sums = [0, 0, 0].map(() => ({ mean: 0, square: 0 }));
      for (let index = 0; index < steps; index++) {
        const [u, v, w] = wind(0, [(way * index) / steps, aside, 5]);
        [u + 8, v, w].forEach((value, axis) => {
          sums[axis]!.mean += value / steps;
          sums[axis]!.square += value ** 2 / steps;
        });
      }
      sums.forEach(({ mean, square }, axis) => {
        expect(Math.abs(mean)).toBeLessThan(0.05 * sigma[axis]!);
        // What is longer and shorter than the waves that are counted is a few hundredths of it.
        expectWithin(square, sigma[axis]! ** 2, 0.06);
      });
    },
  );

  test('across the wind they change over the length that they have: near alike close by, nothing alike far off', () => {
    const { length } = lowGusts(8, 6.096);
    const wind = gustyWind(8, 6.096, 0.3);
    const alike = (apart: number) => {
      let [both, own] = [0, 0];
      for (let index = 0; index < 8000; index++) {
        const x = index * 1.7;
        const [here, there] = [wind(0, [x, 0, 5])[2], wind(0, [x, apart, 5])[2]];
        both += here * there;
        own += here ** 2;
      }
      return both / own;
    };
    expect(alike(0.05 * length[2])).toBeGreaterThan(0.85);
    expect(alike(0.5 * length[2])).toBeLessThan(0.85);
    expect(Math.abs(alike(8 * length[2]))).toBeLessThan(0.35);
  });

  test('they go with the wind: what is here now was upwind a second ago; the same seed blows the same', () => {
    const wind = gustyWind(5, 3, 0.1);
    expect(wind(1, [10, 0, 2])).toEqual(gustyWind(5, 3, 0.1)(0, [15, 0, 2]));
    expect(wind(0, [10, 0, 2])[2]).not.toBeCloseTo(gustyWind(5, 3, 0.6)(0, [10, 0, 2])[2], 2);
  });
});
