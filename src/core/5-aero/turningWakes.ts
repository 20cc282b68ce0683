import { type FlowCase, type Parity, solveInduced, STILL_AIR } from './flowCase';
import type { InfluenceMatrices } from './influence';
import { induceAlong, type VelocityRow, velocityRow } from './inducedVelocity';
import { vortexField, type VortexField } from './vortexField';

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
    vortexField(lattice, turning === 'up' ? { rise: field.rise + step } : { rise: field.rise, drift: step });
  const fields = [towards(STEP), towards(-STEP)] as const;
  const rows = Array.from({ length: 2 * count }, () => velocityRow(n));
  const change = (y: number, z: number, own: number, xs: Float64Array): Sums[] => {
    const far = (one: VortexField, side: number) => {
      induceAlong(one, { y: side * y, z, own }, xs, rows);
      return Array.from(xs, (_, index) => sumOf(rows[index]!, circulation, side < 0 ? lattice.doubled : null));
    };
    const [more, less] = fields.map((one) => ({ here: far(one, 1), mirrored: far(one, -1) }));
    const sign = turning === 'up' ? 1 : -1;
    return more!.here.map((here, index) => {
      const per = (key: keyof Sums, mirror: 1 | -1) =>
        (here[key] -
          less!.here[index]![key] +
          sign * mirror * (more!.mirrored[index]![key] - less!.mirrored[index]![key])) /
        (2 * STEP);
      return { u: per('u', 1), v: per('v', -1), w: per('w', 1) };
    });
  };
  const panels = () => new Float64Array(n);
  const legs = () => new Float64Array(field.edges * count);
  const air = { normal: panels(), u: panels(), v: panels(), w: panels(), legV: legs(), legW: legs() };
  const xs = new Float64Array(2 * count);
  lattice.strips.forEach((strip, stripIndex) => {
    const first = stripIndex * count;
    for (let k = 0; k < count; k++) {
      xs[k] = strip.m.x + lattice.cells.control[k]! * strip.m.chord;
      xs[count + k] = matrices.forceX[first + k]!;
    }
    const moved = change(strip.m.y, strip.m.z, strip.surface, xs);
    for (let k = 0; k < count; k++) {
      air.normal[first + k] = moved[k]!.w * strip.tangentY - moved[k]!.v * strip.tangentZ;
      const { u, v, w } = moved[count + k]!;
      air.u[first + k] = u;
      air.v[first + k] = v;
      air.w[first + k] = w;
    }
  });
  lattice.surfaces.forEach((_, own) => {
    const strips = lattice.firstStrip[own + 1]! - lattice.firstStrip[own]!;
    for (let edge = field.firstEdge[own]!; edge <= field.firstEdge[own]! + strips; edge++) {
      const pieces = field.pieceX.subarray(edge * count, (edge + 1) * count);
      change(field.edgeY[edge]!, field.edgeZ[edge]!, own, pieces).forEach(({ v, w }, k) => {
        air.legV[edge * count + k] = v;
        air.legW[edge * count + k] = w;
      });
    }
  });
  return air;
}

interface Sums {
  readonly u: number;
  readonly v: number;
  readonly w: number;
}

function sumOf(row: VelocityRow, circulation: Float64Array, doubled: Uint8Array | null): Sums {
  let u = 0;
  let v = 0;
  let w = 0;
  for (let j = 0; j < circulation.length; j++) {
    const strength = circulation[j]! * (doubled ? doubled[j]! : 1);
    u += strength * row.u[j]!;
    v += strength * row.v[j]!;
    w += strength * row.w[j]!;
  }
  return { u, v, w };
}
