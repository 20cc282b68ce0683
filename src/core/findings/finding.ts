export type Severity = 'stop' | 'caution' | 'note';
export type Stage = 'brief' | 'wing' | 'section' | 'tail' | 'rigging' | 'weights' | 'balance' | 'stability';

/** One field set to a new value; a remedy is a list of them. */
export interface FieldChange {
  /** Path as in fieldPath.ts, such as /massItems/pack/position/x. */
  readonly field: string;
  readonly value: number | string;
}

export interface Remedy {
  readonly label: string;
  readonly change: readonly FieldChange[];
}

export interface Finding {
  readonly id: string;
  readonly severity: Severity;
  readonly stage: Stage;
  readonly message: string;
  /** The numbers of the sentence, SI. */
  readonly numbers: Readonly<Record<string, number>>;
  readonly source: string;
  readonly remedies: readonly Remedy[];
}
