import { expectWithin, said } from '#/tests/matchers';
import { describe, expect, test } from 'vitest';
import { airAt, GRAVITY } from '@/core/5-aero/atmosphere';
import { materialSchema } from '@/core/2-document/schema/airframe';
import { NO_FIGURES } from '@/core/2-document/schema/figures';
import { flightConditionsSchema } from '@/core/2-document/schema/design';
import { briefSchema } from '@/core/2-document/schema/brief';
import { numbersOf } from '@/core/6-groups/solve';
import { checkRules } from '@/core/7-verdict/judge';
import { mixRecipes, type Recipe, RECIPES } from './recipe';
import { sizeDesign } from './sizeDesign';
import { massOf } from './solveSize';
import { stallForField, targetsOf } from '@/core/6-groups/ceilings/briefTargets';
import { sentence } from '@/words/formatQuantity';

const air = airAt(0, 15);
const brief = (input: object = {}) => briefSchema.parse(input);
const board = (arealDensity = 410) => [
  materialSchema.parse({ id: 'board5', name: 'Faced board', thickness: 5, arealDensity }),
];
const conditions = flightConditionsSchema.parse({});
const size = (recipe: Recipe, input: object = {}, density?: number) =>
  sizeDesign({ recipe, brief: brief(input), conditions, materials: board(density) });
function sized(recipe: Recipe, input: object = {}) {
  const result = size(recipe, input);
  if (result.kind !== 'sized') throw new Error(sentence(result.because));
  return result.candidate;
}

test('sections that lift less than the table are loaded less for the same stall, and the layout counts with them', () => {
  const recipe = RECIPES.train[0]!;
  const figures = { ...NO_FIGURES, greatestLift: 0.85, drag: 1, boards: 1 };
  const plain = sized(recipe);
  const own = sizeDesign({ recipe, brief: brief(), conditions, materials: board(), figures });
  if (own.kind !== 'sized') throw new Error(sentence(own.because));
  expect(own.candidate.design.figures).toEqual(figures);
  const [less, more] = [plain.design, own.candidate.design].map((design) => numbersOf(design));
  expectWithin(more!.mass.wingLoading! / less!.mass.wingLoading!, 0.85, 0.04);
  expectWithin(more!.speeds.stall!, less!.speeds.stall!, 0.05);
});

describe('targets', () => {
  test('a field of 100 m: 21 m of glide over the fence, 29 m of slide at μ = 0.35', () => {
    // V² = 2 · 0.35 · 9.80665 · 29 = 199.1 m²/s²; touchdown at 1.2 times the stall.
    expect(stallForField(100)).toBeCloseTo(Math.sqrt(199.075) / 1.2, 3);
    expect(stallForField(30)).toBe(3);
  });

  test('the least bound counts, and wing loading is ½ρV²C_L/g', () => {
    const targets = targetsOf(brief({ purpose: 'wind', launch: 'hand' }), air, 1);
    // 500 g leave the hand at 11/√1.5.
    expect(targets.stallSpeed).toBeCloseTo(11 / Math.sqrt(1.5) / 1.2, 9);
    expect(said(targets.stallBecause)).toMatch(/throw by hand/);
    expect(targets.wingLoading).toBeCloseTo((0.5 * 1.225 * targets.stallSpeed ** 2) / GRAVITY, 3);
    expect(targetsOf(brief({ purpose: 'wind', launch: 'wheels' }), air, 1).stallSpeed).toBe(8);
  });

  test('wind asks for speed, and says when it asks for too much', () => {
    const windy = targetsOf(brief({ purpose: 'train', wind: 6 }), air, 1);
    expect(windy.cruiseSpeed).toBeCloseTo(11.6, 9);
    expect(windy.conflicts).toEqual([]);
    expect(said(targetsOf(brief({ purpose: 'float', wind: 8 }), air, 1).conflicts[0])).toMatch(
      /wind asks for a cruise of 14.8/,
    );
  });

  test('a typed wing loading is kept, and its contradiction told', () => {
    const targets = targetsOf(brief({ purpose: 'float', targetWingLoading: 4000 }), air, 1);
    expect(targets.wingLoading).toBeCloseTo(4, 9);
    expect(said(targets.conflicts[0])).toMatch(/stalls at 8.0 m\/s, above 4.5/);
  });
});

