import { expect, test } from 'vitest';
import { sheetTargets, snapLength } from './snap';

const targets = sheetTargets([{ sheetLength: 1000, sheetWidth: 700 }]);

test('a sheet pulls when it is near', () => {
  expect(snapLength(696, { units: { length: 'mm' }, targets, pull: 6 })).toBe(700);
  expect(snapLength(352.4, { units: { length: 'mm' }, targets, pull: 6 })).toBe(350);
  expect(snapLength(690, { units: { length: 'mm' }, targets, pull: 6 })).toBe(690);
});

test('else whole millimetres, or exact sixteenths', () => {
  expect(snapLength(123.4, { units: { length: 'mm' }, targets: [], pull: 6 })).toBe(123);
  expect(snapLength(340, { units: { length: 'in' }, targets: [], pull: 6 })).toBe(214 * (25.4 / 16));
});
