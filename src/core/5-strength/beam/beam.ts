import type { Metres, Vector3 } from '@/core/1-base/units/convert';
import { curvatureOf, type Utilisation, utilisation } from '../section/composite';
import { bearing } from './bearing';
import { CUT, PART, type Passing, passingOf, placeOfCut } from './passing';
import type { Beam, BeamLoad, Stretch } from './stretch';
import { dot, NOUGHT, plus } from '@/core/1-base/numeric/vectors';

/** How a beam stands under loads, at the ends of its stretches: one more than there are stretches. */
export interface Bent {
  /** Rotation [rad] and displacement [m] as vectors in document axes. */
  readonly rotation: readonly Vector3[];
  readonly shift: readonly Vector3[];
}

/**
 * Curvature, twist and shear of every stretch by what passes it, added up from
 * the held end: θ' = φ' t + w'' a − u'' n, u' = θ × t + n V/S. Over a stretch of
 * length h with curvature κ, in the mean κ̄, the inner end turns the outer one by
 * h κ̄ and moves it by h² (κ̄/2 + (κ_inner − κ_outer)/12), exact up to κ cubic.
 * Source: Megson, Aircraft Structures, ch. 16–18 (Euler–Bernoulli with shear
 * of sheets, Allen ch. 2; St Venant and Bredt twist).
 */
export const bend = (beam: Beam, loads: readonly BeamLoad[]): Bent => bentBy(beam, passingOf(beam, loads));

/** The same by what passes its stretches. */
export function bentBy({ stretches }: Beam, passing: Passing): Bent {
  const rotation: Vector3[] = [[0, 0, 0]];
  const shift: Vector3[] = [[0, 0, 0]];
  let [rx, ry, rz, sx, sy, sz] = [0, 0, 0, 0, 0, 0];
  for (let index = 0; index < stretches.length; index++) {
    const { from, to, inner, outer, along, aft, up, whole, twist, shear } = stretches[index]!;
    const length = to - from;
    const at = placeOfCut(index, CUT.mean);
    const [first, last] = [placeOfCut(index, CUT.inner), placeOfCut(index, CUT.outer)];
    const curvature = curvatureOf(whole, passing[at + PART.upward]!, passing[at + PART.rearward]!);
    const falls = curvatureOf(
      whole,
      passing[first + PART.upward]! - passing[last + PART.upward]!,
      passing[first + PART.rearward]! - passing[last + PART.rearward]!,
    );
    const twisting = twist > 0 ? passing[at + PART.twist]! / twist : 0;
    const half = length / 2;
    const tx = twisting * along[0] + curvature.up * aft[0] - curvature.aft * up[0];
    const ty = twisting * along[1] + curvature.up * aft[1] - curvature.aft * up[1];
    const tz = twisting * along[2] + curvature.up * aft[2] - curvature.aft * up[2];
    // Turned as in the mean of the stretch, its outer end moves by θ × ℓ.
    const sooner = length / 12;
    const ax = rx + half * tx + sooner * (falls.up * aft[0] - falls.aft * up[0]);
    const ay = ry + half * ty + sooner * (falls.up * aft[1] - falls.aft * up[1]);
    const az = rz + half * tz + sooner * (falls.up * aft[2] - falls.aft * up[2]);
    const lx = outer[0] - inner[0];
    const ly = outer[1] - inner[1];
    const lz = outer[2] - inner[2];
    const slid = shear > 0 ? (passing[at + PART.shear]! / shear) * length : 0;
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

/** What bends and twists a stretch in the mean, as it counts in a sum: three a stretch, upward, rearward and twist. */
export type Weights = Float64Array;
const COUNTED = 3;

/**
 * What mean moments of each stretch add to a weighted sum of the
 * rotations at the ends of all of them: Σ w·θ = Σ g·M. With it loads are
 * weighed without bending the beam for each of them. @param weights one more
 * than there are stretches, as rotations are
 */
export function weighedMoments({ stretches }: Beam, weights: readonly Vector3[]): Weights {
  const counts = new Float64Array(COUNTED * stretches.length);
  let outboard: Vector3 = NOUGHT;
  for (let index = stretches.length - 1; index >= 0; index--) {
    const { from, to, along, aft, up, whole, twist } = stretches[index]!;
    outboard = plus(outboard, weights[index + 1]!);
    const [aboutAft, aboutUp] = [dot(outboard, aft), dot(outboard, up)];
    const { gives } = whole;
    const at = COUNTED * index;
    counts[at] = (to - from) * (gives.up * aboutAft - gives.both * aboutUp);
    counts[at + 1] = (to - from) * (gives.both * aboutAft - gives.aft * aboutUp);
    counts[at + 2] = twist > 0 ? ((to - from) * dot(outboard, along)) / twist : 0;
  }
  return counts;
}

/** A weighted sum of rotations by what passes the stretches. @param counts what weighedMoments gave @param from where what passes begins in its array @param reach how many numbers of it are anything */
export function weighed(counts: Weights, passing: Passing, from = 0, reach = Infinity): number {
  let sum = 0;
  const end = from + reach;
  for (let at = 0, index = 0; at < counts.length; at += COUNTED, index++) {
    const mean = from + placeOfCut(index, CUT.mean);
    if (mean >= end) break;
    sum +=
      counts[at]! * passing[mean + PART.upward]! +
      counts[at + 1]! * passing[mean + PART.rearward]! +
      counts[at + 2]! * passing[mean + PART.twist]!;
  }
  return sum;
}

/** How hard a section is worked: of what it bears. */
export interface Worked {
  readonly share: number;
  readonly by: Utilisation | 'shear';
}

/** From just below the limit of its weakest member a section is asked what the others bear. */
const NEAR_LIMIT = 0.99;

/** Bending and shear. @param upward moment that presses the upper side @param rearward moment that presses the rear [N·m] @param across force up [N] */
export function workedBy({ whole, shearStrength }: Stretch, upward: number, rearward: number, across: number): Worked {
  const first = utilisation(whole, curvatureOf(whole, upward, rearward));
  const bent = first.share > NEAR_LIMIT ? bearing(whole, upward, rearward) : first;
  const sheared = shearStrength > 0 ? Math.abs(across) / shearStrength : 0;
  return sheared > bent.share ? { share: sheared, by: 'shear' } : { share: bent.share, by: bent };
}

/** What works a stretch at a cut. */
export const workedAt = (stretch: Stretch, passing: Passing, at: number): Worked =>
  workedBy(stretch, passing[at + PART.upward]!, passing[at + PART.rearward]!, passing[at + PART.shear]!);

/** Where a beam is worked hardest. */
export interface HardestPlace extends Worked {
  readonly place: Metres;
}

/** How hard every stretch is worked at its inner and outer end; the hardest of all. */
export function hardestPlace(beam: Beam, loads: readonly BeamLoad[]): HardestPlace | null {
  let hardest: HardestPlace | null = null;
  const passing = passingOf(beam, loads);
  for (const [index, stretch] of beam.stretches.entries())
    for (const cut of [CUT.inner, CUT.outer]) {
      const worked = workedAt(stretch, passing, placeOfCut(index, cut));
      if (worked.share > (hardest?.share ?? 0))
        hardest = { place: cut === CUT.inner ? stretch.from : stretch.to, ...worked };
    }
  return hardest;
}
