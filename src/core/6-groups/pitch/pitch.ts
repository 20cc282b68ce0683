import { z } from 'zod';
import { loadPerAlphaWithoutTail } from '@/core/5-aero/aeroModel';
import { downwashSlope, meanDownwash } from '@/core/5-aero/downwash';
import { manoeuvreMargin } from '@/core/5-aero/manoeuvreMargin';
import { zeroLift } from '@/core/5-aero/trim';
import { say } from '@/core/1-base/words/phrase';
import { numbersGroup } from '../group';
import { maybe, vector } from '../keys';
import { bands } from '../bands/bands';
import { mass } from '../mass/mass';
import { reference } from '../reference/reference';
import type { Solution } from '../solution/solution';
import { NO_MASS, NO_PITCH } from '../words';
import { explainPitch } from './workings';

const keys = z.object({
  liftSlope: maybe('perRadian', 'C_Lα, trimmed state'),
  zeroLiftAlpha: maybe('angle', 'Angle of attack without lift, control neutral; nose up positive'),
  momentSlope: maybe('perRadian', 'C_mα about the balance point, nose up positive: negative is stable'),
  zeroLiftMoment: maybe('ratio', 'C_m without lift, control neutral; nose up positive'),
  neutralPoint: maybe('length', 'Neutral point, aft of the datum'),
  neutralPointBand: maybe('length', 'Half width of its band: either wake, all speeds flown, bodies'),
  neutralPointWithoutTail: maybe('length', 'Neutral point of all but the tail'),
  staticMargin: maybe('percent', '(neutral point − centre of gravity) over mean chord, a fraction'),
  manoeuvreMargin: maybe('percent', 'Margin in a pull-up, where the tail damps, a fraction'),
  downwash: maybe('angle', 'Mean over the tail (canard: the wing) at trim, positive when it lowers its angle'),
  downwashSlope: maybe('ratio', 'Change of downwash with angle of attack dε/dα there'),
  pitchDamping: maybe('perRadian', 'C_mq per q c̄/2V; negative damps'),
  liftFromElevator: maybe('perRadian', 'C_L of the pitch command, trailing edge down positive'),
  momentFromElevator: maybe(
    'perRadian',
    'C_m of the pitch command, trailing edge down positive: negative behind the wing',
  ),
  momentReference: vector('length', 'Point that moments refer to').nullable(),
});

const ONE_SURFACE = 'There is no second surface behind the first.';

/** Stability and control in pitch. */
export const pitch = numbersGroup(keys, {
  id: 'pitch',
  title: 'Pitch',
  needs: { reference, mass, bands },
  compute: (solution, { bands: { neutralPoint: band, reasons: bandReasons } }) => {
    const { model, prepared, alpha, pitch: slopes, hasTail, receiver, state } = solution;
    const { about, weights } = prepared;
    const weighed = weights.properties;
    const withoutTail = hasTail ? loadPerAlphaWithoutTail(model, alpha, about) : null;
    const zero = zeroLift(model, about);
    const staticMargin = weighed ? (slopes.neutralPoint - about[0]) / prepared.reference.meanChord : null;
    return {
      liftSlope: slopes.liftSlope,
      zeroLiftAlpha: zero.ok ? zero.alpha : null,
      momentSlope: slopes.momentSlope,
      zeroLiftMoment: zero.ok ? zero.moment : null,
      neutralPoint: slopes.neutralPoint,
      neutralPointBand: band,
      neutralPointWithoutTail: withoutTail ? about[0] - withoutTail.moment[1] / withoutTail.force[2] : null,
      staticMargin,
      manoeuvreMargin:
        weighed && staticMargin !== null
          ? manoeuvreMargin({
              staticMargin,
              pitchDamping: slopes.pitchDamping,
              mass: weighed.total,
              density: prepared.air.density,
              area: prepared.reference.area,
              meanChord: prepared.reference.meanChord,
            })
          : null,
      downwash: receiver ? meanDownwash(model.matrices, receiver, state) : null,
      downwashSlope: receiver ? downwashSlope(model, receiver, solution) : null,
      pitchDamping: slopes.pitchDamping,
      liftFromElevator: slopes.liftFromElevator,
      momentFromElevator: slopes.momentFromElevator,
      momentReference: about,
      reasons: {
        ...(zero.ok ? {} : { zeroLiftAlpha: zero.reason, zeroLiftMoment: zero.reason }),
        ...(hasTail ? {} : { neutralPointWithoutTail: 'There is no tail to leave out.' }),
        ...(band === null ? { neutralPointBand: bandReasons['neutralPoint'] } : {}),
        ...(receiver ? {} : { downwash: ONE_SURFACE, downwashSlope: ONE_SURFACE }),
        ...(weighed
          ? {}
          : {
              staticMargin: say`${NO_MASS} Moments refer to the quarter point of the mean chord.`,
              manoeuvreMargin: NO_MASS,
            }),
        ...(slopes.momentFromElevator === null ? { liftFromElevator: NO_PITCH, momentFromElevator: NO_PITCH } : {}),
      },
    };
  },
  explain: (solution, value, { reference: of, mass: { cg } }) =>
    explainPitch(value, {
      reference: of,
      cg,
      surfacesOnly: solution.prepared.surfacesOnly,
      liftAtTrim: liftAtTrim(solution),
    }),
});

/** Lift coefficient of level flight; null when it is not trimmed. */
const liftAtTrim = ({ cruise }: Solution): number | null => (cruise.isTrimmed ? cruise.state.lift : null);
