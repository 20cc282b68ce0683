import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { analyse } from '@/core/analyse';
import { weightBudget, weightRows } from '@/core/4-weight/weightRows';
import { withFields } from '@/core/2-document/edit/withFields';
import { readWeights, weightsCsv } from './weightsTable';

const design = demoDesign('lagoon-postman');
const { mass } = analyse(design, { without: ['remedies'] });
const rows = weightRows(design, mass.parts);

describe('rows and budget', () => {
  test('shares and groups add up to the flying mass', () => {
    expect(rows.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
    const budget = weightBudget(rows);
    expect(budget.total / 1000).toBeCloseTo(mass.total!, 12);
    expect(Object.values(budget.byGroup).reduce((sum, value) => sum + value, 0)).toBeCloseTo(budget.total, 9);
    expect(budget.creep).toBeNull();
    expect(budget.expected).toBe(budget.total);
  });

  test('what creeps in what is weighed is expected of the rest', () => {
    const heavy = withFields(design, [{ field: '/massItems/pack/measuredMass', value: 112 * 1.1 }]);
    const budget = weightBudget(weightRows(heavy, analyse(heavy, { without: ['remedies'] }).mass.parts));
    expect(budget.creep).toBeCloseTo(0.1, 9);
    expect(budget.expected).toBeCloseTo(budget.total + 0.1 * (budget.total - 112 * 1.1), 6);
  });
});

describe('as text', () => {
  test('written and read again, nothing changes', () => {
    const read = readWeights(design, weightsCsv(design, rows));
    expect(read).toMatchObject({ ok: true, added: 0 });
    if (read.ok) expect(read.items).toEqual(design.massItems);
  });

  test.each([
    ['name\tmass\tx\nGimbal\t42\t180', 'tabs'],
    ['Name;Mass [g];X [mm]\nGimbal;42;180', 'semicolons and units'],
    ['part,weight,x\nGimbal,42,180', 'other heads'],
  ])('%j adds a part (%s)', (text) => {
    const read = readWeights(design, text);
    expect(read).toMatchObject({ ok: true, added: 1, changed: 0 });
    if (read.ok)
      expect(read.items.at(-1)).toMatchObject({ id: 'Gimbal', mass: 42, position: { x: 180 }, category: 'other' });
  });

  test('a known name changes that part, a board part takes only what it weighs', () => {
    const read = readWeights(design, 'name,mass,weighed,x\nReceiver,8,9.5,300\nWing,0,131,0');
    expect(read).toMatchObject({ ok: true, added: 0, changed: 2, weighed: { wing: 131 } });
    if (read.ok)
      expect(read.items.find(({ id }) => id === 'receiver')).toMatchObject({ measuredMass: 9.5, position: { x: 300 } });
  });

  test.each([
    ['', /line of heads/],
    ['a,b\n1,2', /must be a name and a mass/],
    ['name,mass\nGimbal,heavy', /Line 2, mass_g: “heavy” is not a number/],
    ['name,mass\nGimbal,\n', /Line 2, mass: is missing/],
    ['name,mass\n,4', /Line 2, name/],
    ['name,mass\nGimbal,40\nAnvil,90000', /Line 3, mass: must lie between/],
  ])('%j is refused whole, with the place', (text, message) => {
    expect(readWeights(design, text)).toMatchObject({ ok: false, message: expect.stringMatching(message) });
  });
});
