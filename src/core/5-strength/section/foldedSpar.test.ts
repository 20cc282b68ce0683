import { expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { metresFromMillimetres } from '@/core/1-base/units/convert';
import { placeSurface } from '@/core/3-shape/geometry/layout';
import { sectionAt, surfaceStuff } from './sectionAt';

const BOARD = { id: 'board', name: 'Board', thickness: 5, arealDensity: 400 };
const FOLD = {
  kind: 'foldedOverSpar',
  boardThickness: 5,
  sparHeight: 14,
  sparPosition: 0.3,
  bottomLength: 0.7,
} as const;

test.each([1, 0.75])('two webs and a base are stiffer than one strip, never weaker; cut off at %f too', (cutAt) => {
  const [one, two] = [FOLD, { ...FOLD, spar: 'folded' as const }].map((section) => {
    const stations = [0, 400].map((distanceFromRoot) => ({ distanceFromRoot, chord: 200, section }));
    const surface = { ...trapezoid(400, 200), construction: { material: 'board' }, stations };
    const design = designOf([surface], { materials: [BOARD] });
    const stuff = surfaceStuff(placeSurface(design.surfaces[0]!), design.materials[0]!, null);
    const [chord, distance, edge] = [200, 200, 0].map(metresFromMillimetres);
    return sectionAt(stuff, {
      panel: 0,
      within: 0.5,
      distance: distance!,
      chord: chord!,
      edge: edge!,
      cutAt,
      cosine: 1,
    });
  });
  expect(two!.whole.upDown).toBeGreaterThan(one!.whole.upDown);
  expect(two!.shear).toBeGreaterThan(1.1 * one!.shear);
  expect(two!.twist).toBeGreaterThan(one!.twist);
  expect(two!.axis).toBeGreaterThan(0);
  expect(two!.axis).toBeLessThan(0.6 * 0.2);
});
