import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { boundsOf, type Path } from '@/core/3-shape/outline/path';
import { cutListOf } from '../cutList';
import type { CutPart } from '../part';
import { placeIn } from '../seat';

const MATERIALS = [{ id: 'board', name: 'Board', thickness: 5, arealDensity: 400 }];
const construction = { material: 'board' };
const SECTIONS = {
  flat: { kind: 'flatPlate', thickness: 5 },
  fold: { kind: 'foldedOverSpar', boardThickness: 5, sparHeight: 14, sparPosition: 0.3, bottomLength: 0.7 },
  curved: { kind: 'curvedPlate', thickness: 5, camber: 0.05, ribSpacing: 100 },
  film: { kind: 'ribsUnderFilm', thicknessRatio: 0.12, ribSpacing: 100 },
} as const;
const servo = (y: number, more: object = {}) => ({
  id: 'servo',
  category: 'servo',
  mass: 9,
  position: { x: 90, y, z: 0 },
  size: { length: 23, width: 12, height: 24 },
  mirrored: true,
  ...more,
});
const rod = (more: object = {}) => ({
  id: 'rod',
  start: { distanceFromRoot: 0, x: 50 },
  end: { distanceFromRoot: 300, x: 60 },
  shape: 'round',
  width: 4,
  ...more,
});
const partsOf = (
  section: object,
  { massItems = [], spars = [], dihedral = 0, joint = 'glued' }: Record<string, unknown> = {},
) =>
  cutListOf(
    designOf(
      [
        {
          ...trapezoid(400, 200),
          joint,
          construction,
          spars,
          stations: [
            { distanceFromRoot: 0, chord: 200, dihedral, section },
            { distanceFromRoot: 400, chord: 200, section },
          ],
        },
      ] as never,
      { materials: MATERIALS, massItems } as never,
    ),
  ).parts;
const sizeOf = (path: Path) => {
  const { left, right, bottom, top } = boundsOf([path]);
  return [right - left, top - bottom];
};

describe('servos let into a wing', () => {
  test.each([
    ['flat', 'plate'],
    ['fold', 'skin'],
    ['curved', 'skin'],
  ] as const)('%s: an opening as large as the servo with its play, where it stands', (build, kind) => {
    const own = partsOf(SECTIONS[build], { massItems: [servo(150)] }).find((part) => part.kind === kind)!;
    expect(own.outline.holes).toHaveLength(1);
    const [long, wide] = sizeOf(own.outline.holes[0]!);
    expectWithin(long!, 13, 0.02);
    expectWithin(wide!, 24, 0.03);
    expect(own.notes.map(said).join()).toMatch(/servo is let in from below/);
    const { left, right } = boundsOf([own.outline.holes[0]!]);
    expectWithin((left + right) / 2, 150, 0.02);
  });

  test('with dihedral it lies as far along the board; what hangs under it, or stands beside it, cuts nothing', () => {
    const turn = (10 * Math.PI) / 180;
    const [y, z] = [200 * Math.cos(turn), 200 * Math.sin(turn)];
    const on = partsOf(SECTIONS.flat, { dihedral: 10, massItems: [servo(y, { position: { x: 90, y, z } })] });
    const plate = on.find(({ kind }) => kind === 'plate')!;
    const { left, right, bottom, top } = boundsOf(plate.outline.holes);
    const at = placeIn(plate.seat!, [(left + right) / 2, (bottom + top) / 2]);
    [90, y, z].forEach((value, axis) => expect(at[axis]).toBeCloseTo(value, 6));
    for (const item of [
      servo(150, { position: { x: 90, y: 150, z: -40 } }),
      servo(150, { position: { x: 260, y: 150, z: 0 } }),
      servo(150, { size: undefined }),
      servo(150, { category: 'receiver' }),
    ])
      expect(partsOf(SECTIONS.flat, { massItems: [item] }).flatMap(({ outline }) => outline.holes)).toEqual([]);
  });
});

describe('rods', () => {
  const ribs = (parts: readonly CutPart[]) => parts.filter(({ kind }) => kind === 'rib');

  test('run through every rib up to their end, at the height they lie at', () => {
    for (const level of ['upper', 'middle', 'lower'] as const) {
      const own = ribs(partsOf(SECTIONS.film, { spars: [rod({ level })] }));
      const through = own.filter(
        ({ outline, notes }) => outline.holes.length > 0 || /runs through/.test(notes.map(said).join()),
      );
      expect(through.map(({ notes }) => said(notes[0]))).toEqual(
        [0, 100, 200, 300].map((place) => `${place} mm from the root`),
      );
    }
    const [first] = ribs(partsOf(SECTIONS.film, { spars: [rod({ level: 'middle' })] }));
    const { left, right } = boundsOf(first!.outline.holes);
    expectWithin(right - left, 4.6, 0.01);
    expectWithin((left + right) / 2, 50, 0.001);
  });

  test('one that is as high as the rib is told of, not cut', () => {
    const [first] = ribs(partsOf(SECTIONS.film, { spars: [rod({ width: 40 })] }));
    expect(first!.outline.holes).toEqual([]);
    expect(first!.notes.map(said).join()).toMatch(/as high as the rib/);
  });

  test.each(['fold', 'curved'] as const)('their channels are marked on a %s, from end to end', (build) => {
    const bare = partsOf(SECTIONS[build]).find(({ kind }) => kind === 'skin')!;
    const own = partsOf(SECTIONS[build], { spars: [rod()] }).find(({ kind }) => kind === 'skin')!;
    const marks = own.outline.lines.slice(bare.outline.lines.length);
    expect(marks.map(({ kind }) => kind)).toEqual(['mark', 'mark']);
    const [[a, b], [c]] = marks.map(({ path }) => path.vertices) as [
      [{ x: number; y: number }, { x: number; y: number }],
      [{ x: number; y: number }],
    ];
    expectWithin(Math.abs(b.x - a.x), 300, 0.01);
    expectWithin(Math.abs(c.y - a.y), 4, 0.05);
  });
});

describe('skins of folds', () => {
  const skinOf = (section: object) => partsOf(section).find(({ kind }) => kind === 'skin')!;
  const kindsOf = (part: CutPart) => {
    const counts = new Map<string, number>();
    for (const { kind } of part.outline.lines) counts.set(kind, (counts.get(kind) ?? 0) + 1);
    return counts;
  };

  test('scores run from end to end of a tapered panel, as many as the larger end needs; few of them are dents', () => {
    const tapered = (scores?: number) =>
      cutListOf(
        designOf(
          [
            {
              ...trapezoid(400, 260),
              construction,
              stations: [260, 120].map((chord, index) => ({
                distanceFromRoot: 400 * index,
                chord,
                section: { ...SECTIONS.fold, ...(scores === undefined ? {} : { scores }) },
              })),
            },
          ] as never,
          { materials: MATERIALS } as never,
        ),
      ).parts.find(({ kind }) => kind === 'skin')!;
    const large = kindsOf(skinOf({ ...SECTIONS.fold })).get('score')!;
    expect(kindsOf(tapered()).get('score')).toBeGreaterThanOrEqual(large);
    expect(kindsOf(tapered(1)).get('dent')).toBe(1);
    expect(kindsOf(tapered(5)).get('score')).toBe(5);
  });

  test('inner paper is peeled round the nose where the inside is scored and has paper', () => {
    expect(kindsOf(skinOf(SECTIONS.fold)).get('peel')).toBe(2);
    expect(kindsOf(skinOf({ ...SECTIONS.fold, scoredFace: 'outer' })).get('peel')).toBeUndefined();
  });
});
