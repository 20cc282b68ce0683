import type { Design } from '@/core/2-document/schema/design';

/** Analyses after which an engine has compiled what they run. */
const ENOUGH = 30;
/** Nothing is rehearsed until so long after the last job [ms]. */
const QUIET = 1500;
/** Lets what waits in between [ms]. */
const PAUSE = 10;
/** How much deeper every chord becomes from one to the next [mm]: enough that nothing of it is known from before. */
const DEEPER = 1e-3;

export interface Rehearsal {
  /** A job comes: nothing is rehearsed meanwhile. */
  readonly interrupt: () => void;
  /** The design whose numbers were told as they stay: once all is quiet its first drag is rehearsed. */
  readonly awaitQuiet: (design: Design) => void;
}

/**
 * Analyses a design as a drag would, while nothing else is asked: an engine
 * compiles what it has run some times, and the first drag of all would wait for
 * that.
 * @param rehearse one analysis of a drag
 */
export function makeRehearsal(rehearse: (design: Design) => void): Rehearsal {
  let left = ENOUGH;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const step = (design: Design) => {
    left -= 1;
    try {
      rehearse(deeperBy(design, left * DEEPER));
    } catch {
      // Whoever asks for it is told: here nobody did.
      left = 0;
    }
    if (left > 0) timer = setTimeout(step, PAUSE, design);
  };
  return {
    interrupt: () => clearTimeout(timer),
    awaitQuiet: (design) => {
      clearTimeout(timer);
      if (left > 0) timer = setTimeout(step, QUIET, design);
    },
  };
}

const deeperBy = (design: Design, more: number): Design => ({
  ...design,
  surfaces: design.surfaces.map((surface) => ({
    ...surface,
    stations: surface.stations.map((station) => ({ ...station, chord: station.chord + more })),
  })),
});
