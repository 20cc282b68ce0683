import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoDesign, DEMO_NAMES } from '#/demo';
import { foldPattern } from '../pattern/foldPattern';
import { stripOutline } from '../pattern/stripOutline';
import { areaOfPart, boundsOfPart, isInside, outlineFaults, type PartOutline, transformedPart } from './partOutline';
import {
  areaOf,
  boundsOf,
  circle,
  flattened,
  lengthOf,
  mirrored,
  openLine,
  type Path,
  polygon,
  reversed,
  transformed,
} from './path';
import { svgPath } from './svgPath';

const square = polygon([
  [0, 0],
  [40, 0],
  [40, 40],
  [0, 40],
]);
/** A stadium: 60 long, 20 high, round at both ends. */
const stadium: Path = {
  isClosed: true,
  vertices: [
    { x: 10, y: 0 },
    { x: 50, y: 0, bulge: 1 },
    { x: 50, y: 20 },
    { x: 10, y: 20, bulge: 1 },
  ],
};

describe('lines with arcs', () => {
  test('areas and lengths are those of the plane', () => {
    expect(areaOf(square)).toBe(1600);
    expect(lengthOf(square)).toBe(160);
    expect(areaOf(circle([7, -3], 25))).toBeCloseTo(Math.PI * 625, 9);
    expect(lengthOf(circle([7, -3], 25))).toBeCloseTo(2 * Math.PI * 25, 10);
    expect(areaOf(stadium)).toBeCloseTo(40 * 20 + Math.PI * 100, 9);
    expect(lengthOf(stadium)).toBeCloseTo(80 + 2 * Math.PI * 10, 10);
    // A quarter of a circle of radius 10 over its chord: r²(π/2 − 1)/2.
    const quarter = polygon([
      [10, 0],
      [0, 10],
    ]);
    const segment = {
      ...quarter,
      vertices: [{ ...quarter.vertices[0]!, bulge: Math.tan(Math.PI / 8) }, quarter.vertices[1]!],
    };
    expect(areaOf(segment)).toBeCloseTo(50 * (Math.PI / 2 - 1), 9);
  });

  test('the box around an arc holds its belly', () => {
    expect(boundsOf([stadium])).toEqual({ left: 0, right: 60, bottom: 0, top: 20 });
    const { left, right, bottom, top } = boundsOf([circle([3, 4], 5)]);
    [left + 2, right - 8, bottom + 1, top - 9].forEach((off) => expect(off).toBeCloseTo(0, 12));
  });

  test('turning, moving, mirroring and walking back change what they must and nothing else', () => {
    const similarity = fc.record({
      scale: fc.double({ min: 0.1, max: 9, noNaN: true }),
      turn: fc.double({ min: -7, max: 7, noNaN: true }),
      isMirrored: fc.boolean(),
      by: fc.tuple(fc.double({ min: -99, max: 99, noNaN: true }), fc.double({ min: -99, max: 99, noNaN: true })),
    });
    forAll(60, [similarity], (change) => {
      const moved = transformed(stadium, change);
      const sense = change.isMirrored ? -1 : 1;
      expect(areaOf(moved) / (change.scale ** 2 * areaOf(stadium))).toBeCloseTo(sense, 9);
      expect(lengthOf(moved) / (change.scale * lengthOf(stadium))).toBeCloseTo(1, 9);
      expect(areaOf(reversed(moved))).toBeCloseTo(-areaOf(moved), 6);
    });
    const twice = mirrored(mirrored(stadium));
    expect(twice).toEqual(stadium);
    expect(
      lengthOf(
        reversed(
          openLine([
            [0, 0],
            [3, 4],
          ]),
        ),
      ),
    ).toBe(5);
  });

  test('corners in place of arcs leave them by no more than was allowed', () => {
    const points = flattened(circle([0, 0], 80), 0.1);
    expect(points.length).toBeLessThan(80);
    points.forEach(([x, y], index) => {
      const [nextX, nextY] = points[(index + 1) % points.length]!;
      expect(Math.hypot(x, y)).toBeCloseTo(80, 9);
      expect(80 - Math.hypot((x + nextX) / 2, (y + nextY) / 2)).toBeLessThanOrEqual(0.1 + 1e-9);
    });
  });

  test('on a screen arcs bend the same way as on the board', () => {
    const paper = {
      place: ([x, y]: readonly [number, number]) => [2 * x, 100 - 2 * y] as const,
      scale: 2,
      isMirrored: true,
    };
    expect(svgPath(stadium, paper)).toBe(
      'M20 100 L100 100 A20 20 0 0 0 100 60 L20 60 A20 20 0 0 0 20 100 Z',
    );
    expect(
      svgPath(
        openLine([
          [0, 0],
          [3, 4],
        ]),
      ),
    ).toBe('M0 0 L3 4');
  });
});

