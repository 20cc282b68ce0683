/** How far a piece of work has come. */
export interface Progress {
  readonly done: number;
  readonly total: number;
}

/**
 * Work that pauses between steps: whoever drives it may show how far it is,
 * let others in, or stop.
 */
export type Steps<Output> = Generator<Progress, Output>;

/** Drives work to its end without a pause. */
export function finish<Output>(steps: Steps<Output>): Output {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
