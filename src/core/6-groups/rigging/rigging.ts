import { z } from 'zod';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Words } from '@/core/1-base/words/phrase';
import { numbersGroup } from '../group';
import { maybe, quantity, text } from '../keys';
import { stall } from '../stall/stall';
import { wash } from '../wash/wash';
import { NOTHING_WEIGHED } from '../words';
import { handsOff } from './handsOff';

const keys = z.object({
  handsOffLift: maybe('ratio', 'C_L at which it settles with the pitch control left alone'),
  handsOffSpeed: maybe('speed', 'Speed at which it settles'),
  surfaces: z.array(
    z.object({
      surface: text('Surface'),
      drawn: quantity('angle', 'Root incidence as drawn, nose up positive'),
      flown: quantity('angle', 'As flown: mean of both sides where measured; nose up positive'),
      againstAir: quantity('angle', 'Root chord against the air it meets at trim, nose up positive'),
      liftPerRadian: quantity('perRadian', 'Change of hands-off lift with its angle'),
      bears: maybe(
        'angle',
        'Error either way that keeps hands-off lift between nought and 85 % of C_Lmax, a right angle at most',
      ),
    }),
  ),
});

const NOTHING_HOLDS = 'Nothing holds the nose with the pitch control left alone: it balances behind the neutral point.';
const DIVES = 'With the pitch control neutral it has no lift: it dives.';
/** Less hands-off lift than this is none. */
const LEAST_LIFT = 0.02;

/** What the built-in angles do when the pitch control is left alone. */
export const rigging = numbersGroup(keys, {
  id: 'rigging',
  title: 'Rigging',
  needs: { stall, wash },
  compute: (solution, { stall: { liftCoefficient }, wash: washes }) => {
    const { model, prepared, alpha, command, pitch } = solution;
    const { about, weights, air, reference } = prepared;
    const { lift, lines } = handsOff(model, {
      about,
      alpha,
      command,
      liftSlope: pitch.liftSlope,
      momentSlope: pitch.momentSlope,
      maximumLift: liftCoefficient,
      wash: washes,
    });
    const mass = weights.properties;
    const settles = lift !== null && lift > LEAST_LIFT;
    return {
      handsOffLift: lift,
      handsOffSpeed:
        settles && mass ? Math.sqrt((2 * mass.total * GRAVITY) / (air.density * reference.area * lift)) : null,
      surfaces: lines,
      reasons: whyNot(lift, mass !== null),
    };
  },
});

function whyNot(lift: number | null, isWeighed: boolean): Record<string, Words> {
  if (lift === null) return { handsOffLift: NOTHING_HOLDS, handsOffSpeed: isWeighed ? NOTHING_HOLDS : NOTHING_WEIGHED };
  if (lift <= LEAST_LIFT) return { handsOffSpeed: DIVES };
  return isWeighed ? {} : { handsOffSpeed: NOTHING_WEIGHED };
}
