import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { withFields } from '@/core/2-document/edit/withFields';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '@/core/6-groups/solve';
import { checkRules } from '@/core/7-verdict/judge';
import { holdingMargin, inputNamed, slideToMargin } from '../linkedInputs';
import { boardChoice, rodChoice } from './choices';
import { leastOver } from './leastOver';
import { type Answer, search, type SearchTold } from './search';

const postman = demoDesign('lagoon-postman');
const free = (name: string, from: number, to: number, of: Design = postman) => {
  const found = inputNamed(of, name);
  if (!found.ok) throw new Error(found.because);
  return { input: found.input, from, to };
};
const changed = (changes: Record<string, unknown>) =>
  withFields(
    postman,
    Object.entries(changes).map(([field, value]) => ({ field, value })),
  );
const found = (told: SearchTold): readonly Answer[] => {
  if (told.kind !== 'found') throw new Error(JSON.stringify(told).slice(0, 400));
  return told.answers;
};

/** The place of the least after so many calls. */
function least(worth: (at: number[]) => number, lower: number[], upper: number[], calls: number): number[] {
  let [best, at, count] = [Infinity, lower, 0];
  const counted = (place: number[]) => {
    count++;
    const value = worth(place);
    if (value < best) [best, at] = [value, place];
    return value;
  };
  for (const _ of leastOver(counted, lower, upper, () => count >= calls));
  return at;
}

describe('known least places', () => {
  test('aspect ratio of least sink where mass grows with its square: A = √(3/k)', () => {
    // Sink at its best lift coefficient goes with √W · A^(−3/4), W with 1 + k A².
    const k = 3 / 9 ** 2;
    const [aspect] = least(([a]) => Math.sqrt(1 + k * a! ** 2) * a! ** -0.75, [4], [16], 60);
    expectWithin(aspect!, 9, 0.01);
  });

  test('tail of least drag for a given volume: arm where area and boom drag alike', () => {
    const [volume, ofTail, ofBoom] = [0.02, 0.012, 0.0015];
    const [arm] = least(([l]) => (ofTail * volume) / l! + ofBoom * l!, [0.1], [1.5], 80);
    expectWithin(arm!, Math.sqrt((ofTail * volume) / ofBoom), 0.01);
  });

  test('a valley in two directions, and one of two troughs', () => {
    const bowl = least(([x, y]) => (x! - 0.3) ** 2 + 3 * (y! + 0.7) ** 2, [-2, -2], [2, 2], 200);
    expect(Math.abs(bowl[0]! - 0.3)).toBeLessThan(0.03);
    expect(Math.abs(bowl[1]! + 0.7)).toBeLessThan(0.03);
    const deeper = least(([x]) => Math.cos(3 * x!) + 0.2 * x!, [-3], [3], 60);
    expect(deeper[0]).toBeLessThan(0);
  });
});

