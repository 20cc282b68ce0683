import { knownFrom } from '@/core/1-base/knownFrom';
import { type Millimetres, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Surface } from '@/core/2-document/schema/surface';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { type Path, transformed } from '@/core/3-shape/outline/path';
import { edgesAt } from './panels';

/** A wing or tail where it passes a plane beside the middle. */
export interface Passing {
  readonly surface: Surface;
  /** Its section there, in document axes: x aft of the datum, y up. */
  readonly edge: Path;
  readonly nose: Millimetres;
  readonly tail: Millimetres;
  readonly height: Millimetres;
  /** Along the board from the root to the wall. */
  readonly distance: Millimetres;
  readonly chord: Millimetres;
  /** Of the chord as seen from the left, x to the right: nose up is negative. */
  readonly turn: Radians;
}

/** Walls of one aircraft lie at the same few places. */
const ofAll = knownFrom<readonly Surface[], readonly Passing[]>(8);
const ofOne = knownFrom<Surface, Passing | null>(8);

/** Sections of all surfaces that pass an upright wall at so much beside the middle, each at its own incidence and twist. */
export const passingAt = (surfaces: readonly Surface[], y: Millimetres): readonly Passing[] =>
  ofAll(surfaces, [y], () =>
    surfaces.map((surface) => ofOne(surface, [y], () => findPassing(surface, y))).filter((passing) => passing !== null),
  );

function findPassing(surface: Surface, y: Millimetres): Passing | null {
  if (!surface.mirrored || surface.position.y > y) return null;
  const [root] = surface.stations;
  const slope = Math.cos(radiansFromDegrees(root!.dihedral));
  if (slope < 0.3) return null;
  const distance = (y - surface.position.y) / slope;
  if (distance > surface.stations.at(-1)!.distanceFromRoot) return null;
  const { nose, chord, section } = edgesAt(surface, distance);
  const rise = distance * Math.sin(radiansFromDegrees(root!.dihedral));
  const x = surface.position.x + nose;
  const z = surface.position.z + rise;
  // Nose up turns the section clockwise as it is seen from the left, x to the right.
  const turn = -radiansFromDegrees(surface.incidence + twistAt(surface, distance));
  const { edge } = sectionOutline(section, chord);
  return {
    surface,
    edge: transformed(edge, { turn, by: [x, z] }),
    nose: x,
    tail: x + chord * Math.cos(turn),
    height: z,
    distance,
    chord,
    turn,
  };
}

function twistAt({ stations }: Surface, distance: Millimetres): number {
  const after = Math.max(
    1,
    stations.findIndex(({ distanceFromRoot }) => distanceFromRoot >= distance - 1e-9),
  );
  const [a, b] = [stations[after - 1]!, stations[after] ?? stations.at(-1)!];
  const length = b.distanceFromRoot - a.distanceFromRoot;
  const share = length > 0 ? Math.min(1, Math.max(0, (distance - a.distanceFromRoot) / length)) : 0;
  return a.twist + (b.twist - a.twist) * share;
}
