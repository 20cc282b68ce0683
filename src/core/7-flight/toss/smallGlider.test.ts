import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { cutListOf } from '@/core/4-parts/cutList';
import { layOut } from '@/core/4-parts/layout';
import { CARD } from '@/core/4-parts/part';
import { bareOf, inertiaAlike, largestOnSheet, smallMade } from './smallGlider';

const BOARD = { id: 'board', name: 'Board', thickness: 5, arealDensity: 400, sheetLength: 1000, sheetWidth: 700 };
const plank = (more: object = {}) =>
  designOf([{ ...trapezoid(500, 200), construction: { material: 'board' } }], { materials: [BOARD], ...more } as never);

describe('what a small one is made of', () => {
  test('board alone: area by density; of another board by its own; a lump at the balance point adds no inertia', () => {
    const lump = { id: 'lump', name: 'Lump', category: 'other', mass: 300, position: { x: 100, y: 0, z: 0 } };
    const bare = bareOf(plank({ massItems: [lump] }))!;
    expectWithin(bare.mass, 0.08, 0.05);
    expectWithin(bareOf(plank(), 200)!.mass, bareOf(plank())!.mass / 2, 1e-9);
    // All of the roll inertia is in the board: a half one of the same board has twice what flies alike.
    expectWithin(bare.inertia[0], 1, 1e-3);
    expectWithin(inertiaAlike(bare, 0.5)[0], 2 * bare.inertia[0], 1e-12);
  });

  test('on one sheet: bound by the length of a part, or by the area of all', () => {
    // In one piece a metre long on a sheet that takes 990 mm.
    expectWithin(largestOnSheet(plank(), BOARD)!, 0.99, 1e-6);
    // 900 × 500 mm: λ² · 0.45 m² is 0.7 of 990 × 690 mm.
    const wide = designOf([{ ...trapezoid(450, 500), construction: { material: 'board' } }], {
      materials: [BOARD],
    } as never);
    expectWithin(largestOnSheet(wide, BOARD)!, Math.sqrt((0.7 * 0.99 * 0.69) / 0.45), 0.02);
    const long = designOf([{ ...trapezoid(2000, 60), construction: { material: 'board' } }], {
      materials: [BOARD],
    } as never);
    expect(largestOnSheet(long, BOARD)!).toBeLessThanOrEqual(990 / 2000 + 1e-9);
  });

  test.each(['polly-drift', 'tideline-plank', 'kittiwake-winglet'] as const)(
    '%s laid out at that scale fits one sheet of its board',
    (name) => {
      expect(DEMO_NAMES).toContain(name);
      const design = demoDesign(name);
      const { largest } = smallMade(design, null);
      const { sheets } = finish(layOut(design, cutListOf(design), { scale: largest!, tries: 4 } as never));
      const boards = sheets.filter(({ material }) => material !== CARD);
      expect(boards.length).toBeLessThanOrEqual(design.materials.length);
    },
  );
});