describe('sizing', () => {
  test.each(['train', 'payload', 'soar', 'wind', 'experiment'] as const)(
    '%s: area and mass agree, it balances and is trimmed',
    (purpose) => {
      for (const recipe of RECIPES[purpose]) {
        const { design, analysis, targets } = sized(recipe, {
          purpose,
          payloadMass: purpose === 'payload' ? 150 : undefined,
        });
        const loading = analysis.mass.total! / analysis.reference.area!;
        // A little lighter than the bound, with what did not settle.
        expect(loading / targets.wingLoading).toBeLessThan(1.02);
        expect(loading / targets.wingLoading).toBeGreaterThan(0.85);
        expect(Math.abs(analysis.speeds.stall! / targets.stallSpeed - 1)).toBeLessThan(0.1);
        expect(analysis.mass.cg![0]).toBeLessThanOrEqual(analysis.window.aft! + 1e-6);
        expect(analysis.mass.cg![0]).toBeGreaterThan(analysis.window.forward!);
        expect(Math.abs(analysis.trim.elevator!)).toBeLessThan((6 * Math.PI) / 180);
        expect(checkRules(design, analysis).filter(({ severity }) => severity === 'stop')).toEqual([]);
      }
    },
  );

  test('limits of the brief: span is kept, mass and panel are told', () => {
    const [conventional] = RECIPES.train;
    const capped = sized(conventional, { maximumSpan: 700, maximumMass: 150, longestPanel: 300 });
    expect(capped.analysis.reference.span!).toBeLessThan(0.705);
    expect(capped.remarks.map(said).join(' ')).toMatch(/over the 150 g.*longer|more than the 300 mm/);
  });

  test('what lies in the drawer is used', () => {
    const { design } = sized(RECIPES.train[0], {
      drawer: [
        { kind: 'motor', name: 'Old faithful', mass: 40 },
        { kind: 'pack', name: 'The blue one', mass: 66 },
      ],
    });
    expect(design.massItems.map(({ name }) => name)).toEqual(expect.arrayContaining(['Old faithful', 'The blue one']));
    expect(design.massItems.find(({ id }) => id === 'pack')!.mass).toBe(66);
  });

  test('board that is too heavy for the stall speed is refused in words', () => {
    const result = size(RECIPES.float[1], { purpose: 'float' }, 3000);
    expect(result.kind === 'impossible' && said(result.because)).toMatch(
      /Faced board alone is too heavy .* lighter board/,
    );
  });

  test('a layout that outgrows what can be drawn is refused in words, not thrown', () => {
    const result = size(RECIPES.wind[2], { purpose: 'float' }, 410);
    expect(result.kind === 'impossible' && said(result.because)).toMatch(/larger than can be drawn .* lighter board/);
  });

  test('it is weighed part by part, with rods that its own rules do not complain about', () => {
    const { design, analysis } = sized(RECIPES.soar[1], { purpose: 'soar' });
    for (const { construction } of [...design.surfaces, ...design.bodies])
      expect(construction!.countedBy).toBe('parts');
    const parts = massOf(design);
    expectWithin(analysis.mass.total! * 1000, parts, 1e-6);
    const bare = { ...design, surfaces: design.surfaces.map((surface) => ({ ...surface, spars: [] })) };
    const complaints = (of: typeof design) =>
      checkRules(of, numbersOf(of, { without: ['bands'] })).filter(({ severity }) => severity !== 'note').length;
    expect(complaints(design)).toBe(0);
    expect(complaints(bare)).toBeGreaterThan(0);
  });

  test('a wing of one layout with the tail of another', () => {
    const [conventional, vee] = RECIPES.train;
    const mixed = mixRecipes({ ...conventional, aspectRatio: 9 }, vee);
    expect(mixed).toMatchObject({ wing: 'single', aspectRatio: 9, tail: 'vTail' });
    const { design, analysis } = sized(mixed);
    expect(design.surfaces.map(({ role }) => role)).toEqual(['wing', 'vTail']);
    expectWithin(analysis.reference.aspectRatio, 9, 5e-3);
    expect(mixRecipes(conventional, conventional)).toBe(conventional);
  });
});
