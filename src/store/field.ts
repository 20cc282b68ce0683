import type { Design } from '@/core/2-document/schema/design';
import type { Flight } from '@/core/8-field/sights';
import { explainingFailed, flightsExplained } from './fieldSlice';
import { changeRecord, dropRecord, logRecord } from './records';
import type { AppThunk } from './reduxStore';

/** What of a flight may be typed. */
export type FlightPart = Partial<Omit<Flight, 'id' | 'at'>>;

/** Logs a flight; mass, balance point and pack stay those of the last one unless something was changed on it. */
export const logFlight = (last: Flight | undefined, part: FlightPart): AppThunk<Promise<void>> => {
  const kept = part.changed ? undefined : last;
  return logRecord('flights', {
    ...(kept?.mass === undefined ? {} : { mass: kept.mass }),
    ...(kept?.balance === undefined ? {} : { balance: kept.balance }),
    trims: [],
    did: [],
    runs: [],
    pack: last?.pack ?? '',
    ticked: [],
    changed: '',
    verdict: 'unknown',
    notes: '',
    ...part,
  });
};

/** Changes what was logged of a flight; what is undefined is taken out. */
export const changeFlight = (flight: Flight, part: FlightPart) => changeRecord('flights', flight, part);

/** Takes a flight out with its photographs; the answer puts all of it back. */
export const dropFlight = (flight: string) => dropRecord('flights', flight);

/** What explains these flights, worked out in the worker; a newer request takes the place of an older one. */
export const explainFlights =
  (design: Design, flights: readonly Flight[]): AppThunk<Promise<void>> =>
  async (dispatch, _getState, { jobs }) => {
    const outcome = await jobs.ask('explain', { design, flights }, { lane: 'long', slot: 'explain' });
    if (outcome.kind === 'done') dispatch(flightsExplained({ of: design, by: flights, result: outcome.output }));
    else if (outcome.kind === 'failed') dispatch(explainingFailed(outcome.message));
  };
