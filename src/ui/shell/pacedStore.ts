import { type Frames, framesOf } from '@/store/frames';
import type { AppStore, RootState } from '@/store/store';

/** Numbers beside the drawing follow at most so often while something is dragged, and so often while its frames come late [ms]. */
const PACE = { inTime: 300, late: 900 } as const;
/** Nor do they take more than that share of the time: a slow machine draws them less often. */
const SHARE = 1 / 12;
/** Another drawing than the one in hand follows in every frame, and so late while frames come late [ms]. */
const LATEST = 250;

type Followed = Pick<AppStore, 'getState' | 'subscribe' | 'dispatch'>;

/** How something follows what is in hand beside it. */
export interface Pace {
  /** Whether what is in hand lies outside. */
  readonly isBeside: (session: RootState['session']) => boolean;
  /**
   * How long a change waits until it is drawn [ms].
   * @param took how long that took the last time [ms]
   * @param since how long ago that was [ms]
   */
  readonly pause: (took: number, since: number) => number;
  /** Draws it once that time is over. */
  readonly inTurn: Frames['inTurn'];
}

/** Numbers need not follow every frame, and the drawing then keeps its own. */
export function numbersPace(store: Followed): Pace {
  const { lateness, inTurn } = framesOf(store);
  return {
    inTurn,
    isBeside: ({ dragging }) => dragging,
    pause: (took) => Math.max(PACE.inTime + (PACE.late - PACE.inTime) * lateness(), took / SHARE),
  };
}

/** A drawing that something else is dragged beside: as fast as the machine does it without making that late. */
export function drawingPace(store: Followed, place: string): Pace {
  const { lateness, inTurn } = framesOf(store);
  return {
    inTurn,
    isBeside: ({ dragging, heldOn }) => dragging && !heldOn.includes(place),
    pause: (_took, since) => LATEST * lateness() - since,
  };
}

/** A view of a store that lags a little while something beside it is dragged. */
export function pacedStore(store: Followed, { isBeside, pause, inTurn }: Pace) {
  let seen: RootState = store.getState();
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** Takes it back while its turn is waited for. */
  let leaveTurn: (() => void) | null = null;
  let caughtUpAt = Number.NEGATIVE_INFINITY;
  /** How long it took to follow the last time [ms]. */
  let took = 0;
  const listeners = new Set<() => void>();
  const stopWaiting = () => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    leaveTurn?.();
    leaveTurn = null;
  };
  const catchUp = () => {
    stopWaiting();
    seen = store.getState();
    const begun = performance.now();
    caughtUpAt = begun;
    for (const listener of Array.from(listeners)) listener();
    // What listens is drawn in a task of its own that waits already.
    queueMicrotask(() => (took = performance.now() - begun));
  };
  const takeTurn = () => {
    stopWaiting();
    leaveTurn = inTurn(catchUp);
  };
  const follow = () => {
    const { session } = store.getState();
    if (!isBeside(session)) return catchUp();
    if (leaveTurn) return;
    const wait = pause(took, performance.now() - caughtUpAt);
    if (wait <= 0) takeTurn();
    else timer ??= setTimeout(takeTurn, wait);
  };
  return {
    store: {
      ...store,
      getState: () => seen,
      subscribe: (listener: () => void) => {
        listeners.add(listener);
        return () => void listeners.delete(listener);
      },
    } as AppStore,
    /** Follows until the answer is called. */
    start: () => {
      const stop = store.subscribe(follow);
      follow();
      return () => {
        stop();
        stopWaiting();
      };
    },
  };
}
