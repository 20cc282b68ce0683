import type { Millimetres } from '@/core/1-base/units/convert';
import type { Words } from '@/core/1-base/words/phrase';
import type { PartOutline } from '@/core/3-shape/outline/partOutline';
import type { Seat } from './seat';

/** What a part is, for lists and for the order of building. */
export type PartKind =
  | 'plate'
  | 'skin'
  | 'doubler'
  | 'spar'
  | 'rib'
  | 'spacer'
  | 'brace'
  | 'template'
  | 'side'
  | 'top'
  | 'bottom'
  | 'former'
  | 'firewall'
  | 'tray'
  | 'shell'
  | 'layer'
  | 'horn'
  | 'hatch'
  | 'mount'
  | 'skid'
  | 'gauge';

/** Gauges and templates are cut from whatever is at hand: card, scrap of board, thin ply. */
export const CARD = 'card';

/** One part as it is cut, as often as it is needed; millimetres. */
export interface CutPart {
  readonly id: string;
  readonly kind: PartKind;
  /** Surface, body or drive it belongs to. */
  readonly owner: string;
  readonly name: string;
  /** Sheet of the document it is cut from, or card. */
  readonly material: string;
  /** Along x runs the grain of the sheet; nose up, root or front to the left. */
  readonly outline: PartOutline;
  readonly count: number;
  /** How many of them are cut turned over: the left ones of a pair. */
  readonly mirrored: number;
  /** True where the grain has to run along the part. */
  readonly isAlongGrain: boolean;
  /** True where one face has to lie up: it may not be turned over on the sheet. */
  readonly hasFace: boolean;
  /** Where it sits in the aircraft; what is bent all over, gauges and templates have none. */
  readonly seat?: Seat;
  /** What to know of it: which part runs through, bevels, angles. */
  readonly notes: readonly Words[];
}

/** How far from the middle a part stands to be the right one of two alike [mm]. */
const OFF_MIDDLE = 1;

/** Whether another one sits on the left, across the plane of symmetry. */
export const hasOtherSide = ({ count, mirrored, seat }: CutPart): boolean =>
  count > 1 && (mirrored > 0 || (seat !== undefined && seat[0].origin[1] > OFF_MIDDLE));

/** A rod, stick or tube that is cut to length. */
export interface RodPiece {
  readonly id: string;
  readonly owner: string;
  readonly name: string;
  readonly material: string;
  readonly size: string;
  readonly length: Millimetres;
  readonly count: number;
  /** Of one metre, where its owner says. */
  readonly price?: number | undefined;
}

/** A block that is carved or cut by hot wire. */
export interface BlockPiece {
  readonly owner: string;
  readonly name: string;
  readonly length: Millimetres;
  readonly width: Millimetres;
  readonly height: Millimetres;
  readonly count: number;
}

/** What could not be made a part, and what to do about it. */
export interface PartFault {
  readonly owner: string;
  readonly message: Words;
}

/** Everything that is cut for a design. */
export interface CutList {
  readonly parts: readonly CutPart[];
  readonly rods: readonly RodPiece[];
  readonly blocks: readonly BlockPiece[];
  readonly faults: readonly PartFault[];
}
