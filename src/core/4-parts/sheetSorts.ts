import type { Millimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import { allowancesOf } from './allowances';
import { CARD } from './part';

/** A kind of sheet that parts are laid on: a board of the drawer, or card. */
export interface SheetSort {
  readonly material: string;
  readonly name: string;
  readonly length: Millimetres;
  readonly width: Millimetres;
  readonly gap: Millimetres;
  readonly kerf: Millimetres;
}

/** Gauges and templates go on card of that size, closely, with a blade [mm]. */
const CARD_SHEET: SheetSort = { material: CARD, name: 'Card', length: 420, width: 297, gap: 3, kerf: 0 };

/** Boards of a design lengthwise, and card. */
export const sortsOf = ({ materials }: Pick<Design, 'materials'>): SheetSort[] => [
  ...materials.map((material): SheetSort => {
    const { id, name, sheetLength, sheetWidth } = material;
    const { gap, kerf } = allowancesOf(material);
    return {
      material: id,
      name: name || id,
      length: Math.max(sheetLength, sheetWidth),
      width: Math.min(sheetLength, sheetWidth),
      gap,
      kerf,
    };
  }),
  CARD_SHEET,
];
