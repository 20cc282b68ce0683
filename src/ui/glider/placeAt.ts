import type { Samples } from '@/core/7-flight/flightRecord';

/** The place in even steps of time that a time falls on. */
export function placeAt({ t }: Samples, time: number): number {
  const after = t.findIndex((own) => own >= time);
  return after < 0 ? t.length - 1 : after;
}
