import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { finish } from '@/core/1-base/steps';
import { withFields } from '@/core/2-document/edit/withFields';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { lengthOf } from '@/core/3-shape/outline/path';
import { costOf } from './cost';
import { cutListOf } from './cutList';
import { clashesOn, inPose, snapped, turned, turnedOver } from './handLaid';
import { keptByHand, layOut, USUAL_LAYOUT } from './layout';
import { packedPieces } from './packed';

const QUICK = { ...USUAL_LAYOUT, tries: 2 };
const design = demoDesign('lagoon-postman');
const list = cutListOf(design);
const layout = finish(layOut(design, list, QUICK));
const sheet = layout.sheets.find(({ material }) => material === 'board5')!;
const MARGIN = USUAL_LAYOUT.margin;

const middle = (index: number, of = sheet) => {
  const { left, right, bottom, top } = boundsOfPart(of.parts[index]!.outline);
  return [(left + right) / 2, (bottom + top) / 2];
};

describe('laid by hand', () => {
  test('what is laid on another or over the edge is found, both of the two; as laid out there is nothing', () => {
    expect(clashesOn(sheet)).toEqual(new Set());
    const on = (by: readonly [number, number]) => {
      const [part] = sheet.parts;
      const moved = inPose(part!, { ...part!.pose, x: part!.pose.x + by[0], y: part!.pose.y + by[1] });
      return clashesOn({ ...sheet, parts: sheet.parts.with(0, moved) });
    };
    const [a, b] = [middle(0), middle(1)];
    expect(on([b[0]! - a[0]!, b[1]! - a[1]!])).toEqual(expect.objectContaining(new Set([0, 1])));
    expect(on([-5000, 0])).toEqual(new Set([0]));
  });

  test('near the margin and beside a neighbour it lines up, farther off it stays', () => {
    const [part] = sheet.parts;
    const { left } = boundsOfPart(part!.outline);
    const near = { ...part!.pose, x: part!.pose.x - left + MARGIN + 2.5, y: part!.pose.y };
    const alone = { ...sheet, parts: [part!] };
    const caught = inPose(part!, snapped(alone, 0, near, { reach: 4, margin: MARGIN }));
    expect(boundsOfPart(caught.outline).left).toBeCloseTo(MARGIN, 6);
    const free = snapped(alone, 0, { ...near, x: near.x + 200, y: near.y + 37.3 }, { reach: 1, margin: MARGIN });
    expect(free.x).toBe(near.x + 200);
  });

  test('turned about its middle: by a half along the grain, by a quarter across; over only where faces are alike', () => {
    const along = sheet.parts.findIndex(({ isAlongGrain }) => isAlongGrain);
    const any = sheet.parts.findIndex(({ isAlongGrain }) => !isAlongGrain);
    for (const [index, by] of [
      [along, Math.PI],
      [any, Math.PI / 2],
    ] as const) {
      const part = sheet.parts[index]!;
      const pose = turned(part);
      expect((pose.turn - part.pose.turn + 4 * Math.PI) % (2 * Math.PI)).toBeCloseTo(by, 9);
      const after = boundsOfPart(inPose(part, pose).outline);
      expect((after.left + after.right) / 2).toBeCloseTo(middle(index)[0]!, 6);
    }
    const fixed = sheet.parts.find(({ mayFlip }) => !mayFlip)!;
    expect(turnedOver(fixed)).toBeNull();
    expect(turnedOver({ ...fixed, mayFlip: true })!.isMirrored).toBe(!fixed.pose.isMirrored);
  });

  test('beside a neighbour it comes to lie one gap off', () => {
    const [a, b] = [sheet.parts[0]!, sheet.parts[1]!];
    const other = boundsOfPart(b.outline);
    const own = boundsOfPart(a.outline);
    const beside = {
      ...a.pose,
      x: a.pose.x + other.right + sheet.gap + 1.5 - own.left,
      y: a.pose.y + other.bottom + 7 - own.bottom,
    };
    const pair = { ...sheet, length: 9000, width: 9000, parts: [a, b] };
    const caught = boundsOfPart(inPose(a, snapped(pair, 0, beside, { reach: 3, margin: MARGIN })).outline);
    expect(caught.left).toBeCloseTo(other.right + sheet.gap, 6);
  });

  test('what is kept lies again as it lay, the rest keeps clear of it', () => {
    const laid = keptByHand(layout, 'board5');
    const first = { ...laid[0]!, x: laid[0]!.x + 3, y: laid[0]!.y + 2 };
    const again = finish(layOut({ ...design, laid: [first, ...laid.slice(1)] }, list, QUICK));
    const same = again.sheets.find(({ material }) => material === 'board5')!;
    const place = same.parts.find(({ id, copy }) => id === first.part && copy === first.copy)!;
    expect([place.pose.x, place.pose.y]).toEqual([expect.closeTo(first.x, 2), expect.closeTo(first.y, 2)]);
    // One alone by hand, in the middle of the sheet: everything else goes round it.
    const alone = finish(layOut({ ...design, laid: [{ ...first, x: 400, y: 400 }] } as typeof design, list, QUICK));
    for (const one of alone.sheets.filter(({ material }) => material === 'board5'))
      expect(clashesOn(one)).toEqual(new Set());
    // At another scale nothing is by hand; what is gone from the list is passed over.
    expect(finish(layOut({ ...design, laid }, list, { ...QUICK, scale: 0.5 })).sheets.length).toBeGreaterThan(0);
    const gone = { ...first, part: 'gone' };
    expect(finish(layOut({ ...design, laid: [gone] }, list, QUICK)).sheets).toEqual(layout.sheets);
  });

  test('a kerf moves every edge out by half of it, holes in; the gap of a board is kept between its parts', () => {
    const kerfed = withFields(design, [{ field: '/materials/board5/kerf', value: 2 }]);
    const own = finish(layOut(kerfed, cutListOf(kerfed), QUICK)).sheets.find(({ material }) => material === 'board5')!;
    const find = (of: typeof own, id: string) => of.parts.find((part) => part.id === id)!;
    const [thin, wide] = [find(sheet, 'pod-bottom'), find(own, 'pod-bottom')].map(({ drawn }) => boundsOfPart(drawn));
    expect(wide!.right - wide!.left - (thin!.right - thin!.left)).toBeCloseTo(2, 1);
    const gapped = withFields(design, [{ field: '/materials/board5/partGap', value: 20 }]);
    const far = finish(layOut(gapped, cutListOf(gapped), QUICK)).sheets.filter(({ material }) => material === 'board5');
    expect(far.flatMap(({ parts }) => parts)).toHaveLength(
      layout.sheets.filter(({ material }) => material === 'board5').flatMap(({ parts }) => parts).length,
    );
    expect(far.every(({ gap }) => gap === 20)).toBe(true);
  });
});

