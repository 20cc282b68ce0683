import { expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import type { Design } from '@/core/2-document/schema/design';
import { numbersOf } from '../solve';

const strengthOf = (design: Design, quick = false) => numbersOf(design, { quick, without: ['bands'] }).strength;
const anew = (design: Design) => strengthOf(structuredClone(design));

test.each(DEMO_NAMES)('%s: strips that lie otherwise on the same beams bend them as in a fresh design', (name) => {
  const design = demoDesign(name);
  const drawn = anew(design);
  const coarse = strengthOf(design, true);
  expect(coarse).not.toEqual(drawn);
  expect(strengthOf(design)).toEqual(drawn);
  // What stands on a surface moves, and with it the strips of that, whose own beam stays.
  const surfaces = design.surfaces.map((surface) =>
    surface.role === 'fin' || surface.role === 'tipFin'
      ? { ...surface, position: { ...surface.position, y: surface.position.y - (surface.mirrored ? 40 : 0) } }
      : surface,
  );
  const moved = { ...design, surfaces };
  expect(strengthOf(moved)).toEqual(anew(moved));
});
