import { z } from 'zod';

const factor = (least: number, most: number, description: string) =>
  z.number().min(least).max(most).default(1).meta({ description });

/** What this builder’s own measurements say against what is computed; each is one until something is known. */
export const figuresSchema = z.strictObject({
  greatestLift: factor(0.5, 1.5, 'Greatest lift of his sections over that of the table'),
  drag: factor(0.5, 2, 'Drag without lift over the computed'),
  boards: factor(0.5, 2, 'Mass of what he cuts of board over the computed'),
});

export type Figures = z.output<typeof figuresSchema>;

export const NO_FIGURES: Figures = { greatestLift: 1, drag: 1, boards: 1 };
