import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin, said } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { withFields } from '@/core/2-document/edit/withFields';
import { areaOf, circle, type Path, type Point, polygon, transformed } from '@/core/3-shape/outline/path';
import { boundsOfPart } from '@/core/3-shape/outline/partOutline';
import { cutListOf } from './cutList';
import { costOf } from './cost';
import { layOut, massOfPart, USUAL_LAYOUT } from './layout';
import { nest, type NestItem } from './nesting/nest';
import { common, cutOut, grown, straightened, withoutSlivers } from './polygons';

const square = (side: number): Path =>
  polygon([
    [0, 0],
    [side, 0],
    [side, side],
    [0, side],
  ]);
const item = (id: string, edge: Path, more: Partial<NestItem> = {}): NestItem => ({
  id,
  edge,
  isMirrored: false,
  isAlongGrain: false,
  mayFlip: true,
  ...more,
});
const SHEET = { sheet: { length: 400, width: 200 }, gap: 3, margin: 5, tries: 3 };

describe('areas', () => {
  test('cut out, grown and common areas by hand', () => {
    const hole = cutOut({ edge: square(100), holes: [] }, [circle([50, 50], 20)])!;
    expect(hole.holes).toHaveLength(1);
    expectWithin(-areaOf(hole.holes[0]!), Math.PI * 400, 2e-3);
    expectWithin(areaOf(grown(square(100), 5)[0]!), 110 ** 2, 1e-6);
    expectWithin(areaOf(common(square(100), square(40))[0]!), 1600, 1e-6);
    expect(cutOut({ edge: square(10), holes: [] }, [square(20)])).toBeNull();
  });

  test('corners on a straight line go, whatever their number, and what is bent keeps its shape', () => {
    const along = (count: number, y: number, way: 1 | -1): Point[] =>
      Array.from({ length: count }, (_, index) => [(100 * (way > 0 ? index : count - 1 - index)) / (count - 1), y]);
    const board = straightened(polygon([...along(60, 0, 1), ...along(60, 6, -1)]));
    expect(board.vertices).toHaveLength(4);
    expectWithin(areaOf(board), 600, 1e-9);
    const round = circle([0, 0], 40);
    expectWithin(Math.abs(areaOf(straightened(round))), Math.PI * 1600, 1e-3);
  });

  test('slivers go, walls stay', () => {
    const flag = polygon([
      [0, 0],
      [100, 0],
      [100, 50],
      [99, 50],
      [99, 20],
      [0, 20],
    ]);
    expectWithin(areaOf(withoutSlivers(flag, 2)), 2000, 0.02);
  });
});

describe('nesting', () => {
  test('six squares of 90 go on one sheet of 400 × 200, the ninth begins another', () => {
    const of = (count: number) =>
      finish(
        nest(
          Array.from({ length: count }, () => item('square', square(90))),
          SHEET,
        ),
      );
    expect(of(6).sheets).toBe(1);
    expect(of(8).sheets).toBe(1);
    expect(of(9).sheets).toBe(2);
  });

  test('what is too large is told; what runs along the grain is turned by halves only', () => {
    const tall = polygon([
      [0, 0],
      [50, 0],
      [50, 300],
      [0, 300],
    ]);
    const turned = finish(nest([item('tall', tall)], SHEET));
    expect(turned.laid[0]!.turn).not.toBe(0);
    const kept = finish(nest([item('tall', tall, { isAlongGrain: true })], SHEET));
    expect(kept).toMatchObject({ tooLarge: [0], sheets: 0 });
  });

  test('a mirrored part that shows its face is laid mirrored, no other way', () => {
    const hook = polygon([
      [0, 0],
      [90, 0],
      [20, 80],
    ]);
    const laid = finish(nest([item('hook', hook, { isMirrored: true, mayFlip: false })], SHEET)).laid;
    expect(laid[0]!.isMirrored).toBe(true);
  });

  test('what has a thousand corners, or hardly any height, is laid clear of the others all the same', () => {
    const wavy = polygon(
      Array.from({ length: 1000 }, (_, index) => {
        const turn = (2 * Math.PI * index) / 1000;
        const radius = 40 + 3 * Math.sin(60 * turn);
        return [radius * Math.cos(turn), radius * Math.sin(turn)] as const;
      }),
    );
    const sliver = polygon(
      Array.from({ length: 400 }, (_, index) => [index / 4, 0.05 * Math.sin((Math.PI * index) / 399)] as const),
    );
    const items = [item('wavy', wavy), item('wavy', wavy), item('sliver', sliver), item('b', square(60))];
    const { laid, tooLarge } = finish(nest(items, { ...SHEET, tries: 1 }));
    expect(tooLarge).toEqual([]);
    const paths = laid.map(({ item: index, turn, isMirrored, x, y }) =>
      transformed(items[index]!.edge, { turn, isMirrored, by: [x, y] }),
    );
    paths.forEach((path, index) => {
      for (const other of paths.slice(index + 1))
        expect(grown(path, 2.5).flatMap((edge) => common(edge, other))).toEqual([]);
    });
  });

  test('it pauses at every part of every try', () => {
    const steps = [...nest([item('a', square(50)), item('b', square(60))], SHEET)];
    expect(steps).toHaveLength(6);
  });
});

