import { z } from 'zod';
import type { Metres } from '@/core/1-base/units/convert';
import { BODY_BAND } from '@/core/5-aero/bodies';
import { liftCoefficientAt } from '@/core/5-aero/polar';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe } from '../keys';
import type { Solution } from '../solution/solution';
import { stall } from '../stall/stall';
import { type Reach, wakeBands } from './wakeBands';

const keys = z.object({
  neutralPoint: maybe('length', 'Half width of the band of the neutral point: either wake, all speeds flown, bodies'),
  dihedralEffect: maybe('perRadian', 'Half width of the band of C_lβ: either wake, all speeds flown'),
  yawStiffness: maybe('perRadian', 'Half width of the band of C_nβ: either wake, all speeds flown, bodies'),
  neutralPointAft: maybe('length', 'How far aft of the headline it may lie'),
  neutralPointForward: maybe('length', 'How far ahead of the headline it may lie'),
  dihedralEffectUp: maybe('perRadian', 'How far above the headline C_lβ may lie'),
  dihedralEffectDown: maybe('perRadian', 'How far below the headline C_lβ may lie'),
  yawStiffnessUp: maybe('perRadian', 'How far above the headline C_nβ may lie'),
  yawStiffnessDown: maybe('perRadian', 'How far below the headline C_nβ may lie'),
});

/** Slowest and fastest speed that is flown, over that of the stall and of cruise. */
const SLOW = 1.2;
const FAST = 1.3;
/** Lift coefficient of slow flight where the stall is not known. */
const USUAL_SLOW_LIFT = 0.7;

const LATER = 'It is computed when the drag ends.';

/** How far the choice of wake, the speed and what is not known of bodies move what the verdicts rest on. */
export const bands = numbersGroup(keys, {
  id: 'bands',
  title: 'Bands',
  needs: { stall },
  compute: (solution, { stall: { liftCoefficient } }) => {
    const { prepared, cruise, options, model } = solution;
    if (options.quick || options.without?.includes('bands')) return emptyNumbers(keys, LATER);
    if (!cruise.isTrimmed) return emptyNumbers(keys, cruise.reason);
    const mass = prepared.weights.properties!.total;
    const { cruiseSpeed } = prepared.design.conditions;
    const liftAt = (speed: number) => liftCoefficientAt({ model, air: prepared.air, mass }, speed);
    const level = liftAt(cruiseSpeed);
    const slow = (liftCoefficient ?? SLOW ** 2 * USUAL_SLOW_LIFT) / SLOW ** 2;
    const ofWakes = wakeBands(prepared, [level, Math.max(level, slow), level / FAST ** 2]);
    const ofBodies = bodyBands(solution);
    const reach = ({ up, down }: Reach, more = 0) => ({
      up: up + more,
      down: down + more,
      half: Math.max(up, down) + more,
    });
    const neutralPoint = reach(ofWakes.neutralPoint, ofBodies.neutralPoint);
    const dihedralEffect = reach(ofWakes.dihedralEffect);
    const yawStiffness = reach(ofWakes.yawStiffness, ofBodies.yawStiffness);
    return {
      neutralPoint: neutralPoint.half,
      dihedralEffect: dihedralEffect.half,
      yawStiffness: yawStiffness.half,
      neutralPointAft: neutralPoint.up,
      neutralPointForward: neutralPoint.down,
      dihedralEffectUp: dihedralEffect.up,
      dihedralEffectDown: dihedralEffect.down,
      yawStiffnessUp: yawStiffness.up,
      yawStiffnessDown: yawStiffness.down,
      reasons: {},
    };
  },
});

/** What is not known of the moments of bodies. */
function bodyBands({ prepared: { reference }, model, pitch }: Solution): {
  neutralPoint: Metres;
  yawStiffness: number;
} {
  const { perAlpha, perBeta } = model.extra.bodies;
  return {
    neutralPoint: (BODY_BAND.pitch * Math.abs(2 * perAlpha)) / (pitch.liftSlope * reference.area),
    yawStiffness: (BODY_BAND.yaw * Math.abs(2 * perBeta)) / (reference.area * reference.span),
  };
}
