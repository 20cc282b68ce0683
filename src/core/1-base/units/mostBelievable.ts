import type { UnitKind } from './unitKind';

/**
 * Beyond these magnitudes [SI] nothing that is told can be known by any model
 * here; kinds without a line are only asked to be finite.
 */
const MOST: Partial<Record<UnitKind, number>> = {
  // A document reaches ten metres either way.
  length: 30,
  // Half a turn.
  angle: Math.PI,
  // Beyond half the speed of sound air is no longer incompressible.
  speed: 170,
  percent: 20,
  perRadian: 1e4,
  ratio: 1e8,
  angularRate: 1e3,
  perSecond: 1e4,
  time: 1e5,
  wingLoading: 1e4,
};

export const mostOf = (unit: UnitKind | undefined): number => (unit && MOST[unit]) ?? Number.MAX_VALUE;

/** Whether a number can be told: it may be none, or beyond anything that could be known. */
export const judged = (value: number, unit: UnitKind | undefined): 'broken' | 'beyond' | 'fine' =>
  Number.isNaN(value) ? 'broken' : Math.abs(value) > mostOf(unit) ? 'beyond' : 'fine';
