import { type FlowCase, type Parity, solveInduced, STILL_AIR } from './flowCase';
import type { InfluenceMatrices } from './influence';
import type { Vector3 } from '@/core/1-base/units/convert';
import { type AskedLine, edgeLines, stripLines } from './askedLines';
import { numbersOfTurn, turnedAt, wakesTurned } from './bentWake';
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
  /** Gives every point of the lines with what moves there to the right and up. */
  const change = (lines: readonly AskedLine[], put: (line: AskedLine, index: number, moved: Vector3) => void): void => {
    const turned = wakesTurned(field, [own, images], frames, lines);
    let here = 0;
    for (const line of lines) {
      const each = numbersOfTurn(line.xs.length);
      const mirrored = here + each;
      for (let index = 0; index < line.xs.length; index++) {
        const of = (axis: number) => {
          const at = turnedAt(index, axis);
          const image = axis === 1 ? -sign * turned[mirrored + at]! : sign * turned[mirrored + at]!;
          return (turned[here + at]! + image) / (2 * STEP);
        };
        put(line, index, [of(0), of(1), of(2)]);
      }
      here += 2 * each;
    }
  };
  const panels = () => new Float64Array(n);
  const legs = () => new Float64Array(field.edges * count);
  const air = { normal: panels(), u: panels(), v: panels(), w: panels(), legV: legs(), legW: legs() };
  change(stripLines(lattice, matrices.forceX), ({ row, normal: [right, up] }, index, [u, v, w]) => {
    if (index < count) {
      air.normal[row + index] = v * right + w * up;
      return;
    }
    const at = row + index - count;
    air.u[at] = u;
    air.v[at] = v;
    air.w[at] = w;
  });
  change(edgeLines(field), ({ row }, index, [, v, w]) => {
    air.legV[row + index] = v;
    air.legW[row + index] = w;
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
