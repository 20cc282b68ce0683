/** A drag is drawn so often at least where the machine can do it, fifty times a second [ms]. */
const SMOOTH = 20;
/** Share of the newest frame in their mean. */
const NEWEST = 0.06;
/** Times as long as an answer takes until the next is asked: what is left to the drawing, at least and at most. */
const SPARE = { least: 2, most: 5 } as const;
/** Whatever is drawn, numbers are not kept longer for its sake [ms]. */
const LONGEST = 150;
/** How fast that grows while frames come late, and falls while they do not. */
const STEP = { late: 1.3, inTime: 0.85 } as const;

export interface DrawingPace {
  /** Something is dragged: frames are watched until it is let go. */
  readonly watch: () => void;
  /** How long after one was asked the next may be, by how long an answer took [ms]. */
  readonly wait: (took: number) => number;
}

/**
 * How much of the time is left to the drawing in a drag: on a machine that is
 * busy with other things frames come late, and numbers are asked for less often
 * until they come in time again.
 * @param isDragging whether it still is
 * @param nextFrame calls back before the next frame is drawn, with its time; frames are not watched without it
 */
export function drawingPace(
  isDragging: () => boolean,
  nextFrame: ((back: (time: number) => void) => void) | undefined = globalThis.requestAnimationFrame?.bind(globalThis),
): DrawingPace {
  let [isWatching, mean, before] = [false, 0, 0];
  let spare: number = SPARE.least;
  const frame = (time: number) => {
    if (!isDragging()) {
      isWatching = false;
      return;
    }
    if (before > 0) mean += NEWEST * (time - before - mean);
    before = time;
    nextFrame!(frame);
  };
  return {
    watch: () => {
      if (isWatching || !nextFrame) return;
      [isWatching, mean, before] = [true, SMOOTH, 0];
      nextFrame(frame);
    },
    wait: (took) => {
      spare = Math.min(SPARE.most, Math.max(SPARE.least, spare * (mean > SMOOTH ? STEP.late : STEP.inTime)));
      return Math.max(SPARE.least * took, Math.min(spare * took, LONGEST));
    },
  };
}
