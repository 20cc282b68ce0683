import { expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import type { SectionOf } from '@/core/2-document/schema/section';
import { metresFromMillimetres } from '@/core/1-base/units/convert';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { sectionAt } from './sectionAt';
import { surfaceStuff } from './surfaceStuff';

const BOARD = { id: 'board', name: 'Board', thickness: 5, arealDensity: 400 };
const FOLD = {
  kind: 'foldedOverSpar',
  boardThickness: 5,
  sparHeight: 14,
  sparPosition: 0.3,
  bottomLength: 0.7,
} as const;

const CHORD = 200;

/** Half way along a panel between two sections. */
function halfWay(ends: readonly (Partial<SectionOf<'foldedOverSpar'>> & { chord?: number })[], cutAt = 1) {
  const stations = ends.map(({ chord = CHORD, ...own }, index) => ({
    distanceFromRoot: 400 * index,
    chord,
    section: { ...FOLD, ...own },
  }));
  const surface = { ...trapezoid(400, CHORD), construction: { material: 'board' }, stations };
  const design = designOf([surface], { materials: [BOARD] });
  const stuff = surfaceStuff(placeSurface(design.surfaces[0]!), design.materials[0]!, null);
  const [chord, distance, edge] = [CHORD, 200, 0].map(metresFromMillimetres);
  return sectionAt(stuff, {
    panel: 0,
    within: 0.5,
    distance: distance!,
    chord: chord!,
    edge: edge!,
    cutAt,
    cosine: 1,
  });
}

test.each([1, 0.75])('two webs and a base are stiffer than one strip, never weaker; cut off at %f too', (cutAt) => {
  const [one, two] = (['strip', 'folded'] as const).map((spar) => halfWay([{ spar }, { spar }], cutAt));
  expect(two!.whole.upDown).toBeGreaterThan(one!.whole.upDown);
  expect(two!.shear).toBeGreaterThan(1.1 * one!.shear);
  expect(two!.twist).toBeGreaterThan(one!.twist);
  expect(two!.axis).toBeGreaterThan(0);
  expect(two!.axis).toBeLessThan(0.6 * 0.2);
});

test('bears as it is cut: a panel has the spar of its inner end, and none where that cannot be folded', () => {
  const [strip, folded] = (['strip', 'folded'] as const).map((spar) => halfWay([{ spar }, { spar }]));
  expect(halfWay([{ spar: 'folded' }, {}])).toEqual(folded);
  expect(halfWay([{}, { spar: 'folded' }])).toEqual(strip);
  // Nine millimetres at the outer end are less than two boards: no spar all along, though the inner end has room.
  const [low, higher] = [9, 13].map((sparHeight) => halfWay([{ spar: 'folded' }, { sparHeight }]));
  const lowStrip = halfWay([{}, { sparHeight: 9 }]);
  const webs = (section: typeof low) => section!.whole.fibres.filter(({ member }) => member === 'web').length;
  expect(webs(low)).toBe(0);
  expect(webs(higher)).toBeGreaterThan(0);
  expect(low!.shear).toBeLessThan(lowStrip.shear);
  expect(low!.twist).toBeLessThan(lowStrip.twist);
});
