import { addPicture, type Photo, type Picture } from './pictures';
import type { AppThunk } from './reduxStore';

/** Where a picture lies under the drawing. */
export type Underlay = NonNullable<Photo['underlay']>;

/** Lays a picture under the drawing of the open design, its middle at a place and as wide as so many millimetres. */
export const addUnderlay = (picture: Picture, underlay: Underlay): AppThunk<Promise<void>> =>
  addPicture(picture, { underlay });

/** Moves, turns or scales a picture under the drawing. */
export const changeUnderlay =
  (photo: Photo, part: Partial<Underlay>): AppThunk<Promise<void>> =>
  async (_dispatch, getState, { designs }) => {
    const { id } = getState().session;
    if (id !== null && photo.underlay)
      await designs.records.put('photos', id, { ...photo, underlay: { ...photo.underlay, ...part } });
  };

/** A place of the view that a picture lies in [mm]. */
type Place = readonly [x: number, across: number];

/**
 * The picture so scaled that two of its points are as far apart as they are in
 * truth; the first of them stays where it is.
 * @returns null where the points are one
 */
export function scaledByTwoPoints(underlay: Underlay, [a, b]: readonly [Place, Place], apart: number): Underlay | null {
  const drawn = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (drawn < 1e-6 || !(apart > 0)) return null;
  const factor = apart / drawn;
  return {
    ...underlay,
    width: underlay.width * factor,
    x: a[0] + (underlay.x - a[0]) * factor,
    across: a[1] + (underlay.across - a[1]) * factor,
  };
}
