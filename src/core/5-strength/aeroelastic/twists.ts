import { knownFrom } from '@/core/1-base/knownFrom';
import { keptLast } from '@/core/1-base/keptLast';
import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { isWing } from '@/core/2-document/schema/roles';
import type { Lattice } from '@/core/5-aero/lattice';
import { bentBy, weighedMoments, weighed } from '../beam/beam';
import { type EachPassing, eachPassing, type Passing } from '../beam/passing';
import type { Beam } from '../beam/stretch';
import type { SurfaceBeam } from '../beam/surfaceBeam';
import { type TwistShapes, twistShapes } from './shapes';
import { beamLoadOf } from './stripLoads';

/** In which shapes a surface twists, and how much of each one newton and one newton metre on its strips make. */
export interface Twist {
  /** What passes its beam under one newton and under one newton metre on every strip, strip by strip. */
  readonly each: EachPassing;
  readonly shapes: TwistShapes;
  readonly shares: ReturnType<typeof sharesByStrip>;
}

/** Twists by surface; left and right twist alike whether they do so together or against one another. */
export type Twists = (surface: number) => Twist;

/** By the beam, and by where its strips begin, end and are taken: that of a surface which stays as it is drawn serves again. */
const knownTwist = knownFrom<SurfaceBeam, Twist>();

export function twistsOf(lattice: Lattice, beams: ReadonlyMap<number, SurfaceBeam>): Twists {
  const twistOf = (surface: number): Twist => {
    const beam = beams.get(surface)!;
    const strips = lattice.strips.slice(lattice.firstStrip[surface]!, lattice.firstStrip[surface + 1]!);
    const places = strips.flatMap(({ from, to, middle }) => [from, to, middle]);
    return knownTwist(beam, [surface, ...places], () => {
      const shapes = twistShapes(lattice, surface, isWing(lattice.surfaces[surface]!.source));
      const each = eachPassing(beam, unitLoads(lattice, surface));
      return { shapes, each, shares: sharesByStrip(shapes, each, { beam, lattice }) };
    });
  };
  return keptLast(lattice.surfaces.length, twistOf);
}

/** Turn of every strip of a surface about its own direction by what passes its beam [rad]. */
export function turnsOf(
  beam: SurfaceBeam,
  { strips, firstStrip }: Lattice,
  surface: number,
  passing: Passing,
): Float64Array {
  const { rotation } = bentBy(beam, passing);
  return mapToNumbers(
    strips.slice(firstStrip[surface]!, firstStrip[surface + 1]!),
    ({ middle, tangentY, tangentZ }) => {
      const { index, share } = placeOn(beam, middle);
      const along = (axis: 1 | 2) => rotation[index]![axis] * (1 - share) + rotation[index + 1]![axis] * share;
      return along(1) * tangentY + along(2) * tangentZ;
    },
  );
}

/** The stretch that holds a place along a beam, and how far along it that is. */
export function placeOn({ stretches }: Beam, place: number): { readonly index: number; readonly share: number } {
  let index = 0;
  while (index < stretches.length - 1 && stretches[index]!.to < place) index++;
  const { from, to } = stretches[index]!;
  return { index, share: Math.min(1, Math.max(0, (place - from) / (to - from))) };
}

/** One newton and one newton metre on every strip of a surface. */
function unitLoads(lattice: Lattice, surface: number) {
  const [first, end] = [lattice.firstStrip[surface]!, lattice.firstStrip[surface + 1]!];
  return Array.from({ length: 2 * (end - first) }, (_, index) =>
    beamLoadOf(lattice, first + (index >> 1), index % 2 === 0 ? 1 : 0, index % 2),
  );
}

/** Shares of the shapes under one newton and under one newton metre on each strip of a surface. */
function sharesByStrip(
  { surface, byStrip }: TwistShapes,
  { values, stride, reach }: EachPassing,
  { beam, lattice }: { readonly beam: SurfaceBeam; readonly lattice: Lattice },
) {
  const strips = lattice.strips.slice(lattice.firstStrip[surface]!, lattice.firstStrip[surface + 1]!);
  const counts = byStrip.map((shares) => {
    const weights = Array.from({ length: beam.stretches.length + 1 }, (): [number, number, number] => [0, 0, 0]);
    strips.forEach(({ middle, tangentY, tangentZ }, local) => {
      const { index, share } = placeOn(beam, middle);
      const put = (node: number, part: number) => {
        weights[node]![1] += part * tangentY * shares[local]!;
        weights[node]![2] += part * tangentZ * shares[local]!;
      };
      put(index, 1 - share);
      put(index + 1, share);
    });
    return weighedMoments(beam, weights);
  });
  const under = (load: number) => counts.map((one) => weighed(one, values, load * stride, reach[load]));
  return strips.map((_, local) => ({ byForce: under(2 * local), byMoment: under(2 * local + 1) }));
}
