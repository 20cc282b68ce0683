import { sectionBand } from '@/core/3-shape/section/lowReynolds';
import type { UnitKind } from '@/core/1-base/units/unitKind';

/** One value that went into a number. */
export interface WorkingInput {
  readonly symbol: string;
  readonly name: string;
  /** SI. */
  readonly value: number;
  readonly unit: UnitKind;
}

/** How a number came about: formula, values, source, range, band. */
export interface Working {
  readonly id: string;
  readonly name: string;
  readonly symbol: string;
  /** SI. */
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

export const input = (symbol: string, name: string, value: number, unit: UnitKind): WorkingInput => ({
  symbol,
  name,
  value,
  unit,
});

/** A working of a number that is known; none of one that is not. */
export function whenKnown(value: number | null, explain: (value: number) => Working): Working[] {
  return value === null ? [] : [explain(value)];
}

/** The same, for numbers that are known together. */
export const inputWhenKnown = (symbol: string, name: string, value: number | null, unit: UnitKind): WorkingInput[] =>
  value === null ? [] : [input(symbol, name, value, unit)];

export interface Band {
  readonly share: number;
  readonly because: string;
}

const OUTSIDE = ', and to twice that outside the Reynolds numbers of the table.';

/** A figure of the builder’s own measurements that counts; nothing where it is one. */
export const ownFigure = (symbol: string, name: string, value: number): WorkingInput[] =>
  value === 1 ? [] : [input(symbol, name, value, 'ratio')];

/** A band, or twice the spread of what this builder measured, where that is closer. */
export const narrowed = (band: Band, spread: number | undefined): Band =>
  spread !== undefined && 2 * spread < band.share
    ? { share: 2 * spread, because: 'Twice the spread of what own measurements say of it.' }
    : band;

/** Section lift and drag at model scale, as a share, and the words that go with it. @param isOutside the table of sections @param spread of the builder’s own figure, ±1σ */
export const sectionLiftBand = (isOutside: boolean, spread?: number): Band =>
  narrowed(
    {
      share: sectionBand('maximumLift', isOutside),
      because: `Section lift at model scale is known to about 12 %${isOutside ? OUTSIDE : '.'}`,
    },
    spread,
  );
export const sectionDragBand = (isOutside: boolean, spread?: number): Band =>
  narrowed(
    {
      share: sectionBand('leastDrag', isOutside),
      because: `Section drag at model scale is known to about 25 %${isOutside ? OUTSIDE : '.'}`,
    },
    spread,
  );
export const LATTICE_SOURCE = 'Katz & Plotkin, Low-Speed Aerodynamics, ch. 12';
export const ATTACHED = 'Attached flow, angles up to about 10°';
