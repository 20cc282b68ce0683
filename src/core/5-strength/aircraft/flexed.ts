import type { Metres, Pascals, Radians } from '@/core/1-base/units/convert';
import { bentBy, workedAt } from '../beam/beam';
import { CUT, PART, type Passing, placeOfCut } from '../beam/passing';
import type { Beam, Stretch } from '../beam/stretch';
import { dot } from '@/core/1-base/numeric/vectors';
import { curvatureOf, type MemberWorked, membersWorked } from '../section/composite';
import { developedLength } from '@/core/3-shape/geometry/layout';
import type { PullUp } from './pullUp';
import type { SuppleAircraft } from './suppleAircraft';

/** One place along a surface in a pull-up. */
export interface FlexedNode {
  readonly share: number;
  readonly y: Metres;
  /** Bending moment, up positive [N·m]. */
  readonly moment: number;
  readonly bends: Metres;
  readonly twists: Radians;
  readonly worked: number;
  readonly member: string;
  /** How hard each member is worked there, before any gives way. */
  readonly members: readonly MemberWorked[];
  readonly stiffness: number;
  readonly twistStiffness: number;
}

/** How far one place stands up and is turned. */
export type Flex = Pick<FlexedNode, 'bends' | 'twists'>;

/** The shape alone of a surface in a pull-up, from root to tip. */
export const shapeIn = (body: SuppleAircraft, surface: number, pull: PullUp): Flex[] =>
  shapeOf(body.beams.get(surface)!, body.passing.bent(surface, pull));

const stretchAt = ({ stretches }: Beam, node: number): Stretch => stretches[Math.min(node, stretches.length - 1)]!;

function shapeOf(beam: Beam, passing: Passing): Flex[] {
  const { rotation, shift } = bentBy(beam, passing);
  return rotation.map((turned, node) => {
    const { up } = stretchAt(beam, node);
    return { bends: dot(shift[node]!, up), twists: turned[1] * up[2] - turned[2] * up[1] };
  });
}

/** Where what passes the ends of the stretches stands, from root to tip: that of the stretch outboard of it. */
const cutAtNode = ({ stretches }: Beam, node: number): number =>
  node < stretches.length ? placeOfCut(node, CUT.inner) : placeOfCut(node - 1, CUT.outer);

/** Bending moments alone along a surface in a pull-up, up positive, from root to tip [N·m]. */
export function momentsIn(body: SuppleAircraft, surface: number, pull: PullUp): number[] {
  const beam = body.beams.get(surface)!;
  const passing = body.passing.bent(surface, pull);
  return Array.from({ length: beam.stretches.length + 1 }, (_, node) => passing[cutAtNode(beam, node) + PART.upward]!);
}

/** A surface as it stands in a pull-up, from root to tip, and how hard it is worked. */
export function flexed(body: SuppleAircraft, surface: number, pull: PullUp): FlexedNode[] {
  const beam = body.beams.get(surface)!;
  const passing = body.passing.bent(surface, pull);
  const length = developedLength(beam.surface);
  return shapeOf(beam, passing).map((flex, index) => {
    const stretch = stretchAt(beam, index);
    const at = cutAtNode(beam, index);
    const { share, by } = workedAt(stretch, passing, at);
    const moment = passing[at + PART.upward]!;
    const before = index === 0 ? null : beam.stretches[index - 1]!;
    return {
      share: (before?.to ?? stretch.from) / length,
      y: before?.outer[1] ?? stretch.inner[1],
      moment,
      ...flex,
      worked: share,
      members: membersWorked(stretch.whole, curvatureOf(stretch.whole, moment, passing[at + PART.rearward]!)),
      member: by === 'shear' ? 'shear' : (by.fibre?.member ?? 'core'),
      stiffness: stretch.whole.upDown,
      twistStiffness: stretch.twist,
    };
  });
}

/** Moment about the root of every surface in a pull-up [N·m], by name. */
export function rootMoments(body: SuppleAircraft, pull: PullUp): Map<string, number> {
  const moments = new Map<string, number>();
  for (const [surface, beam] of body.beams)
    if (beam.stretches.length > 0)
      moments.set(beam.surface.id, Math.abs(body.passing.bent(surface, pull)[placeOfCut(0, CUT.inner) + PART.upward]!));
  return moments;
}

export const pressureOf = (density: number, speed: number): Pascals => (density * speed ** 2) / 2;
