import { createContext, useContext } from 'react';
import type { DesignStore } from '@/storage/designStore';
import type { Session } from '@/store/store';

export interface Surroundings {
  readonly session: Session;
  readonly designs: DesignStore;
}

export const SurroundingsContext = createContext<Surroundings | null>(null);

/** The open session and the stored designs. */
export function useSurroundings(): Surroundings {
  const surroundings = useContext(SurroundingsContext);
  if (!surroundings) throw new Error('Surroundings are missing.');
  return surroundings;
}
