import { nameOf, percent, say } from '@/core/1-base/words/phrase';
import { makeRule } from '../makeRule';

/** Blade elements are known to ±15 % of thrust and ±20 % of torque; farther off is worth a look. */
const OFF = 0.3;

/** A bench test that lies far from what is computed. */
export const benchOff = makeRule(
  { id: 'benchOff', stage: 'power', source: 'Bench test against blade elements, ±15 % of thrust, ±20 % of torque' },
  (_design, { driveLimits }) => {
    const far = driveLimits.find(
      ({ thrustFactor, torqueFactor }) => Math.abs(thrustFactor - 1) > OFF || Math.abs(torqueFactor - 1) > OFF,
    );
    if (!far) return null;
    const { thrustFactor, torqueFactor, drive, id } = far;
    return {
      severity: 'note',
      message: say`The bench test of ${nameOf({ name: drive, id })} gave ${percent(thrustFactor, 0)} of the computed thrust and ${percent(torqueFactor, 0)} of the torque. It is believed; look once more at diameter, pitch, speed constant and scale.`,
      numbers: { thrust: percent(thrustFactor, 0), torque: percent(torqueFactor, 0) },
    };
  },
);
