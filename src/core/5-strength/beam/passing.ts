import { type Beam, type BeamLoad, centreAt } from './stretch';

/**
 * What passes the sections of a beam: at the inner end of every stretch, in the
 * mean over it and at its outer end the force up V [N] and the moments about
 * its centre that press the upper side, press the rear, and twist [N·m]: V =
 * F·n, M·a, −M·n, M·t, with F and M = Σ (r − r₀) × F + M of everything
 * outboard. Sums of loads are sums of these.
 */
export type Passing = Float64Array;

/** Where the three cuts of a stretch begin, and what stands there. */
export const CUT = { inner: 0, mean: 4, outer: 8 } as const;
export const PART = { shear: 0, upward: 1, rearward: 2, twist: 3 } as const;
const STRIDE = 12;
/** The mean is worked out from what passes the middle. */
const CUTS = [CUT.inner, CUT.mean, CUT.outer] as const;

export const placeOfCut = (stretch: number, cut: (typeof CUT)[keyof typeof CUT]): number => STRIDE * stretch + cut;

/** Of every cut: its place along the beam, and the point about which moments count. */
const known = new WeakMap<Beam, Float64Array>();

function cutsOf(beam: Beam): Float64Array {
  const before = known.get(beam);
  if (before) return before;
  const made = new Float64Array(STRIDE * beam.stretches.length);
  beam.stretches.forEach((stretch, index) => {
    const { from, to } = stretch;
    [from, (from + to) / 2, to].forEach((place, which) => {
      made.set([place, ...centreAt(stretch, place)], placeOfCut(index, CUTS[which]!));
    });
  });
  known.set(beam, made);
  return made;
}

/** Adds what a load brings, from the root as far out as it reaches. Written out: it is asked for every strip. @returns how many numbers that is */
function add(beam: Beam, { from, to, at, way, force, moment }: BeamLoad, into: Passing, begin: number): number {
  const cuts = cutsOf(beam);
  const [fx, fy, fz] = force;
  const [ox, oy, oz] = moment ?? [0, 0, 0];
  for (let index = 0; index < beam.stretches.length; index++) {
    const { along, aft, up } = beam.stretches[index]!;
    for (let cut = placeOfCut(index, CUT.inner); cut < STRIDE * (index + 1); cut += CUT.mean) {
      const place = cuts[cut]!;
      // Cuts go outwards: nothing of it lies beyond.
      if (to > from ? place >= to : place > from) return cut;
      const share = place <= from ? 1 : (to - place) / (to - from);
      const middle = place <= from ? 0 : (place - from) / 2;
      const x = at[0] + middle * way[0] - cuts[cut + 1]!;
      const y = at[1] + middle * way[1] - cuts[cut + 2]!;
      const z = at[2] + middle * way[2] - cuts[cut + 3]!;
      const mx = share * (y * fz - z * fy + ox);
      const my = share * (z * fx - x * fz + oy);
      const mz = share * (x * fy - y * fx + oz);
      const to4 = begin + cut;
      into[to4 + PART.shear]! += share * (fx * up[0] + fy * up[1] + fz * up[2]);
      into[to4 + PART.upward]! += mx * aft[0] + my * aft[1] + mz * aft[2];
      into[to4 + PART.rearward]! -= mx * up[0] + my * up[1] + mz * up[2];
      into[to4 + PART.twist]! += mx * along[0] + my * along[1] + mz * along[2];
    }
  }
  return STRIDE * beam.stretches.length;
}

/**
 * From what passes the middle of every stretch to the mean over it, (inner + 4
 * middle + outer)/6: exact for moments up to the third power of the place
 * (Simpson), so for everything spread evenly. @param reach how many numbers are
 * anything @returns how many are then
 */
function average(into: Passing, begin: number, reach: number): number {
  let stretch = 0;
  for (; stretch < reach; stretch += STRIDE)
    for (let at = begin + stretch; at < begin + stretch + CUT.mean; at++)
      into[at + CUT.mean] = (into[at]! + 4 * into[at + CUT.mean]! + into[at + CUT.outer]!) / 6;
  return Math.max(reach, stretch - STRIDE + CUT.outer);
}

/** What passes a beam under loads. */
export function passingOf(beam: Beam, loads: readonly BeamLoad[]): Passing {
  const passing = new Float64Array(STRIDE * beam.stretches.length);
  for (const load of loads) add(beam, load, passing, 0);
  average(passing, 0, passing.length);
  return passing;
}

/** What passes a beam under each of several loads by itself, one after the other. */
export interface EachPassing {
  readonly values: Float64Array;
  /** Numbers of one load. */
  readonly stride: number;
  /** How many of them are anything, load by load: outboard of it nothing of a load passes. */
  readonly reach: Int32Array;
}

export function eachPassing(beam: Beam, loads: readonly BeamLoad[]): EachPassing {
  const stride = STRIDE * beam.stretches.length;
  const values = new Float64Array(stride * loads.length);
  const reach = Int32Array.from(loads, (load, index) =>
    average(values, index * stride, add(beam, load, values, index * stride)),
  );
  return { values, stride, reach };
}

/** Adds one of several and the next one to it, each so many times. */
export function addTwo(
  into: Passing,
  { values, stride, reach }: EachPassing,
  which: number,
  [times, timesNext]: readonly [number, number],
): void {
  const end = Math.max(reach[which]!, reach[which + 1]!);
  for (let at = 0, from = which * stride; at < end; at++, from++)
    into[at]! += times * values[from]! + timesNext * values[from + stride]!;
}
