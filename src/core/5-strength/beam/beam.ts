import type { Metres, Vector3 } from '@/core/1-base/units/convert';
import { type Composite, curvatureOf, type Utilisation, utilisation } from '../section/composite';
import { bearing } from './bearing';
import { dot, lengthOf, minus, NOUGHT, plus, times } from '@/core/1-base/numeric/vectors';

/**
 * A stretch of a beam, straight and alike from its inner to its outer end.
 * `along` points outwards, `aft` to the rear, `up` to the upper side, in the
 * axes of the document; the three are square to one another.
 */
export interface Stretch {
  readonly from: Metres;
  readonly to: Metres;
  readonly inner: Vector3;
  readonly outer: Vector3;
  readonly along: Vector3;
  readonly aft: Vector3;
  readonly up: Vector3;
  readonly whole: Composite;
  /** Twist stiffness [N·m²], stiffness and strength in shear up and down [N]. */
  readonly twist: number;
  readonly shear: number;
  readonly shearStrength: number;
  /** Point of the section in the middle of the stretch through which a load does not twist it [m]. */
  readonly centre: Vector3;
}

/** Held at its inner end, free at its outer one. */
export interface Beam {
  readonly stretches: readonly Stretch[];
}

/** A force spread evenly from one place along the beam to another, or at one point where both are alike [N, m]. */
export interface BeamLoad {
  readonly from: Metres;
  readonly to: Metres;
  /** Where it acts in the middle of its stretch, and which way that moves along the beam, per metre. */
  readonly at: Vector3;
  readonly way: Vector3;
  readonly force: Vector3;
  /** Moment of its own beside that [N·m]. */
  readonly moment?: Vector3;
}

/** What passes a section: force, and moment about its centre [N, N·m]. */
export interface Internal {
  readonly force: Vector3;
  readonly moment: Vector3;
}

/** That point of the section at a place of the stretch. */
export function centreAt({ centre, along, from, to, inner, outer }: Stretch, place: Metres): Vector3 {
  const length = lengthOf(minus(outer, inner));
  const off = ((place - (from + to) / 2) / (to - from)) * length;
  return [centre[0] + off * along[0], centre[1] + off * along[1], centre[2] + off * along[2]];
}

/** Everything that lies outboard of a place, about a point: Σ F and Σ (r − r₀) × F + M. Written out: it is asked for thousands of times. */
export function internalAt(loads: readonly BeamLoad[], place: Metres, [x0, y0, z0]: Vector3): Internal {
  let [fx, fy, fz, mx, my, mz] = [0, 0, 0, 0, 0, 0];
  for (const { from, to, at, way, force, moment } of loads) {
    if (place >= to && to > from) continue;
    if (place > from && to <= from) continue;
    const share = place <= from ? 1 : (to - place) / (to - from);
    const middle = share === 1 ? 0 : (place - from) / 2;
    const px = share * force[0];
    const py = share * force[1];
    const pz = share * force[2];
    const x = at[0] + middle * way[0] - x0;
    const y = at[1] + middle * way[1] - y0;
    const z = at[2] + middle * way[2] - z0;
    fx += px;
    fy += py;
    fz += pz;
    mx += y * pz - z * py;
    my += z * px - x * pz;
    mz += x * py - y * px;
    if (moment) {
      mx += share * moment[0];
      my += share * moment[1];
      mz += share * moment[2];
    }
  }
  return { force: [fx, fy, fz], moment: [mx, my, mz] };
}

/** A section that is looked at: its place along the beam, and the point about which moments count. */
export interface Cut {
  readonly place: Metres;
  readonly centre: Vector3;
}

/**
 * What passes many sections, which go outwards in their order: loads outboard
 * of several are added up once, about the origin, and carried to each.
 */
