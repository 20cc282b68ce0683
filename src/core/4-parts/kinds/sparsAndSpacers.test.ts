import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { sectionSchema } from '@/core/2-document/schema/section';
import { areaOfPart, boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { surfaceBoardMasses } from '../boardMass';
import { buildOrder } from '../build/buildOrder';
import { cutListOf } from '../cutList';
import type { CutPart } from '../part';
import { spanAt } from '../polygons';
import { placeIn } from '../seat';

const BOARD = { id: 'board', name: 'Board', thickness: 5, arealDensity: 400, sheetLength: 1000, sheetWidth: 700 };
const FOLD = { kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 14, sparPosition: 0.3, bottomLength: 0.7 };

const wing = (section: object, [root, tip] = [200, 200], more: object = {}) =>
  ({
    ...trapezoid(400, root!),
    construction: { material: 'board', countedBy: 'parts' },
    stations: [
      { distanceFromRoot: 0, chord: root, section },
      { distanceFromRoot: 400, chord: tip, section },
    ],
    ...more,
  }) as never;
const built = (...of: Parameters<typeof wing>) => {
  const design = designOf([wing(...of)], { materials: [BOARD] });
  return { design, surface: design.surfaces[0]!, ...cutListOf(design) };
};
const allOf = (parts: readonly CutPart[], kind: CutPart['kind']) => parts.filter((part) => part.kind === kind);

describe('a spar folded of one strip', () => {
  const folded = { ...FOLD, spar: 'folded' };

  test('its webs are as high as the room where they stand, its base four boards wide', () => {
    const { parts } = built(folded);
    const [spar] = allOf(parts, 'spar');
    const { bottom, top, right } = boundsOfPart(spar!.outline);
    // Behind the spar the upper face falls straight from 24 mm to the 5 mm of a single board, 140 mm farther aft.
    const rear = 24 - (19 * 10) / 140 - 10;
    expect(Math.abs(top - 20 - rear)).toBeLessThan(0.15);
    const edge = sectionOutline(sectionSchema.parse(folded), 200).edge;
    const [low, high] = spanAt(edge, 50);
    expect(Math.abs(-bottom - (high - low - 10))).toBeLessThan(0.15);
    expect(right).toBe(400);
    const scores = spar!.outline.lines.filter(({ kind }) => kind === 'score');
    expect(scores.map(({ path }) => path.vertices[0]!.y)).toEqual([0, 20]);
    // A groove of 45° is as wide at the inner face as the board is thick, to either side.
    const bevels = spar!.outline.lines.filter(({ kind }) => kind === 'bevel');
    expect(bevels.map(({ path }) => path.vertices[0]!.y)).toEqual([-5, 5, 15, 25]);
  });

  test('folded up it stands on the lower skin, both webs under the upper one, and weighs what its strip weighs', () => {
    const { parts, design, surface } = built(folded);
    const [spar] = allOf(parts, 'spar');
    const { bottom, top } = boundsOfPart(spar!.outline);
    const [front, base, rear] = [bottom, 10, top].map((y) => placeIn(spar!.seat!, [100, y]));
    expect(front![0]).toBeCloseTo(52.5, 6);
    expect(rear![0]).toBeCloseTo(67.5, 6);
    expect(base![0]).toBeCloseTo(60, 6);
    expect(base![2]).toBeCloseTo(7.5, 1);
    expect(front![2]).toBeCloseTo(5 - bottom, 1);
    expect(rear![2]).toBeCloseTo(5 + top - 20, 1);
    for (const [x, y, z] of [front!, base!, rear!]) {
      expect(y).toBeCloseTo(100, 6);
      const [low, high] = spanAt(sectionOutline(sectionSchema.parse(folded), 200).edge, x);
      expect(z).toBeGreaterThan(low + 4.9);
      expect(z).toBeLessThan(high - 4.8);
    }
    const masses = surfaceBoardMasses(design, surface).filter(({ size }) => size[1] > 0.3);
    const mass = masses.reduce((sum, one) => sum + one.mass, 0);
    expectWithin(mass, 2 * areaOfPart(spar!.outline) * 1e-6 * 0.4, 1e-4);
    const height = masses.reduce((sum, one) => sum + one.mass * one.centre[2], 0) / mass;
    const areas = [-bottom, 20, top - 20];
    const heights = [5 - bottom / 2, 7.5, 5 + (top - 20) / 2];
    const byHand = areas.reduce((sum, area, index) => sum + area * heights[index]!, 0) / (top - bottom);
    expectWithin(height, byHand / 1000, 0.005);
  });

  test('it tapers with the room; where two boards do not fit it says so and keeps the strip for a remedy', () => {
    const taller = built(folded, [240, 160]).parts.find(({ kind }) => kind === 'spar')!;
    const ys = taller.outline.edge.vertices.map(({ x, y }) => [x, y] as const);
    const [root, tip] = [0, 400].map((at) =>
      Math.max(...ys.filter(([x]) => Math.round(x / 400) * 400 === at).map(([, y]) => y)),
    );
    expect(root).toBeGreaterThan(tip!);
    const low = built({ ...folded, sparHeight: 8 });
    expect(allOf(low.parts, 'spar')).toEqual([]);
    expect(low.faults.map(({ message }) => said(message)).join()).toMatch(/cannot be folded.*take a strip on edge/);
  });

  test('it is grooved and glued before the skins close over it', () => {
    const { design, ...list } = built(folded);
    const titles = buildOrder(design, list).map(({ title }) => said(title));
    const [fold, close] = [/Groove, fold and glue the spars/, /close the skins/].map((words) =>
      titles.findIndex((title) => words.test(title)),
    );
    expect(fold).toBeGreaterThan(-1);
    expect(close).toBeGreaterThan(fold!);
  });
});

describe('spacers between skins', () => {
  const spaced = { ...FOLD, spacers: 100, bottomLength: 1 };

  test('at even steps, none at the ends; each fills the room behind the spar', () => {
    const { parts } = built(spaced);
    const spacers = allOf(parts, 'spacer');
    expect(spacers.map(({ seat }) => Math.round(placeIn(seat!, [0, 0])[1]))).toEqual([100, 200, 300]);
    const section = sectionOutline(sectionSchema.parse(spaced), 200).edge;
    for (const { outline, count } of spacers) {
      expect(count).toBe(2);
      const { left, right } = boundsOfPart(outline);
      // Behind the strip, half a board and a millimetre.
      expect(left).toBeCloseTo(63.5, 2);
      for (const share of [0.003, 0.1, 0.4, 0.7]) {
        const x = left + share * (right - left);
        const [low, high] = spanAt(outline.edge, x);
        const [skinLow, skinHigh] = spanAt(section, x);
        expect(Math.abs(low - skinLow - 5)).toBeLessThan(0.15);
        expect(Math.abs(skinHigh - high - 5)).toBeLessThan(0.15);
      }
    }
    const skin = allOf(parts, 'skin')[0]!;
    const without = allOf(built({ ...spaced, spacers: undefined }).parts, 'skin')[0]!;
    expect(skin.outline.lines.length - without.outline.lines.length).toBe(3);
  });

  test('on a tapered panel they shrink evenly; they end ahead of a hinge, and rods run through them', () => {
    const aileron = { id: 'aileron', function: 'aileron', from: 0.6, to: 1, hingeInboard: 0.6, hingeOutboard: 0.6 };
    const rod = {
      id: 'rod',
      width: 3,
      shape: 'round',
      start: { distanceFromRoot: 0, x: 90 },
      end: { distanceFromRoot: 250, x: 90 },
    };
    const { parts } = built({ ...spaced, sparHeight: 16 }, [240, 200], { controls: [aileron], spars: [rod] });
    const spacers = allOf(parts, 'spacer');
    const spans = spacers.map(({ outline }) => boundsOfPart(outline));
    expect(spans).toHaveLength(3);
    expect(spans.map(({ right }) => right > 0.6 * 210)).toEqual([true, true, false]);
    expect(spans[2]!.right).toBeCloseTo(0.6 * 210 - 1, 1);
    // Up to its end it is a board away from both skins.
    const end = spans[2]!.right - 0.1;
    const [low, high] = spanAt(spacers[2]!.outline.edge, end);
    const [skinLow, skinHigh] = spanAt(
      sectionOutline(sectionSchema.parse({ ...spaced, sparHeight: 16 }), 210).edge,
      end,
    );
    expect(Math.abs(low - skinLow - 5)).toBeLessThan(0.15);
    expect(Math.abs(skinHigh - high - 5)).toBeLessThan(0.15);
    expect(spans[0]!.left - spans[1]!.left).toBeCloseTo(spans[1]!.left - spans[2]!.left, 2);
    expect(spacers.map(({ outline }) => outline.holes.length)).toEqual([1, 1, 0]);
  });

  test('they weigh what is cut where parts are counted', () => {
    const massOf = (section: object) => {
      const { design, surface } = built(section);
      return surfaceBoardMasses(design, surface).reduce((sum, { mass }) => sum + mass, 0);
    };
    const area = allOf(built(spaced).parts, 'spacer').reduce(
      (sum, { outline, count }) => sum + count * areaOfPart(outline),
      0,
    );
    expect(area).toBeGreaterThan(1000);
    expectWithin(massOf(spaced) - massOf({ ...spaced, spacers: undefined }), area * 1e-6 * 0.4, 1e-6);
  });
});
