import { valuesBetween } from '@/core/1-base/numeric/valuesBetween';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin, said } from '#/tests/matchers';
import type { Words } from '@/core/1-base/words/phrase';
import { finish } from '@/core/1-base/steps';
import { millimetresFromMetres } from '@/core/1-base/units/convert';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { analyse } from '@/core/analyse';
import { numbersOf } from '@/core/6-groups/solve';
import { inputNamed } from './linkedInputs';
import { outputFault, outputNames, outputTable } from './outputs';
import { sweep } from './sweep';
import { variedField } from './variedInput';

const design = demoDesign('lagoon-postman');
const inputOf = (path: string) => {
  const varied = variedField(design, path);
  if (!varied.ok) throw new Error(varied.because);
  return varied.input;
};
const wing = design.surfaces[0]!;
const CHORD = `/surfaces/${wing.id}/stations/0/chord`;

describe('what can be looked at', () => {
  const told = finish(
    sweep(
      design,
      [{ input: inputOf(CHORD), values: [200] }],
      outputTable().map(({ name }) => name),
    ),
  );

  test('is a number of this design at each of its names, or why there is none', () => {
    const numbers = numbersOf(withFields(design, [{ field: CHORD, value: 200 }]));
    const { outputs } = told[0]!;
    expect(outputs.size).toBeGreaterThan(150);
    for (const [name, one] of outputs) {
      if (one.value !== null) continue;
      // A design without shared throws has that group not at all.
      const isWhole = numbers[name.split('.')[0] as keyof typeof numbers] === null;
      expect(said(one.because) === 'There is none in this design.', name).toBe(isWhole);
    }
    expect(outputs.get('mass.inertia.yy')!.value).toBe(numbers.mass.inertia!.yy);
    expect(outputs.get('mass.cg.2')!.value).toBe(numbers.mass.cg![2]);
    expect(outputs.get('strength.diveSpeed')!.value).toBe(numbers.strength.diveSpeed);
  });

  test('is called by its group, its meaning and what holds it; bands are no numbers of their own', () => {
    const named = (wanted: string) => outputTable().find(({ name }) => name === wanted)!;
    expect(named('mass.cg.0')).toMatchObject({ group: 'Weights', unit: 'length' });
    expect(named('mass.cg.0').words).toMatch(/, aft$/);
    expect(named('mass.inertia.yy').words).toBe('Inertia: About the pitch axis');
    for (const { name, words } of outputTable()) {
      expect(words, name).not.toMatch(/^$|\[|: $/);
      expect(name).not.toMatch(/^bands\./);
      expect(outputFault(name), name).toBeNull();
    }
  });

  test('costs are those of boards and rods, where prices are known', () => {
    const costOf = (of: Design) =>
      finish(sweep(of, [{ input: inputOf(CHORD), values: [200, 260] }], ['cost.estimate'])).map(({ outputs }) =>
        outputs.get('cost.estimate')!,
      );
    const priced = {
      ...design,
      materials: design.materials.map((one) => ({ ...one, price: 6, sheetLength: 1000, sheetWidth: 700 })),
      prices: { rod: 3 },
    };
    const [small, large] = costOf(priced);
    expect(large!.value!).toBeGreaterThan(small!.value!);
    const dearer = { ...priced, materials: priced.materials.map((one) => ({ ...one, price: 12 })), prices: { rod: 6 } };
    expectWithin(costOf(dearer)[0]!.value!, 2 * small!.value!, 1e-12);
    const unpriced = { ...design, materials: design.materials.map((one) => ({ ...one, price: undefined })) };
    expect(costOf(unpriced)[0]).toEqual({
      value: null,
      because: expect.stringMatching(/type what sheets and rods cost/),
    });
  });
});

describe('a sweep', () => {
  test('is the analysis at each of its values', () => {
    const input = inputOf(CHORD);
    const drawn = input.valueIn(design)!;
    expect(input.unit).toBe('mm');
    const values = valuesBetween(drawn, drawn + 30, 3);
    const points = finish(sweep(design, [{ input, values }], ['pitch.staticMargin', 'mass.cg.0', 'findings.count']));
    expect(points.map(({ at }) => at)).toEqual([[drawn], [drawn + 15], [drawn + 30]]);
    points.forEach(({ at: [chord], outputs }) => {
      const numbers = numbersOf(withFields(design, [{ field: CHORD, value: chord }]));
      expect(outputs.get('pitch.staticMargin')!.value).toBe(numbers.pitch.staticMargin);
      expect(outputs.get('mass.cg.0')!.value).toBe(numbers.mass.cg![0]);
    });
    expect(points[0]!.outputs.get('findings.count')!.value).toBe(
      analyse(design, { without: ['remedies'] }).findings.length,
    );
  });

  test('of two inputs goes through all pairs, the second fastest', () => {
    const [chord, incidence] = [inputOf(CHORD), inputOf(`/surfaces/${wing.id}/incidence`)];
    const points = finish(
      sweep(
        design,
        [
          { input: chord, values: [200, 220] },
          { input: incidence, values: [1, 2, 3] },
        ],
        ['reference.area'],
      ),
    );
    expect(points.map(({ at }) => at)).toEqual([
      [200, 1],
      [200, 2],
      [200, 3],
      [220, 1],
      [220, 2],
      [220, 3],
    ]);
    const areas = points.map(({ outputs }) => outputs.get('reference.area')!.value!);
    expectWithin(areas[0]!, areas[2]!, 1e-12);
    expect(areas[3]!).toBeGreaterThan(areas[0]!);
  });

  test('a place that the document does not allow, and a number that is not there, have their reason', () => {
    const input = inputOf(`/surfaces/${wing.id}/incidence`);
    const [fine, beyond] = finish(sweep(design, [{ input, values: [1, 500] }], ['stall.speed', 'power.duration']));
    expect(fine!.outputs.get('stall.speed')!.value).toBeGreaterThan(0);
    expect(beyond!.outputs.get('stall.speed')).toMatchObject({
      value: null,
      because: expect.stringMatching(/must lie between −?-?20 ° and 20 °/),
    });
    const glider = { ...design, propulsion: [] };
    const [point] = finish(sweep(glider, [{ input, values: [1] }], ['power.duration']));
    expect(point!.outputs.get('power.duration')).toMatchObject({
      value: null,
      because: expect.stringMatching(/.{10}/),
    });
  });

  test('the reason is that of the analysis, with the numbers in it', () => {
    const input = inputOf('/conditions/cruiseSpeed');
    const [point] = finish(sweep(design, [{ input, values: [60] }], ['strength.rollKept']));
    const { value, because } = point!.outputs.get('strength.rollKept') as { value: null; because: Words };
    expect(value).toBeNull();
    const fast = withFields(design, [{ field: '/conditions/cruiseSpeed', value: 60 }]);
    expect(because).toEqual(numbersOf(fast).strength.reasons['rollKept']);
    expect(said(because)).toMatch(/^From \d[\d.]* m\/s on the air turns Wing further than it holds/);
  });

  test('both ends are among its values', () => {
    expect(valuesBetween(1, 2, 5)).toEqual([1, 1.25, 1.5, 1.75, 2]);
    expect(valuesBetween(0.1, 0.7, 4).at(-1)).toBe(0.7);
    expect(valuesBetween(3, 9, 1)).toEqual([3]);
  });

  test.each([
    ['/surfaces/nothing/incidence', /is no field of this design/],
    ['/name', /holds a string, and only numbers can be varied/],
    ['', /is no field of this design/],
  ])('%s cannot be varied', (path, why) => {
    const varied = variedField(design, path);
    expect(varied.ok).toBe(false);
    expect(varied.ok ? '' : varied.because).toMatch(why);
  });

  test('a field that the format does not have is refused when it is set', () => {
    expect(inputOf(`/surfaces/${wing.id}/colour`).set(design, 3)).toMatchObject({ ok: false });
  });
});

describe('names of outputs', () => {
  test('numbers of the analysis, places in lists and counts of findings are known', () => {
    for (const name of ['pitch.staticMargin', 'mass.cg.0', 'findings.cautions', 'stall.strips.3.lift'])
      expect(outputFault(name)).toBeNull();
    expect(outputNames().length).toBeGreaterThan(150);
  });

  test('of others it is said what was perhaps meant', () => {
    expect(outputFault('stall.sped')).toMatch(/Was stall\.speed meant\?/);
    expect(outputFault('zzzzzzzzzz')).not.toMatch(/meant/);
  });
});

test.each(['spans/wing', 'tips/wing', '/surfaces/wing/stations/1/distanceFromRoot'])(
  'along %s fins stay on the tips of the wing',
  (name) => {
    const courier = demoDesign('storm-courier');
    const named = inputNamed(courier, name);
    if (!named.ok) throw new Error(named.because);
    const varied = named.input.set(courier, name.startsWith('/') ? 448 : 80);
    if (!varied.ok) throw new Error(varied.because);
    const [wing, fins] = ['wing', 'tipFins'].map((id) => varied.design.surfaces.find((one) => one.id === id)!);
    const tip = placeSurface(wing!).stations.at(-1)!;
    expect(fins!.position.y).toBeCloseTo(millimetresFromMetres(tip.y), 0);
    expect(fins!.position.x).toBeCloseTo(millimetresFromMetres(tip.x), 0);
  },
);
