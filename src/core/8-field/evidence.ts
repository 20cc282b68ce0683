import { z } from 'zod';
import type { Fraction } from '@/core/1-base/units/convert';
import type { Figures } from '@/core/2-document/schema/figures';

export const FIGURES = ['greatestLift', 'drag', 'boards'] as const satisfies readonly (keyof Figures)[];
export type Figure = (typeof FIGURES)[number];

/** One measurement that a builder took to heart: what it says of a figure, how well, and where it comes from. */
export const evidenceSchema = z.strictObject({
  id: z.string().min(1).max(100),
  figure: z.enum(FIGURES),
  ratio: z.number().min(0.1).max(10),
  sigma: z.number().min(1e-4).max(10),
  from: z.string().max(300),
  at: z.iso.datetime(),
});
export type Evidence = z.output<typeof evidenceSchema>;

/** What is believed of each before anything was measured, ±1σ: half of the bands of section data, and what boards differ by. C. */
const PRIORS: Readonly<Record<Figure, Fraction>> = { greatestLift: 0.06, drag: 0.13, boards: 0.08 };
/** From one aircraft to the next the same builder differs by that: many readings of one say no more. C. */
const BETWEEN: Readonly<Record<Figure, Fraction>> = { greatestLift: 0.03, drag: 0.06, boards: 0.03 };

export interface Learned {
  readonly value: Fraction;
  readonly sigma: Fraction;
  /** How many measurements it rests on. */
  readonly count: number;
}

/**
 * A figure by all evidence for it: normal prior about one, each piece with its
 * own spread and what aircraft of one builder differ by. Source: Gelman et al.,
 * Bayesian Data Analysis, 3rd ed., section 2.5.
 */
export function learned(figure: Figure, evidence: readonly Evidence[]): Learned {
  const own = evidence.filter((one) => one.figure === figure);
  let [precision, pull] = [1 / PRIORS[figure] ** 2, 1 / PRIORS[figure] ** 2];
  for (const { ratio, sigma } of own) {
    const weight = 1 / (sigma ** 2 + BETWEEN[figure] ** 2);
    precision += weight;
    pull += weight * ratio;
  }
  return { value: pull / precision, sigma: Math.sqrt(1 / precision), count: own.length };
}

/** All figures by all evidence, to a thousandth; undefined where nothing is known. */
export function figuresOf(evidence: readonly Evidence[]): Figures | undefined {
  if (evidence.length === 0) return undefined;
  const rounded = (figure: Figure) => Math.round(1000 * learned(figure, evidence).value) / 1000;
  return { greatestLift: rounded('greatestLift'), drag: rounded('drag'), boards: rounded('boards') };
}