describe('a search', () => {
  test('a narrow band of margins is kept to, however little the light lattice may be off', () => {
    const design = changed({ '/balance/minimumStaticMargin': 0.1, '/balance/maximumStaticMargin': 0.11 });
    const pack = design.massItems.find(({ attachment }) => attachment.kind === 'slides')!;
    const told = finish(
      search(design, {
        goal: 'mass',
        free: [free('chords/wing', 95, 110, design)],
        choices: [],
        slides: pack.id,
        most: 12,
      }),
    );
    for (const { design: one } of found(told)) {
      const { staticMargin } = numbersOf(one, { without: ['bands'] }).pitch;
      expect(staticMargin!).toBeGreaterThan(0.1 - 0.0005);
      expect(staticMargin!).toBeLessThan(0.11 + 0.0005);
    }
  });

  test('finds what a fine sweep of the same number finds', () => {
    // Nothing but the sink counts: chords from half to one and a half of what is drawn.
    const design = changed({
      '/brief/maximumMass': undefined,
      '/brief/climbRate': undefined,
      '/brief/duration': undefined,
      '/brief/launch': 'wheels',
      '/balance/minimumStaticMargin': -0.5,
      '/balance/maximumStaticMargin': 1,
    });
    const chords = free('chords/wing', 50, 150, design);
    const [best] = found(finish(search(design, { goal: 'sink', free: [chords], choices: [], slides: null, most: 60 })));
    const sinks = Array.from({ length: 51 }, (_, index) => 50 + 2 * index).map((percent) => {
      const varied = chords.input.set(design, percent);
      if (!varied.ok) throw new Error(varied.because);
      const numbers = numbersOf(varied.design, { without: ['bands'] });
      const stops = checkRules(varied.design, numbers).filter(({ severity }) => severity === 'stop').length;
      return { percent, stops, sink: numbers.speeds.sink! };
    });
    // What stops it is no answer, however slowly it would sink.
    const lowest = sinks.filter(({ stops }) => stops === 0).reduce((a, b) => (b.sink < a.sink ? b : a));
    expectWithin(best!.goal, lowest.sink, 0.005);
    expect(best!.goal).toBeLessThanOrEqual(sinks.find(({ percent }) => percent === 100)!.sink);
  }, 60_000);

  test('least mass keeps to every demand, confirmed on the whole lattice; what is locked stays', () => {
    const design = changed({ '/brief/climbRate': undefined });
    const answers = found(
      finish(
        search(design, {
          goal: 'mass',
          free: [free('spans/wing', 70, 120, design), free('chords/wing', 70, 130, design)],
          choices: [],
          slides: postman.massItems.find(({ attachment }) => attachment.kind === 'slides')!.id,
          most: 90,
        }),
      ),
    );
    const drawn = numbersOf(design).mass.total!;
    expect(answers[0]!.goal).toBeLessThan(drawn);
    for (const { design: made, demands, at } of answers) {
      expect(demands.every(({ miss }) => miss <= 0.005)).toBe(true);
      expect(at[0]).toBeGreaterThanOrEqual(70);
      expect(made.surfaces[1]).toEqual(design.surfaces[1]);
      const { staticMargin } = numbersOf(made).pitch;
      expect(staticMargin).toBeGreaterThan(design.balance.minimumStaticMargin);
      expect(staticMargin).toBeLessThan(design.balance.maximumStaticMargin);
    }
    answers.slice(1).forEach(({ differs }) => expect(differs.length).toBeGreaterThan(0));
  }, 60_000);

  test('of boards it takes the lightest that nothing stops', () => {
    const drawn = changed({ '/brief/climbRate': undefined });
    const [board] = drawn.materials;
    const heavy = { ...board!, id: 'heavy', name: 'Heavy board', arealDensity: 1.3 * board!.arealDensity };
    const design = {
      ...withFields(drawn, [{ field: '/surfaces/wing/construction/material', value: 'heavy' }]),
      materials: [...drawn.materials.filter(({ id }) => id !== 'board3'), heavy],
    };
    const asked = {
      goal: 'mass',
      free: [free('spans/wing', 95, 105, design)],
      choices: [boardChoice(design, 'wing')],
      slides: null,
      most: 60,
    } as const;
    const [best] = found(finish(search(design, asked)));
    // Bare board would be lighter still, but breaks.
    expect(best!.chosen).toEqual([`Board of Wing: ${board!.name}`]);
    expect(boardChoice(design, 'wing').options.map(({ label }) => label)[0]).toBe('Heavy board');
  }, 60_000);

  test('rods of the drawer stand in place of those that are drawn, and none of them', () => {
    const { options } = rodChoice(postman, 'wing');
    const sparsOf = (index: number) => options[index]!.apply(postman).surfaces[0]!.spars.map(({ name }) => name);
    expect(sparsOf(0)).toEqual(postman.surfaces[0]!.spars.map(({ name }) => name));
    options.slice(1).forEach(({ label }, index) => expect(sparsOf(index + 1)).toEqual(label === 'none' ? [] : [label]));
    const drawer = changed({ '/brief/drawer': [{ kind: 'rod', name: 'Glass rod 4 mm' }] });
    expect(rodChoice(drawer, 'wing').options.map(({ label }) => label)).toContain('Glass rod 4 mm');
    expect(rodChoice(drawer, 'wing').options.map(({ label }) => label)).not.toContain('Carbon rod 3 mm');
  });

  test('a brief that cannot be met is named with what it comes to at best, and where more might be had', () => {
    const design = changed({ '/brief/maximumMass': 300, '/brief/climbRate': undefined });
    const told = finish(
      search(design, {
        goal: 'span',
        free: [free('spans/wing', 90, 110, design)],
        choices: [],
        slides: null,
        most: 30,
      }),
    );
    if (told.kind !== 'unmet') throw new Error(told.kind);
    const mass = told.unmet.find(({ demand }) => demand.limit.name === 'mass.total')!;
    expect(mass.aloneMet).toBe(false);
    expect(mass.best).toBeGreaterThan(0.3);
    expect(mass.best).toBeLessThan(numbersOf(design).mass.total!);
    expect(told.atEnds).toContainEqual({ input: 'spans/wing', end: 'from' });
  }, 60_000);

  test('says why where there is nothing to go by', () => {
    const cost = finish(search(postman, { goal: 'cost', free: [], choices: [], slides: null }));
    expect(cost).toEqual({ kind: 'none', because: expect.stringContaining('type what sheets and rods cost') });
  });
});

describe('inputs that move several numbers', () => {
  test('chords and spans of a wing go with the share, tips are sawn off', () => {
    const area = (name: string, percent: number) => {
      const varied = free(name, 0, 1).input.set(postman, percent);
      if (!varied.ok) throw new Error(varied.because);
      return numbersOf(varied.design).reference;
    };
    const drawn = numbersOf(postman).reference;
    expectWithin(area('chords/wing', 80).area!, 0.8 * drawn.area!, 1e-9);
    expectWithin(area('spans/wing', 80).area!, 0.8 * drawn.area!, 1e-9);
    expectWithin(area('tips/wing', 90).span!, 0.9 * drawn.span!, 0.01);
  });

  test('a pack slides so that the margin holds, and only within its bay', () => {
    const { id } = postman.massItems.find(({ attachment }) => attachment.kind === 'slides')!;
    const drawn = numbersOf(postman).pitch.staticMargin!;
    const deeper = holdingMargin(postman, free('chords/wing', 0, 1).input, id).set(postman, 101);
    if (!deeper.ok) throw new Error(deeper.because);
    expect(numbersOf(deeper.design).pitch.staticMargin!).toBeCloseTo(drawn, 3);
    expect(deeper.design.massItems.find((item) => item.id === id)!.position.x).not.toBe(
      postman.massItems.find((item) => item.id === id)!.position.x,
    );
    expect(slideToMargin(postman, id, drawn + 0.6, 'fault')).toMatchObject({
      ok: false,
      because: expect.stringContaining('its bay reaches from'),
    });
    const end = slideToMargin(postman, id, drawn + 0.6, 'end');
    expect(end.ok).toBe(true);
  });

  test('names that are none are told, and shares that cannot be', () => {
    expect(inputNamed(postman, 'tips/fin')).toMatchObject({ ok: false });
    expect(inputNamed(postman, 'wings/wing')).toMatchObject({ ok: false });
    expect(free('tips/wing', 0, 1).input.set(postman, 120)).toMatchObject({ ok: false });
    expect(free('chords/wing', 0, 1).input.set(postman, 900)).toMatchObject({ ok: false });
  });
});
