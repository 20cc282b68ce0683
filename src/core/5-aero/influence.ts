import { stripLines } from './askedLines';
import { seeBoth } from './bothHalves';
import { conditionOf, scaledColumns } from './conditionNumber';
import type { Lattice } from './lattice';
import { isStillThere, laidMatrix } from './kernel/inUse';
import { factoriseInPlace, type FactorOptions, type LuFactors, SingularMatrixError } from './kernel/luFactors';
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
  /** What it induces where forces act. */
  readonly bound: BoundInfluence;
  /** Velocity across the chord at the legs on the board; null when only the free stream is asked for there. */
  readonly legs: LegInfluence | null;
}

export type Parity = 'symmetric' | 'antisymmetric';

/** Both half problems, laid where the kernel reads them. */
interface BothHalves {
  readonly symmetric: HalfProblem;
  /** Factored when first asked for: balance and stall alone, as in a sweep or a search, have no use for it. */
  readonly antisymmetric: () => HalfProblem;
  readonly symmetricNormal: Float64Array;
}

/**
 * Everything that depends on where the lattice lies and not on its angles:
 * both half problems and their factors. A changed incidence, twist, camber, control or
 * balance point needs none of this again.
 */
export interface InfluenceMatrices {
  readonly lattice: Lattice;
  readonly field: VortexField;
  /** One of the half problems, solved anew where newer lattices took its room: to be asked each time, not to be kept. */
  readonly half: (parity: Parity) => HalfProblem;
  /** Velocity along the normal at each control point per unit circulation when left and right are equal; not to be kept either. */
  readonly symmetricNormal: () => Float64Array;
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
 * Builds both half problems, and factors each of them once.
 *
 * A section whose lift slope is κ·2π instead of 2π turns less air: on its strip
 * the boundary condition gains Δα = c_l (1/2πκ − 1/2π), c_l = 2ΣΓ/(Vc), which
 * is linear in the circulation and goes into the matrix.
 * Where surfaces lie in one another, the half problem that is spoilt says so.
 */
export function buildInfluence(lattice: Lattice, options: InfluenceOptions): InfluenceMatrices {
  const field = vortexField(lattice, options);
  const vectors = boundVectors(lattice);
  const solve = () => solveHalves(field, vectors.forceX, options);
  let solved = solve();
  const now = () => {
    // Laid first, it is the first that has to make room.
    if (!isStillThere(solved.symmetricNormal)) solved = solve();
    return solved;
  };
  return {
    lattice,
    field,
    half: (parity) => (parity === 'symmetric' ? now().symmetric : now().antisymmetric()),
    symmetricNormal: () => now().symmetricNormal,
    unitCases: new Map(),
    ...vectors,
  };
}

/** Sees every point of every strip: what is induced along the normals, where forces act, and at the legs. */
function solveHalves(
  field: VortexField,
  forceX: Float64Array,
  { withoutLegs, liftSlopeFactors }: InfluenceOptions,
): BothHalves {
  const { lattice } = field;
  const n = lattice.panels;
  const half = () => ({ normal: laidMatrix(n, n), u: laidMatrix(n, n), v: laidMatrix(n, n), w: laidMatrix(n, n) });
  const [even, odd] = [half(), half()];
  seeBoth(field, stripLines(lattice, forceX), lattice.cells.count, { even, odd });
  const legs = withoutLegs ? null : legInfluence(lattice, field);
  silenceCentreFins(lattice, even.normal);
  if (liftSlopeFactors) {
    softenSections(lattice, even.normal, liftSlopeFactors);
    softenSections(lattice, odd.normal, liftSlopeFactors);
  }
  const evenMatrix = laidMatrix(n, n);
  evenMatrix.set(even.normal);
  const block = lattice.panelsWithoutTail || n;
  const evenFactors = factored(lattice, evenMatrix, { block, from: lattice.centrePanels });
  let antisymmetric: HalfProblem | null = null;
  return {
    symmetric: { ...evenFactors, bound: even, legs: legs && legs.even },
    antisymmetric: () =>
      (antisymmetric ??= {
        ...factored(lattice, odd.normal, { block, from: 0 }),
        bound: odd,
        legs: legs && legs.odd,
      }),
    symmetricNormal: even.normal,
  };
}

/**
 * Condition beyond which the answer is not believed. Fleets that can be built
 * stay below 7,000 on the finest lattice; boards that overlap by more than a
 * panel within a hundredth of the chord start at 9,000 and are wrong by 8 % there.
 */
const MOST_CONDITION = 8000;

/** Factors of a laid matrix, in its place, and where the equations have no answer that can be believed why. */
function factored(
  lattice: Lattice,
  matrix: Float64Array,
  shape: Required<FactorOptions>,
): Pick<HalfProblem, 'factors' | 'fault'> {
  const scaled = scaledColumns(matrix, lattice.panels, shape.from);
  try {
    const factors = factoriseInPlace(matrix, lattice.panels, shape);
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
