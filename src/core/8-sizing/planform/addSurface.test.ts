import { expect, test } from 'vitest';
import { designOf, simpleAircraft, trapezoid } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import { designSchema } from '@/core/2-document/schema/design';
import { ADDED_KINDS, addedSurface } from './addSurface';

const wingOnly = designOf([trapezoid(500, 180)], { materials: [{ id: 'b', thickness: 5, arealDensity: 400 }] });

test.each(ADDED_KINDS)('a %s can be added, twice, and the design still computes', (kind) => {
  let design = wingOnly;
  for (let round = 0; round < 2; round++) {
    design = designSchema.parse({ ...design, surfaces: [...design.surfaces, addedSurface(design, kind)] });
  }
  expect(new Set(design.surfaces.map(({ id }) => id)).size).toBe(3);
  const analysis = analyse(design, { without: ['remedies'], grid: { strips: 6, chordwise: 3 } });
  expect(analysis.pitch.neutralPoint).not.toBeNull();
  expect(analysis.mass.total).toBeGreaterThan(0);
});

test('tails stabilise, and come only after a wing', () => {
  const tailed = { ...wingOnly, surfaces: [...wingOnly.surfaces, addedSurface(wingOnly, 'tailplane')] };
  const neutral = (design: typeof wingOnly) => analyse(design, { without: ['remedies'] }).pitch.neutralPoint!;
  expect(neutral(tailed)).toBeGreaterThan(neutral(wingOnly) + 0.02);
  expect(() => addedSurface(designOf([]), 'tailplane')).toThrow('Draw a wing first');
  expect(addedSurface(designOf([]), 'wing').role).toBe('wing');
  expect(addedSurface(simpleAircraft(), 'fin').construction).toBeUndefined();
});
