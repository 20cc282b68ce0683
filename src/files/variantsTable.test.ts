import Papa from 'papaparse';
import { expect, test } from 'vitest';
import { variantsCsv } from './variantsTable';

test('a row a design, a column a number, nothing where there is none, no name that a spreadsheet computes', () => {
  const text = variantsCsv([
    { name: 'Tern, long', numbers: { 'mass.total': 0.6352, 'power.duration': null } },
    { name: '=1+1', numbers: { 'mass.total': 1 / 3, 'stall.speed': 6.5 } },
  ]);
  const { data } = Papa.parse<string[]>(text);
  expect(data).toEqual([
    ['name', 'mass.total', 'power.duration', 'stall.speed'],
    ['Tern, long', '0.6352', '', ''],
    ["'=1+1", '0.3333333', '', '6.5'],
  ]);
});
