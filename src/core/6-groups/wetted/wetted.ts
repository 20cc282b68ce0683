import { z } from 'zod';
import { integratePlanforms } from '@/core/3-shape/geometry/planform';
import { numbersGroup } from '../group';
import { maybe, quantity, text } from '../keys';
import { stall } from '../stall/stall';
import { wettedAreaOf } from './wettedArea';

const keys = z.object({
  total: maybe('area', 'Wetted area of all surfaces, both sides'),
  surfaces: z.array(
    z.object({
      surface: text('Surface'),
      area: quantity('area', 'Wetted area of both faces, of both sides where it is mirrored'),
      overPlan: quantity('ratio', 'Wetted area over the area of the board in its own plane'),
      reynolds: quantity('ratio', 'Reynolds number of its mean chord at cruise'),
      reynoldsLeast: quantity('ratio', 'Reynolds number of its smallest chord at cruise'),
      reynoldsAtStall: maybe(
        'ratio',
        'Reynolds number of its mean chord at the stall speed; null while that is not known',
      ),
    }),
  ),
});

/** What the air rubs on, surface by surface, and at which Reynolds numbers: Re = ρ V c/μ. */
export const wetted = numbersGroup(keys, {
  id: 'wetted',
  title: 'Wetted area',
  needs: { stall },
  compute: ({ prepared: { placed, air, design } }, { stall: { speed: stallSpeed } }) => {
    const reynolds = (chord: number, speed: number) => (air.density * speed * chord) / air.viscosity;
    const { cruiseSpeed } = design.conditions;
    const surfaces = placed.flatMap((surface) => {
      const plan = integratePlanforms([surface], 'true');
      if (!plan) return [];
      const area = wettedAreaOf(surface);
      return [
        {
          surface: surface.id,
          area,
          overPlan: area / plan.area,
          reynolds: reynolds(plan.meanChord, cruiseSpeed),
          reynoldsLeast: reynolds(Math.min(...surface.stations.map(({ chord }) => chord)), cruiseSpeed),
          reynoldsAtStall: stallSpeed === null ? null : reynolds(plan.meanChord, stallSpeed),
        },
      ];
    });
    return { total: surfaces.reduce((sum, { area }) => sum + area, 0), surfaces, reasons: {} };
  },
});
