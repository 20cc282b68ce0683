import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import type { Design } from '@/core/2-document/schema/design';
import { type Figures, NO_FIGURES } from '@/core/2-document/schema/figures';
import { areaOfPart } from '@/core/3-shape/outline/partOutline';
import { foldPattern } from '@/core/3-shape/pattern/foldPattern';
import { foldsCounted } from '@/core/3-shape/pattern/foldsCounted';
import { cutListOf } from '@/core/4-parts/cutList';
import { layupOf, plateStiffness } from '@/core/5-strength/materials/board';
import { boardNamed } from '@/core/5-strength/materials/ownBoard';
import { analyse } from '@/core/analyse';
import { numbersOf } from '@/core/6-groups/solve';
import { type Evidence, figuresOf, learned } from './evidence';
import { lessonsOfBench } from './learnBench';

const design = demoDesign('lagoon-postman');
const counting = (figures: Partial<Figures>, of: Design = design): Design => ({
  ...of,
  figures: { ...NO_FIGURES, ...figures },
});
const board = design.materials[0]!;
const evidence = (figure: Evidence['figure'], ratio: number, sigma: number): Evidence => ({
  id: figure,
  figure,
  ratio,
  sigma,
  from: 'Lagoon Postman',
  at: '2026-06-01T10:00:00Z',
});
const trial = (shortfall: number, scoredFace: 'inner' | 'outer' = 'inner', angle = 180) => ({
  material: board.id,
  angle,
  shortfall,
  scoredFace,
});
/** The sag of a strip under a weight by m g L³/(3 E I). */
const sagOf = (bending: number, { length, width, weight } = { length: 300, width: 50, weight: 20 }) => ({
  length,
  width,
  weight,
  sag: ((weight / 1000) * 9.80665 * (length / 1000) ** 3 * 1000) / (3 * bending * (width / 1000)),
});
const bare = plateStiffness(layupOf({ ...board, sagTest: undefined }, board.thickness)).bending;

describe('stiffness of boards', () => {
  test('a strip that sank a quarter more than it should says 80 %, whatever the design counts with', () => {
    const tested = { ...design, materials: [{ ...board, sagTest: sagOf(0.8 * bare) }] };
    for (const of of [tested, counting({ stiffness: 0.7 }, tested)]) {
      const lesson = lessonsOfBench(of, []).find(({ figure }) => figure === 'stiffness')!;
      expectWithin(lesson.ratio, 0.8, 1e-9);
      expect(lesson.readings).toBe(1);
    }
  });

  test('boards without a strip count with it, those with one do not; the same sheet stays the same board', () => {
    const softer = counting({ stiffness: 0.8, spreads: { stiffness: 0.06 } });
    const own = boardNamed(softer, board.id)!;
    expectWithin(plateStiffness(layupOf(own, board.thickness)).bending, 0.8 * bare, 1e-9);
    expect(boardNamed(softer, board.id)).toBe(own);
    // Twice its spread is the band of what it is made of.
    expect(layupOf(own, board.thickness).core.band).toBeCloseTo(0.12, 12);
    const tested = { ...own, sagTest: sagOf(1.1 * bare) };
    expectWithin(plateStiffness(layupOf(tested, board.thickness)).bending, 1.1 * bare, 1e-9);
    expect(boardNamed(design, board.id)).toBe(board);
    expect(boardNamed(softer, 'nothing')).toBeUndefined();
  });

  test('softer boards bend further, and the working says why', () => {
    const [plain, softer] = [analyse(design), analyse(counting({ stiffness: 0.7 }))];
    expect(softer.strength.tipDeflection!).toBeGreaterThan(1.05 * plain.strength.tipDeflection!);
    const working = softer.workings.find(({ id }) => id === 'tipDeflection')!;
    expect(working.inputs.find(({ name }) => name.startsWith('Own figure of stiffness'))?.value).toBe(0.7);
    expect(plain.workings.find(({ id }) => id === 'tipDeflection')!.inputs.some(({ symbol }) => symbol === 'k')).toBe(
      false,
    );
  });
});

