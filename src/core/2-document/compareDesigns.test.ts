import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import { withFields } from './edit/withFields';
import { compareDesigns, isSameState } from './compareDesigns';

const design = simpleAircraft();

describe('what changed between two states', () => {
  test('nothing', () => expect(compareDesigns(design, structuredClone(design))).toEqual([]));

  test('numbers by their place, in words', () => {
    const changed = withFields(design, [
      { field: '/surfaces/wing/stations/1/chord', value: 180 },
      { field: '/conditions/cruiseSpeed', value: 14 },
    ]);
    expect(compareDesigns(design, changed)).toEqual([
      { field: '/conditions/cruiseSpeed', words: 'conditions, cruise speed', before: 11, after: 14 },
      { field: '/surfaces/wing/stations/1/chord', words: 'wing, station 2, chord', before: 200, after: 180 },
    ]);
  });

  test('a part that came or went is one line; moving it in its list is none', () => {
    const without = { ...design, surfaces: design.surfaces.filter(({ id }) => id !== 'tail') };
    expect(compareDesigns(design, without).map(({ field, after }) => [field, after])).toEqual([
      ['/surfaces/tail', null],
    ]);
    expect(compareDesigns(design, { ...design, surfaces: [...design.surfaces].reverse() })).toEqual([]);
  });

  test('where it grew from does not count', () => {
    expect(compareDesigns(design, { ...design, basedOn: 'revision1' })).toEqual([]);
  });

  test('another kind of section shows its fields', () => {
    const section = { kind: 'curvedPlate', thickness: 5, camber: 0.05, camberPosition: 0.4, openBelow: true };
    const lines = compareDesigns(
      design,
      withFields(design, [{ field: '/surfaces/wing/stations/0/section', value: section }]),
    );
    expect(lines.find(({ field }) => field.endsWith('/kind'))).toMatchObject({
      before: 'flatPlate',
      after: 'curvedPlate',
    });
    expect(lines.find(({ field }) => field.endsWith('/camber'))).toMatchObject({ before: null, after: 0.05 });
  });
});

test('a state is the same wherever it grew from, and another once anything differs', () => {
  const design = demoDesign('lagoon-postman');
  expect(isSameState(design, { ...design, basedOn: 'revision1' })).toBe(true);
  expect(isSameState({ ...design, basedOn: 'revision1' }, design)).toBe(true);
  expect(isSameState(design, { ...design, notes: 'another' })).toBe(false);
  expect(isSameState(design, { ...design, mode: 'landing' })).toBe(false);
});
