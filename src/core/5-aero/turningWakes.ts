import { type FlowCase, type Parity, solveInduced, STILL_AIR } from './flowCase';
import type { InfluenceMatrices } from './influence';
import { turnedAt, wakesTurned } from './bentWake';
import { wakeFrame } from './wakeFrame';

/** Which way wakes turn: up with the angle of attack, or to the right. */
export type Turning = 'up' | 'right';

/** Half the step of the difference that gives the change, as a tangent. */
const STEP = 0.01;

const PARITY: Readonly<Record<Turning, Parity>> = { up: 'symmetric', right: 'antisymmetric' };

/** Velocity that a state's circulation induces more of, per unit tangent of the turn. */
interface TurnedAir {
  /** Along the normals at the control points. */
  readonly normal: Float64Array;
  /** At the force points, and at the legs on the board. */
  readonly u: Float64Array;
  readonly v: Float64Array;
  readonly w: Float64Array;
  readonly legV: Float64Array;
  readonly legW: Float64Array;
}

/**
 * What a symmetric state gains when its wakes turn with the wind, per unit
 * tangent: the air that the turned wakes move, and the circulation that answers.
 * The wakes of both halves turn the same way in space; seen in the mirror those
 * of the left half turn up as well, but to the left.
 */
export function wakeTurned(
  matrices: InfluenceMatrices,
  state: FlowCase,
  turning: Turning,
  withoutTail = false,
): FlowCase {
  const air = turnedAir(matrices, state.circulation, turning);
  const parity = PARITY[turning];
  const answer = solveInduced(matrices, parity, air.normal, withoutTail);
  const plus = (p: Float64Array, q: Float64Array) => p.map((value, index) => value + q[index]!);
  return {
    parity,
    circulation: answer.circulation,
    onset: STILL_AIR,
    u: plus(answer.u, air.u),
    v: plus(answer.v, air.v),
    w: plus(answer.w, air.w),
    legV: plus(answer.legV, air.legV),
    legW: plus(answer.legW, air.legW),
  };
}

/** The air alone, at every point where a state is asked. */
export function turnedAir(matrices: InfluenceMatrices, circulation: Float64Array, turning: Turning): TurnedAir {
  const { lattice, field } = matrices;
  const { count } = lattice.cells;
  const n = lattice.panels;
  const towards = (step: number) =>
    wakeFrame(turning === 'up' ? { rise: field.rise + step } : { rise: field.rise, drift: step });
  const frames = [towards(-STEP), towards(STEP)] as const;
  const own = wakeStrengths(matrices, circulation, false);
  const images = wakeStrengths(matrices, circulation, true);
  const sign = turning === 'up' ? 1 : -1;
  /** Leaves u, v and w of every point in `moved`. */
  const change = (y: number, z: number, surface: number, xs: Float64Array, moved: Float64Array): void => {
    const here = wakesTurned(field, own, frames, { y, z, own: surface }, xs);
    const mirrored = wakesTurned(field, images, frames, { y: -y, z, own: surface }, xs);
    for (let index = 0; index < xs.length; index++) {
      for (let axis = 0; axis < 3; axis++) {
        const at = turnedAt(index, axis);
        const image = axis === 1 ? -sign * mirrored[at]! : sign * mirrored[at]!;
        moved[3 * index + axis] = (here[at]! + image) / (2 * STEP);
      }
    }
  };
  const panels = () => new Float64Array(n);
  const legs = () => new Float64Array(field.edges * count);
  const air = { normal: panels(), u: panels(), v: panels(), w: panels(), legV: legs(), legW: legs() };
  const xs = new Float64Array(2 * count);
  const moved = new Float64Array(3 * xs.length);
  lattice.strips.forEach((strip, stripIndex) => {
    const first = stripIndex * count;
    for (let k = 0; k < count; k++) {
      xs[k] = strip.m.x + lattice.cells.control[k]! * strip.m.chord;
      xs[count + k] = matrices.forceX[first + k]!;
    }
    change(strip.m.y, strip.m.z, strip.surface, xs, moved);
    for (let k = 0; k < count; k++) {
      air.normal[first + k] = moved[3 * k + 2]! * strip.tangentY - moved[3 * k + 1]! * strip.tangentZ;
      const at = 3 * (count + k);
      air.u[first + k] = moved[at]!;
      air.v[first + k] = moved[at + 1]!;
      air.w[first + k] = moved[at + 2]!;
    }
  });
  lattice.surfaces.forEach((_, surface) => {
    const strips = lattice.firstStrip[surface + 1]! - lattice.firstStrip[surface]!;
    for (let edge = field.firstEdge[surface]!; edge <= field.firstEdge[surface]! + strips; edge++) {
      const pieces = field.pieceX.subarray(edge * count, (edge + 1) * count);
      change(field.edgeY[edge]!, field.edgeZ[edge]!, surface, pieces, moved);
      for (let k = 0; k < count; k++) {
        air.legV[edge * count + k] = moved[3 * k + 1]!;
        air.legW[edge * count + k] = moved[3 * k + 2]!;
      }
    }
  });
  return air;
}

/** What every edge of the right half leaves in its wake: of a horseshoe the outer leg runs out, the inner one in; images of doubled panels only. */
function wakeStrengths(
  { lattice, field }: InfluenceMatrices,
  circulation: Float64Array,
  isImage: boolean,
): Float64Array {
  const { count } = lattice.cells;
  const strengths = new Float64Array(field.edges);
  lattice.strips.forEach(({ surface }, strip) => {
    const first = strip * count;
    if (isImage && !lattice.doubled[first]) return;
    let sum = 0;
    for (let k = 0; k < count; k++) sum += circulation[first + k]!;
    const edge = field.firstEdge[surface]! + strip - lattice.firstStrip[surface]!;
    strengths[edge]! -= sum;
    strengths[edge + 1]! += sum;
  });
  return strengths;
}
