/** A drag is drawn so often at least where the machine can do it: fifty times a second, with a little in hand [ms]. */
const SMOOTH = 18.5;
/** Share of the newest frame in their mean. */
const NEWEST = 0.15;
/** Times as long as an answer takes until the next is asked: what is left to the drawing, at least and at most. */
const SPARE = { least: 2, most: 6 } as const;
/** How fast that grows while frames come late, and falls while they do not. */
const STEP = { late: 1.5, inTime: 0.97 } as const;

export interface DrawingPace {
  /** Something is dragged: frames are watched until it is let go. */
  readonly watch: () => void;
  /** Times as long as an answer took until the next may be asked. */
  readonly spare: () => number;
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
    spare: () => {
      spare = Math.min(SPARE.most, Math.max(SPARE.least, spare * (mean > SMOOTH ? STEP.late : STEP.inTime)));
      return spare;
    },
  };
}
