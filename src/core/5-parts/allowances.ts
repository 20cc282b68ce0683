import type { Millimetres } from '@/core/1-base/units/convert';

/** Play and gaps with which parts are drawn [mm]; usual for board and a sharp blade. */
export interface Allowances {
  /** All round a wing or tail that is pushed through a wall. */
  readonly slot: Millimetres;
  /** Of a former within the walls that it is glued to. */
  readonly former: Millimetres;
  /** Lowest wall that stays beside a cut-out. */
  readonly web: Millimetres;
}

export const USUAL_ALLOWANCES: Allowances = { slot: 0.3, former: 0.2, web: 6 };