describe('layouts of the fleet', () => {
  const laidOf = (name: string, tries = 6) => {
    const design = demoDesign(name);
    const list = cutListOf(design);
    return { design, list, layout: finish(layOut(design, list, { ...USUAL_LAYOUT, tries })) };
  };

  test.each(DEMO_NAMES)('%s: no part lies on another, none over the edge of its sheet', (name) => {
    const { layout } = laidOf(name);
    for (const { parts, length, width, gap } of layout.sheets) {
      for (const [index, part] of parts.entries()) {
        const { left, right, bottom, top } = boundsOfPart(part.outline);
        expect(Math.min(left, bottom)).toBeGreaterThan(USUAL_LAYOUT.margin - 0.4);
        expect(right).toBeLessThan(length - USUAL_LAYOUT.margin + 0.4);
        expect(top).toBeLessThan(width - USUAL_LAYOUT.margin + 0.4);
        const around = grown(part.outline.edge, gap - 0.2);
        for (const other of parts.slice(index + 1))
          expect(
            around.flatMap((edge) => common(edge, other.outline.edge)),
            `${part.id} and ${other.id}`,
          ).toEqual([]);
      }
    }
  });

  test.each(['lagoon-postman', 'tideline-plank'])('%s uses seven tenths of its sheets', (name) => {
    expect(laidOf(name, USUAL_LAYOUT.tries).layout.utilisation).toBeGreaterThan(0.7);
  });

  test('every part lies on a sheet as often as it is needed', () => {
    const { list, layout } = laidOf('gannet-vee');
    const counts = new Map<string, number>();
    for (const { parts } of layout.sheets) for (const { id } of parts) counts.set(id, (counts.get(id) ?? 0) + 1);
    for (const { id, count } of list.parts) expect(counts.get(id), id).toBe(count);
  });

  test('a part that no sheet is broad enough for is told with its size and a remedy', () => {
    const design = withFields(demoDesign('lagoon-postman'), [
      { field: '/materials/board5/sheetLength', value: 320 },
      { field: '/materials/board5/sheetWidth', value: 120 },
    ]);
    const layout = finish(layOut(design, cutListOf(design), { ...USUAL_LAYOUT, tries: 1 }));
    expect(layout.faults.map(({ message }) => said(message)).join()).toMatch(
      /Wing, panel 1, sheet.* does not fit on a sheet.*Split it with a joint/,
    );
  });

  test('at a quarter of the size everything is a quarter; what boards cost is their number times their price', () => {
    const { design, list, layout } = laidOf('lagoon-postman');
    const small = finish(layOut(design, list, { ...USUAL_LAYOUT, tries: 1, scale: 0.25 }));
    const longest = (one: typeof layout) =>
      Math.max(
        ...one.sheets.flatMap(({ parts }) =>
          parts.map(({ outline }) => boundsOfPart(outline).right - boundsOfPart(outline).left),
        ),
      );
    expectWithin(longest(small), longest(layout) / 4, 1e-3);
    expect(costOf(design, list, layout).boards).toBeNull();
    const priced = withFields(design, [{ field: '/materials/board5/price', value: 4.5 }]);
    expect(costOf(priced, list, layout).boards).toBe(
      4.5 * layout.sheets.filter(({ material }) => material === 'board5').length,
    );
  });

  test('what cannot be carried is split, whatever the sheet holds', () => {
    const { design } = laidOf('lagoon-postman');
    const short = withFields(design, [{ field: '/brief/longestPanel', value: 500 }]);
    const { sheets } = finish(layOut(short, cutListOf(short), { ...USUAL_LAYOUT, tries: 1 }));
    for (const { parts, material } of sheets)
      if (material !== 'card')
        for (const { outline, id } of parts)
          expect(boundsOfPart(outline).right - boundsOfPart(outline).left, id).toBeLessThan(500.5);
  });

  test('a part weighs its area times what its sheet weighs', () => {
    const { design, list } = laidOf('lagoon-postman');
    const fin = list.parts.find(({ name }) => name === 'Fin')!;
    const sheet = design.materials.find(({ id }) => id === fin.material)!;
    expectWithin(massOfPart(design, fin), (areaOf(fin.outline.edge) / 1e6) * (sheet.arealDensity / 1000), 1e-9);
  });
});
