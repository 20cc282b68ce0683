import type { Flight } from '@/core/8-field/sights';
import { useAppSelector } from '@/store/hooks';
import { useFlights } from './flightsHere';

/** More than that are not weighed together: the latest say it. */
const MOST = 12;

/** Flights of one state of an aircraft, between two changes. */
export interface Batch {
  /** Numbers of the first and the last of them. */
  readonly from: number;
  readonly to: number;
  /** The change before the first; empty where there was none. */
  readonly changed: string;
  /** Those that are weighed: what crashed is not. */
  readonly flights: readonly Flight[];
}

/** Flights from change to change, and which of these are looked at: the latest, unless someone chose. */
export function useBatches(): { readonly batches: readonly Batch[]; readonly chosen: Batch | undefined } {
  const flights = useFlights();
  const batch = useAppSelector((state) => state.field.batch);
  const starts = flights.flatMap(({ changed }, index) => (index === 0 || changed.trim() !== '' ? [index] : []));
  const batches = starts.map((start, index): Batch => {
    const end = starts[index + 1] ?? flights.length;
    return {
      from: start + 1,
      to: end,
      changed: flights[start]!.changed.trim(),
      flights: flights
        .slice(start, end)
        .filter(({ crash }) => !crash)
        .slice(-MOST),
    };
  });
  return { batches, chosen: batches.find(({ from }) => from === batch) ?? batches.at(-1) };
}
