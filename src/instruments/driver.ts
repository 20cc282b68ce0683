import type { InstrumentKind, Showing } from '@/core/8-bench/instruments/instrument';

/** Why an instrument shows nothing, or no longer. */
export type Lost = 'insecure' | 'refused' | 'none' | 'silent' | 'gone' | 'empty';

/** What whoever reads an instrument is told. */
export interface Hearing {
  readonly shown: (showing: Showing) => void;
  readonly lost: (why: Lost) => void;
}

/** A way to instruments. Every one is asked for by a press, opened for as long as it is read, and closed again. */
export interface Driver {
  readonly id: 'phone' | 'standIn' | 'serial';
  /** @returns why there is none, or null */
  readonly ask: (kind: InstrumentKind) => Promise<Lost | null>;
  /** Tells what is shown until it is closed. @returns what closes it */
  readonly open: (kind: InstrumentKind, hearing: Hearing) => () => void;
}
