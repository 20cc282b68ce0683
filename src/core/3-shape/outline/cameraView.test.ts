import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { simpleAircraft } from '#/tests/designs';
import type { MassItem } from '@/core/2-document/schema/airframe';
import { designSchema } from '@/core/2-document/schema/design';
import { placeAll } from '../geometry/layout';
import { coneIn, directionOf, inView } from './cameraView';

const at = (x: number, z: number, view: MassItem['view']): MassItem => ({
  id: 'eye',
  name: 'Eye',
  category: 'payload',
  mass: 10,
  position: { x, y: 0, z },
  mirrored: false,
  inWind: false,
  attachment: { kind: 'fixed' },
  view,
});
const close = (a: readonly number[], b: readonly number[]) =>
  a.forEach((value, index) => expect(value).toBeCloseTo(b[index]!, 12));

test('ahead is towards the nose, then to the right and down', () => {
  close(directionOf({ towards: 0, down: 0 }), [-1, 0, 0]);
  close(directionOf({ towards: 90, down: 0 }), [0, 1, 0]);
  close(directionOf({ towards: 180, down: 0 }), [1, 0, 0]);
  close(directionOf({ towards: 0, down: 90 }), [0, 0, -1]);
  const half = Math.SQRT1_2;
  close(directionOf({ towards: 0, down: 45 }), [-half, 0, -half]);
});

test('in plan and from the side a cone points where the camera looks', () => {
  expect(coneIn('plan', { fieldOfView: 60, towards: 90, down: 0 })).toMatchObject({ half: 30 });
  expect(coneIn('plan', { fieldOfView: 60, towards: 90, down: 0 }).towards).toBeCloseTo(90, 9);
  expect(coneIn('side', { fieldOfView: 60, towards: 0, down: 30 }).towards).toBeCloseTo(-150, 9);
});

describe('what stands in the picture', () => {
  const design = designSchema.parse({
    ...simpleAircraft(),
    bodies: [],
    wheels: [],
    propulsion: [{ id: 'motor', name: 'Motor', position: { x: -100, y: 0, z: 0 }, propellerDiameter: 200 }],
  });
  const seen = (item: MassItem) => inView(design, placeAll(design.surfaces), item).map(({ id }) => id);
  const only = (view: MassItem['view']) => at(-50, 0, view);

  test('a disc 50 mm ahead and 100 mm in radius fills the middle; behind the lens nothing is seen', () => {
    // Its inner ring, at 30 mm out, stands atan(30 / 50) = 31° off the middle.
    expect(seen(only({ fieldOfView: 60, towards: 0, down: 0 }))).toEqual([]);
    expect(seen(only({ fieldOfView: 64, towards: 0, down: 0 }))).toEqual(['motor']);
    expect(seen(only({ fieldOfView: 64, towards: 180, down: 0 }))).not.toContain('motor');
  });

  test('looking straight down sees the foot of the disc at most; looking aft sees wing and tail, the nearest first', () => {
    // The foot of the disc stands atan(50 / 100) = 26.6° off it.
    expect(seen(only({ fieldOfView: 50, towards: 0, down: 90 }))).toEqual([]);
    expect(seen(only({ fieldOfView: 56, towards: 0, down: 90 }))).toEqual(['motor']);
    const aft = inView(design, placeAll(design.surfaces), only({ fieldOfView: 90, towards: 180, down: 0 }));
    expect(aft.length).toBeGreaterThan(1);
    const distances = aft.map(({ distance }) => distance);
    expect(distances).toEqual([...distances].sort((a, b) => a - b));
  });

  test('a camera without a view sees nothing', () => {
    expect(seen(only(undefined))).toEqual([]);
    expect(inView(demoDesign('reef-surveyor'), [], at(0, 0, undefined))).toEqual([]);
  });
});