describe('thrust of propellers', () => {
  const thrust = (of: Design) => numbersOf(of).power.staticThrust!;
  const untested = { ...design, propulsion: design.propulsion.map((one) => ({ ...one, benchTest: undefined })) };

  test('a bench test teaches its factor; a drive without one counts with the figure, one with it does not', () => {
    const grams = (0.9 * thrust(untested) * 1000) / 9.80665;
    const tested = {
      ...design,
      propulsion: untested.propulsion.map((one) => ({ ...one, benchTest: { thrust: grams } })),
    };
    const lesson = lessonsOfBench(counting({ thrust: 0.8 }, tested), []).find(({ figure }) => figure === 'thrust')!;
    expectWithin(lesson.ratio, 0.9, 1e-6);
    const less = analyse(counting({ thrust: 0.8, spreads: { thrust: 0.05 } }, untested));
    expectWithin(less.power.staticThrust!, 0.8 * thrust(untested), 1e-9);
    expectWithin(thrust(counting({ thrust: 0.8 }, tested)), 0.9 * thrust(untested), 1e-6);
    const working = less.workings.find(({ id }) => id === 'staticThrust')!;
    expect(working.inputs.find(({ symbol }) => symbol === 'k')?.value).toBe(0.8);
    expectWithin(working.band!, 0.1 * less.power.staticThrust!, 1e-9);
  });
});

describe('glue in joints', () => {
  const glued = (construction: object): Design => ({
    ...design,
    figures: undefined,
    surfaces: design.surfaces.map((one, index) =>
      index === 0
        ? {
            ...one,
            measuredMass: undefined,
            construction: { ...one.construction!, glueLength: 500, glueDensity: 8, ...construction },
          }
        : one,
    ),
  });
  const massOf = (of: Design) => analyse(of).mass.parts.find(({ id }) => id === design.surfaces[0]!.id)!.computed;

  test('a joint that gained 3 g on 300 mm counts with 10 g/m on both sides, and teaches 125 % of 8', () => {
    const [plain, weighed] = [glued({}), glued({ glueTest: { length: 300, weight: 3 } })];
    expect(massOf(weighed) - massOf(plain)).toBeCloseTo((2 * 0.5 * 2) / 1000, 9);
    const lesson = lessonsOfBench(weighed, []).find(({ figure }) => figure === 'glue')!;
    expectWithin(lesson.ratio, 1.25, 1e-12);
  });

  test('the figure counts where no joint was weighed', () => {
    const more = (of: Design) => massOf(counting({ glue: 1.5 }, of)) - massOf(of);
    expect(more(glued({}))).toBeCloseTo((2 * 0.5 * 4) / 1000, 9);
    expect(more(glued({ glueTest: { length: 300, weight: 3 } }))).toBeCloseTo(0, 12);
    // A joint without a length says nothing.
    expect(massOf(glued({ glueTest: { length: 0, weight: 3 } }))).toBe(massOf(glued({})));
  });
});

