import { conditionOf, type ScaledColumns, scaledColumns } from './conditionNumber';
import type { Lattice } from './lattice';
import { isStillThere, laidMatrix } from './kernel/inUse';
import { factorise, factoriseInPlace, type LuFactors, SingularMatrixError } from './kernel/luFactors';
import { induceAlong, type VelocityRow, velocityRow } from './inducedVelocity';
import { type LegInfluence, legInfluence } from './legInfluence';
import { type NoFlowError, noFlowAt } from './noFlow';
import { type VortexField, vortexField, type WakeDirection } from './vortexField';

/** Velocity components at the bound vortices, three N × N matrices row by row. */
export interface BoundInfluence {
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly w: Float64Array;
}

/** One of the two half problems: left and right equal, or equal and opposite. */
export interface HalfProblem {
  readonly factors: LuFactors;
  /** Why nothing of this half can be solved: two fins in one place say nothing of yaw, and much of pitch. */
  readonly fault: NoFlowError | null;
}

/** What a half problem induces where forces act. */
export interface InducedAir {
  readonly bound: BoundInfluence;
  /** Velocity across the chord at the legs on the board; null when only the free stream is asked for there. */
  readonly legs: LegInfluence | null;
}

interface BothAirs {
  readonly symmetric: InducedAir;
  readonly antisymmetric: InducedAir;
}

/**
 * Everything that depends on where the lattice lies and not on its angles:
 * both half problems, factored. A changed incidence, twist, camber, control or
 * balance point needs none of this again.
 */
export interface InfluenceMatrices {
  readonly lattice: Lattice;
  readonly field: VortexField;
  readonly symmetric: HalfProblem;
  readonly antisymmetric: HalfProblem;
  /** What is induced where forces act; worked out again where newer lattices took its room. Not to be kept. */
  readonly air: () => BothAirs;
  /** Velocity along the normal at each control point per unit circulation when left and right are equal. */
  readonly symmetricNormal: Float64Array;
  /** Points at which forces act, and their bound vectors. */
  readonly forceX: Float64Array;
  readonly forceY: Float64Array;
  readonly forceZ: Float64Array;
  readonly boundX: Float64Array;
  readonly boundY: Float64Array;
  readonly boundZ: Float64Array;
  /** Cases that depend on nothing but the lattice, solved once; by what they are. */
  readonly unitCases: Map<string, unknown>;
}

export interface InfluenceOptions extends WakeDirection {
  /** Leave out what vortices induce on the legs along the chord: within a percent or two, and quicker. */
  readonly withoutLegs?: boolean;
  /** Lift-slope factor of each strip against 2π per radian; none means 1. */
  readonly liftSlopeFactors?: ArrayLike<number>;
}

/**
 * Builds and factors both half problems.
 *
 * A section whose lift slope is κ·2π instead of 2π turns less air: on its strip
 * the boundary condition gains Δα = c_l (1/2πκ − 1/2π), c_l = 2ΣΓ/(Vc), which
 * is linear in the circulation and goes into the matrix.
 * Where surfaces lie in one another, the half problem that is spoilt says so.
 */
export function buildInfluence(lattice: Lattice, options: InfluenceOptions): InfluenceMatrices {
  const n = lattice.panels;
  const field = vortexField(lattice, options);
  const vectors = boundVectors(lattice);
  const normal = { even: new Float64Array(n * n), odd: new Float64Array(n * n) };
  let airs = assemble(lattice, field, vectors, { withLegs: !options.withoutLegs, normal });
  const air = (): BothAirs => {
    if (!isThere(airs)) airs = assemble(lattice, field, vectors, { withLegs: !options.withoutLegs, normal: null });
    return airs;
  };
  silenceCentreFins(lattice, normal.even);
  if (options.liftSlopeFactors) {
    softenSections(lattice, normal.even, options.liftSlopeFactors);
    softenSections(lattice, normal.odd, options.liftSlopeFactors);
  }
  const block = lattice.panelsWithoutTail || n;
  const evenScale = scaledColumns(normal.even, n, lattice.centrePanels);
  const oddScale = scaledColumns(normal.odd, n);
  const even = factored(lattice, () => factorise(normal.even, n, { block, from: lattice.centrePanels }), evenScale);
  const odd = factored(lattice, () => factoriseInPlace(normal.odd, n, { block }), oddScale);
  return {
    lattice,
    field,
    symmetric: even,
    antisymmetric: odd,
    air,
    symmetricNormal: normal.even,
    unitCases: new Map(),
    ...vectors,
  };
}

