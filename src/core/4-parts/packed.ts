import type { Millimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Surface } from '@/core/2-document/schema/surface';
import { contourOf } from '@/core/3-shape/section/contour';
import type { Place3 } from './develop';
import { nameOfSurface } from './kinds/panels';
import { axesAt, onSection } from './kinds/surfaceSeat';

/** A piece of the aircraft as it is carried: the box it needs. */
export interface PackedPiece {
  readonly name: string;
  readonly count: number;
  readonly length: Millimetres;
  readonly width: Millimetres;
  readonly height: Millimetres;
}

/** Comes off its body without a knife. */
const comesOff = ({ mount, joint }: Surface): boolean =>
  mount.kind === 'bands' || mount.kind === 'screws' || joint === 'joiner';

/** Corners of a surface on its right side: nose, tail, upper and lower face at every station. */
function cornersOf(surface: Surface): Place3[] {
  const { stations } = surface;
  return stations.flatMap(({ distanceFromRoot, chord, section }, index) => {
    const axes = axesAt(surface, distanceFromRoot, Math.min(index, stations.length - 2));
    const { upper, lower } = contourOf(section, chord);
    const [high, low] = [Math.max(...upper) * chord, Math.min(...lower) * chord];
    return [
      onSection(axes, 0, 0),
      onSection(axes, chord, 0),
      onSection(axes, chord / 3, high),
      onSection(axes, chord / 3, low),
    ];
  });
}

const mirrored = (places: readonly Place3[]): Place3[] => places.map(([x, y, z]): Place3 => [x, -y, z]);
const bothSides = (surface: Surface): Place3[] => {
  const right = cornersOf(surface);
  return surface.mirrored ? [...right, ...mirrored(right)] : right;
};

/** The upright box round places, its edges from the longest to the shortest. */
function boxRound(name: string, count: number, places: readonly Place3[]): PackedPiece {
  const edge = (axis: 0 | 1 | 2) => {
    const values = places.map((place) => place[axis]);
    return Math.max(...values) - Math.min(...values);
  };
  const [length, width, height] = [edge(0), edge(1), edge(2)].toSorted((a, b) => b - a) as [number, number, number];
  return { name, count, length, width, height };
}

/**
 * The aircraft taken apart for the car: what is banded or bolted on comes off,
 * what is pushed over joiners comes off in halves, all that is glued stays
 * together; each with the upright box round it.
 */
export function packedPieces({ surfaces, bodies, propulsion }: Design): PackedPiece[] {
  const off = surfaces.filter(comesOff);
  const pieces = off.flatMap((surface): PackedPiece[] =>
    surface.joint === 'joiner' && surface.mirrored
      ? [boxRound(`${nameOfSurface(surface)}, each half`, 2, cornersOf(surface))]
      : [boxRound(nameOfSurface(surface), 1, bothSides(surface))],
  );
  const stays = surfaces.filter((surface) => !comesOff(surface));
  const places = [
    ...stays.flatMap(bothSides),
    ...bodies.flatMap(({ frames, position, mirrored: isPair }) =>
      frames.flatMap(({ x, width, top, bottom }) =>
        [-1, 1].flatMap((side) =>
          (isPair ? [-1, 1] : [1]).flatMap((half): Place3[] =>
            [top, bottom].map((edge): Place3 => [
              position.x + x,
              half * position.y + (side * width) / 2,
              position.z + edge,
            ]),
          ),
        ),
      ),
    ),
    ...(bodies.length > 0 ? propulsion.map(({ position: { x, y, z } }): Place3 => [x, y, z]) : []),
  ];
  if (places.length === 0) return pieces;
  const words = [
    ...(bodies.length > 0 ? [bodies[0]!.name || bodies[0]!.id] : []),
    ...(stays.length > 0 ? [stays.map(nameOfSurface).join(', ')] : []),
  ];
  return [...pieces, boxRound(words.join(' with '), 1, places)];
}
