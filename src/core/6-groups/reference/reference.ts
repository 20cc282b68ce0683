import { z } from 'zod';
import { numbersGroup } from '../group';
import { maybe } from '../keys';
import { input } from '../working';

const keys = z.object({
  area: maybe('area', 'Area of all wings, projected on the x–y plane'),
  span: maybe('length', 'Span of the widest wing, projected'),
  meanChord: maybe('length', 'Mean aerodynamic chord'),
  meanChordLeadingEdge: maybe('length', 'Its leading edge, aft of the datum'),
  aspectRatio: maybe('ratio', 'Span squared over area'),
});

/** What coefficients refer to. */
export const reference = numbersGroup(keys, {
  id: 'reference',
  title: 'Reference',
  needs: {},
  compute: ({ prepared: { reference: of } }) => ({
    area: of.area,
    span: of.span,
    meanChord: of.meanChord,
    meanChordLeadingEdge: of.meanChordLeadingEdge,
    aspectRatio: of.aspectRatio,
    reasons: {},
  }),
  explain: ({ prepared: { reference: of } }) => [
    {
      id: 'meanChord',
      name: 'Mean aerodynamic chord',
      symbol: 'c̄',
      value: of.meanChord,
      unit: 'length',
      formula: 'c̄ = (1/S) ∫ c² dy over both sides, exact on straight panels',
      inputs: [
        input('S', 'Wing area, projected', of.area, 'area'),
        input('b', 'Span', of.span, 'length'),
        input('x_LE', 'Its leading edge aft of the datum', of.meanChordLeadingEdge, 'length'),
      ],
      source: 'Etkin & Reid, Dynamics of Flight, 3rd ed., appendix C',
      range: 'Any plan form of straight panels',
      band: null,
      bandBecause: 'Exact for the drawn plan form.',
    },
  ],
});
