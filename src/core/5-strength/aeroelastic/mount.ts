import type { Vector3 } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/influence';

/** Something that surfaces are fixed to and that turns under their loads. */
export interface Mount {
  /** Places of the surfaces on it in the lattice. */
  readonly surfaces: readonly number[];
  /** Rotation under a force and a moment at a point [rad]. */
  readonly turnBy: (force: Vector3, at: Vector3, moment: Vector3) => Vector3;
  /** True for one in the middle: it bears both sides. */
  readonly isMiddle: boolean;
}

/** What of a turn both sides share: alike on both, only about the y axis; opposite, only about the others. */
export const keptBy = (parity: Parity, isShared: boolean): readonly [boolean, boolean, boolean] =>
  !isShared ? [true, true, true] : parity === 'symmetric' ? [false, true, false] : [true, false, true];
