import { keptLast } from '@/core/1-base/keptLast';
import type { Vector3 } from '@/core/1-base/units/convert';
import type { Parity } from '@/core/5-aero/influence';
import type { InfluenceMatrices } from '@/core/5-aero/influence';
import type { Lattice } from '@/core/5-aero/lattice';
import type { SurfaceBeam } from '../beam/surfaceBeam';
import { NOUGHT } from '@/core/1-base/numeric/vectors';
import { keptBy, type Mount } from './mount';
import type { TwistShapes } from './shapes';
import { beamLoadOf, loadsOfTurns, type StripLoads, sumLoads, type Total, totalOf } from './stripLoads';
import { type Tilt, tiltsOf } from './tilt';
import { type Twist, type Twists, twistsOf } from './twists';

export interface SuppleInput {
  readonly matrices: InfluenceMatrices;
  readonly parity: Parity;
  /** Beams by surface of the lattice; what has none is stiff. */
  readonly beams: ReadonlyMap<number, SurfaceBeam>;
  readonly mounts: readonly Mount[];
  /** Loads per dynamic pressure of the cases that steady states are made of; they turn with what they act on. */
  readonly steady: readonly StripLoads[];
  /** How surfaces twist, known from before. */
  readonly twists?: Twists;
  /** What the air answers turns of strips with [rad]; the lattice without it. */
  readonly air?: (turns: readonly Float64Array[]) => StripLoads[];
}

/** The steady flight that an aircraft is bent from. */
export interface SteadyState {
  /** How much of each of its cases. */
  readonly shares: readonly number[];
  /** Steepness of the air that meets what is on every mount [rad]. */
  readonly airAngles: readonly number[];
}

/**
 * How a bending aircraft answers the air, in a few unknowns: how much of each
 * shape of twist every surface takes on, and how far every mount is turned
 * about the three axes. Loads L of strips turn them by `turnsBy`, the lattice
 * answers a unit of each with `answers`: x = q (K x + turnsBy(L₀)), K the turns
 * by the answers. Source: assumed modes in static aeroelasticity, Bisplinghoff,
 * Ashley & Halfman, Aeroelasticity, 1955, ch. 8.
 */
export interface Supple {
  readonly lattice: Lattice;
  readonly parity: Parity;
  readonly size: number;
  readonly shapes: readonly TwistShapes[];
  readonly firstMount: number;
  readonly answers: readonly StripLoads[];
  readonly coupling: Float64Array;
  /** Loads of the steady cases, which turn with what they act on: what that adds to the coupling. */
  readonly tilts: readonly Tilt[];
  /** The steady state: shares of its cases, and by how much every answer counts (mounts that roll meet air as steep as it is there). */
  readonly shares: readonly number[];
  readonly scale: Float64Array;
  readonly turnsBy: (loads: StripLoads) => Float64Array;
  /** Force and moment about a point that every answer adds up to. */
  readonly totals: (about: Vector3) => readonly Total[];
}

/** Turn of a strip by a unit turn of its mount about an axis: θ·(n × V), V along the datum; about the first axis for each radian that the air there is steep. */
const turnedBy = (lattice: Lattice, strip: number): Vector3 => {
  const { tangentY, tangentZ } = lattice.strips[strip]!;
  return [-tangentZ, tangentY, tangentZ];
};

export function supple({ matrices, parity, beams, mounts, steady, air, twists }: SuppleInput): Supple {
  const { lattice } = matrices;
  const answerTo = air ?? ((turns: readonly Float64Array[]) => loadsOfTurns(matrices, parity, turns));
  const { firstStrip, surfaces, strips } = lattice;
  // Upright surfaces in the middle bear nothing where left and right are equal.
  const twisting = [...beams.keys()]
    .filter((surface) => parity === 'antisymmetric' || surfaces[surface]!.mirrored)
    .map(twists ?? twistsOf(lattice, beams));
  const shapes = twisting.map((twist) => twist.shapes);
  const firstMount = shapes.reduce((sum, { values }) => sum + values.length, 0);
  const size = firstMount + 3 * mounts.length;

  const shares = turnShares({ lattice, parity, mounts, twisting, firstMount, size });
  const turnsBy = ({ force, moment }: StripLoads): Float64Array => {
    const turns = new Float64Array(size);
    for (let row = 0; row < size; row++) {
      let sum = 0;
      const begin = row * strips.length;
      for (let strip = shares.from[row]!; strip < shares.to[row]!; strip++)
        sum += shares.byForce[begin + strip]! * force[strip]! + shares.byMoment[begin + strip]! * moment[strip]!;
      turns[row] = sum;
    }
    return turns;
  };

  /** Null where a unit of an unknown turns nothing. */
  const turns: (Float64Array | null)[] = [];
  for (const { surface, values } of shapes)
    for (const shape of values) {
      const turned = new Float64Array(strips.length);
      turned.set(shape, firstStrip[surface]!);
      turns.push(turned);
    }
  for (const mount of mounts)
    for (let axis = 0; axis < 3; axis++) {
      let turned: Float64Array | null = null;
      for (const surface of mount.surfaces) {
        // An axis that both sides hold against one another does not turn.
        if (!keptBy(parity, mount.isMiddle && surfaces[surface]!.mirrored)[axis]) continue;
        for (let strip = firstStrip[surface]!; strip < firstStrip[surface + 1]!; strip++) {
          const turn = turnedBy(lattice, strip)[axis]!;
          if (turn !== 0) (turned ??= new Float64Array(strips.length))[strip] = turn;
        }
      }
      turns.push(turned);
    }
  const answered = answerTo(turns.filter((turned) => turned !== null)).values();
  const nothing: StripLoads = { force: new Float64Array(strips.length), moment: new Float64Array(strips.length) };
  const answers = turns.map((turned) => (turned ? answered.next().value! : nothing));

  const coupling = new Float64Array(size * size);
  answers.forEach((loads, column) => {
    turnsBy(loads).forEach((turn, row) => (coupling[row * size + column] = turn));
  });
  const tilts = tiltsOf(steady, { lattice, parity, mounts, firstMount, size });
  const none: SteadyState = { shares: steady.map(() => 0), airAngles: mounts.map(() => 0) };
  const scale = new Float64Array(size);
  const totals = keptLast(1, (about: Vector3) => answers.map((answer) => totalOf(lattice, answer, parity, about)));
  const made = { lattice, parity, size, shapes, firstMount, answers, coupling, tilts, turnsBy, totals, scale };
  return inState({ ...made, shares: none.shares }, none);
}

