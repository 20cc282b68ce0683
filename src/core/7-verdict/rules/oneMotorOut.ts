import { metresPerSecond, nameOf, percent, radians, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** So much of the rudder leaves something for gusts; C. */
const USED = 0.7;

/** With one motor stopped at full throttle the rudder does not hold it, or it sinks. */
export const oneMotorOut = makeRule(
  {
    id: 'oneMotorOut',
    stage: 'power',
    source: 'Thrust beside the centre line against yaw control at 1.3 stall speeds',
  },
  (_design, { engineOut: { drive, rudderShare, sideslip, climbRate, speed } }) => {
    if (drive === null || speed === null) return null;
    const isHeld = rudderShare !== null && rudderShare <= USED;
    const sinks = climbRate !== null && climbRate < 0;
    if (isHeld && !sinks) return null;
    const holds =
      rudderShare === null
        ? say`nothing holds it straight${sideslip === null ? '' : say`, it slips at ${radians(sideslip, 0)}`}`
        : say`holding it straight takes ${percent(rudderShare, 0)} of the rudder`;
    return {
      severity: rudderShare !== null && rudderShare > 1 ? 'caution' : 'note',
      message: say`One motor of ${nameOf({ name: drive, id: drive })} stopped, the other at full throttle, ${metresPerSecond(speed)}: ${holds}${sinks ? say`, and it sinks at ${metresPerSecond(-climbRate)}` : ''}. Close the throttle, lower the nose and land straight ahead.`,
      numbers: { speed: metresPerSecond(speed) },
    };
  },
);
