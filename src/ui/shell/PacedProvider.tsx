import { type ReactNode, useEffect, useMemo } from 'react';
import { Provider } from 'react-redux';
import { useAppStore } from '@/store/hooks';
import type { AppStore, RootState } from '@/store/store';

/** While something is dragged, what stands beside the drawing follows at most so often [ms]. */
const PACE = 300;

/**
 * A view of the store that lags a little during a drag: numbers beside the
 * drawing need not follow every frame, and the drawing then keeps its frames.
 */
function pacedStore(store: Pick<AppStore, 'getState' | 'subscribe' | 'dispatch'>) {
  let seen: RootState = store.getState();
  let timer: ReturnType<typeof setTimeout> | null = null;
  const listeners = new Set<() => void>();
  const catchUp = () => {
    if (timer !== null) clearTimeout(timer);
    timer = null;
    seen = store.getState();
    for (const listener of Array.from(listeners)) listener();
  };
  const follow = () => {
    if (!store.getState().session.dragging) catchUp();
    else timer ??= setTimeout(catchUp, PACE);
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
