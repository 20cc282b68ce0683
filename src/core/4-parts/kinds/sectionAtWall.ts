import { knownFrom } from '@/core/1-base/knownFrom';
import { type Millimetres, type Radians, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Control, Station, Surface } from '@/core/2-document/schema/surface';
import { sectionOutline } from '@/core/3-shape/outline/sectionOutline';
import { type Path, transformed } from '@/core/3-shape/outline/path';
import { edgesAt } from './panels';

/** What of a surface is asked where it passes a wall. */
type PassingSurface = Pick<Surface, 'id' | 'name' | 'role' | 'incidence' | 'mount'>;

/** A control that reaches through a wall, and the share of the chord ahead of its hinge there. */
export interface Swinging {
  readonly control: Control;
  readonly hinge: number;
}

/** A wing or tail where it passes a plane beside the middle. */
export interface Passing {
  readonly surface: PassingSurface;
  /** Its section there, in document axes: x aft of the datum, y up. */
  readonly edge: Path;
  readonly nose: Millimetres;
  readonly tail: Millimetres;
  readonly height: Millimetres;
  readonly chord: Millimetres;
  /** Of the chord as seen from the left, x to the right: nose up is negative. */
  readonly turn: Radians;
  readonly swinging: readonly Swinging[];
}

/** Walls of one aircraft lie at the same few places. */
const ofAll = knownFrom<readonly Surface[], readonly Passing[]>(8);
/** By the root: a wing that moves only farther out passes as it did. */
const ofRoots = knownFrom<Station, Passing>(8);

/** Sections of all surfaces that pass an upright wall at so much beside the middle, each at its own incidence and twist. */
export const passingAt = (surfaces: readonly Surface[], y: Millimetres): readonly Passing[] =>
  ofAll(surfaces, [y], () => surfaces.map((surface) => findPassing(surface, y)).filter((passing) => passing !== null));

function findPassing(surface: Surface, y: Millimetres): Passing | null {
  if (!surface.mirrored || surface.position.y > y) return null;
  const { id, name, role, incidence, mount, position, controls } = surface;
  const root = surface.stations[0]!;
  const slope = Math.cos(radiansFromDegrees(root.dihedral));
  if (slope < 0.3) return null;
  const distance = (y - position.y) / slope;
  const whole = surface.stations.at(-1)!.distanceFromRoot;
  if (distance > whole) return null;
  const outer = surface.stations.findIndex(({ distanceFromRoot }) => distanceFromRoot >= distance - 1e-9);
  const stations = surface.stations.slice(0, Math.max(1, outer) + 1);
  const swinging = controls.flatMap((control) => swingingAt(control, distance / whole));
  const from = [y, id, name, role, incidence, mount, position, ...stations];
  return ofRoots(root, [...from, ...swinging.flatMap(({ control, hinge }) => [control, hinge])], () => {
    const { nose, chord, section } = edgesAt({ stations }, distance);
    const rise = distance * Math.sin(radiansFromDegrees(root.dihedral));
    const x = position.x + nose;
    const z = position.z + rise;
    // Nose up turns the section clockwise as it is seen from the left, x to the right.
    const turn = -radiansFromDegrees(incidence + twistAt(stations, distance));
    const { edge } = sectionOutline(section, chord);
    return {
      surface: { id, name, role, incidence, mount },
      edge: transformed(edge, { turn, by: [x, z] }),
      nose: x,
      tail: x + chord * Math.cos(turn),
      height: z,
      chord,
      turn,
      swinging,
    };
  });
}

/** A control at a share of the span, where it reaches; what moves as a whole is no control of the surface at a wall. */
function swingingAt(control: Control, share: number): Swinging[] {
  const { from, to, allMoving, hingeInboard, hingeOutboard } = control;
  if (allMoving || share < from - 1e-9 || share > to + 1e-9) return [];
  const along = to > from ? (share - from) / (to - from) : 0;
  return [{ control, hinge: hingeInboard + (hingeOutboard - hingeInboard) * along }];
}

function twistAt(stations: readonly Station[], distance: Millimetres): number {
  const after = Math.max(
    1,
    stations.findIndex(({ distanceFromRoot }) => distanceFromRoot >= distance - 1e-9),
  );
  const [a, b] = [stations[after - 1]!, stations[after] ?? stations.at(-1)!];
  const length = b.distanceFromRoot - a.distanceFromRoot;
  const share = length > 0 ? Math.min(1, Math.max(0, (distance - a.distanceFromRoot) / length)) : 0;
  return a.twist + (b.twist - a.twist) * share;
}
