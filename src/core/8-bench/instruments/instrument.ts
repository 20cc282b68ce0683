import type { SteadyRule } from '../steady';
import { TILT_STEADY } from '../twoWay';

/** What an instrument of the bench and the field reads. */
export const INSTRUMENT_KINDS = ['tilt', 'scale', 'stand', 'pull', 'wind'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** One sort of instrument: its unit, its finest step, when it stands still. */
export interface InstrumentSort {
  readonly name: string;
  /** As it shows it: degrees, grams, newtons, metres a second. */
  readonly unit: '°' | 'g' | 'N' | 'm/s';
  readonly step: number;
  readonly steady: SteadyRule;
  /** How many numbers it shows at once: a stand has a cell in front and one behind. */
  readonly cells: 1 | 2;
}

export const INSTRUMENTS: Readonly<Record<InstrumentKind, InstrumentSort>> = {
  tilt: { name: 'Tilt meter', unit: '°', step: 0.05, steady: TILT_STEADY, cells: 1 },
  scale: { name: 'Kitchen scale', unit: 'g', step: 1, steady: { window: 1.5, spread: 2, least: 5 }, cells: 1 },
  stand: { name: 'Balance stand', unit: 'g', step: 1, steady: { window: 1.5, spread: 2, least: 5 }, cells: 2 },
  pull: { name: 'Luggage scale', unit: 'N', step: 0.05, steady: { window: 2, spread: 0.4, least: 5 }, cells: 1 },
  wind: { name: 'Anemometer', unit: 'm/s', step: 0.1, steady: { window: 5, spread: 2, least: 10 }, cells: 1 },
};

/** One showing of an instrument; a cell for each number. */
export interface Showing {
  /** Counted from where it was switched on: none is taken twice, and a gap is seen. */
  readonly count: number;
  /** [s] */
  readonly t: number;
  readonly values: readonly number[];
  /** Share that is left of its battery. */
  readonly battery: number;
}