/** The same aircraft bent from another steady state. */
export function inState(body: Supple, { shares, airAngles }: SteadyState): Supple {
  const scale = new Float64Array(body.size).fill(1);
  airAngles.forEach((angle, mount) => (scale[body.firstMount + 3 * mount] = angle));
  return { ...body, shares, scale };
}

interface Turning {
  readonly lattice: Lattice;
  readonly parity: Parity;
  readonly mounts: readonly Mount[];
  readonly twisting: readonly Twist[];
  readonly firstMount: number;
  readonly size: number;
}

/**
 * What every unknown is turned by under one newton and under one newton metre
 * on every strip, unknown by unknown, and from which strip on to before which
 * one that is anything.
 */
function turnShares({ lattice, parity, mounts, twisting, firstMount, size }: Turning) {
  const { firstStrip, surfaces } = lattice;
  const count = lattice.strips.length;
  const [byForce, byMoment] = [new Float64Array(size * count), new Float64Array(size * count)];
  const [from, to] = [new Int32Array(size), new Int32Array(size).fill(count)];
  let row = 0;
  for (const { shapes, shares } of twisting) {
    shares.forEach((share, local) => {
      const strip = firstStrip[shapes.surface]! + local;
      for (let shape = 0; shape < shapes.values.length; shape++) {
        byForce[(row + shape) * count + strip] = share.byForce[shape]!;
        byMoment[(row + shape) * count + strip] = share.byMoment[shape]!;
      }
    });
    from.fill(firstStrip[shapes.surface]!, row, row + shapes.values.length);
    to.fill(firstStrip[shapes.surface + 1]!, row, row + shapes.values.length);
    row += shapes.values.length;
  }
  mounts.forEach((mount, index) => {
    const own = firstMount + 3 * index;
    from.fill(Math.min(...mount.surfaces.map((surface) => firstStrip[surface]!)), own, own + 3);
    to.fill(Math.max(...mount.surfaces.map((surface) => firstStrip[surface + 1]!)), own, own + 3);
    for (const surface of mount.surfaces) {
      const isShared = mount.isMiddle && surfaces[surface]!.mirrored;
      const kept = keptBy(parity, isShared);
      for (let strip = firstStrip[surface]!; strip < firstStrip[surface + 1]!; strip++) {
        const { at, force, moment } = beamLoadOf(lattice, strip, 1, 1);
        const turned = [mount.turnBy(force, at, NOUGHT), mount.turnBy(NOUGHT, at, moment!)] as const;
        for (let axis = 0; axis < 3; axis++) {
          if (!kept[axis]) continue;
          const place = (own + axis) * count + strip;
          byForce[place] = (isShared ? 2 : 1) * turned[0][axis]!;
          byMoment[place] = (isShared ? 2 : 1) * turned[1][axis]!;
        }
      }
    }
  });
  return { byForce, byMoment, from, to };
}

/** Loads that the air answers with, per dynamic pressure. */
export const answered = ({ answers, scale, lattice }: Supple, unknowns: Float64Array): StripLoads =>
  sumLoads([
    [0, { force: new Float64Array(lattice.strips.length), moment: new Float64Array(lattice.strips.length) }],
    ...answers.map((loads, index) => [unknowns[index]! * scale[index]!, loads] as const),
  ]);

/** Shares of the shapes that turns of strips come to, for turns that weights cause. */
export function sharesOf({ shapes, size }: Supple, turns: (surface: number) => Float64Array): Float64Array {
  const shares = new Float64Array(size);
  let row = 0;
  for (const { surface, nearest, values } of shapes) {
    shares.set(nearest(turns(surface)), row);
    row += values.length;
  }
  return shares;
}
