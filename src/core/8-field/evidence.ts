import { z } from 'zod';
import type { Fraction } from '@/core/1-base/units/convert';
import { type FigureName, FIGURES, type Figures, NO_FIGURES } from '@/core/2-document/schema/figures';

/** One measurement that a builder took to heart: what it says of a figure, how well, and where it comes from. */
export const evidenceSchema = z.strictObject({
  id: z.string().min(1).max(100),
  figure: z.enum(FIGURES),
  ratio: z.number().min(-10).max(10),
  sigma: z.number().min(1e-4).max(10),
  from: z.string().max(300),
  at: z.iso.datetime(),
});
export type Evidence = z.output<typeof evidenceSchema>;

/**
 * What is believed of each before anything was measured, and by how much
 * aircraft of one builder differ: many readings of one say no more; both ±1σ.
 * Half of the bands of section data, of paper and of propellers of one label;
 * what boards and beads of glue differ by; a third of a board for a fold. C.
 */
const SPREADS: Readonly<Record<FigureName, { readonly prior: Fraction; readonly between: Fraction }>> = {
  greatestLift: { prior: 0.06, between: 0.03 },
  drag: { prior: 0.13, between: 0.06 },
  boards: { prior: 0.08, between: 0.03 },
  stiffness: { prior: 0.2, between: 0.08 },
  thrust: { prior: 0.08, between: 0.05 },
  glue: { prior: 0.3, between: 0.15 },
  foldInside: { prior: 0.1, between: 0.04 },
  foldOutside: { prior: 0.1, between: 0.04 },
};

export interface Learned {
  readonly value: Fraction;
  readonly sigma: Fraction;
  /** How many measurements it rests on. */
  readonly count: number;
}

/**
 * A figure by all evidence for it: normal prior about what stands without, each piece with its
 * own spread and what aircraft of one builder differ by. Source: Gelman et al.,
 * Bayesian Data Analysis, 3rd ed., section 2.5.
 */
export function learned(figure: FigureName, evidence: readonly Evidence[]): Learned {
  const own = evidence.filter((one) => one.figure === figure);
  const { prior, between } = SPREADS[figure];
  let [precision, pull] = [1 / prior ** 2, NO_FIGURES[figure] / prior ** 2];
  for (const { ratio, sigma } of own) {
    const weight = 1 / (sigma ** 2 + between ** 2);
    precision += weight;
    pull += weight * ratio;
  }
  return { value: pull / precision, sigma: Math.sqrt(1 / precision), count: own.length };
}

/** All figures by all evidence and how well those that rest on some are known, to a thousandth; undefined where nothing is known. */
export function figuresOf(evidence: readonly Evidence[]): Figures | undefined {
  if (evidence.length === 0) return undefined;
  const figures: Figures & Record<FigureName, number> = { ...NO_FIGURES, spreads: {} };
  for (const figure of FIGURES) {
    const { value, sigma, count } = learned(figure, evidence);
    if (count === 0) continue;
    figures[figure] = thousandths(value);
    figures.spreads[figure] = thousandths(sigma);
  }
  return figures;
}

const thousandths = (value: number): number => Math.round(1000 * value) / 1000;
