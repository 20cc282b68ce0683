import { z } from 'zod';
import { bounded, price, shortText } from './limits';

/** A part that was laid on its sheet by hand: it stays there whatever else is laid out. */
export const laidByHandSchema = z.strictObject({
  part: shortText('Part of the cut list').min(1, { error: 'must not be empty' }),
  copy: z.int().min(0).max(999).default(0).meta({ description: 'Which of its copies, from 0' }),
  sheet: z.int().min(0).max(99).default(0).meta({ description: 'Which sheet of its board, from 0' }),
  x: bounded('position', 'Where its own origin lies along the sheet').default(0),
  y: bounded('position', 'Where its own origin lies across the sheet').default(0),
  turn: bounded('angle', 'Turned by so much, anticlockwise').default(0),
  isTurnedOver: z.boolean().default(false).meta({ description: 'True when its other face is up' }),
});

/** What is bought beside boards and parts, by its measure. */
export const pricesSchema = z.strictObject({
  rod: price('one metre of rod, where the rod has none of its own'),
  glue: price('100 g of glue'),
  covering: price('one square metre of tape or covering'),
});

/** How a board is cut; without a word what is usual for one of its thickness. */
export const cuttingOfBoard = {
  kerf: bounded('play', 'What blade, wire or beam takes away along a cut').optional(),
  slotPlay: bounded('play', 'Play all round what is pushed through it').optional(),
  partGap: bounded('size', 'Board that is left between parts').optional(),
};
