import direct from 'ml-direct';

/**
 * The least of a function over a box, by dividing rectangles (Jones, Perttunen,
 * Stuckman, Journal of Optimization Theory and Applications 79, 1993): needs no
 * slopes and is held up by no local least. Pauses after every round; the
 * function remembers what it was asked. @param isDone asked before every round
 */
export function* leastOver(
  worth: (at: number[]) => number,
  lower: readonly number[],
  upper: readonly number[],
  isDone: () => boolean,
): Generator<undefined, void> {
  let state: unknown;
  while (!isDone()) {
    const initialState = state === undefined ? {} : { initialState: state };
    ({ finalState: state } = direct((at) => worth([...at]), [...lower], [...upper], {
      iterations: 1,
      ...initialState,
    }));
    yield;
  }
}
