import { describe, expect, test } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import { misfits } from './boxFit';

/** A box 60 mm wide and 50 mm high at its nose, 20 by 20 at its end 400 mm aft, of 5 mm board. */
function withPack(size: { length: number; width: number; height: number }, x: number, more: object = {}): Design {
  return designSchema.parse({
    ...simpleAircraft(),
    materials: [{ id: 'board', thickness: 5, arealDensity: 400 }],
    surfaces: [],
    mixes: [],
    bodies: [
      {
        id: 'box',
        name: 'Fuselage',
        frames: [
          { x: 0, width: 60, top: 25, bottom: -25 },
          { x: 400, width: 20, top: 10, bottom: -10 },
        ],
        construction: { material: 'board' },
      },
    ],
    massItems: [{ id: 'pack', name: 'Pack', mass: 100, position: { x, y: 0, z: 0 }, size, ...more }],
  });
}
const told = (design: Design) => misfits(design).map(({ way, by, at }) => [way, Math.round(by * 100) / 100, at]);

describe('boxes inside a body', () => {
  test('the tightest place counts: the rear end of the box, inside of both walls', () => {
    // At 200 mm it is 40 mm wide and 35 mm high outside, so 30 by 25 inside.
    expect(told(withPack({ length: 100, width: 34, height: 20 }, 150))).toEqual([['wide', 4, 200]]);
    expect(told(withPack({ length: 100, width: 34, height: 28 }, 150))).toEqual([
      ['wide', 4, 200],
      ['high', 3, 200],
    ]);
    expect(told(withPack({ length: 100, width: 30, height: 25 }, 150))).toEqual([]);
  });

  test('further forward there is room for it', () => {
    expect(told(withPack({ length: 100, width: 34, height: 20 }, 60))).toEqual([]);
  });

  test('what stands in the wind, lies outside or has no size is not tested', () => {
    const size = { length: 100, width: 90, height: 90 };
    expect(told(withPack(size, 150, { inWind: true }))).toEqual([]);
    expect(told(withPack(size, 150, { position: { x: 150, y: 0, z: 80 } }))).toEqual([]);
    expect(told(withPack(size, 150, { size: undefined }))).toEqual([]);
    expect(told(withPack(size, 150))).toHaveLength(2);
  });

  test('layers of board take their room; sticks under film take none', () => {
    const design = withPack({ length: 100, width: 34, height: 20 }, 150);
    const built = (construction: object) =>
      designSchema.parse({ ...design, bodies: [{ ...design.bodies[0]!, construction }] });
    expect(told(built({ material: 'board', layers: 2 }))[0]).toEqual(['wide', 14, 200]);
    expect(told(built({ material: 'board', truss: { stickDensity: 5, bay: 60, filmDensity: 40 } }))).toEqual([]);
  });
});
