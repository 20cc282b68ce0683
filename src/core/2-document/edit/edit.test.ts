import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import type { Design } from '../schema/design';
import { checkChange } from './checkChange';
import { field, type FieldChange } from './field';
import { reconcile } from './reconcile';
import { stepBack, stepBetween, stepForward } from './step';
import { withFields } from './withFields';

const design = demoDesign('lagoon-postman');
const [wing] = design.surfaces;
const chord = field('surfaces', wing!.id, 'stations', 1, 'chord');

describe('paths', () => {
  test('name members by id and places', () => {
    expect(chord.to(180)).toEqual({ field: `/surfaces/${wing!.id}/stations/1/chord`, value: 180 });
  });

  test('that lead nowhere, or take another kind of value, do not compile', () => {
    // @ts-expect-error no such field
    field('conditions', 'cruiseSped');
    // @ts-expect-error a station has no span
    field('surfaces', 'wing', 'stations', 1, 'span');
    // @ts-expect-error a chord is a number
    chord.to('wide');
    // @ts-expect-error a text is no checked path
    const typed: FieldChange = { field: '/conditions/cruiseSpeed', value: 9 };
    expect(typed.value).toBe(9);
    expect(field('conditions', 'cruiseSpeed').path).toBe('/conditions/cruiseSpeed');
  });
});

describe('a change', () => {
  const after = withFields(design, [chord.to(181)]);

  test('makes new objects along its path only', () => {
    expect(after.surfaces[0]!.stations[1]!.chord).toBe(181);
    expect(after.surfaces[0]!.stations[0]).toBe(wing!.stations[0]);
    expect(after.surfaces[1]).toBe(design.surfaces[1]);
    for (const key of Object.keys(design) as (keyof Design)[])
      if (key !== 'surfaces') expect(after[key], key).toBe(design[key]);
    expect(design.surfaces[0]!.stations[1]!.chord).not.toBe(181);
  });

  test('is checked where it is, and nowhere else', () => {
    const tooSmall = checkChange(design, withFields(design, [chord.to(-4)]));
    expect(tooSmall.ok).toBe(false);
    if (!tooSmall.ok) expect(tooSmall.issues[0]!.path).toBe('/surfaces/0/stations/1/chord');
    // What was there before is not looked at again.
    const old = { ...design, conditions: { ...design.conditions, cruiseSpeed: -1 } };
    expect(checkChange(old, withFields(old, [chord.to(182)])).ok).toBe(true);
    expect(checkChange(design, { ...old }).ok).toBe(false);
  });

  test('must not point to what is not there', () => {
    const lost = checkChange(design, { ...design, materials: [] });
    expect(lost.ok).toBe(false);
    if (!lost.ok) expect(String(lost.issues[0]!.message)).toMatch(/points to/);
  });

  test('that changes nothing is the same document', () => {
    const same = checkChange(design, withFields(design, [chord.to(wing!.stations[1]!.chord)]));
    expect(same.ok && same.design).toBe(design);
    const copied = checkChange(design, structuredClone(design));
    expect(copied.ok).toBe(true);
    if (copied.ok)
      for (const [key, part] of Object.entries(copied.design)) expect(part, key).toBe(design[key as keyof Design]);
  });
});

describe('reconciled', () => {
  test('equal parts keep their identity, others do not', () => {
    const before = { a: [1, { b: 2 }], c: { d: 3 } };
    const after = reconcile(before, { a: [1, { b: 2 }], c: { d: 4 } });
    expect(after.a).toBe(before.a);
    expect(after).toEqual({ a: [1, { b: 2 }], c: { d: 4 } });
    expect(reconcile(before, structuredClone(before))).toBe(before);
    expect(reconcile([1, 2], [1])).toEqual([1]);
    expect(reconcile({ a: undefined }, {})).toEqual({});
    expect(reconcile([1], { 0: 1 })).toEqual({ 0: 1 });
  });
});

describe('a step', () => {
  test('holds what differs, and leads both ways to what was', () => {
    const after = withFields(design, [chord.to(181), field('name').to('Other')]);
    const step = stepBetween(design, after);
    expect(step.patches).toHaveLength(2);
    expect(JSON.stringify(step).length).toBeLessThan(400);
    expect(stepForward(design, step)).toEqual(after);
    const back = stepBack(after, step);
    expect(back).toEqual(design);
    expect(back.massItems).toBe(design.massItems);
  });

  test('of members that come and go', () => {
    const fewer = { ...design, massItems: design.massItems.slice(1), surfaces: [...design.surfaces].reverse() };
    const step = stepBetween(design, fewer);
    expect(stepForward(design, step)).toEqual(fewer);
    expect(stepBack(fewer, step)).toEqual(design);
  });
});
