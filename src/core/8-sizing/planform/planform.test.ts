import { forAll, SKIPPED } from '#/tests/forAll';
import { said } from '#/tests/matchers';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { simpleAircraft, surface, trapezoid } from '#/tests/designs';
import { withFields } from '@/core/2-document/edit/withFields';
import { designSchema } from '@/core/2-document/schema/design';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { integratePlanforms, referenceOf } from '@/core/3-shape/geometry/planform';
import { boardPanels, panelsTooLong, spanFromSheets } from '@/core/3-shape/planform/sheets';
import { joinPanels, splitPanel, withTipShape } from '@/core/3-shape/planform/panels';
import { holdSizes, resizeWings, WING_SIZES, wingSizesOf } from './resize';
import { sweepOf, tipOffsetFor, withTaper, withTipOffset } from '@/core/3-shape/planform/sweep';
import { sentence } from '@/words/formatQuantity';

const board = { id: 'board5', thickness: 5, arealDensity: 400, sheetLength: 1000, sheetWidth: 700 };
const design = withFields(simpleAircraft(90, { materials: [board] }), [
  { field: '/surfaces/wing/construction', value: { material: 'board5' } },
]);
const base = designSchema.parse(design);
const sizes = wingSizesOf(base);

function resized(...[wanted, locked]: Parameters<typeof resizeWings> extends [unknown, ...infer Rest] ? Rest : never) {
  const result = resizeWings(base, wanted, locked);
  if (result.kind === 'impossible') throw new Error(sentence(result.because));
  return wingSizesOf(result.design);
}

describe('sizes of the wings', () => {
  // Geometry: S = b c, A = b²/S of a rectangle; the numbers follow from two of them.
  test.each([
    ['span', 1.5, [], { span: 1.5, area: 1.5 * 0.2 }],
    ['span', 1.5, ['area'], { span: 1.5, area: sizes.area }],
    ['span', 1.5, ['aspectRatio'], { span: 1.5, aspectRatio: sizes.aspectRatio }],
    ['area', 0.3, [], { area: 0.3, aspectRatio: sizes.aspectRatio }],
    ['area', 0.3, ['span'], { area: 0.3, span: sizes.span }],
    ['aspectRatio', 8, [], { aspectRatio: 8, area: sizes.area }],
    ['aspectRatio', 8, ['span'], { aspectRatio: 8, span: sizes.span }],
    ['loading', 3, [], { loading: 3, aspectRatio: sizes.aspectRatio }],
    ['loading', 3, ['span'], { loading: 3, span: sizes.span }],
    ['span', 1.4, ['loading'], { span: 1.4, loading: sizes.loading }],
  ] as const)('%s to %d with %j locked', (size, value, locked, expected) => {
    const after = resized({ size, value }, locked);
    for (const [key, wanted] of Object.entries(expected)) {
      expect(after[key as keyof typeof after]! / wanted!, key).toBeCloseTo(1, 5);
    }
  });

  test.each([
    [{ size: 'span', value: 1 }, ['span'], /locked: unlock it/],
    [{ size: 'span', value: 1 }, ['area', 'aspectRatio'], /which fixes the wing: unlock one/],
    [{ size: 'area', value: 0 }, [], /more than nought/],
    [{ size: 'loading', value: 0.1 }, [], /no wing of this shape/],
  ] as const)('%j with %j locked says why not', (wanted, locked, message) => {
    const result = resizeWings(base, wanted, locked);
    expect(result.kind === 'impossible' && said(result.because)).toMatch(message);
  });

  test('any size that is reached is reached, and back again', () => {
    forAll(40, [fc.constantFrom(...WING_SIZES), fc.double({ min: 0.8, max: 1.3, noNaN: true })], (size, factor) => {
      const there = resizeWings(base, { size, value: sizes[size]! * factor }, []);
      if (there.kind === 'impossible') return SKIPPED;
      const back = resizeWings(there.design, { size, value: sizes[size]! }, []);
      expect(back.kind).toBe('stretched');
      if (back.kind === 'stretched') expect(wingSizesOf(back.design).area! / sizes.area!).toBeCloseTo(1, 4);
    });
  });

  test('without a wing or a mass the sizes are unknown, and said so', () => {
    const empty = { ...base, surfaces: [] };
    expect(wingSizesOf(empty).span).toBeNull();
    expect(resizeWings(empty, { size: 'span', value: 1 }, [])).toMatchObject({ kind: 'impossible' });
  });
});