describe('what it costs, and how it is carried', () => {
  test('rods by the metre, glue by its weight, covering by its area; nothing known, no sum', () => {
    expect(costOf(design, list, layout)).toMatchObject({ boards: null, glue: null });
    const priced = withFields(design, [
      { field: '/prices/rod', value: 2 },
      { field: '/prices/glue', value: 5 },
      { field: '/prices/covering', value: 3 },
    ]);
    const cost = costOf(priced, list, layout);
    const rods = list.rods.reduce((sum, { length, count }) => sum + (count * length) / 1000, 0);
    expect(cost.rods).toBeCloseTo(2 * rods, 9);
    const glue = [...design.surfaces, ...design.bodies].reduce(
      (sum, { construction, mirrored }) =>
        sum + ((construction?.glueLength ?? 0) / 1000) * (construction?.glueDensity ?? 0) * (mirrored ? 2 : 1),
      0,
    );
    expect(cost.glue).toBeCloseTo((5 * glue) / 100, 9);
  });

  test('glued together it is one piece; banded on the wing comes off, on joiners in halves', () => {
    const whole = packedPieces(design);
    expect(whole).toHaveLength(1);
    const span = 2 * design.surfaces[0]!.stations.at(-1)!.distanceFromRoot;
    expect(whole[0]!.length).toBeGreaterThan(0.95 * span);
    const banded = packedPieces(withFields(design, [{ field: '/surfaces/wing/mount/kind', value: 'bands' }]));
    expect(banded.map(({ name }) => name)[0]).toBe('Wing');
    expect(banded[1]!.length).toBeLessThan(0.95 * span);
    const halves = packedPieces(withFields(design, [{ field: '/surfaces/wing/joint', value: 'joiner' }]));
    expect(halves[0]).toMatchObject({ count: 2 });
    expect(halves[0]!.length).toBeLessThan(0.55 * span);
  });

  test('everything that is cut has a length', () => {
    for (const { outline } of list.parts)
      for (const path of [outline.edge, ...outline.holes, ...outline.lines.map((line) => line.path)])
        expect(lengthOf(path)).toBeGreaterThan(0);
  });
});
