import { type Figures, NO_FIGURES } from '@/core/2-document/schema/figures';
import type { MassPart } from '@/core/4-weight/massModel';
import type { Vector3 } from '@/core/1-base/units/convert';
import { input, ownFigure, type Working } from '../working';

interface Weighed {
  readonly total: number | null;
  readonly cg: Vector3 | null;
  readonly wingLoading: number | null;
  readonly parts: readonly MassPart[];
}

/** Parts that the working of the balance lists. */
const LISTED = 5;

export function explainMass(
  { total, cg, wingLoading, parts }: Weighed,
  { area, figures = NO_FIGURES }: { readonly area: number | null; readonly figures?: Figures | undefined },
): Working[] {
  if (total === null || cg === null || wingLoading === null || area === null) return [];
  const heaviest = [...parts].sort((a, b) => b.mass - a.mass).slice(0, LISTED);
  return [
    {
      id: 'centreOfGravity',
      name: 'Centre of gravity',
      symbol: 'x_CG',
      value: cg[0],
      unit: 'length',
      formula: 'x_CG = Σ m x / Σ m over board parts and equipment',
      inputs: [
        input('Σm', 'Total mass', total, 'mass'),
        ...ownFigure('k', 'Own figure of boards, counted in what was not weighed', figures.boards),
        ...ownFigure('k_g', 'Own figure of glue, counted where no joint was weighed', figures.glue),
        ...heaviest.flatMap((part) => [
          input('m', part.name, part.mass, 'mass'),
          input('x', `${part.name}, aft of the datum`, part.centre[0], 'length'),
        ]),
      ],
      source: 'Sum of moments',
      range: 'Always',
      band: null,
      bandBecause: 'As good as the weights and places entered; the five heaviest parts are listed.',
    },
    {
      id: 'wingLoading',
      name: 'Wing loading',
      symbol: 'm/S',
      value: wingLoading,
      unit: 'wingLoading',
      formula: 'Total mass over wing area',
      inputs: [input('m', 'Total mass', total, 'mass'), input('S', 'Wing area', area, 'area')],
      source: 'Definition',
      range: 'Always',
      band: null,
      bandBecause: 'As good as the weights entered.',
    },
  ];
}
