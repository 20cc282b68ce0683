import { expect, test } from 'vitest';
import { forAll } from '#/tests/forAll';
import { said } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { lengthOf } from '@/core/3-shape/outline/path';
import { outlineFaults } from '@/core/3-shape/outline/partOutline';
import { buildOrder } from '@/core/4-parts/build/buildOrder';
import { cutListOf } from '@/core/4-parts/cutList';
import { layOut, USUAL_LAYOUT } from '@/core/4-parts/layout';
import { aircraft } from './aircraft';

/** Three hundred with `CAMPAIGN=10`. */
const RUNS = 30;

test('whatever is drawn is cut without a line that crosses itself or has no length, or says why not', () => {
  forAll(RUNS, [aircraft], (design) => {
    const list = cutListOf(design);
    for (const { outline } of list.parts) {
      expect(outlineFaults(outline)).toEqual([]);
      for (const { path } of outline.lines) expect(lengthOf(path)).toBeGreaterThan(0);
    }
    const { faults } = finish(layOut(design, list, { ...USUAL_LAYOUT, tries: 1 }));
    for (const { message } of faults) {
      expect(said(message)).toMatch(/^.{10,}\.$/s);
      expect(said(message)).not.toMatch(/NaN|undefined|Infinity/);
    }
    expect(buildOrder(design, list).every(({ minutes }) => minutes > 0)).toBe(true);
  });
});
