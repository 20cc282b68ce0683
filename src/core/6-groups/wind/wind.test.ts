import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { withFields } from '@/core/2-document/edit/withFields';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { numbersOf } from '../solve';
import { gustLoadFactor } from './gust';

describe('gusts', () => {
  // Pratt: W/S 30 N/m², c 0.2 m, a 4.5, V 10 m/s, U 4 m/s → μ 5.549, K_g 0.450, Δn 1.654.
  test('of four metres a second on thirty newtons a square metre: 1.654', () => {
    const wingLoading = (30 / GRAVITY) as never;
    const at = (density: number) =>
      gustLoadFactor({ wingLoading, meanChord: 0.2, liftSlope: 4.5, speed: 10, gust: 4, density } as never);
    expect(at(1.225)).toBeCloseTo(1.654, 3);
    expect(at(1.1)).toBeLessThan(at(1.225));
  });

  test('and the way that wind leaves, by the brief', () => {
    const windy = withFields(simpleAircraft(), [{ field: '/brief/wind', value: 5 }]);
    const { wind, stall } = numbersOf(windy);
    expect(wind.progress).toBeCloseTo(windy.conditions.cruiseSpeed - 5, 12);
    expect(wind.gust).toBeCloseTo(2, 12);
    expect(wind.loadFactorAtStall).toBeCloseTo((windy.conditions.cruiseSpeed / stall.speed!) ** 2, 12);
    expect(numbersOf(simpleAircraft()).wind.reasons['gust']).toBeTruthy();
  });
});
