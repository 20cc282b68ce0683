import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { decimal, formatLength, formatMass, formatSpeed, inchFraction } from './formatQuantity';
import { parseQuantity } from './parseQuantity';
import { SIXTEENTH, snapLength } from './snap';

const value = (kind: Parameters<typeof parseQuantity>[0], text: string, unit: string) => {
  const parsed = parseQuantity(kind, text, unit);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.message}`);
  return parsed.value;
};

describe('what is shown is read as what it was', () => {
  test('any number of sixteenths stays exactly what it is', () => {
    forAll(100, [fc.integer({ min: -16 * 200, max: 16 * 200 })], (sixteenths) => {
      const length = sixteenths * SIXTEENTH;
      const shown = inchFraction(length);
      expect(value('length', shown, 'in')).toBeCloseTo(length, 9);
      expect(inchFraction(value('length', shown, 'in'))).toBe(shown);
      expect(snapLength(length, { units: { length: 'in' }, targets: [], pull: 0 })).toBeCloseTo(length, 9);
    });
  });

  test('13 3/8 in stays 13 3/8 in, in every way of writing it', () => {
    for (const text of [
      '13 3/8 in',
      '13.375"',
      '13 3/8',
      '1ft 1 3/8',
      "1' 1.375",
      '13 + 3/8',
      '12 in + 1 3/8 in',
      '339.725 mm',
      '33.9725cm',
    ])
      expect(inchFraction(value('length', text, 'in'))).toBe('13 3/8');
  });

  test('tenths of a millimetre, hundredths of an ounce and tenths of a speed come back to what is shown', () => {
    forAll(100, [fc.integer({ min: 1, max: 99999 })], (tenths) => {
      const millimetres = tenths / 10;
      expect(value('length', formatLength(millimetres, { length: 'mm', mass: 'g', speed: 'm/s' }), 'in')).toBeCloseTo(
        millimetres,
        9,
      );
      for (const mass of ['g', 'oz'] as const) {
        const units = { length: 'mm', mass, speed: 'm/s' } as const;
        const shown = formatMass(millimetres, units, 1);
        expect(formatMass(value('mass', shown, 'g'), units, 1)).toBe(shown);
      }
      for (const speed of ['m/s', 'km/h', 'mph'] as const) {
        const units = { length: 'mm', mass: 'g', speed } as const;
        const shown = formatSpeed(tenths / 1000, units);
        expect(formatSpeed(value('speed', shown, 'm/s'), units)).toBe(shown);
      }
    });
  });
});

describe('reading', () => {
  test('whatever is typed gives a finite number or a sentence that helps', () => {
    forAll(
      500,
      [fc.constantFrom('length', 'mass', 'speed', 'angle', 'percent', 'number' as const), fc.string({ maxLength: 20 })],
      (kind, text) => {
        const parsed = parseQuantity(kind, text, '');
        if (parsed.ok) expect(Number.isFinite(parsed.value)).toBe(true);
        else expect(parsed.message).toMatch(/\. Try .+\.$/);
      },
    );
  });

  test('sums add up, whatever their units', () => {
    forAll(
      100,
      [
        fc.array(fc.tuple(fc.integer({ min: 0, max: 500 }), fc.constantFrom('mm', 'cm', 'in')), {
          minLength: 1,
          maxLength: 5,
        }),
      ],
      (terms) => {
        const factor = { mm: 1, cm: 10, in: 25.4 } as const;
        const text = terms.map(([number, unit]) => `${number} ${unit}`).join(' + ');
        const sum = terms.reduce((total, [number, unit]) => total + number * factor[unit], 0);
        expect(value('length', text, 'mm')).toBeCloseTo(sum, 6);
      },
    );
  });

  test('a minus is a minus, however it is written', () => {
    expect(value('angle', '−1.5°', '')).toBe(-1.5);
    expect(value('angle', '-1,5', '')).toBe(-1.5);
    expect(value('length', '300 - 40', 'mm')).toBe(260);
    expect(decimal(-0.04, 1)).toBe('0');
    expect(decimal(-1.25, 2)).toBe('−1.25');
  });
});