interface Assembly {
  readonly withLegs: boolean;
  /** Where velocities along the normals go; null where these are known. */
  readonly normal: { readonly even: Float64Array; readonly odd: Float64Array } | null;
}

/** Sees every point of every strip: what is induced along the normals, where forces act, and at the legs. */
function assemble(
  lattice: Lattice,
  field: VortexField,
  { forceX }: ReturnType<typeof boundVectors>,
  { withLegs, normal }: Assembly,
): BothAirs {
  const n = lattice.panels;
  const count = lattice.cells.count;
  const three = (): BoundInfluence => ({ u: laidMatrix(n, n), v: laidMatrix(n, n), w: laidMatrix(n, n) });
  const bound = { even: three(), odd: three() };
  // All points of a strip lie on one line along the chord: first its control points, then those where forces act.
  const points = 2 * count;
  const xs = new Float64Array(points);
  const here = Array.from({ length: points }, () => velocityRow(n));
  const mirrored = Array.from({ length: points }, () => velocityRow(n));
  lattice.strips.forEach((strip, stripIndex) => {
    const first = stripIndex * count;
    const { y, z } = strip.m;
    for (let k = 0; k < count; k++) {
      xs[k] = strip.m.x + lattice.cells.control[k]! * strip.m.chord;
      xs[count + k] = forceX[first + k]!;
    }
    induceAlong(field, { y, z, own: strip.surface }, xs, here);
    induceAlong(field, { y: -y, z, own: strip.surface }, xs, mirrored);
    for (let k = 0; k < count; k++) {
      const row = (first + k) * n;
      if (normal) writeNormal(lattice.doubled, row, [-strip.tangentZ, strip.tangentY], here[k]!, mirrored[k]!, normal);
      writeBound(lattice.doubled, row, here[count + k]!, mirrored[count + k]!, bound);
    }
  });
  const legs = withLegs ? legInfluence(lattice, field) : null;
  return {
    symmetric: { bound: bound.even, legs: legs && legs.even },
    antisymmetric: { bound: bound.odd, legs: legs && legs.odd },
  };
}

/** Whether all of it still lies where it was written. */
const isThere = ({ symmetric, antisymmetric }: BothAirs): boolean =>
  [symmetric, antisymmetric].every(({ bound, legs }) =>
    [bound.u, bound.v, bound.w, ...(legs ? [legs.v, legs.w] : [])].every(isStillThere),
  );

/**
 * Condition beyond which the answer is not believed. Fleets that can be built
 * stay below 7,000 on the finest lattice; boards that overlap by more than a
 * panel within a hundredth of the chord start at 9,000 and are wrong by 8 % there.
 */
const MOST_CONDITION = 8000;

/** Factors, and where the equations have no answer that can be believed why. */
function factored(
  lattice: Lattice,
  factor: () => LuFactors,
  scaled: ScaledColumns,
): Pick<HalfProblem, 'factors' | 'fault'> {
  try {
    const factors = factor();
    const { number, equation } = conditionOf(factors, scaled);
    return { factors, fault: number <= MOST_CONDITION ? null : noFlowAt(lattice, equation) };
  } catch (error) {
    if (!(error instanceof SingularMatrixError)) throw error;
    return { factors: NO_FACTORS, fault: noFlowAt(lattice, error.column) };
  }
}

