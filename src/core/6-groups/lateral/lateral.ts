import { z } from 'zod';
import { numbersGroup } from '../group';
import { maybe } from '../keys';
import { bands } from '../bands/bands';
import { reference } from '../reference/reference';
import { explainLateral } from './workings';

const keys = z.object({
  sideForceSlope: maybe('perRadian', 'Side force of sideslip C_Yβ, wind from the right positive; negative as a rule'),
  dihedralEffect: maybe('perRadian', 'Roll of sideslip C_lβ; negative rolls upright'),
  yawStiffness: maybe('perRadian', 'Yaw of sideslip C_nβ; positive turns into the wind'),
  yawStiffnessInWind: maybe(
    'perRadian',
    'The same in stability axes, C_nβ cos α − C_lβ sin α: it does not hang on where the datum is drawn',
  ),
  rollDamping: maybe('perRadian', 'Roll of roll rate C_lp per p b/2V; negative damps'),
  yawDamping: maybe('perRadian', 'Yaw of yaw rate C_nr per r b/2V; negative damps'),
  rollFromYawRate: maybe('perRadian', 'Roll of yaw rate C_lr per r b/2V, right wing down positive'),
  yawFromRollRate: maybe('perRadian', 'Yaw of roll rate C_np per p b/2V, nose right positive'),
  rollFromAileron: maybe('perRadian', 'Roll C_l of a roll command to the right, right wing down positive'),
  yawFromAileron: maybe('perRadian', 'Yaw C_n of a roll command to the right, nose right positive'),
  rollFromRudder: maybe('perRadian', 'Roll C_l of a yaw command to the right, right wing down positive'),
  yawFromRudder: maybe('perRadian', 'Yaw C_n of a yaw command to the right, nose right positive'),
  sideForceFromRollRate: maybe('perRadian', 'Side force of roll rate C_Yp per p b/2V, to the right positive'),
  sideForceFromYawRate: maybe('perRadian', 'Side force of yaw rate C_Yr per r b/2V, to the right positive'),
});

const NO_ROLL = 'No control answers to roll.';
const NO_YAW = 'No control answers to yaw.';

/** Stability and control in roll and yaw, body axes about the balance point. */
export const lateral = numbersGroup(keys, {
  id: 'lateral',
  title: 'Roll and yaw',
  needs: { reference, bands },
  compute: ({ lateral: slopes, alpha }) => ({
    sideForceSlope: slopes.sideForceSlope,
    dihedralEffect: slopes.dihedralEffect,
    yawStiffness: slopes.yawStiffness,
    yawStiffnessInWind: slopes.yawStiffness * Math.cos(alpha) - slopes.dihedralEffect * Math.sin(alpha),
    rollDamping: slopes.rollDamping,
    yawDamping: slopes.yawDamping,
    rollFromYawRate: slopes.rollFromYawRate,
    yawFromRollRate: slopes.yawFromRollRate,
    rollFromAileron: slopes.roll?.roll ?? null,
    yawFromAileron: slopes.roll?.yaw ?? null,
    rollFromRudder: slopes.yaw?.roll ?? null,
    yawFromRudder: slopes.yaw?.yaw ?? null,
    sideForceFromRollRate: slopes.sideForceFromRollRate,
    sideForceFromYawRate: slopes.sideForceFromYawRate,
    reasons: {
      ...(slopes.roll ? {} : { rollFromAileron: NO_ROLL, yawFromAileron: NO_ROLL }),
      ...(slopes.yaw ? {} : { rollFromRudder: NO_YAW, yawFromRudder: NO_YAW }),
    },
  }),
  explain: ({ cruise }, value, { reference: of, bands: { dihedralEffect, yawStiffness } }) =>
    explainLateral(value, of, cruise.isTrimmed ? cruise.state.alpha : null, { dihedralEffect, yawStiffness }),
});
