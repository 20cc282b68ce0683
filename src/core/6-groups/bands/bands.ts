import { z } from 'zod';
import { liftCoefficientAt } from '@/core/5-aero/polar';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe } from '../keys';
import { stall } from '../stall/stall';
import { wakeBands } from './wakeBands';

const keys = z.object({
  neutralPoint: maybe('length', 'Half width of the band of the neutral point: either wake, all speeds flown'),
  dihedralEffect: maybe('perRadian', 'Half width of the band of C_lβ: either wake, all speeds flown'),
  yawStiffness: maybe('perRadian', 'Half width of the band of C_nβ: either wake, all speeds flown'),
});

/** Slowest and fastest speed that is flown, over that of the stall and of cruise. */
const SLOW = 1.2;
const FAST = 1.3;
/** Lift coefficient of slow flight where the stall is not known. */
const USUAL_SLOW_LIFT = 0.7;

const LATER = 'It is computed when the drag ends.';

/** How far the choice of wake and the speed move what the verdicts rest on. */
export const bands = numbersGroup(keys, {
  id: 'bands',
  title: 'Bands',
  needs: { stall },
  compute: ({ prepared, cruise, options, model }, { stall: { liftCoefficient } }) => {
    if (options.quick || options.without?.includes('bands')) return emptyNumbers(keys, LATER);
    if (!cruise.isTrimmed) return emptyNumbers(keys, cruise.reason);
    const mass = prepared.weights.properties!.total;
    const { cruiseSpeed } = prepared.design.conditions;
    const liftAt = (speed: number) => liftCoefficientAt({ model, air: prepared.air, mass }, speed);
    const level = liftAt(cruiseSpeed);
    const slow = (liftCoefficient ?? SLOW ** 2 * USUAL_SLOW_LIFT) / SLOW ** 2;
    return { ...wakeBands(prepared, [level, Math.max(level, slow), level / FAST ** 2]), reasons: {} };
  },
});
