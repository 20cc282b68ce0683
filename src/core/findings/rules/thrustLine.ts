import { degreesFromRadians } from '../../units/convert';
import { controlsOf, LEAST_TRAVEL, PITCH_CONTROLS } from '../changes';
import { makeRule } from '../makeRule';
import { inDegrees, nameOf } from '../words';

/** Share of the pitch travel between power on and off. */
const MOST_SHARE = 0.12;

/** Throttle pitches it: the thrust line passes too far above or below the balance point, or blows on the tail. */
export const thrustLine = makeRule(
  { id: 'thrustLine', stage: 'rigging', source: 'Thrust moment and slipstream at level-flight thrust' },
  (design, { trim }) => {
    const { elevator, elevatorPowerOff } = trim;
    if (elevator === null || elevatorPowerOff === null || trim.thrustMoment === null) return null;
    const travel = Math.min(
      ...controlsOf(design, PITCH_CONTROLS).map(({ control }) => Math.min(control.throwUp, control.throwDown)),
    );
    const change = degreesFromRadians(elevator - elevatorPowerOff);
    if (!Number.isFinite(travel) || travel < LEAST_TRAVEL || !(Math.abs(change) > MOST_SHARE * travel)) return null;
    const up = trim.thrustMoment > 0;
    const tilt = (degrees: number) => ({
      label: `Tilt the thrust line ${degrees}° more ${up ? 'down' : 'up'}`,
      change: design.propulsion.map((drive) => ({
        field: `/propulsion/${drive.id}/downThrust`,
        value: drive.downThrust + (up ? degrees : -degrees),
      })),
    });
    const shift = (millimetres: number) => ({
      label: `Set ${nameOf(design.propulsion[0]!)} ${millimetres} mm ${up ? 'higher' : 'lower'}`,
      change: design.propulsion.map((drive) => ({
        field: `/propulsion/${drive.id}/position/z`,
        value: drive.position.z + (up ? millimetres : -millimetres),
      })),
    });
    return {
      severity: 'caution',
      message: `Power in level flight pitches the nose ${up ? 'up' : 'down'}: the pitch control moves by ${Math.abs(change).toFixed(1)}° between power on and off (${Math.round((100 * Math.abs(change)) / travel)} % of its travel; ${inDegrees(elevatorPowerOff)} without power).`,
      numbers: { change: elevator - elevatorPowerOff, thrustMoment: trim.thrustMoment },
      remedies: [tilt(2), tilt(4), shift(20), shift(40)],
    };
  },
);
