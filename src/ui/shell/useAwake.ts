import { useEffect } from 'react';

/** Keeps the screen on while something is shown that is read from afar; browsers without that, and pages without a secure address, let it go dark. */
export function useAwake(isWanted: boolean): void {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return undefined;
    let held: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = () => {
      if (document.visibilityState !== 'visible') return;
      // Refused where the battery is low: then it goes dark as ever.
      navigator.wakeLock.request('screen').then(
        (lock) => {
          if (isOver) void lock.release();
          else held = lock;
        },
        () => undefined,
      );
    };
    hold();
    // It is let go by itself when the page is hidden.
    document.addEventListener('visibilitychange', hold);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', hold);
      void held?.release();
    };
  }, [isWanted]);
}
