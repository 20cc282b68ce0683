import type { Amount, Words } from '@/core/1-base/words/phrase';

export type Severity = 'stop' | 'caution' | 'note';
export type Stage = 'brief' | 'wing' | 'section' | 'tail' | 'rigging' | 'weights' | 'balance' | 'stability';

/** One field set to a new value; a remedy is a list of them. */
export interface FieldChange {
  /** Path as in fieldPath.ts, such as /massItems/pack/position/x. */
  readonly field: string;
  readonly value: number | string;
}

export interface Remedy {
  readonly label: Words;
  readonly change: readonly FieldChange[];
}

/** What a rule found: its code, how grave, where, and the amounts; the edge makes the sentence. */
export interface Finding {
  readonly id: string;
  readonly severity: Severity;
  readonly stage: Stage;
  readonly message: Words;
  /** The amounts that it rests on. */
  readonly numbers: Readonly<Record<string, Amount>>;
  readonly source: string;
  readonly remedies: readonly Remedy[];
}
