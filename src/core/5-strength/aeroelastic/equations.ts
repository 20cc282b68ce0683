import { scaled } from '@/core/1-base/numeric/scaled';
import { factorise, type LuFactors, SingularMatrixError, solveFactored } from '@/core/5-aero/kernel/luFactors';
import type { Pascals } from '@/core/1-base/units/convert';
import type { Supple } from './supple';

/** Turns by what the air answers to a unit of each unknown at a dynamic pressure, row by row: q K. */
export function feedbackAt(
  { size, coupling, scale, tilts, shares, firstMount }: Supple,
  pressure: Pascals,
): Float64Array {
  const fed = new Float64Array(size * size);
  for (let row = 0, index = 0; row < size; row++)
    for (let column = 0; column < size; column++, index++) fed[index] = pressure * coupling[index]! * scale[column]!;
  tilts.forEach((tilt, which) => {
    const share = pressure * shares[which]!;
    if (share === 0) return;
    // What is steady turns with mounts alone.
    for (let row = firstMount; row < size; row++)
      for (let index = row * size + firstMount; index < (row + 1) * size; index++)
        fed[index]! += share * tilt.coupling[index]!;
  });
  return fed;
}

/** The equations at a dynamic pressure: I − q K. */
function matrixAt(body: Supple, pressure: Pascals): Float64Array {
  const matrix = scaled(feedbackAt(body, pressure), -1);
  for (let row = 0; row < body.size; row++) matrix[row * body.size + row]! += 1;
  return matrix;
}

/** Unknowns for turns that loads cause before the air answers. */
export type Held = (turns: Float64Array) => Float64Array;

/** The equations of a state at a dynamic pressure, worked out once for all that is asked of them. */
export interface Equations {
  readonly body: Supple;
  /** Null where nothing holds against the air. */
  readonly held: Held | null;
  /** Sign of their determinant: it turns where nothing holds against the air, and what they say beyond that is no flight. */
  readonly sign: number;
}

/** Factored when what holds is first asked for: where something turns away, only the state is. */
export function equationsAt(body: Supple, pressure: Pascals): Equations {
  let known: Pick<Equations, 'held' | 'sign'> | null = null;
  const answer = () => (known ??= answerAt(body, pressure));
  return {
    body,
    get held() {
      return answer().held;
    },
    get sign() {
      return answer().sign;
    },
  };
}

function answerAt(body: Supple, pressure: Pascals): Pick<Equations, 'held' | 'sign'> {
  if (body.size === 0) return { held: () => new Float64Array(0), sign: 1 };
  try {
    const factors = factorise(matrixAt(body, pressure), body.size);
    return { held: (turns) => solveFactored(factors, turns), sign: signOf(factors) };
  } catch (error) {
    if (error instanceof SingularMatrixError) return { held: null, sign: 0 };
    throw error;
  }
}

/** The equations at a dynamic pressure, factored; null where nothing holds against the air. */
export function heldAt(body: Supple, pressure: Pascals): Held | null {
  const { held, sign } = equationsAt(body, pressure);
  return sign > 0 ? held : null;
}

/** Unknowns at a dynamic pressure for turns that loads cause before the air answers; null where nothing holds against the air. */
export const settled = (body: Supple, pressure: Pascals, turns: Float64Array): Float64Array | null =>
  heldAt(body, pressure)?.(turns) ?? null;

function signOf({ values, order, size }: LuFactors): number {
  let sign = parityOf(order);
  for (let row = 0; row < size; row++) if (values[row * size + row]! < 0) sign = -sign;
  return sign;
}

/** +1 or −1 as an order comes about by an even or an odd number of exchanges. */
function parityOf(order: Int32Array): number {
  const seen = new Uint8Array(order.length);
  let sign = 1;
  for (let start = 0; start < order.length; start++) {
    let length = 0;
    for (let at = start; !seen[at]; at = order[at]!) {
      seen[at] = 1;
      length++;
    }
    if (length > 0 && length % 2 === 0) sign = -sign;
  }
  return sign;
}
