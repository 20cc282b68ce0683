import { forAll } from '#/tests/forAll';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { trapezoid } from '#/tests/designs';
import { surfaceSchema } from '@/core/2-document/schema/surface';
import { sectionSchema, type SectionOf } from '@/core/2-document/schema/section';
import { bendCorrection, chordSquareToEdge, foldPattern, shortfallOf } from './foldPattern';
import { foldNose } from '../section/foldNose';
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
    expect(pattern.nose).toBeCloseTo(15 * Math.PI, 3);
    expect(pattern.below).toBeCloseTo(45, 12);
    expect(pattern.above).toBeCloseTo(Math.hypot(85, 25), 12);
    expect(pattern.cutWidth).toBeCloseTo(45 + 15 * Math.PI + Math.hypot(85, 25), 3);
  });

  test('cut from outside, the inner face counts: a circle of 10 mm, and a turn more at the crest', () => {
    const pattern = foldPattern(fold(), 100, { scored: 'outer' });
    const crest = Math.atan2(25, 85);
    expect(pattern.keptFace).toBe('inner');
    expect(pattern.cutWidth).toBeCloseTo(45 + 10 * Math.PI + Math.hypot(85, 25) - 5 * crest, 3);
  });

  // Complete elliptic integral E(m), Abramowitz & Stegun table 17.1: E(m = 0.75) = 1.2110560275684594.
  test('half an ellipse of axes 2 : 1 has the length 2 a E', () => {
    // a 40 mm, b 20 mm: its tip turns on 10 mm, more than the board of 5 mm asks.
    const { side, radius } = foldNose(fold({ sparHeight: 30, sparPosition: 0.2 }), 200);
    expect(2 * side()).toBeCloseTo(2 * 40 * 1.2110560275684594, 3);
    expect(radius).toBeCloseTo(10, 12);
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

  test('no nose turns tighter than a sheet laid flat on itself, whose outside turns on its thickness', () => {
    // b²/a = 11²/56 = 2.2 mm: blunter than an ellipse, so that the tip turns on the 5 mm of the board.
    const { heightAt, half, radius } = foldNose(fold({ sparHeight: 12, sparPosition: 0.28 }), 200);
    expect(radius).toBe(5);
    const x = 0.01;
    expect(heightAt(x) ** 2 / (2 * x)).toBeCloseTo(5, 1);
    expect(heightAt(56)).toBeCloseTo(half, 12);
    expect(heightAt(20)).toBeGreaterThan(half * Math.sqrt(1 - (1 - 20 / 56) ** 2));
  });

  test('one dent: an arc of the board and straight on to the crest', () => {
    const input = { sparHeight: 12, sparPosition: 0.28, scores: 1 };
    const { heightAt, half, radius, side } = foldNose(fold(input), 200);
    expect(radius).toBe(5);
    expect(heightAt(1)).toBeCloseTo(Math.sqrt(2 * 5 - 1), 12);
    // Straight: the middle of two places lies midway.
    expect(heightAt(40)).toBeCloseTo((heightAt(30) + heightAt(50)) / 2, 9);
    expect(heightAt(56)).toBeCloseTo(half, 12);
    // The arc to where the skin touches it, and the skin as its tangent from the crest.
    const reach = Math.hypot(51, 11);
    const slope = Math.atan2(11, 51) - Math.asin(5 / reach);
    expect(side()).toBeCloseTo(5 * (Math.PI / 2 - slope) + Math.sqrt(reach ** 2 - 25), 2);
    const scores = (pattern: ReturnType<typeof foldPattern>) => pattern.lines.filter(({ kind }) => kind === 'score');
    expect(scores(foldPattern(fold(input), 200, { scored: 'inner' })).map(({ words }) => words)).toEqual(['nose']);
  });

  test('one score always lies on the nose, however many there are', () => {
    for (const scores of [undefined, 3, 5, 9]) {
      const pattern = foldPattern(fold({ sparHeight: 12, ...(scores ? { scores } : {}) }), 200, { scored: 'inner' });
      const lines = pattern.lines.filter(({ kind }) => kind === 'score');
      expect(lines.length % 2).toBe(1);
      if (scores) expect(lines).toHaveLength(scores);
      const noseWidth = pattern.cutWidth - pattern.below - pattern.above;
      expect(lines.find(({ words }) => words === 'nose')!.at).toBeCloseTo(pattern.below + noseWidth / 2, 9);
    }
  });

  test('a single sheet behind: the upper skin ends where it comes down on the lower one', () => {
    const pattern = foldPattern(fold({ singleFrom: 0.75, bottomLength: 0.6 }), 100, { scored: 'inner' });
    expect(pattern.below).toBeCloseTo(85, 12);
    // From the crest at 30 mm to two boards at 75 % of the chord.
    expect(pattern.above).toBeCloseTo(Math.hypot(60, 20), 12);
  });
});

describe('trial folds', () => {
  test('a strip that came out 3 mm short on the chord is cut so much wider next time', () => {
    const section = fold();
    const { cutWidth } = foldPattern(section, 200, { scored: 'inner' });
    const seen = shortfallOf(section, { stripCut: cutWidth, chordReached: 197, scored: 'inner' })!;
    expect(seen.shortfall).toBeCloseTo(3, 4);
    const turned = foldPattern(section, 200, { scored: 'inner' }).turn;
    expect(seen.angle).toBeCloseTo((turned * 180) / Math.PI, 3);
    const next = foldPattern(section, 200, { scored: 'inner', folds: [{ scoredFace: 'inner', ...seen } as never] });
    expect(next.cutWidth - cutWidth).toBeCloseTo(3, 3);
    expect(shortfallOf(section, { stripCut: 9e4, chordReached: 1, scored: 'inner' })).toBeNull();
  });

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
