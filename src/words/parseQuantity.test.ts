import { forAll } from '#/tests/forAll';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { inchFraction } from './formatQuantity';
import { parseQuantity, type QuantityKind } from './parseQuantity';

const value = (kind: QuantityKind, text: string, unit: string) => {
  const result = parseQuantity(kind, text, unit);
  return result.ok ? result.value : result.message;
};

describe('lengths', () => {
  test.each([
    ['340', 'mm', 340],
    ['34cm', 'mm', 340],
    ['0.34 m', 'mm', 340],
    ['13 3/8 in', 'mm', 13.375 * 25.4],
    ['13.375"', 'mm', 13.375 * 25.4],
    ['13 3/8', 'in', 13.375 * 25.4],
    ['3/8', 'in', 0.375 * 25.4],
    ['2ft 6', 'mm', 30 * 25.4],
    ['2ft 6 1/2 in', 'mm', 30.5 * 25.4],
    ['2\' 6"', 'mm', 30 * 25.4],
    ['300 + 40', 'mm', 340],
    ['1 ft - 2 in', 'mm', 10 * 25.4],
    ['300 + 4cm', 'mm', 340],
    ['-12', 'mm', -12],
    ['−12', 'mm', -12],
    ['1,5', 'mm', 1.5],
    ['10 inches', 'mm', 254],
  ])('%s in %s', (text, unit, wanted) => {
    expect(value('length', text, unit)).toBeCloseTo(wanted, 9);
  });

  test.each(['', 'wide', '12 34', '12 kg', '3/0 in', '5 +', '2ft 6 7', '1e400'])('refuses “%s” in words', (text) => {
    expect(value('length', text, 'mm')).toMatch(/Try 340, 34cm/);
  });

  test('thirteen and three eighths stays what it is', () => {
    const millimetres = value('length', '13 3/8 in', 'in') as number;
    expect(inchFraction(millimetres)).toBe('13 3/8');
    expect(value('length', inchFraction(millimetres), 'in')).toBe(millimetres);
  });

  test('every sixteenth comes back to the last digit', () => {
    forAll(100, [fc.integer({ min: -4000, max: 4000 })], (sixteenths) => {
      const millimetres = (sixteenths / 16) * 25.4;
      expect(value('length', inchFraction(millimetres), 'in')).toBeCloseTo(millimetres, 10);
    });
  });
});

describe('other quantities', () => {
  test.each([
    ['mass', '4 oz', 'g', 4 * 28.349523125],
    ['mass', '1 lb 0', 'g', 'Put a + between numbers. Try 112, 112g or 4 oz.'],
    ['mass', '1.2kg', 'g', 1200],
    ['mass', '112', 'oz', 112 * 28.349523125],
    ['speed', '36 km/h', 'm/s', 10],
    ['speed', '36', 'km/h', 10],
    ['speed', '10 mph', 'm/s', 4.4704],
    ['speed', '11 m/s', 'mph', 11],
    ['angle', '3°', '°', 3],
    ['angle', '-1.5 deg', '°', -1.5],
    ['percent', '25 %', '%', 25],
    ['number', '1.25', '', 1.25],
  ] as const)('%s %s', (kind, text, unit, wanted) => {
    const got = value(kind, text, unit);
    if (typeof wanted === 'number') expect(got).toBeCloseTo(wanted, 9);
    else expect(got).toBe(wanted);
  });
});