describe('folds', () => {
  test('two folds of a board teach what a radian takes of its thickness, each face by itself', () => {
    const lessons = lessonsOfBench(design, [trial(3), trial(1, 'inner', 90), trial(-1, 'outer')]);
    const [inner, outer] = ['foldInside', 'foldOutside'].map((name) => lessons.find(({ figure }) => figure === name)!);
    const t = board.thickness;
    // Weighed by the angle turned: 3 mm over π t and 1 mm over π/2 t, spreads as one over the angles.
    const expected = ((3 / (Math.PI * t)) * 4 + (1 / ((Math.PI / 2) * t)) * 1) / 5;
    expectWithin(inner!.ratio, expected, 1e-9);
    expectWithin(outer!.ratio, -1 / (Math.PI * t), 1e-9);
    expect(inner!.readings).toBe(2);
  });

  test('a board that was never folded is cut by the figure; one own fold replaces it for its face', () => {
    const figures = { foldInside: 0.1, foldOutside: -0.05 };
    const [inner, outer] = foldsCounted(counting(figures), board.id, []);
    expect(inner).toEqual({ scoredFace: 'inner', angle: 180, shortfall: 0.1 * board.thickness * Math.PI });
    expect(outer!.shortfall).toBeCloseTo(-0.05 * board.thickness * Math.PI, 12);
    expect(foldsCounted(counting(figures), board.id, [trial(2)]).map(({ shortfall }) => shortfall)).toEqual([
      2,
      outer!.shortfall,
    ]);
    expect(foldsCounted(design, board.id, [trial(2)])).toHaveLength(1);
  });

  test('what is cut is wider by it', () => {
    const folded = demoDesign('atoll-freighter');
    const wing = folded.surfaces.find(({ stations }) => stations[0]!.section.kind === 'foldedOverSpar')!;
    const { section, chord } = wing.stations[0]!;
    if (section.kind !== 'foldedOverSpar') throw new Error('The demo has no fold.');
    const sheet = folded.materials.find(({ id }) => id === wing.construction!.material)!;
    const widthOf = (of: Design) =>
      foldPattern(section, chord, { folds: foldsCounted(of, sheet.id, []), scored: 'inner' });
    const [plain, more] = [widthOf(folded), widthOf(counting({ foldInside: 0.1 }, folded))];
    expectWithin(more.cutWidth - plain.cutWidth, 0.1 * sheet.thickness * plain.turn, 1e-9);
    const areaOf = (of: Design) =>
      cutListOf(of)
        .parts.filter(({ owner, kind }) => owner === wing.id && kind === 'skin')
        .reduce((sum, { outline }) => sum + areaOfPart(outline), 0);
    const wider = areaOf(counting({ foldInside: 0.1 }, folded)) / areaOf(folded);
    expect(wider).toBeGreaterThan(1.002);
    expect(wider).toBeLessThan(1.02);
  });
});

test('a fold is believed about nought before it is tried, and what rests on measurements says how well it is known', () => {
  expect(learned('foldInside', [])).toEqual({ value: 0, sigma: 0.1, count: 0 });
  const figures = figuresOf([evidence('foldInside', 0.2, 0.03), evidence('glue', 1.4, 0.1)])!;
  const [prior, own] = [1 / 0.1 ** 2, 1 / (0.03 ** 2 + 0.04 ** 2)];
  expect(figures.foldInside).toBeCloseTo((0.2 * own) / (prior + own), 3);
  expect(figures.spreads.foldInside).toBeCloseTo(Math.sqrt(1 / (prior + own)), 3);
  expect(Object.keys(figures.spreads).sort()).toEqual(['foldInside', 'glue']);
  expect(figures).toMatchObject({ greatestLift: 1, stiffness: 1, foldOutside: 0 });
});

test('what was measured narrows the bands of what it moves', () => {
  const bandOf = (of: Design, id: string) => {
    const working = analyse(of).workings.find((one) => one.id === id)!;
    return working.band! / working.value;
  };
  const known = counting({ spreads: { greatestLift: 0.03, drag: 0.05 } });
  // Speed goes with the root of lift: half of twice the spread.
  expectWithin(bandOf(known, 'stallSpeed'), 0.03, 1e-9);
  expectWithin(bandOf(known, 'approach'), 0.03, 1e-9);
  expectWithin(bandOf(known, 'drag'), 0.1, 1e-9);
  expectWithin(bandOf(known, 'bestGlide'), 0.05, 1e-9);
  expect(bandOf(design, 'stallSpeed')).toBeGreaterThan(0.05);
  // A spread wider than the band of the table says nothing new.
  expect(bandOf(counting({ spreads: { greatestLift: 0.3 } }), 'stallSpeed')).toBe(bandOf(design, 'stallSpeed'));
});