describe('parts', () => {
  const part = (more: Partial<PartOutline> = {}): PartOutline => ({
    name: 'former',
    edge: square,
    holes: [reversed(circle([20, 20], 5))],
    lines: [
      {
        kind: 'score',
        path: openLine([
          [0, 10],
          [40, 10],
        ]),
      },
    ],
    texts: [{ words: 'F1', at: [5, 5], height: 6, turn: 0 }],
    ...more,
  });

  test('area is the edge less its holes', () => {
    expect(outlineFaults(part())).toEqual([]);
    expect(areaOfPart(part())).toBeCloseTo(1600 - Math.PI * 25, 9);
    expect(isInside([1, 1], square)).toBe(true);
    expect(isInside([41, 1], square)).toBe(false);
  });

  test('a mirrored part can still be cut: edges and holes keep their sense, words stay readable', () => {
    const other = transformedPart(part(), { isMirrored: true, turn: Math.PI / 2, by: [100, 0] }, reversed);
    expect(outlineFaults(other)).toEqual([]);
    expect(areaOfPart(other)).toBeCloseTo(areaOfPart(part()), 9);
    expect(boundsOfPart(other)).toMatchObject({ left: expect.closeTo(100, 9), right: expect.closeTo(140, 9) });
    expect(other.texts[0]).toMatchObject({ at: [expect.closeTo(105, 9), expect.closeTo(5, 9)], turn: Math.PI / 2 });
  });

  test.each<[string, Partial<PartOutline>, RegExp]>([
    ['the wrong way round', { edge: reversed(square), holes: [] }, /edge of former runs the wrong way/],
    [
      'open',
      {
        edge: openLine([
          [0, 0],
          [9, 0],
          [9, 9],
        ]),
        holes: [],
      },
      /edge of former is not closed/,
    ],
    [
      'crossing itself',
      {
        edge: polygon([
          [0, 0],
          [40, 40],
          [44, -4],
          [0, 40],
        ]),
        holes: [],
      },
      /crosses itself|wrong way/,
    ],
    ['a hole outside', { holes: [reversed(circle([80, 20], 5))] }, /Hole 1 of former lies outside/],
    [
      'no number',
      {
        edge: polygon([
          [0, 0],
          [Number.NaN, 0],
          [4, 4],
        ]),
        holes: [],
      },
      /no number/,
    ],
    [
      'a line of one point',
      { lines: [{ kind: 'mark', path: openLine([[1, 1]]) }] },
      /mark line of former has no length/,
    ],
  ])('%s is told', (_, more, message) => {
    expect(outlineFaults(part(more)).join(' ')).toMatch(message);
  });

  test('the strips of the fleet can be cut, and are as wide as their patterns say', () => {
    let strips = 0;
    for (const name of DEMO_NAMES)
      for (const { stations, id } of demoDesign(name).surfaces)
        for (const { section, chord } of stations) {
          if (section.kind !== 'foldedOverSpar') continue;
          const pattern = foldPattern(section, chord, { scored: 'inner' });
          const strip = stripOutline(pattern, id, 300);
          expect(outlineFaults(strip), `${name} ${id}`).toEqual([]);
          expect(areaOfPart(strip)).toBeCloseTo(300 * pattern.cutWidth, 6);
          strips++;
        }
    expect(strips).toBeGreaterThan(3);
  });
});
