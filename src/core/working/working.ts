import type { UnitKind } from '../units/unitKind';

/** One value that went into a number. */
export interface WorkingInput {
  readonly symbol: string;
  readonly name: string;
  readonly value: number;
  /** What it measures, for `formatValue`; the value is SI. */
  readonly unit: UnitKind;
}

/** How a number came about: formula, values, source, range, band. */
export interface Working {
  readonly id: string;
  readonly name: string;
  readonly symbol: string;
  readonly value: number;
  readonly unit: UnitKind;
  readonly formula: string;
  readonly inputs: readonly WorkingInput[];
  readonly source: string;
  readonly range: string;
  /** Half width within which the number is trusted, in its own unit; null when it is exact. */
  readonly band: number | null;
  readonly bandBecause: string;
}
