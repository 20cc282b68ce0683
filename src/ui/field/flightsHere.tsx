import { createContext, type ReactNode, useContext } from 'react';
import type { Flight } from '@/core/8-field/sights';
import { useRecords } from '../records/useRecords';

const FlightsHere = createContext<readonly Flight[]>([]);

/** Reads the flights of the open design once for all that stands inside: there may be thousands. */
export function FlightsRead({ children }: { readonly children: ReactNode }) {
  return <FlightsHere value={useRecords('flights')}>{children}</FlightsHere>;
}

/** Flights of the open design, oldest first. */
export const useFlights = (): readonly Flight[] => useContext(FlightsHere);