export function internalsAt(loads: readonly BeamLoad[], cuts: readonly Cut[]): Internal[] {
  const count = cuts.length;
  // Six sums a section, force and moment about the origin: of what lies outboard of it as a whole, and of what it cuts.
  const sums = new Float64Array(6 * (count + 1));
  const own = new Float64Array(6 * count);
  for (const load of loads) {
    const { from, to } = load;
    let index = 0;
    while (index < count && cuts[index]!.place <= from) index++;
    if (index > 0) addTo(sums, 6 * (index - 1), load, 1, 0);
    for (; index < count && cuts[index]!.place < to; index++) {
      const { place } = cuts[index]!;
      addTo(own, 6 * index, load, (to - place) / (to - from), (place - from) / 2);
    }
  }
  for (let at = 6 * (count - 1) - 1; at >= 0; at--) sums[at]! += sums[at + 6]!;
  return cuts.map(({ centre: [x, y, z] }, index): Internal => {
    const at = 6 * index;
    const fx = sums[at]! + own[at]!;
    const fy = sums[at + 1]! + own[at + 1]!;
    const fz = sums[at + 2]! + own[at + 2]!;
    return {
      force: [fx, fy, fz],
      moment: [
        sums[at + 3]! + own[at + 3]! - (y * fz - z * fy),
        sums[at + 4]! + own[at + 4]! - (z * fx - x * fz),
        sums[at + 5]! + own[at + 5]! - (x * fy - y * fx),
      ],
    };
  });
}

/** Adds a share of a load, its middle shifted along its way, to the six sums at a place. */
function addTo(sums: Float64Array, place: number, { at, way, force, moment }: BeamLoad, share: number, off: number) {
  const x = at[0] + off * way[0];
  const y = at[1] + off * way[1];
  const z = at[2] + off * way[2];
  const px = share * force[0];
  const py = share * force[1];
  const pz = share * force[2];
  sums[place]! += px;
  sums[place + 1]! += py;
  sums[place + 2]! += pz;
  sums[place + 3]! += y * pz - z * py;
  sums[place + 4]! += z * px - x * pz;
  sums[place + 5]! += x * py - y * px;
  if (!moment) return;
  sums[place + 3]! += share * moment[0];
  sums[place + 4]! += share * moment[1];
  sums[place + 5]! += share * moment[2];
}

/** How a beam stands under loads, at the ends of its stretches: one more than there are stretches. */
export interface Bent {
  /** Rotation [rad] and displacement [m] as vectors in document axes. */
  readonly rotation: readonly Vector3[];
  readonly shift: readonly Vector3[];
}

/**
 * Curvature, twist and shear of every stretch by what passes its middle,
 * added up from the held end: θ' = φ' t + w'' a − u'' n, u' = θ × t + n V/S.
 * Source: Megson, Aircraft Structures, ch. 16–18 (Euler–Bernoulli with shear
 * of sheets, Allen ch. 2; St Venant and Bredt twist).
 */
export function bend({ stretches }: Beam, loads: readonly BeamLoad[]): Bent {
  const rotation: Vector3[] = [[0, 0, 0]];
  const shift: Vector3[] = [[0, 0, 0]];
  let [rx, ry, rz, sx, sy, sz] = [0, 0, 0, 0, 0, 0];
  const middles = internalsAt(loads, stretches.map(middleOf));
  for (const [index, { from, to, inner, outer, along, aft, up, whole, twist, shear }] of stretches.entries()) {
    const length = to - from;
    const { force, moment } = middles[index]!;
    const curvature = curvatureOf(whole, dot(moment, aft), -dot(moment, up));
    const twisting = twist > 0 ? dot(moment, along) / twist : 0;
    const half = length / 2;
    const turn = (axis: 0 | 1 | 2) => twisting * along[axis] + curvature.up * aft[axis] - curvature.aft * up[axis];
    const [tx, ty, tz] = [turn(0), turn(1), turn(2)];
    // Turned as in the middle of the stretch, its outer end moves by θ × ℓ.
    const [ax, ay, az] = [rx + half * tx, ry + half * ty, rz + half * tz];
    const [lx, ly, lz] = [outer[0] - inner[0], outer[1] - inner[1], outer[2] - inner[2]];
    const slid = shear > 0 ? (dot(force, up) / shear) * length : 0;
    sx += ay * lz - az * ly + slid * up[0];
    sy += az * lx - ax * lz + slid * up[1];
    sz += ax * ly - ay * lx + slid * up[2];
    rx += length * tx;
    ry += length * ty;
    rz += length * tz;
    rotation.push([rx, ry, rz]);
    shift.push([sx, sy, sz]);
  }
  return { rotation, shift };
}

const middleOf = ({ from, to, centre }: Stretch): Cut => ({ place: (from + to) / 2, centre });

