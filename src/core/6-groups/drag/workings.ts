import type { Figures } from '@/core/2-document/schema/figures';
import { input, inputWhenKnown, ownFigure, sectionDragBand, type Working } from '../working';

interface Values {
  readonly total: number | null;
  readonly spanEfficiency: number | null;
  readonly induced: number | null;
  readonly profile: number | null;
}

/** The induced drag alone is known to about two percent. */
const INDUCED_BAND = 0.02;

export function explainDrag(
  { total, spanEfficiency, induced, profile }: Values,
  {
    aspectRatio,
    lift,
    isOutsideTable,
    figures,
  }: {
    readonly aspectRatio: number | null;
    readonly lift: number;
    readonly isOutsideTable: boolean;
    readonly figures: Figures | undefined;
  },
): Working[] {
  if (total === null || spanEfficiency === null) return [];
  const own = figures?.drag ?? 1;
  const known = sectionDragBand(isOutsideTable, figures?.spreads.drag);
  return [
    {
      id: 'drag',
      name: 'Drag coefficient at cruise',
      symbol: 'C_D',
      value: total,
      unit: 'ratio',
      formula:
        'C_D = C_L²/(π A e) + 1.1 Σ c_d S_strip/S + Σ C_D S_item/S, c_d = c_d0 + k (c_l − c_l,best)² + edges, steps, rise near the stall',
      inputs: [
        input('C_L', 'Lift coefficient', lift, 'ratio'),
        ...inputWhenKnown('A', 'Aspect ratio', aspectRatio, 'ratio'),
        input('e', 'Span efficiency', spanEfficiency, 'ratio'),
        ...inputWhenKnown('C_Di', 'Induced', induced, 'ratio'),
        ...inputWhenKnown('C_Dp', 'Profile', profile, 'ratio'),
        ...ownFigure('k', 'Own figure of drag without lift, counted in it', own),
      ],
      source: 'Trefftz plane (Katz & Plotkin, section 8.2.2); strips from the section table',
      range: 'Attached flow',
      band: (profile === null ? INDUCED_BAND : known.share) * total,
      bandBecause: known.because,
    },
  ];
}
