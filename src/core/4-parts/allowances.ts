import type { Millimetres } from '@/core/1-base/units/convert';
import type { Material } from '@/core/2-document/schema/airframe';

/** Play and gaps with which parts of a board are drawn and laid [mm]. */
export interface Allowances {
  /** What the tool takes away along a cut; half of it is given to every edge. */
  readonly kerf: Millimetres;
  /** All round a wing, tail or rod that is pushed through a wall. */
  readonly slot: Millimetres;
  /** Of a former within the walls that it is glued to. */
  readonly former: Millimetres;
  /** Lowest wall that stays beside a cut-out. */
  readonly web: Millimetres;
  /** Between parts on the sheet. */
  readonly gap: Millimetres;
}

/** Usual play by thickness of a foam board up to so much, and of wood, which gives less [mm]; practice with sharp blades. */
const PLAY: readonly (readonly [upTo: Millimetres, play: Millimetres])[] = [
  [3.5, 0.2],
  [7, 0.3],
  [Infinity, 0.5],
];
const WOOD_PLAY: Millimetres = 0.1;
/** A former is glued all round: two thirds of the play of a slot. */
const FORMER = 2 / 3;
const WEB: Millimetres = 6;
const GAP: Millimetres = 3;

/** How a board is cut: what its owner says, else what is usual for one of its kind and thickness; a blade takes nothing away. */
export function allowancesOf({ thickness, core, kerf = 0, slotPlay, partGap = GAP }: Material): Allowances {
  const usual = core === 'wood' ? WOOD_PLAY : PLAY.find(([upTo]) => thickness <= upTo)![1];
  const slot = slotPlay ?? usual;
  return { kerf, slot, former: slot * FORMER, web: WEB, gap: partGap };
}
