import { expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { developedLength, placeSurface } from '@/core/3-shape/geometry/layout';
import { boardNamed } from '../materials/ownBoard';
import { surfaceStuff } from '../section/surfaceStuff';
import { marksAlong } from './surfaceBeam';

const placed = (name: string, id: string) =>
  placeSurface(demoDesign(name).surfaces.find((surface) => surface.id === id)!);

test.each(DEMO_NAMES)('%s: stretches end where stations, rods and controls do, root and tip among them', (name) => {
  const design = demoDesign(name);
  for (const source of design.surfaces) {
    const surface = placeSurface(source);
    const length = developedLength(surface);
    const stuff = surfaceStuff(surface, boardNamed(design, source.construction?.material) ?? null, null);
    const marks = marksAlong(stuff);
    expect(marks[0]).toBe(0);
    expect(marks.at(-1)).toBe(length);
    marks.slice(1).forEach((mark, index) => expect(mark).toBeGreaterThan(marks[index]!));
    const asked = [
      ...surface.stations.map(({ distance }) => distance),
      ...stuff.rods.flatMap(({ from, to }) => [from, to]),
      ...source.controls.flatMap(({ from, to }) => [from * length, to * length]),
    ].filter((place) => place >= 0 && place <= length);
    for (const place of asked)
      expect(Math.min(...marks.map((mark) => Math.abs(mark - place)))).toBeLessThanOrEqual(1.001e-3 * length);
  }
});

test('where nothing ends a wing is divided more finely towards its root', () => {
  const wing = placed('harbour-steward', 'upper');
  const marks = marksAlong({ surface: wing, rods: [] });
  const steps = marks.slice(1).map((mark, index) => mark - marks[index]!);
  expect(steps.length).toBeGreaterThanOrEqual(6);
  // Each longer than the one inboard of it by the same factor: all of them together make the outermost 2.5 times the innermost and one step more.
  const growth = steps[1]! / steps[0]!;
  steps.slice(1).forEach((step, index) => expectWithin(step / steps[index]!, growth, 1e-9));
  expectWithin(growth ** steps.length, 2.5, 1e-9);
});

test('a wing that tapers to a quarter is divided as often as its chord falls by an eighth', () => {
  const delta = placed('manta-delta', 'wing');
  const plain = { ...delta, source: { ...delta.source, controls: [] } };
  expect(marksAlong({ surface: plain, rods: [] })).toHaveLength(Math.ceil(Math.log(620 / 140) / 0.12) + 1);
});
