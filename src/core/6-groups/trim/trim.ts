import { z } from 'zod';
import type { Words } from '@/core/1-base/words/phrase';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe } from '../keys';
import { pitch } from '../pitch/pitch';
import { stall } from '../stall/stall';
import { NO_PITCH } from '../words';
import { fullThrottle } from './fullThrottle';
import { flapTrimChange } from './flapTrimChange';
import { neutralTailIncidence } from './neutralTailIncidence';
import { explainTrim } from './workings';

const keys = z.object({
  speed: maybe('speed', 'Cruise speed of the design'),
  alpha: maybe('angle', 'Angle of attack of the datum at trim, nose up positive'),
  elevator: maybe('angle', 'Pitch command as it is turned from its neutral, trailing edge down positive'),
  liftCoefficient: maybe('ratio', 'C_L of level flight'),
  residualMoment: maybe('ratio', 'C_m left over when there is no pitch control, nose up positive'),
  tailIncidence: maybe(
    'angle',
    'Angle of the tail (or canard) against the datum at which the control would be neutral, nose up positive',
  ),
  flapElevator: maybe('angle', 'Pitch command that holds the same lift when the flaps droop, beyond the one without'),
  thrustMoment: maybe('ratio', 'C_m of the thrust that level flight needs, nose up positive'),
  staticThrustMoment: maybe('moment', 'Pitching moment of full thrust at a standstill, nose up positive'),
  climbThrustMoment: maybe('ratio', 'C_m of full thrust at 1.3 stall speeds, nose up positive'),
  climbElevator: maybe('angle', 'Pitch command that full thrust asks for there, trailing edge down positive'),
  elevatorPowerOff: maybe('angle', 'Pitch command with power off, trailing edge down positive'),
});

const NO_FLAPS = 'Nothing droops as a flap, or no control answers to pitch.';
const NO_TAIL = 'There is no tail or canard whose angle could stand in for the pitch control.';
const NO_MOTOR = 'Without a motor, a drive, a stall speed or a pitch control there is none.';
const NO_DRIVE = 'There is no drive, or it is left out.';

/** Level flight at the cruise speed. */
export const trim = numbersGroup(keys, {
  id: 'trim',
  title: 'Trim',
  needs: { pitch, stall },
  compute: (solution, { stall: { flapDroop, speed: stallSpeed }, pitch: { momentFromElevator } }) => {
    const { cruise, prepared, alpha } = solution;
    if (!cruise.isTrimmed) return emptyNumbers(keys, cruise.reason);
    const { lift, moment } = cruise.state;
    const elevator = solution.turn;
    const powerOff = cruise.powerOff?.elevator ?? null;
    const tailIncidence = neutralTailIncidence(solution);
    const flapElevator = flapTrimChange(solution, flapDroop);
    const full = prepared.surfacesOnly ? null : fullThrottle(prepared, stallSpeed);
    const climbElevator = full && momentFromElevator ? -full.climbMoment / momentFromElevator : null;
    const missing = (value: number | null, key: string, why: string): Record<string, Words> =>
      value === null ? { [key]: why } : {};
    return {
      speed: prepared.design.conditions.cruiseSpeed,
      alpha,
      elevator,
      liftCoefficient: lift,
      residualMoment: elevator === null ? moment : 0,
      tailIncidence,
      flapElevator,
      thrustMoment: cruise.thrust?.moment ?? null,
      staticThrustMoment: full?.staticMoment ?? null,
      climbThrustMoment: full?.climbMoment ?? null,
      climbElevator,
      elevatorPowerOff: powerOff === null ? null : prepared.reach.pitch.turnFor(powerOff),
      reasons: {
        ...missing(elevator, 'elevator', NO_PITCH),
        ...missing(elevator, 'elevatorPowerOff', NO_PITCH),
        ...missing(tailIncidence, 'tailIncidence', NO_TAIL),
        ...missing(flapElevator, 'flapElevator', NO_FLAPS),
        ...missing(cruise.thrust?.moment ?? null, 'thrustMoment', NO_DRIVE),
        ...missing(full?.staticMoment ?? null, 'staticThrustMoment', NO_MOTOR),
        ...missing(full?.climbMoment ?? null, 'climbThrustMoment', NO_MOTOR),
        ...missing(climbElevator, 'climbElevator', NO_MOTOR),
      },
    };
  },
  explain: (_solution, value, { pitch: { momentFromElevator } }) => explainTrim(value, momentFromElevator),
});
