/** A drag is drawn so often at least where the machine can do it, 54 times a second [ms]. */
const SMOOTH = 18.5;
/** Share of the newest frame in their mean. */
const NEWEST = 0.06;
/** What one frame adds to the lateness while they come late, and takes from it while they do not. */
const STEP = { late: 1 / 15, inTime: 1 / 30 } as const;

export interface Frames {
  /** Something is dragged: frames are watched until it is let go. */
  readonly watch: () => void;
  /** From 0, frames come in time, to 1, they have come late for a while. */
  readonly lateness: () => number;
  /**
   * Does at once what is drawn beside the thing in hand while frames come in
   * time; else after one of the next was drawn, one job after each, so that no
   * frame waits for two. Null when it is done, else what takes it back.
   */
  readonly inTurn: (job: () => void) => (() => void) | null;
}

/** How late the frames of a drag come, on a machine that is busy with other things. */
export function frameWatch(
  isDragging: () => boolean,
  /** Calls back before the next frame is drawn, with its time; frames are not watched without it. */
  nextFrame: ((back: (time: number) => void) => void) | undefined = globalThis.requestAnimationFrame?.bind(globalThis),
): Frames {
  let [isWatching, mean, before, lateness] = [false, 0, 0, 0];
  const jobs = new Set<() => void>();
  const doFirst = (most: number) => {
    for (const job of Array.from(jobs).slice(0, most)) {
      jobs.delete(job);
      job();
    }
  };
  const frame = (time: number) => {
    const isOver = !isDragging();
    // A timer comes after what is drawn now.
    if (jobs.size > 0) setTimeout(doFirst, 0, isOver ? jobs.size : 1);
    if (isOver) {
      isWatching = false;
      return;
    }
    if (before > 0) {
      mean += NEWEST * (time - before - mean);
      lateness = Math.min(1, Math.max(0, lateness + (mean > SMOOTH ? STEP.late : -STEP.inTime)));
    }
    before = time;
    nextFrame!(frame);
  };
  return {
    watch: () => {
      if (isWatching || !nextFrame) return;
      [isWatching, mean, before] = [true, SMOOTH, 0];
      nextFrame(frame);
    },
    lateness: () => lateness,
    inTurn: (given) => {
      if (!isWatching || lateness === 0) {
        given();
        return null;
      }
      const job = () => given();
      jobs.add(job);
      return () => void jobs.delete(job);
    },
  };
}

interface Dragged {
  readonly dispatch: object;
  readonly getState: () => { readonly session: { readonly dragging: boolean } };
}

/** By what every view of a store has of it. */
const watched = new WeakMap<object, Frames>();

/** The frames of what is dragged in a store: watched once, for whoever keeps to them. */
export function framesOf({ dispatch, getState }: Dragged): Frames {
  const known = watched.get(dispatch);
  if (known) return known;
  const frames = frameWatch(() => getState().session.dragging);
  watched.set(dispatch, frames);
  return frames;
}