describe('locks hold what an edit would move', () => {
  const longer = withFields(base, [{ field: '/surfaces/wing/stations/1/distanceFromRoot', value: 700 }]);
  const deeper = withFields(base, [{ field: '/surfaces/wing/stations/0/chord', value: 240 }]);

  test.each([
    ['area', 'span', longer],
    ['aspectRatio', 'span', longer],
    ['loading', 'span', longer],
    ['area', 'chord', deeper],
    ['aspectRatio', 'chord', deeper],
    ['loading', 'chord', deeper],
    ['span', 'chord', deeper],
  ] as const)('%s, when the %s is driven', (size, driven, after) => {
    const held = holdSizes(base, after, { locked: [size], driven });
    if ('because' in held) throw new Error(sentence(held.because));
    expect(wingSizesOf(held)[size]! / sizes[size]!).toBeCloseTo(1, 5);
    expect(held).not.toEqual(base);
  });

  test('what contradicts a lock is refused in words', () => {
    expect(holdSizes(base, longer, { locked: ['span'], driven: 'span' })).toEqual({
      because: expect.stringMatching(/span is locked/),
    });
    expect(holdSizes(base, longer, { locked: ['span', 'area'], driven: 'span' })).toEqual({
      because: expect.stringMatching(/unlock one/),
    });
    expect(holdSizes(base, longer, { locked: [], driven: 'span' })).toBe(longer);
  });
});

describe('sweep', () => {
  const swept = surface(trapezoid(500, 200, 120));

  test('one sweep in four forms', () => {
    // tan 30° over half a metre, and 180° − 2·30° at the nose.
    const tilted = withTipOffset(swept, 500 * Math.tan(Math.PI / 6));
    expect(sweepOf(tilted).leadingAngle).toBeCloseTo(30, 10);
    expect(sweepOf(tilted).noseAngle).toBeCloseTo(120, 10);
    expect(sweepOf(tilted).quarterAngle).toBeCloseTo(
      (Math.atan2(500 * Math.tan(Math.PI / 6) - 20, 500) * 180) / Math.PI,
      10,
    );
    for (const form of ['leadingAngle', 'quarterAngle', 'tipOffset', 'noseAngle'] as const)
      expect(tipOffsetFor(tilted, form, sweepOf(tilted)[form])).toBeCloseTo(sweepOf(tilted).tipOffset, 8);
  });

  test('shearing leaves the area, taper leaves the quarter-chord line', () => {
    const area = (of: typeof swept) => integratePlanforms([placeSurface(of)])!.area;
    expect(area(withTipOffset(swept, 140))).toBeCloseTo(area(swept), 12);
    const narrow = withTaper(swept, 0.3);
    expect(narrow.stations[1]!.chord).toBeCloseTo(60, 10);
    expect(sweepOf(narrow).quarterAngle).toBeCloseTo(sweepOf(swept).quarterAngle, 10);
  });
});

describe('panels and sheets', () => {
  const plain = surface(trapezoid(600, 200, 140, { incidence: 2 }));

  test('a panel split in two flies the same, and joins again', () => {
    const split = splitPanel(plain, 0, 0.4);
    expect(split.stations).toHaveLength(3);
    const [a, b] = [plain, split].map((one) => referenceOf([placeSurface(one)])!);
    expect(b!.area).toBeCloseTo(a!.area, 8);
    expect(b!.meanChord).toBeCloseTo(a!.meanChord, 6);
    expect(joinPanels(split, 1)).toEqual(plain);
    expect(() => joinPanels(split, 2)).toThrow(RangeError);
    expect(() => splitPanel(plain, 4)).toThrow(RangeError);
  });

  test.each(['rounded', 'raked'] as const)('a %s tip keeps the span and takes some area', (shape) => {
    const shaped = withTipShape(plain, shape);
    const reference = (one: typeof plain) => referenceOf([placeSurface(one)])!;
    expect(surface(shaped)).toEqual(shaped);
    expect(reference(shaped).span).toBeCloseTo(reference(plain).span, 6);
    expect(reference(shaped).area).toBeLessThan(reference(plain).area);
    expect(reference(shaped).area).toBeGreaterThan(0.9 * reference(plain).area);
    // Both edges run without a step into the panel.
    expect(shaped.stations.at(-1)!.chord).toBeLessThan(0.5 * plain.stations[1]!.chord);
  });

  test('a panel ends where the board bends, and must fit the sheet and the car', () => {
    const bent = {
      ...splitPanel(plain, 0),
      stations: splitPanel(plain, 0).stations.map((station, index) => ({ ...station, dihedral: index === 1 ? 8 : 0 })),
    };
    expect(boardPanels(bent).map(({ length }) => length)).toEqual([300, 300]);
    expect(boardPanels(splitPanel(plain, 0)).map(({ length }) => length)).toEqual([600]);
    expect(panelsTooLong(base)).toEqual([]);
    const short = withFields(base, [
      { field: '/materials/board5/sheetLength', value: 599 },
      { field: '/materials/board5/sheetWidth', value: 400 },
    ]);
    expect(panelsTooLong(short)[0]).toMatchObject({ limit: 599, because: 'sheet' });
    const small = withFields(base, [{ field: '/brief/longestPanel', value: 500 }]);
    expect(panelsTooLong(small).find(({ panel }) => panel.surface === 'wing')).toMatchObject({
      limit: 500,
      because: 'carried',
    });
    expect(spanFromSheets(700, 2)).toBe(1400);
  });
});
