import type { Amount, Words } from '@/core/1-base/words/phrase';
import type { FieldChange } from '@/core/2-document/edit/field';

export type Severity = 'stop' | 'caution' | 'note';
export type Stage =
  | 'brief'
  | 'wing'
  | 'section'
  | 'tail'
  | 'rigging'
  | 'weights'
  | 'balance'
  | 'stability'
  | 'strength'
  | 'power'
  | 'plans'
  | 'glider'
  | 'bench'
  | 'field'
  | 'compare';

export interface Remedy {
  readonly label: Words;
  readonly change: readonly FieldChange[];
  /** What else it does, told once it was tried: to the weight and to the balance. */
  readonly brings?: Words;
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
  /** Ways that might help and were not tried, since trying all would take too long. */
  readonly untried?: number;
}