const NO_FACTORS: LuFactors = {
  size: 0,
  block: 0,
  from: 0,
  values: new Float64Array(),
  order: new Int32Array(),
};

/** Velocity along a normal of both half problems, from what a point and its mirror image see. */
function writeNormal(
  doubled: Uint8Array,
  row: number,
  [ny, nz]: readonly [number, number],
  here: VelocityRow,
  mirrored: VelocityRow,
  { even, odd }: { readonly even: Float64Array; readonly odd: Float64Array },
): void {
  const { v, w } = here;
  const { v: imageV, w: imageW } = mirrored;
  for (let j = 0; j < v.length; j++) {
    const direct = v[j]! * ny + w[j]! * nz;
    const image = doubled[j]! * (imageW[j]! * nz - imageV[j]! * ny);
    even[row + j] = direct + image;
    odd[row + j] = direct - image;
  }
}

function writeBound(
  doubled: Uint8Array,
  row: number,
  here: VelocityRow,
  mirrored: VelocityRow,
  { even, odd }: { readonly even: BoundInfluence; readonly odd: BoundInfluence },
): void {
  for (let j = 0, at = row; j < here.u.length; j++, at++) {
    const twin = doubled[j]!;
    const u = twin * mirrored.u[j]!;
    const v = twin * mirrored.v[j]!;
    const w = twin * mirrored.w[j]!;
    even.u[at] = here.u[j]! + u;
    even.v[at] = here.v[j]! - v;
    even.w[at] = here.w[j]! + w;
    odd.u[at] = here.u[j]! - u;
    odd.v[at] = here.v[j]! + v;
    odd.w[at] = here.w[j]! - w;
  }
}

function boundVectors(lattice: Lattice) {
  const n = lattice.panels;
  const count = lattice.cells.count;
  const make = () => new Float64Array(n);
  const vectors = {
    forceX: make(),
    forceY: make(),
    forceZ: make(),
    boundX: make(),
    boundY: make(),
    boundZ: make(),
  };
  lattice.strips.forEach((strip, stripIndex) => {
    for (let k = 0; k < count; k++) {
      const i = stripIndex * count + k;
      const fraction = lattice.cells.vortex[k]!;
      const a = strip.a.x + fraction * strip.a.chord;
      const b = strip.b.x + fraction * strip.b.chord;
      vectors.forceX[i] = a + ((b - a) * (strip.middle - strip.from)) / strip.width;
      vectors.forceY[i] = strip.m.y;
      vectors.forceZ[i] = strip.m.z;
      vectors.boundX[i] = b - a;
      vectors.boundY[i] = strip.b.y - strip.a.y;
      vectors.boundZ[i] = strip.b.z - strip.a.z;
    }
  });
  return vectors;
}

/** An upright centre surface carries nothing when left and right are equal: its rows become Γ = 0. */
function silenceCentreFins(lattice: Lattice, matrix: Float64Array): void {
  const n = lattice.panels;
  for (let i = 0; i < n; i++) {
    if (lattice.doubled[i]) continue;
    matrix.fill(0, i * n, (i + 1) * n);
    matrix[i * n + i] = 1;
    // It neither feels nor acts.
    for (let row = 0; row < n; row++) if (row !== i) matrix[row * n + i] = 0;
  }
}

function softenSections(lattice: Lattice, matrix: Float64Array, factors: ArrayLike<number>): void {
  const n = lattice.panels;
  const count = lattice.cells.count;
  lattice.strips.forEach((strip, stripIndex) => {
    const deficit = (1 / factors[stripIndex]! - 1) / (2 * Math.PI);
    const perCirculation = (2 * deficit) / strip.m.chord;
    const first = stripIndex * count;
    for (let i = first; i < first + count; i++) {
      if (matrix[i * n + i] === 1 && !lattice.doubled[i]) continue;
      for (let j = first; j < first + count; j++) matrix[i * n + j]! -= perCirculation;
    }
  });
}
