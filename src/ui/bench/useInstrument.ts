import { useEffect, useEffectEvent, useState } from 'react';
import type { InstrumentKind, Showing } from '@/core/8-bench/instruments/instrument';
import type { Driver, Lost } from '@/instruments/driver';

/** Follows an instrument while it is wanted; tells what it shows, and why it does not. */
export function useInstrument(
  driver: Driver,
  kind: InstrumentKind,
  isWanted: boolean,
  onShown: (showing: Showing) => void,
): Lost | null {
  const [lost, setLost] = useState<Lost | null>(null);
  const take = useEffectEvent(onShown);
  useEffect(() => {
    if (!isWanted) return undefined;
    const close = driver.open(kind, {
      shown: (showing) => {
        setLost(null);
        take(showing);
      },
      lost: setLost,
    });
    return () => {
      close();
      setLost(null);
    };
  }, [driver, kind, isWanted]);
  return lost;
}
