import type { Fraction } from '@/core/1-base/units/convert';
import type { Material } from '@/core/2-document/schema/airframe';
import type { Design } from '@/core/2-document/schema/design';
import type { Figures } from '@/core/2-document/schema/figures';

/** A board as those of this builder come out: stiffer or softer than it is taken for, where no strip of it was bent. */
export interface Board extends Material {
  readonly own?: { readonly stiffness: Fraction; readonly spread: Fraction | undefined };
}

/** By the sheet as it is drawn: what was not changed stays the same board. */
const known = new WeakMap<Material, { readonly figures: Figures; readonly board: Board }>();

/** The board of a design by its name; none where nobody says. */
export function boardNamed(
  { materials, figures }: Pick<Design, 'materials' | 'figures'>,
  name: string | undefined,
): Board | undefined {
  const sheet = materials.find(({ id }) => id === name);
  if (!sheet || !figures || figures.stiffness === 1) return sheet;
  const before = known.get(sheet);
  if (before?.figures === figures) return before.board;
  const board: Board = { ...sheet, own: { stiffness: figures.stiffness, spread: figures.spreads.stiffness } };
  known.set(sheet, { figures, board });
  return board;
}
