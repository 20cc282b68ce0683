import { z } from 'zod';
import { type Metres, metresFromMillimetres } from '@/core/1-base/units/convert';
import { runDrive } from '@/core/5-power/drive/drive';
import { emptyNumbers, numbersGroup, reasonsOfNulls } from '../group';
import { maybe, text } from '../keys';
import { lateral } from '../lateral/lateral';
import { type DesignDrive } from '../power/drives';
import { type DesignFlight, flightOf, FULL, isFlight } from '../power/flight';
import { restingArea } from '../power/restingPropellers';
import { stall } from '../stall/stall';

const keys = z.object({
  drive: text('Drive of which one motor stands still, the others at full throttle').nullable(),
  speed: maybe('speed', 'Speed at which that is told of, 1.3 stall speeds'),
  yawMoment: maybe('moment', 'Yaw of it, towards the motor that stands still'),
  rudder: maybe('angle', 'Yaw command that holds it straight without sideslip'),
  rudderShare: maybe('percent', 'Of all the yaw command there is'),
  sideslip: maybe('angle', 'Sideslip it settles at with the rudder centred'),
  climbRate: maybe('speed', 'Climb that is left, rudder drag left out; negative sinks'),
});

/** It climbs at so much over the stall. */
const CLIMB_OVER_STALL = 1.3;

const NO_PAIR = 'No motor sits beside the centre line with another to go on.';
const NO_RUDDER = 'No control answers to yaw.';
const NO_FIN = 'It does not turn into the wind by itself.';

/** One of two motors stands still. */
export const engineOut = numbersGroup(keys, {
  id: 'engineOut',
  title: 'One motor out',
  needs: { stall, lateral },
  compute: (solution, { stall: stalls, lateral: { yawFromRudder, yawStiffness } }) => {
    const flight = flightOf(solution, stalls);
    if (!isFlight(flight)) return emptyNumbers(keys, flight);
    const failing = farthestOut(flight);
    if (!failing) return emptyNumbers(keys, NO_PAIR);
    const { drive, arm } = failing;
    const { air, reach, reference } = solution.prepared;
    const speed = CLIMB_OVER_STALL * flight.stallSpeed;
    const pressure = (air.density * speed ** 2) / 2;
    const one = alone(drive);
    const stopped =
      restingArea({ ...drive.source, atRest: drive.source.atRest === 'folds' ? 'folds' : 'stops' }, speed, air) *
      pressure;
    const pull = runDrive(one, speed, 1, FULL).thrust;
    const others = flight.drives
      .filter((other) => other !== drive)
      .reduce((sum, other) => sum + runDrive(other, speed, 1, FULL).thrust, 0);
    // A pair keeps its other motor; a single one beside the centre is gone whole, and others pull.
    const left = drive.count === 2 ? pull + others : others;
    const yawMoment = arm * ((drive.count === 2 ? pull : 0) + stopped);
    const coefficient = yawMoment / (pressure * reference.area * reference.span);
    const full = Math.min(reach.yaw.right, reach.yaw.left);
    const rudder = yawFromRudder ? coefficient / Math.abs(yawFromRudder) : null;
    const values = {
      drive: drive.source.name || drive.source.id,
      speed,
      yawMoment,
      rudder,
      rudderShare: rudder === null || !(full > 0) ? null : rudder / full,
      sideslip: yawStiffness !== null && yawStiffness > 1e-4 ? Math.min(MOST_SLIP, coefficient / yawStiffness) : null,
      climbRate: ((left - flight.dragAt(speed) - stopped) / flight.weight) * speed,
    };
    return {
      ...values,
      reasons: { ...reasonsOfNulls(values, NO_RUDDER), ...(values.sideslip === null ? { sideslip: NO_FIN } : {}) },
    };
  },
});

/** Farther than that it does not slip: it is over before [rad]. */
const MOST_SLIP = 0.5;
/** Nearer to the middle nothing turns it. */
const LEAST_ARM: Metres = 0.01;

/** The drive that turns it most when one of its motors stands still, where another goes on. */
function farthestOut({ drives }: DesignFlight): { readonly drive: DesignDrive; readonly arm: Metres } | null {
  const motors = drives.reduce((sum, { count }) => sum + count, 0);
  if (motors < 2) return null;
  const all = drives
    .map((drive) => ({ drive, arm: Math.abs(metresFromMillimetres(drive.source.position.y)) }))
    .filter(({ arm }) => arm > LEAST_ARM)
    .toSorted((a, b) => b.arm - a.arm);
  return all[0] ?? null;
}

/** One motor of a pair, the pack for itself. */
const alone = (drive: DesignDrive): DesignDrive => ({ ...drive, count: 1 });
