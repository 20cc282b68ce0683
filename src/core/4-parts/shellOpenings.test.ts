import { describe, expect, test } from 'vitest';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin, said } from '#/tests/matchers';
import { boundsOfPart, outlineFaults, type PartOutline } from '@/core/3-shape/outline/partOutline';
import { areaOf, boundsOf, flattened, type Path } from '@/core/3-shape/outline/path';
import { cutListOf } from './cutList';

/** A tube of 60 mm outside from 5 mm board: 27.5 mm to the middle of it. */
const MIDDLE = 27.5;
const PLAY = 0.3;
const tube = (frames = [0, 400].map((x) => ({ x, width: 60, top: 30, bottom: -30 }))) => ({
  id: 'tube',
  kind: 'round' as const,
  frames,
  construction: { material: 'board' },
});
const wing = (z: number, incidence = 0) => ({
  ...trapezoid(400, 160),
  id: 'wing',
  position: { x: 100, y: 0, z },
  incidence,
  construction: { material: 'board' },
  stations: [0, 400].map((distanceFromRoot) => ({
    distanceFromRoot,
    chord: 160,
    section: { kind: 'flatPlate', thickness: 5, edge: 'square' },
  })),
});
const shellOf = (surfaces: object[], body: ReturnType<typeof tube> = tube()) => {
  const design = designOf(surfaces as never, {
    materials: [{ id: 'board', thickness: 5, arealDensity: 400, sheetLength: 1000, sheetWidth: 700 }],
    bodies: [body],
  });
  const { parts, faults } = cutListOf(design);
  const shell = parts.find(({ kind }) => kind === 'shell')!;
  expect(outlineFaults(shell.outline)).toEqual([]);
  return { ...shell, faults: faults.filter(({ owner }) => owner === 'tube') };
};
/** Heights of a hole on the tube itself, where a straight upright line meets it at x. */
const heightsAt = (path: Path, x: number): number[] => {
  const points = flattened(path, 0.01);
  return points
    .flatMap(([ax, ay], index) => {
      const [bx, by] = points[(index + 1) % points.length]!;
      return ax <= x === bx <= x ? [] : [ay + ((by - ay) * (x - ax)) / (bx - ax)];
    })
    .map((around) => MIDDLE * Math.sin(around / MIDDLE - Math.PI / 2))
    .toSorted((a, b) => a - b);
};
const holesOf = ({ holes }: PartOutline) => holes.map((path) => ({ path, ...boundsOf([path]) }));

describe('openings of a round shell', () => {
  test.each([
    [0, 0],
    [3, 8],
    [-2, -10],
  ])('a wing at %f° passes both sides by its thickness and the play, at that angle', (incidence, z) => {
    const holes = holesOf(shellOf([wing(z, incidence)]).outline);
    expect(holes).toHaveLength(2);
    // The second lies on the other side of the crown, as far from it.
    const crown = Math.PI * MIDDLE;
    expectWithin(
      crown - Math.min(...holes.map(({ bottom }) => bottom)),
      Math.max(...holes.map(({ top }) => top)) - crown,
      5e-3,
    );
    const tall = (5 + 2 * PLAY) / Math.cos((incidence * Math.PI) / 180);
    for (const { path, left, right } of holes) {
      const [front, rear] = [left + 30, right - 30].map((x) => heightsAt(path, x)) as [number[], number[]];
      for (const [low, high] of [front, rear] as [number, number][])
        expect(Math.abs(high - low - tall)).toBeLessThan(0.1);
      const fall = Math.atan((front[0]! - rear[0]!) / (right - left - 60));
      expect(Math.abs((fall * 180) / Math.PI - incidence)).toBeLessThan(0.05);
      expectWithin(right - left, 160 * Math.cos((incidence * Math.PI) / 180) + 2 * PLAY, 5e-3);
    }
  });

  test('one that lies on the crown leaves one saddle right over it', () => {
    const { outline, notes } = shellOf([wing(27, 2)]);
    const [saddle, ...others] = holesOf(outline);
    expect(others).toEqual([]);
    const crown = Math.PI * MIDDLE;
    // A ring of 48 sides is so much shorter than the circle.
    expect(Math.abs((saddle!.top + saddle!.bottom) / 2 - crown)).toBeLessThan(0.08);
    expect(notes.map((note) => said(note)).join(' ')).toMatch(/wing passes it at 2.00°/);
    // Its lower edge lies as high as the lower face of the board does.
    const [low] = heightsAt(saddle!.path, 140);
    const face = 27 - 40 * Math.tan((2 * Math.PI) / 180) - 2.5 - PLAY;
    expect(Math.abs(low! - face)).toBeLessThan(0.1);
  });

  test('a fin goes through a slot on the crown, or stands on its mark', () => {
    const fin = (z: number) => ({
      ...wing(z),
      id: 'fin',
      role: 'fin',
      mirrored: false,
      stations: wing(z).stations.map((station) => ({ ...station, dihedral: 90 })),
    });
    const through = shellOf([wing(0), fin(20)]).outline;
    const crown = Math.PI * MIDDLE;
    const slot = holesOf(through).find(({ top, bottom }) => Math.abs((top + bottom) / 2 - crown) < 0.1)!;
    expectWithin(slot.top - slot.bottom, 2 * MIDDLE * Math.asin((2.5 + PLAY) / MIDDLE), 5e-3);
    expectWithin(slot.right - slot.left, 160 + 2 * PLAY, 1e-3);
    const marked = shellOf([wing(0), fin(30)]).outline;
    expect(marked.holes).toHaveLength(2);
    expect(marked.lines.filter(({ kind }) => kind === 'mark')).toHaveLength(1);
  });

  test('a tapered tail is opened by its slanted sides; what would cut it in pieces is told of', () => {
    const cone = tube([
      { x: 0, width: 80, top: 40, bottom: -40 },
      { x: 400, width: 30, top: 15, bottom: -15 },
    ]);
    const holes = holesOf(shellOf([wing(0)], cone).outline);
    expect(holes).toHaveLength(2);
    for (const { path } of holes) expect(Math.abs(areaOf(path))).toBeGreaterThan(160 * 5);
    const { faults, outline } = shellOf([
      { ...wing(0), position: { x: -50, y: 0, z: 0 }, stations: wing(0).stations.map((s) => ({ ...s, chord: 600 })) },
    ]);
    expect(faults.map(({ message }) => said(message)).join()).toMatch(/cuts it in pieces: it is drawn whole/);
    expectWithin(boundsOfPart(outline).right, 400, 1e-6);
  });
});
