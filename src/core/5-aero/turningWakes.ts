import { mapToNumbers } from '@/core/1-base/numeric/mapToNumbers';
import { type FlowCase, solveInduced, STILL_AIR } from './flowCase';
import type { InfluenceMatrices, Parity } from './influence';
import type { Vector3 } from '@/core/1-base/units/convert';
import { type AskedLine, edgeLines, stripLines } from './askedLines';
import { changedAt, numbersOfChange, type Turning, TURNINGS, wakesChanged } from './wakeChange';

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
  const plus = (p: Float64Array, q: Float64Array) => mapToNumbers(p, (value, index) => value + q[index]!);
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

type Airs = Readonly<Record<Turning, TurnedAir>>;

/** By the circulation: pitch and slip ask for one after the other. */
const known = new WeakMap<Float64Array, { readonly matrices: InfluenceMatrices; readonly airs: Airs }>();

/** The air alone, at every point where a state is asked. */
export function turnedAir(matrices: InfluenceMatrices, circulation: Float64Array, turning: Turning): TurnedAir {
  const before = known.get(circulation);
  if (before?.matrices === matrices) return before.airs[turning];
  const airs = turnedAirs(matrices, circulation);
  known.set(circulation, { matrices, airs });
  return airs[turning];
}

function turnedAirs(matrices: InfluenceMatrices, circulation: Float64Array): Airs {
  const { lattice, field } = matrices;
  const { count } = lattice.cells;
  const own = wakeStrengths(matrices, circulation, false);
  const images = wakeStrengths(matrices, circulation, true);
  const air = (): TurnedAir => {
    const panels = () => new Float64Array(lattice.panels);
    const legs = () => new Float64Array(field.edges * count);
    return { normal: panels(), u: panels(), v: panels(), w: panels(), legV: legs(), legW: legs() };
  };
  const airs = { up: air(), right: air() };
  /** Gives every point of the lines with what moves there to the right and up. */
  const put = (
    lines: readonly AskedLine[],
    take: (air: TurnedAir, line: AskedLine, index: number, moved: Vector3) => void,
  ): void => {
    const changed = wakesChanged(field, [own, images], lines);
    let here = 0;
    for (const line of lines) {
      const each = numbersOfChange(line.xs.length);
      const mirrored = here + each;
      for (const turning of TURNINGS) {
        // Turned right, those of the left half turn left as they are seen in the mirror.
        const sign = turning === 'up' ? 1 : -1;
        for (let index = 0; index < line.xs.length; index++) {
          const of = (axis: number) => {
            const at = changedAt(index, turning, axis);
            const image = sign * changed[mirrored + at]!;
            return changed[here + at]! + (axis === 1 ? -image : image);
          };
          take(airs[turning], line, index, [of(0), of(1), of(2)]);
        }
      }
      here += 2 * each;
    }
  };
  put(stripLines(lattice, matrices.forceX), (air, { row, normal: [right, up] }, index, [u, v, w]) => {
    if (index < count) {
      air.normal[row + index] = v * right + w * up;
      return;
    }
    const at = row + index - count;
    air.u[at] = u;
    air.v[at] = v;
    air.w[at] = w;
  });
  put(edgeLines(field), (air, { row }, index, [, v, w]) => {
    air.legV[row + index] = v;
    air.legW[row + index] = w;
  });
  return airs;
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
