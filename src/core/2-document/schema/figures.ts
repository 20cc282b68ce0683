import { z } from 'zod';

const factor = (least: number, most: number, description: string) =>
  z.number().min(least).max(most).default(1).meta({ description });
const bend = (description: string) => z.number().min(-2).max(2).default(0).meta({ description });

const FIGURE_FIELDS = {
  greatestLift: factor(0.5, 1.5, 'Greatest lift of his sections over that of the table'),
  drag: factor(0.5, 2, 'Drag without lift over the computed'),
  boards: factor(0.5, 2, 'Mass of what he cuts of board over the computed'),
  stiffness: factor(0.2, 5, 'Stiffness of boards of which no strip was bent over what they are taken for'),
  thrust: factor(0.5, 2, 'Thrust of propellers that were not on the bench over the computed'),
  glue: factor(0.2, 5, 'Glue of joints of which none was weighed over what is typed'),
  foldInside: bend(
    'What a fold scored inside takes beyond the face that keeps its length, by radian turned and thickness of board',
  ),
  foldOutside: bend('The same of a fold that is cut outside'),
};

export type FigureName = keyof typeof FIGURE_FIELDS;
export const FIGURES = Object.keys(FIGURE_FIELDS) as readonly FigureName[];

/** What this builder’s own measurements say against what is computed; each is one, or nought for folds, until something is known. */
export const figuresSchema = z.strictObject({
  ...FIGURE_FIELDS,
  spreads: z
    .partialRecord(z.enum(FIGURES), z.number().min(0).max(2))
    .default({})
    .meta({ description: 'How well each is known, ±1σ; of those that rest on measurements' }),
});

export type Figures = z.output<typeof figuresSchema>;

export const NO_FIGURES: Figures = figuresSchema.parse({});
