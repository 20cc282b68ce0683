import { z } from 'zod';
import { numbersGroup } from '../group';
import { maybe } from '../keys';
import { reference } from '../reference/reference';
import { explainLateral } from './workings';

const keys = z.object({
  sideForceSlope: maybe('perRadian', 'C_Yβ'),
  dihedralEffect: maybe('perRadian', 'C_lβ; stable is negative'),
  yawStiffness: maybe('perRadian', 'C_nβ; stable is positive'),
  rollDamping: maybe('perRadian', 'C_lp per p b/2V'),
  yawDamping: maybe('perRadian', 'C_nr per r b/2V'),
  rollFromYawRate: maybe('perRadian', 'C_lr per r b/2V'),
  yawFromRollRate: maybe('perRadian', 'C_np per p b/2V'),
  rollFromAileron: maybe('perRadian', 'C_l of a roll command to the right'),
  yawFromAileron: maybe('perRadian', 'C_n of a roll command to the right'),
  rollFromRudder: maybe('perRadian', 'C_l of a yaw command to the right'),
  yawFromRudder: maybe('perRadian', 'C_n of a yaw command to the right'),
  sideForceFromRollRate: maybe('perRadian', 'C_Yp per p b/2V'),
  sideForceFromYawRate: maybe('perRadian', 'C_Yr per r b/2V'),
});

const NO_ROLL = 'No control answers to roll.';
const NO_YAW = 'No control answers to yaw.';

/** Stability and control in roll and yaw, body axes about the balance point. */
export const lateral = numbersGroup(keys, {
  id: 'lateral',
  title: 'Roll and yaw',
  needs: { reference },
  compute: ({ lateral: slopes }) => ({
    sideForceSlope: slopes.sideForceSlope,
    dihedralEffect: slopes.dihedralEffect,
    yawStiffness: slopes.yawStiffness,
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
  explain: ({ cruise }, value, { reference: of }) => explainLateral(value, of, cruise.isTrimmed ? cruise.state : null),
});
