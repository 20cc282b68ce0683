import { z } from 'zod';
import { numbersGroup } from '../group';
import { quantity } from '../keys';

const keys = z.object({
  shares: z.record(z.string(), quantity('ratio', 'Share of the lift at trim, by surface')).nullable(),
});

/** Which surface carries how much. */
export const lift = numbersGroup(keys, {
  id: 'lift',
  title: 'Lift shares',
  needs: {},
  compute: ({ cruise, model, surfaceLifts }) => {
    if (!cruise.isTrimmed) return { shares: null, reasons: { shares: cruise.reason } };
    const whole = surfaceLifts.reduce((sum, value) => sum + value, 0);
    return {
      shares: Object.fromEntries(model.lattice.surfaces.map(({ id }, index) => [id, surfaceLifts[index]! / whole])),
      reasons: {},
    };
  },
});