/**
 * What a moment in the middle of each stretch adds to a weighted sum of the
 * rotations at the ends of all of them: Σ w·θ = Σ g·M. With it loads are
 * weighed without bending the beam for each of them. @param weights one more
 * than there are stretches, as rotations are
 */
export function weighedMoments({ stretches }: Beam, weights: readonly Vector3[]): Vector3[] {
  let outboard: Vector3 = NOUGHT;
  return stretches
    .map(({ from, to, along, aft, up, whole, twist }, index) => ({
      length: to - from,
      axes: { along, aft, up },
      byUp: curvatureOf(whole, 1, 0),
      byAft: curvatureOf(whole, 0, 1),
      twist,
      weight: weights[index + 1]!,
    }))
    .toReversed()
    .map(({ length, axes: { along, aft, up }, byUp, byAft, twist, weight }) => {
      outboard = plus(outboard, weight);
      const [aboutAft, aboutUp] = [dot(outboard, aft), dot(outboard, up)];
      const upward = byUp.up * aboutAft - byUp.aft * aboutUp;
      const rearward = byAft.up * aboutAft - byAft.aft * aboutUp;
      const turned = twist > 0 ? dot(outboard, along) / twist : 0;
      return times(plus(times(along, turned), plus(times(aft, upward), times(up, -rearward))), length);
    })
    .toReversed();
}

/** A weighted sum of rotations under one load, as internalAt gives its moments. Written out: it is asked for every strip. @param moments what weighedMoments gave, one for each sum */
export function weighed({ stretches }: Beam, moments: readonly (readonly Vector3[])[], load: BeamLoad): number[] {
  const { from, to, at, way, force, moment = NOUGHT } = load;
  const sums = moments.map(() => 0);
  for (let index = 0; index < stretches.length; index++) {
    const stretch = stretches[index]!;
    const middle = (stretch.from + stretch.to) / 2;
    if (middle >= to && middle > from) break;
    const share = middle <= from ? 1 : (to - middle) / (to - from);
    const off = share === 1 ? 0 : (middle - from) / 2;
    const { centre } = stretch;
    const x = at[0] + off * way[0] - centre[0];
    const y = at[1] + off * way[1] - centre[1];
    const z = at[2] + off * way[2] - centre[2];
    const mx = share * (y * force[2] - z * force[1] + moment[0]);
    const my = share * (z * force[0] - x * force[2] + moment[1]);
    const mz = share * (x * force[1] - y * force[0] + moment[2]);
    for (let sum = 0; sum < sums.length; sum++) {
      const weights = moments[sum]![index]!;
      sums[sum]! += weights[0] * mx + weights[1] * my + weights[2] * mz;
    }
  }
  return sums;
}

/** How hard a section is worked: of what it bears. */
export interface Worked {
  readonly share: number;
  readonly by: Utilisation | 'shear';
}

/** From just below the limit of its weakest member a section is asked what the others bear. */
const NEAR_LIMIT = 0.99;

/** Bending and shear. */
export function workedAt({ whole, aft, up, shearStrength }: Stretch, { force, moment }: Internal): Worked {
  const [upward, rearward] = [dot(moment, aft), -dot(moment, up)];
  const first = utilisation(whole, curvatureOf(whole, upward, rearward));
  const bent = first.share > NEAR_LIMIT ? bearing(whole, upward, rearward) : first;
  const sheared = shearStrength > 0 ? Math.abs(dot(force, up)) / shearStrength : 0;
  return sheared > bent.share ? { share: sheared, by: 'shear' } : { share: bent.share, by: bent };
}

/** Where a beam is worked hardest. */
export interface HardestPlace extends Worked {
  readonly place: Metres;
}

/** How hard every stretch is worked at its inner and outer end; the hardest of all. */
export function hardestPlace({ stretches }: Beam, loads: readonly BeamLoad[]): HardestPlace | null {
  let hardest: HardestPlace | null = null;
  const ends = stretches.flatMap((stretch) =>
    [stretch.from, stretch.to].map((place) => ({ stretch, place, centre: centreAt(stretch, place) })),
  );
  const internals = internalsAt(loads, ends);
  for (const [index, { stretch, place }] of ends.entries()) {
    const worked = workedAt(stretch, internals[index]!);
    if (worked.share > (hardest?.share ?? 0)) hardest = { place, ...worked };
  }
  return hardest;
}
