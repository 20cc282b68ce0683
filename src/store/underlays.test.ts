import 'fake-indexeddb/auto';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { openSession } from '#/tests/session';
import { dropPicture, type Photo } from './pictures';
import { addUnderlay, changeUnderlay, scaledByTwoPoints, type Underlay } from './underlays';

const LAID: Underlay = { view: 'plan', x: 400, across: 0, width: 800, turn: 0 };

describe('a picture by two points', () => {
  test('twice as far apart: twice as wide, about the first point', () => {
    // 100 mm that are 200 mm: the middle, 300 mm aft of the first point, comes to lie 600 mm aft of it.
    expect(
      scaledByTwoPoints(
        LAID,
        [
          [100, 50],
          [200, 50],
        ],
        200,
      ),
    ).toEqual({ ...LAID, x: 700, across: -50, width: 1600 });
  });

  test('a slanted line counts by its length; one point twice gives no scale', () => {
    expect(
      scaledByTwoPoints(
        LAID,
        [
          [0, 0],
          [30, 40],
        ],
        25,
      )!.width,
    ).toBeCloseTo(400, 9);
    expect(
      scaledByTwoPoints(
        LAID,
        [
          [5, 5],
          [5, 5],
        ],
        25,
      ),
    ).toBeNull();
    expect(
      scaledByTwoPoints(
        LAID,
        [
          [0, 0],
          [1, 0],
        ],
        0,
      ),
    ).toBeNull();
  });
});

test('it is kept beside the design, moved, and taken out with a way back; a large one is refused', async () => {
  const { session, designs, id } = await openSession(demoDesign('lagoon-postman'));
  const { dispatch } = session.store;
  const photos = () => designs.records.heads('photos', id) as Promise<Photo[]>;
  const bytes = new Uint8Array([1, 2, 3]);
  await dispatch(addUnderlay({ name: 'Sketch', type: 'image/png', bytes }, LAID));
  const [photo] = await photos();
  expect(photo).toMatchObject({ name: 'Sketch', bytes: 3, underlay: LAID });
  await dispatch(changeUnderlay(photo!, { turn: 5, view: 'side' }));
  expect((await photos())[0]!.underlay).toEqual({ ...LAID, turn: 5, view: 'side' });
  const back = await dispatch(dropPicture(photo!.id));
  expect(await photos()).toEqual([]);
  await back();
  expect(await designs.records.body('photos', id, photo!.id)).toEqual(bytes);
  await expect(
    dispatch(addUnderlay({ name: 'Large', type: 'image/png', bytes: new Uint8Array(400_001) }, LAID)),
  ).rejects.toThrow('larger than 400 kB');
});
