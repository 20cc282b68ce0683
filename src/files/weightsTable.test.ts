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

  test('in ounces and inches the heads say so, and grams and millimetres come back as they were', () => {
    const text = weightsCsv(design, rows, { length: 'in', mass: 'oz' });
    expect(text.split('\r\n')[0]).toBe('id,name,category,mass_oz,weighed_oz,x_in,y_in,z_in,both_sides');
    // 112 g over 28.349523125 g.
    expect(text).toContain(',3.950684,');
    const read = readWeights(design, text);
    expect(read).toMatchObject({ ok: true, added: 0 });
    if (read.ok) expect(read.items).toEqual(design.massItems);
    const typed = readWeights(design, 'name,mass (oz),x (in)\nGimbal,2,10');
    expect(typed).toMatchObject({ ok: true, added: 1 });
    if (typed.ok) expect(typed.items.at(-1)).toMatchObject({ mass: 56.699, position: { x: 254 } });
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
    expect(read).toMatchObject({ ok: true, added: 0, changed: 2, weighed: new Map([['wing', 131]]) });
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

  test('parts of one name never merge: the place tells them apart, or it is asked', () => {
    const servos = (x: number) => ({
      ...design.massItems[0]!,
      id: `servo${x}`,
      name: 'Servo',
      position: { x, y: 0, z: 0 },
    });
    const two = { ...design, massItems: [servos(100), servos(200)] };
    const read = readWeights(two, 'name,mass,x\nServo,9,200\nServo,8,100');
    expect(read).toMatchObject({ ok: true, changed: 2, added: 0 });
    if (read.ok)
      expect(read.items.map(({ id, mass: grams }) => [id, grams])).toEqual([
        ['servo100', 8],
        ['servo200', 9],
      ]);
    expect(readWeights(two, 'name,mass\nServo,9')).toMatchObject({
      ok: false,
      message: expect.stringMatching(/Line 2: 2 parts are called “Servo”.*give its id/),
    });
    expect(readWeights(two, 'name,mass,x\nServo,9,150')).toMatchObject({ ok: false });
    // Two lines of one new name are two parts; so is a second line of a name that is there once.
    expect(readWeights(design, 'name,mass,x\nHook,4,10\nHook,4,20')).toMatchObject({ ok: true, added: 2 });
    expect(readWeights(design, 'name,mass,x\nReceiver,8,10\nReceiver,8,20')).toMatchObject({
      ok: true,
      changed: 1,
      added: 1,
    });
    expect(readWeights(design, 'id,name,mass\npack,Pack,110\npack,Pack,111')).toMatchObject({
      ok: false,
      message: expect.stringMatching(/Line 3: “pack” was on a line before/),
    });
  });

  test('equipment that is called like a board part does not land on it', () => {
    expect(readWeights(design, 'name,mass,x\nWing,80,200')).toMatchObject({ ok: true, added: 1, weighed: new Map() });
    expect(readWeights(design, 'name,category,mass,weighed\nWing,payload,80,82')).toMatchObject({
      ok: true,
      added: 1,
      weighed: new Map(),
    });
    expect(readWeights(design, 'name,category,mass,weighed\nWing,surface,80,82')).toMatchObject({
      ok: true,
      added: 0,
      weighed: new Map([['wing', 82]]),
    });
    const twin = { ...design, massItems: [{ ...design.massItems[0]!, id: 'wing', name: 'Camera' }] };
    expect(readWeights(twin, 'id,name,mass\nwing,Camera,80')).toMatchObject({
      ok: false,
      message: expect.stringMatching(/board part and of equipment/),
    });
    const rowsOfTwin = weightRows(twin, analyse(twin, { without: ['remedies'] }).mass.parts);
    const again = readWeights(twin, weightsCsv(twin, rowsOfTwin));
    expect(again.ok && again.items).toEqual(twin.massItems);
  });

  test('names that a spreadsheet would compute are escaped on the way out and come back as they were', () => {
    const names = ['=1+1', '+x', '-y', '@z', "'=quoted", '\ttab', 'plain', "'kept", 'a,b;"c"'];
    const items = names.map((name, index) => ({ ...design.massItems[0]!, id: `n${index}`, name }));
    const odd = { ...design, massItems: items };
    const csv = weightsCsv(odd, weightRows(odd, analyse(odd, { without: ['remedies'] }).mass.parts));
    for (const cell of csv.split(/[,\r\n]/)) expect(cell).not.toMatch(/^"?[=+@]/);
    const read = readWeights(odd, csv);
    expect(read.ok && read.items.map(({ name }) => name)).toEqual(names);
  });

  test('ids that are named like parts of the language are ids', () => {
    const item = { ...design.massItems[0]!, id: 'constructor', name: 'toString' };
    const odd = { ...design, massItems: [item] };
    expect(readWeights(odd, 'id,name,mass,hasOwnProperty\nconstructor,toString,7,3')).toMatchObject({
      ok: true,
      changed: 1,
      weighed: new Map(),
    });
  });
});

describe('numbers as people write them', () => {
  const mass = (cell: string, other = '1') => {
    const read = readWeights(design, `name;mass;x\nHook;${cell};${other}`);
    return read.ok ? read.items.at(-1)!.mass : read.message;
  };
  test.each([
    ['12,5', '1', 12.5],
    ['12.5', '1', 12.5],
    ['1,200', '3.5', 1200],
    ['1,200', '3,5', /is “1,200” 1200 or 1\.200\?/],
    ['1.200', '3,5', 1200],
    ['1.200', '1', 1.2],
    ['1,200.5', '1', 1200.5],
    ['1.200,5', '1', 1200.5],
    ['1 200', '1', 1200],
    ['0,200', '1', 0.2],
    ['2,345,678', '1', /must lie between/],
    ['1,200', '1', /Line 2, mass_g: is “1,200” 1200 or 1\.200\? Write it without/],
    ['1,200', '1,5 and 1.5', /is not a number|or 1\.200/],
    ['12 kg', '1', /“12 kg” is not a number/],
    ['1e3', '1', 1000],
    ['Infinity', '1', /is not a number/],
    ['−3', '1', /must lie between/],
  ])('%s beside %s', (cell, other, wanted) => {
    const got = mass(cell, other);
    if (typeof wanted === 'number') expect(got).toBeCloseTo(wanted, 12);
    else expect(got).toMatch(wanted);
  });
});
