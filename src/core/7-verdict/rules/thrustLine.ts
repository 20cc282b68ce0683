import { degrees, percent, plain, radians, say, type Words } from '@/core/1-base/words/phrase';
import { degreesFromRadians } from '@/core/1-base/units/convert';
import { controlsOf, LEAST_TRAVEL, PITCH_CONTROLS } from '../changes';
import { makeRule } from '../makeRule';
import { otherThrustLines } from '../thrustLines';

/** Share of the pitch travel between power on and off in level flight, and that full throttle takes in a climb. */
const MOST_SHARE = 0.12;
const MOST_FULL = 0.4;

/** Throttle pitches it: the thrust line passes too far above or below the balance point, or blows on the tail. */
export const thrustLine = makeRule(
  {
    id: 'thrustLine',
    stage: 'rigging',
    source: 'Thrust moment and slipstream at level-flight thrust, thrust line at full',
  },
  (design, { trim }) => {
    const { elevator, elevatorPowerOff } = trim;
    if (elevator === null || elevatorPowerOff === null || trim.thrustMoment === null) return null;
    const travel = Math.min(
      ...controlsOf(design, PITCH_CONTROLS).map(({ control }) => Math.min(control.throwUp, control.throwDown)),
    );
    const change = degreesFromRadians(elevator - elevatorPowerOff);
    if (!Number.isFinite(travel) || travel < LEAST_TRAVEL) return null;
    const full = trim.climbElevator === null ? 0 : degreesFromRadians(trim.climbElevator);
    const inLevel = Math.abs(change) > MOST_SHARE * travel;
    if (!inLevel && !(Math.abs(full) > MOST_FULL * travel)) return null;
    const up = (inLevel ? trim.thrustMoment : (trim.climbThrustMoment ?? 0)) > 0;
    const inClimb: Words =
      full === 0
        ? ''
        : say` In a climb at full throttle it takes about ${degrees(Math.abs(full), 0)} of pitch control, ${percent(Math.abs(full) / travel, 0)} of the travel (thrust guessed from the motor’s weight, ±30 %).`;
    return {
      severity: 'caution',
      message: inLevel
        ? say`Power in level flight pitches the nose ${up ? 'up' : 'down'}: the pitch control moves by ${degrees(Math.abs(change), 1)} between power on and off (${percent(Math.abs(change) / travel, 0)} of its travel; ${radians(elevatorPowerOff)} without power).${inClimb}`
        : say`Full throttle pitches the nose ${up ? 'up' : 'down'}.${inClimb}`,
      numbers: { change: radians(elevator - elevatorPowerOff), thrustMoment: plain(trim.thrustMoment) },
      remedies: otherThrustLines(design, up),
    };
  },
);
