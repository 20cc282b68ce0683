import type { Metres, Pascals, Radians } from '@/core/1-base/units/convert';
import {
  type Beam,
  bend,
  type Bent,
  centreAt,
  type Cut,
  internalAt,
  internalsAt,
  type Stretch,
  workedAt,
} from '../beam/beam';
import { dot } from '@/core/1-base/numeric/vectors';
import { curvatureOf, type MemberWorked, membersWorked } from '../section/composite';
import { developedLength } from '@/core/3-shape/geometry/layout';
import { beamLoads, type PullUp, type SuppleAircraft } from './suppleAircraft';

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
export function shapeIn(body: SuppleAircraft, surface: number, pull: PullUp): Flex[] {
  const beam = body.beams.get(surface)!;
  return shapeOf(beam, bend(beam, beamLoads(body, surface, pull.bent, pull)));
}

const stretchAt = ({ stretches }: Beam, node: number): Stretch => stretches[Math.min(node, stretches.length - 1)]!;

const shapeOf = (beam: Beam, { rotation, shift }: Bent): Flex[] =>
  rotation.map((turned, node) => {
    const { up } = stretchAt(beam, node);
    return { bends: dot(shift[node]!, up), twists: turned[1] * up[2] - turned[2] * up[1] };
  });

/** Ends of the stretches of a beam, from root to tip, each with the stretch that bears it. */
const endsOf = (beam: Beam) =>
  [0, ...beam.stretches.map((_, index) => index + 1)].map((node): Cut & { readonly stretch: Stretch } => {
    const stretch = stretchAt(beam, node);
    const place = node === 0 ? stretch.from : beam.stretches[node - 1]!.to;
    return { stretch, place, centre: centreAt(stretch, place) };
  });

/** Bending moments alone along a surface in a pull-up, up positive, from root to tip [N·m]. */
export function momentsIn(body: SuppleAircraft, surface: number, pull: PullUp): number[] {
  const ends = endsOf(body.beams.get(surface)!);
  return internalsAt(beamLoads(body, surface, pull.bent, pull), ends).map(({ moment }, node) =>
    dot(moment, ends[node]!.stretch.aft),
  );
}

/** A surface as it stands in a pull-up, from root to tip, and how hard it is worked. */
export function flexed(body: SuppleAircraft, surface: number, pull: PullUp): FlexedNode[] {
  const beam = body.beams.get(surface)!;
  const loads = beamLoads(body, surface, pull.bent, pull);
  const shape = shapeOf(beam, bend(beam, loads));
  const length = developedLength(beam.surface);
  const ends = endsOf(beam);
  const internals = internalsAt(loads, ends);
  return shape.map((flex, index) => {
    const { stretch, place } = ends[index]!;
    const internal = internals[index]!;
    const { share, by } = workedAt(stretch, internal);
    const moment = dot(internal.moment, stretch.aft);
    return {
      share: place / length,
      y: index === 0 ? stretch.inner[1] : beam.stretches[index - 1]!.outer[1],
      moment,
      ...flex,
      worked: share,
      members: membersWorked(stretch.whole, curvatureOf(stretch.whole, moment, -dot(internal.moment, stretch.up))),
      member: by === 'shear' ? 'shear' : (by.fibre?.member ?? 'core'),
      stiffness: stretch.whole.upDown,
      twistStiffness: stretch.twist,
    };
  });
}

/** Moment about the root of every surface in a pull-up [N·m], by name. */
export function rootMoments(body: SuppleAircraft, pull: PullUp): Map<string, number> {
  const moments = new Map<string, number>();
  for (const [surface, beam] of body.beams) {
    const first = beam.stretches[0];
    if (!first) continue;
    const loads = beamLoads(body, surface, pull.bent, pull);
    moments.set(beam.surface.id, Math.abs(dot(internalAt(loads, 0, centreAt(first, 0)).moment, first.aft)));
  }
  return moments;
}

export const pressureOf = (density: number, speed: number): Pascals => (density * speed ** 2) / 2;
