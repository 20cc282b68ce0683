import { forAll } from '#/tests/forAll';
import { said } from '#/tests/matchers';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { trapezoid } from '#/tests/designs';
import { surfaceSchema } from '@/core/2-document/schema/surface';
import { sectionSchema, type SectionOf } from '@/core/2-document/schema/section';
import { bendCorrection, chordSquareToEdge, ellipseArc, foldPattern } from './foldPattern';
import { offThickest, sparPlaces } from './sparPlace';

const fold = (input: object = {}) =>
  sectionSchema.parse({
    kind: 'foldedOverSpar',
    boardThickness: 5,
    sparHeight: 20,
    sparPosition: 0.15,
    bottomLength: 0.6,
    ...input,
  }) as SectionOf<'foldedOverSpar'>;

const trial = (shortfall: number, angle = 180, scoredFace: 'inner' | 'outer' = 'inner') => ({
  date: '2026-03-01',
  noseRadius: 15,
  angle,
  shortfall,
  scoredFace,
  notes: '',
});

describe('perimeter in closed form', () => {
  test('a circular nose and straight runs: π r and Pythagoras', () => {
    // 15 % of 100 mm = half of 20 + 2 · 5 mm: the ellipse is a circle of 15 mm.
    const pattern = foldPattern(fold(), 100, { scored: 'inner' });
    expect(pattern.nose).toBeCloseTo(15 * Math.PI, 10);
    expect(pattern.below).toBeCloseTo(45, 12);
    expect(pattern.above).toBeCloseTo(Math.hypot(85, 25), 12);
    expect(pattern.cutWidth).toBeCloseTo(45 + 15 * Math.PI + Math.hypot(85, 25), 10);
  });

  test('cut from outside, the inner face counts: a circle of 10 mm, and a turn more at the crest', () => {
    const pattern = foldPattern(fold(), 100, { scored: 'outer' });
    const crest = Math.atan2(25, 85);
    expect(pattern.keptFace).toBe('inner');
    expect(pattern.cutWidth).toBeCloseTo(45 + 10 * Math.PI + Math.hypot(85, 25) - 5 * crest, 10);
  });

  // Complete elliptic integral E(m), Abramowitz & Stegun table 17.1: E(m = 0.75) = 1.2110560275684594.
  test('an ellipse of axes 2 : 1 has the perimeter 4 a E', () => {
    expect(ellipseArc(2, 1, 0, 2 * Math.PI)).toBeCloseTo(8 * 1.2110560275684594, 8);
  });

  test('the strip runs from one edge to the other, and lines keep their order', () => {
    forAll(
      100,
      [
        fc.record({
          sparHeight: fc.double({ min: 4, max: 40, noNaN: true }),
          sparPosition: fc.double({ min: 0.1, max: 0.5, noNaN: true }),
          bottomLength: fc.double({ min: 0, max: 1, noNaN: true }),
          rearBevel: fc.double({ min: 0, max: 30, noNaN: true }),
        }),
      ],
      (input) => {
        const { lines, cutWidth } = foldPattern(fold(input), 220, { scored: 'inner' });
        expect(lines.at(-1)!.at).toBe(cutWidth);
        const places = lines.filter(({ kind }) => kind !== 'bevel').map(({ at }) => at);
        expect([...places].sort((a, b) => a - b)).toEqual(places);
      },
    );
  });

  test('a nose tighter than the board says what happens', () => {
    expect(said(foldPattern(fold({ sparHeight: 3 }), 300, { scored: 'inner' }).tooTight)).toMatch(/crushed/);
    expect(foldPattern(fold(), 100, { scored: 'inner' }).tooTight).toBeNull();
  });
});

describe('trial folds', () => {
  test('the shortfall of a half turn comes back on the next half turn', () => {
    const before = foldPattern(fold(), 100, { scored: 'inner' });
    const after = foldPattern(fold(), 100, { scored: 'inner', folds: [trial(3.2)] });
    expect(after.cutWidth - before.cutWidth).toBeCloseTo((3.2 / Math.PI) * before.turn, 10);
  });

  test('several are averaged by angle, and the other face does not count', () => {
    expect(bendCorrection([trial(2, 90), trial(2), trial(9, 180, 'outer')], 'inner')).toBeCloseTo(3 / Math.PI, 12);
    expect(bendCorrection([], 'inner')).toBe(0);
  });
});

test('chords square to a swept edge: c cos Λ when the edges are parallel, c when nothing is swept', () => {
  const sweep = (25 * Math.PI) / 180;
  expect(chordSquareToEdge(200, sweep, sweep)).toBeCloseTo(200 * Math.cos(sweep), 10);
  expect(chordSquareToEdge(200, 0, -0.2)).toBe(200);
});

test('a straight rod wanders through a tapered chord', () => {
  const surface = surfaceSchema.parse({
    ...trapezoid(500, 200),
    stations: [
      { distanceFromRoot: 0, chord: 200 },
      { distanceFromRoot: 500, chord: 100, leadingEdgeOffset: 60 },
    ],
    spars: [{ id: 'rod', start: { distanceFromRoot: 0, x: 60 }, end: { distanceFromRoot: 500, x: 100 } }],
  });
  const places = sparPlaces(surface, 'rod');
  expect(places.map(({ fraction }) => fraction)).toEqual([
    0.3,
    expect.closeTo((80 - 30) / 150, 9),
    expect.closeTo(0.4, 9),
  ]);
  expect(sparPlaces(surface, 'none')).toEqual([]);
});

test('only a section that swells has a thickest place for a rod to miss', () => {
  const spars = [{ id: 'rod', start: { distanceFromRoot: 0, x: 160 }, end: { distanceFromRoot: 500, x: 160 } }];
  const offOf = (section: object) => {
    const stations = trapezoid(500, 200).stations.map((station) => ({ ...station, section }));
    return sparPlaces(surfaceSchema.parse({ ...trapezoid(500, 200), stations, spars }), 'rod').map(offThickest);
  };
  for (const even of [
    { kind: 'flatPlate', thickness: 5 },
    { kind: 'curvedPlate', thickness: 5, camber: 0.03 },
    { kind: 'reflexed', thickness: 5, bendAngle: 4 },
  ]) {
    expect(offOf(even)).toEqual([0, 0, 0]);
  }
  for (const off of offOf({ kind: 'fourDigit', thicknessRatio: 0.12 })) expect(off).toBeCloseTo(0.8 - 0.3, 3);
});
