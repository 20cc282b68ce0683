import { isFin } from '@/core/2-document/schema/roles';
import { z } from 'zod';
import { downwashSlope, meanDownwash } from '@/core/5-aero/downwash';
import { valueGroup } from '../group';
import { quantity } from '../keys';

const value = z.record(
  z.string(),
  z.object({
    angle: quantity('angle', 'Angle by which the others lower the air at trim, downwash positive'),
    slope: quantity('ratio', 'Its slope with angle of attack'),
  }),
);

/** Wash of all others at every level surface, by surface. */
export const wash = valueGroup(value, {
  id: 'wash',
  title: 'Wash',
  needs: {},
  compute: (solution) =>
    Object.fromEntries(
      solution.model.lattice.surfaces.flatMap((surface, index) => {
        if (!surface.mirrored || isFin(surface)) return [];
        const { id } = surface;
        const receiver = { surfaces: [index], name: id };
        const angle = meanDownwash(solution.model.matrices, receiver, solution.state);
        return [[id, { angle, slope: downwashSlope(solution.model, receiver, solution) }]];
      }),
    ),
});
