import { type ReactNode, useEffect, useMemo } from 'react';
import { Provider } from 'react-redux';
import { useAppStore } from '@/store/hooks';
import type { AppStore, RootState } from '@/store/store';

/** While something is dragged, what stands beside the drawing follows at most so often [ms]. */
const PACE = 300;
/** Nor does it take more than that share of the time: a slow machine draws it less often. */
const SHARE = 1 / 12;

/**
 * A view of the store that lags a little during a drag: numbers beside the
 * drawing need not follow every frame, and the drawing then keeps its frames.
 */
function pacedStore(store: Pick<AppStore, 'getState' | 'subscribe' | 'dispatch'>) {
  let seen: RootState = store.getState();
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** How long it took to follow the last time [ms]. */
  let took = 0;
  const listeners = new Set<() => void>();
  const catchUp = () => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    seen = store.getState();
    const begun = performance.now();
    for (const listener of Array.from(listeners)) listener();
    // What listens is drawn in a task of its own that waits already.
    queueMicrotask(() => (took = performance.now() - begun));
  };
  const follow = () => {
    if (!store.getState().session.dragging) catchUp();
    else timer ??= setTimeout(catchUp, Math.max(PACE, took / SHARE));
  };
  return {
    store: {
      ...store,
      getState: () => seen,
      subscribe: (listener: () => void) => {
        listeners.add(listener);
        return () => void listeners.delete(listener);
      },
    },
    /** Follows until the answer is called. */
    start: () => {
      const stop = store.subscribe(follow);
      follow();
      return () => {
        stop();
        if (timer !== null) clearTimeout(timer);
        timer = null;
      };
    },
  };
}

export function PacedProvider({ children }: { readonly children: ReactNode }) {
  const store = useAppStore();
  const paced = useMemo(() => pacedStore(store), [store]);
  useEffect(() => paced.start(), [paced]);
  return <Provider store={paced.store as AppStore}>{children}</Provider>;
}
