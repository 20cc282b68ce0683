import { expect, test } from 'vitest';
import {
  type DisplayUnits,
  formatLength,
  formatMass,
  formatSpeed,
  formatValue,
  inchFraction,
  METRIC,
} from './formatQuantity';

const IMPERIAL: DisplayUnits = { length: 'in', mass: 'oz', speed: 'mph' };

test.each([
  [0, '0'],
  [25.4, '1'],
  [339.725, '13 3/8'],
  [1.5875, '1/16'],
  [-12.7, '−1/2'],
  [0.3, '0'],
  [25.39, '1'],
])('%d mm is %s in', (millimetres, wanted) => {
  expect(inchFraction(millimetres)).toBe(wanted);
});

test('values carry the unit that was chosen', () => {
  expect(formatLength(1240.06, METRIC)).toBe('1240.1 mm');
  expect(formatLength(1240, METRIC)).toBe('1240 mm');
  expect(formatLength(254, IMPERIAL)).toBe('10 in');
  expect(formatMass(522.9, METRIC)).toBe('523 g');
  expect(formatMass(28.349523125, IMPERIAL)).toBe('1 oz');
  expect(formatSpeed(10, { ...METRIC, speed: 'km/h' })).toBe('36 km/h');
  expect(formatSpeed(4.4704, IMPERIAL)).toBe('10 mph');
});

test('a minus is a minus sign and nought has none', () => {
  expect(formatValue(-0.0593, 'percent', METRIC)).toBe('−5.9 %');
  expect(formatValue(-0.00001, 'percent', METRIC)).toBe('0 %');
});

test.each([
  [0.25, 'area', METRIC, '25 dm²'],
  [0.25, 'area', IMPERIAL, '387.5 in²'],
  [2.09, 'wingLoading', METRIC, '20.9 g/dm²'],
  [2.09, 'wingLoading', IMPERIAL, '6.8 oz/ft²'],
  [Math.PI / 180, 'angle', METRIC, '1°'],
  [1.225, 'density', METRIC, '1.225 kg/m³'],
  [4.66, 'perRadian', METRIC, '4.66 /rad'],
] as const)('%d as %s', (value, unit, units, wanted) => {
  expect(formatValue(value, unit, units)).toBe(wanted);
});
