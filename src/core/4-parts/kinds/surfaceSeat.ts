import { type Degrees, type Millimetres, radiansFromDegrees } from '@/core/1-base/units/convert';
import type { Station, Surface } from '@/core/2-document/schema/surface';
import type { Place3 } from '../develop';
import { plus, times } from '../seat';

/** Axes of a surface at a place along it, right side [mm]: where its nose lies, and where span, chord and upper side point. */
export interface SectionAxes {
  readonly nose: Place3;
  readonly span: Place3;
  readonly chord: Place3;
  readonly upper: Place3;
}

/** The panel that holds a distance from the root; at a station the outer one. */
function panelOf({ stations }: Surface, distance: Millimetres): number {
  const after = stations.findIndex(({ distanceFromRoot }) => distanceFromRoot > distance + 1e-9);
  return Math.max(0, after < 0 ? stations.length - 2 : after - 1);
}

/**
 * A section as it stands in the aircraft: set out along the dihedral of the
 * panels inboard of it, turned nose up by incidence and twist about its nose.
 * @param panel the panel that it leans with
 */
export function axesAt(surface: Surface, distance: Millimetres, panel = panelOf(surface, distance)): SectionAxes {
  const { stations, position, incidence } = surface;
  let [y, z]: [Millimetres, Millimetres] = [position.y, position.z];
  for (let inner = 0; inner <= panel; inner++) {
    const end = inner === panel ? distance : stations[inner + 1]!.distanceFromRoot;
    const [cosine, sine] = turned(stations[inner]!.dihedral);
    const length = end - stations[inner]!.distanceFromRoot;
    [y, z] = [y + length * cosine, z + length * sine];
  }
  const [a, b] = [stations[panel]!, stations[panel + 1]!];
  const share = (distance - a.distanceFromRoot) / (b.distanceFromRoot - a.distanceFromRoot);
  const offset = a.leadingEdgeOffset + (b.leadingEdgeOffset - a.leadingEdgeOffset) * share;
  const [cosine, sine] = turned(a.dihedral);
  const [level, nose] = chordwise(a, b, share, incidence);
  const normal: Place3 = [0, -sine, cosine];
  return {
    nose: [position.x + offset, y, z],
    span: [0, cosine, sine],
    chord: plus([level, 0, 0], times(normal, -nose)),
    upper: plus([nose, 0, 0], times(normal, level)),
  };
}

/** cos and sin of the angle of a chord between two others: skins run straight from end to end, so the longer chord leads. */
function chordwise(a: Station, b: Station, share: number, incidence: Degrees): readonly [level: number, nose: number] {
  if (a.twist === b.twist) return turned(incidence + a.twist);
  const [from, to] = [a, b].map(({ twist, chord }) => turned(incidence + twist).map((part) => part * chord));
  const [level, nose] = [0, 1].map((axis) => from![axis]! + (to![axis]! - from![axis]!) * share) as [number, number];
  const length = Math.hypot(level, nose);
  return [level / length, nose / length];
}

const turned = (angle: Degrees): readonly [cosine: number, sine: number] => [
  Math.abs(angle) === 90 ? 0 : Math.cos(radiansFromDegrees(angle)),
  Math.sin(radiansFromDegrees(angle)),
];

/** A place at a chordwise distance from the nose and a height over the chord. */
export const onSection = ({ nose, chord, upper }: SectionAxes, x: Millimetres, z: Millimetres): Place3 =>
  plus(nose, plus(times(chord, x), times(upper, z)));
