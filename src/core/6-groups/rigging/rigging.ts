import { z } from 'zod';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import type { Words } from '@/core/1-base/words/phrase';
import { numbersGroup } from '../group';
import { maybe, quantity, text } from '../keys';
import { stall } from '../stall/stall';
import { wash } from '../wash/wash';
import { NOTHING_WEIGHED } from '../words';
import { isPitchTail, isWing } from '@/core/2-document/schema/roles';
import type { PlacedSurface } from '@/core/3-shape/geometry/layout';
import { handsOff, type RiggingLine } from './handsOff';

const keys = z.object({
  handsOffLift: maybe('ratio', 'C_L at which it settles with the pitch control left alone'),
  handsOffMoment: maybe(
    'ratio',
    'C_m at the lift of cruise with the pitch control left alone, power off; nose up positive',
  ),
  decalageDrawn: maybe(
    'angle',
    'Root incidence of the wing over that of the tail (canard: the canard over the wing), as drawn',
  ),
  decalageFlown: maybe('angle', 'The same as flown: as measured where it was measured'),
  handsOffSpeed: maybe('speed', 'Speed at which it settles'),
  surfaces: z.array(
    z.object({
      surface: text('Surface'),
      drawn: quantity('angle', 'Root incidence as drawn, nose up positive'),
      flown: quantity('angle', 'As flown: mean of both sides where measured; nose up positive'),
      face: z.enum(['lower', 'upper', 'chord']),
      faceReadingDrawn: quantity(
        'angle',
        'What a tilt meter shows on the face that can be measured at the root, datum level, as drawn',
      ),
      faceReadingFlown: quantity('angle', 'The same as flown'),
      againstAir: quantity('angle', 'Root chord against the air it meets at trim, nose up positive'),
      momentPerRadian: quantity('perRadian', 'Pitching moment C_m of its angle at the same lift, nose up positive'),
      liftPerRadian: quantity('perRadian', 'Change of hands-off lift with its angle'),
      bears: maybe(
        'angle',
        'Error either way that keeps hands-off lift between nought and 85 % of C_Lmax, a right angle at most',
      ),
    }),
  ),
});

const NOTHING_HOLDS = 'Nothing holds the nose with the pitch control left alone: it balances behind the neutral point.';
const NO_LIFT_BALANCES = 'No lift that a wing can have balances it with the pitch control left alone.';
const NO_SECOND = 'There is no tail or canard to set against the wing.';
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
    const { lift, moment, lines } = handsOff(model, {
      about,
      alpha,
      command,
      liftSlope: pitch.liftSlope,
      momentSlope: pitch.momentSlope,
      maximumLift: liftCoefficient,
      level: solution.cruise.state.lift,
      wash: washes,
    });
    const mass = weights.properties;
    const settles = lift !== null && lift > LEAST_LIFT;
    return {
      handsOffLift: lift,
      handsOffMoment: moment,
      ...decalage(lines, prepared.placed),
      handsOffSpeed:
        settles && mass ? Math.sqrt((2 * mass.total * GRAVITY) / (air.density * reference.area * lift)) : null,
      surfaces: lines,
      reasons: {
        ...whyNot(lift, pitch.momentSlope < 0, mass !== null),
        ...(prepared.placed.some(isPitchTail) ? {} : { decalageDrawn: NO_SECOND, decalageFlown: NO_SECOND }),
      },
    };
  },
});

function whyNot(lift: number | null, isStable: boolean, isWeighed: boolean): Record<string, Words> {
  if (lift === null) {
    const why = isStable ? NO_LIFT_BALANCES : NOTHING_HOLDS;
    return { handsOffLift: why, handsOffSpeed: isWeighed ? why : NOTHING_WEIGHED };
  }
  if (lift <= LEAST_LIFT) return { handsOffSpeed: DIVES };
  return isWeighed ? {} : { handsOffSpeed: NOTHING_WEIGHED };
}

/** The front one of wing and tail over the other. */
function decalage(lines: readonly RiggingLine[], placed: readonly PlacedSurface[]) {
  const wing = placed.find(isWing);
  const tail = placed.find(isPitchTail);
  const of = (surface: PlacedSurface | undefined) => lines.find((line) => line.surface === surface?.id);
  const [front, rear] = tail?.role === 'canard' ? [of(tail), of(wing)] : [of(wing), of(tail)];
  return front && rear
    ? { decalageDrawn: front.drawn - rear.drawn, decalageFlown: front.flown - rear.flown }
    : { decalageDrawn: null, decalageFlown: null };
}
