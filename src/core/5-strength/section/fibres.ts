import type { Metres } from '@/core/1-base/units/convert';
import type { Layup } from '../materials/board';
import type { RodMember } from '../materials/rods';
import type { Fibre, Member } from './composite';

/** A piece of a wall between two points of its middle [m]. */
export interface Piece {
  readonly a: readonly [x: Metres, z: Metres];
  readonly b: readonly [x: Metres, z: Metres];
}

/** √(x² + z²), asked for thousands of times; for lengths that a section can have. */
export const lengthAlong = (x: Metres, z: Metres): Metres => Math.sqrt(x * x + z * z);

/** Layers of a straight piece of sheet, each at its own height over the middle. */
export function sheetFibres(
  { a, b }: Piece,
  { layers }: Pick<Layup, 'layers'>,
  wall: number,
  member?: Member,
): Fibre[] {
  const [dx, dz] = [b[0] - a[0], b[1] - a[1]];
  const length = lengthAlong(dx, dz);
  if (length === 0) return [];
  // Normal to the left of its direction, turned so that it points up.
  const up = dx >= 0 ? 1 : -1;
  const [nx, nz] = [(-dz / length) * up, (dx / length) * up];
  return layers.map(({ member: own, solid, thickness, height }) => {
    const pull = solid.young * thickness * length;
    const across = (pull * thickness ** 2) / 12;
    return {
      member: member ?? own,
      wall,
      solid,
      x: (a[0] + b[0]) / 2 + nx * height,
      z: (a[1] + b[1]) / 2 + nz * height,
      pull,
      own: [
        (pull * dz ** 2) / 12 + across * nz ** 2,
        (pull * dx ** 2) / 12 + across * nx ** 2,
        (pull * dx * dz) / 12 + across * nx * nz,
      ],
      reach: [dz / 2, dx / 2, (thickness * nz) / 2, (thickness * nx) / 2],
    };
  });
}

/** A rod with its middle at a place. */
export function rodFibre(name: string, { section, solid }: RodMember, x: Metres, z: Metres): Fibre {
  const aft = section.width / 2;
  return {
    member: 'rod',
    rod: name,
    solid,
    x,
    z,
    pull: solid.young * section.area,
    own: [solid.young * section.secondMoment, solid.young * section.sideways, 0],
    reach: [section.height / 2, 0, 0, aft],
  };
}

/** An upright slice of a block: its width, and its lower and upper end. */
export function blockFibre(
  solid: Fibre['solid'],
  x: Metres,
  width: Metres,
  [bottom, top]: readonly [Metres, Metres],
): Fibre {
  const height = top - bottom;
  const pull = solid.young * width * height;
  return {
    member: 'core',
    solid,
    x,
    z: (top + bottom) / 2,
    pull,
    own: [(pull * height ** 2) / 12, (pull * width ** 2) / 12, 0],
    reach: [height / 2, 0, 0, width / 2],
  };
}
