import { LuDecomposition, Matrix } from 'ml-matrix';
import type { AeroModel } from '@/core/5-aero/aeroModel';
import { onsetAt } from '@/core/5-aero/flowCase';
import { solveTogether } from '@/core/5-aero/kernel/luFactors';
import type { MotionCase } from './attachedLoads';
import type { StripNode } from './stripNodes';

/** What strips meet: air along the chord, square to the board with the wash of all, and circulation. */
export interface StripMeeting {
  readonly along: Float64Array;
  readonly across: Float64Array;
  readonly strength: Float64Array;
  /** Upwash that stands for the angles of the strip itself and the air that it meets, without the wash of others. */
  readonly own: Float64Array;
}

/** The upwash at every strip that alone would bring a circulation: the answers inverted. */
export function angles(answers: Float64Array, size: number): (strength: Float64Array) => Float64Array {
  const square = Matrix.from1DArray(size, size, answers).transpose();
  const factors = new LuDecomposition(square);
  return (strength) => Float64Array.from(factors.solve(Matrix.columnVector(strength)).to1DArray());
}

/** What a unit of a case means at every strip; on the left an antisymmetric one is the opposite. */
export function airOfCase(
  { lattice }: AeroModel,
  nodes: readonly StripNode[],
  { flow }: MotionCase,
  asAngles: (strength: Float64Array) => Float64Array,
): StripMeeting {
  const { count } = lattice.cells;
  const { circulation, parity } = flow;
  const isEven = parity === 'symmetric';
  const of = ({ side }: StripNode, value: number) => (isEven ? (side === 0 ? 0 : value) : side === -1 ? -value : value);
  const strength = Float64Array.from(nodes, (node) => {
    let sum = 0;
    for (let k = 0; k < count; k++) sum += circulation[node.strip * count + k]!;
    return of(node, sum);
  });
  // As exactly alike or opposite on both sides as the case is; solving rounds.
  const rounded = asAngles(strength);
  const upwash = Float64Array.from(nodes, (node, index) => {
    const right = node.side === -1 ? index - 1 : index;
    const own = node.side === 0 ? rounded[index]! : (rounded[right]! + (isEven ? 1 : -1) * rounded[right + 1]!) / 2;
    return of(node, own);
  });
  const airAt = ({ strip }: StripNode) => {
    const { x, y, z, chord } = lattice.strips[strip]!.m;
    return onsetAt(flow.onset, x + chord / 4, y, z);
  };
  return {
    // A fin in the middle meets the air along it in the symmetric half as well.
    along: Float64Array.from(nodes, (node) => (node.side === 0 && isEven ? airAt(node)[0] : of(node, airAt(node)[0]))),
    across: Float64Array.from(nodes, (node, index) => {
      const [, v, w] = airAt(node);
      // What of the circulation the strip has not by its own angle, the wash of all takes from it.
      const induced = (2 * strength[index]!) / (node.chord * node.section.slope) - upwash[index]!;
      return of(node, node.up[0] * v + node.up[1] * w) + induced;
    }),
    strength,
    own: upwash,
  };
}

/** Circulation that a unit upwash at a strip brings every other one, from the factors of both halves; a row for each strip with the upwash. */
export function answersOf({ matrices, lattice }: AeroModel, nodes: readonly StripNode[]): Float64Array {
  const { count } = lattice.cells;
  const strips = lattice.strips.length;
  const halves = (['symmetric', 'antisymmetric'] as const).map((parity) => {
    const rights = lattice.strips.map((_, strip) => {
      const right = new Float64Array(lattice.panels);
      const isSilent = parity === 'symmetric' && !lattice.doubled[strip * count];
      if (!isSilent) right.fill(-1, strip * count, (strip + 1) * count);
      return right;
    });
    return solveTogether(matrices.half(parity).factors, rights).map((circulation) =>
      Float64Array.from({ length: strips }, (_, other) => {
        let sum = 0;
        for (let k = 0; k < count; k++) sum += circulation[other * count + k]!;
        return sum;
      }),
    );
  }) as [Float64Array[], Float64Array[]];
  const size = nodes.length;
  const answers = new Float64Array(size * size);
  nodes.forEach((from, row) =>
    nodes.forEach((to, column) => {
      const [even, odd] = [halves[0][from.strip]![to.strip]!, halves[1][from.strip]![to.strip]!];
      const sign = (to.side === -1 ? -1 : 1) * (from.side === -1 ? -1 : 1);
      // From one side alone: half of both halves; a middle surface is a half problem of its own.
      answers[row * size + column] =
        from.side === 0
          ? to.side === 0
            ? odd
            : sign * odd
          : to.side === 0
            ? (sign * odd) / 2
            : (even + sign * odd) / 2;
    }),
  );
  return answers;
}
