import { z } from 'zod';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { liftCoefficientAt } from '@/core/5-aero/polar';
import { emptyNumbers, numbersGroup } from '../group';
import { maybe, quantity } from '../keys';
import { drag } from '../drag/drag';
import { reference } from '../reference/reference';
import { stall } from '../stall/stall';
import { trimUnderThrust } from '../solution/cruise';
import { NO_MASS, NO_VISCOSITY } from '../words';
import { drivesOf } from './drives';
import type { MetresPerSecond } from '@/core/1-base/units/convert';
import { explainPower } from './workings';
import { bestClimb, fastest, type Flight, fullThrottle, levelAt, throttled } from './performance';
import { flightOf, FULL, HALF, isFlight } from './flight';

/** What happens at one speed of level flight. */
const point = z.object({
  speed: quantity('speed', 'Speed of level flight at this point'),
  drag: quantity('force', 'Drag of level flight'),
  thrust: z.array(quantity('force', 'Thrust at each of the throttles, full pack')),
  throttle: maybe('percent', 'Throttle that holds level flight there, pack half full; null where none does'),
  current: maybe('current', 'What the packs then give'),
  duration: maybe('time', 'How long that lasts, down to a fifth of the pack'),
});

const keys = z.object({
  staticThrust: maybe('force', 'Thrust of all propellers at rest, full throttle, full pack'),
  staticCurrent: maybe('current', 'What the packs then give, all together'),
  staticMotorCurrent: maybe('current', 'What the busiest motor then takes'),
  staticElectricPower: maybe('power', 'Power of the packs then'),
  staticTurns: maybe('perSecond', 'Revolutions of the fastest propeller then'),
  thrustToWeight: maybe('ratio', 'That thrust over the weight'),
  cruiseThrottle: maybe('percent', 'Opening of the throttle in level flight at cruise speed, pack half full'),
  cruiseCurrent: maybe('current', 'What the packs give there'),
  cruiseElectricPower: maybe('power', 'Power of the packs there'),
  propellerEfficiency: maybe('percent', 'Thrust times speed over shaft power there'),
  duration: maybe('time', 'Level flight at cruise speed down to a fifth of the pack'),
  maximumSpeed: maybe('speed', 'Fastest level flight, full pack'),
  climbRate: maybe('speed', 'Fastest climb, full throttle, full pack'),
  climbRateSpeed: maybe('speed', 'Speed of that climb'),
  climbAngle: maybe('angle', 'Steepest climb'),
  stoppedPropellerDragArea: maybe('area', 'Drag area of the propellers as they are without power'),
  pitchControlAtFullPower: maybe(
    'angle',
    'Pitch command that holds cruise speed at full throttle, trailing edge down positive',
  ),
  throttles: z.array(quantity('percent', 'Openings of the throttle that the curve tells the thrust of')),
  curve: z.array(point),
});

/** Openings and speeds of the curve. */
const THROTTLES = [0.25, 0.5, 0.75, 1] as const;
const SPEEDS = 14;

const TOO_WEAK = 'Full throttle does not hold level flight at that speed.';
const NO_CLIMB = 'Full throttle does not lift it at any speed.';
const NO_TRIM = 'No pitch control holds it there.';

/** What the drives give, what flight takes of it, and how long that lasts. */
export const power = numbersGroup(keys, {
  id: 'power',
  title: 'Power',
  needs: { reference, stall, drag },
  compute: (solution, { stall: stalls }) => {
    const { prepared, model } = solution;
    const { design, air, weights } = prepared;
    if (prepared.surfacesOnly) return emptyNumbers(keys, NO_VISCOSITY);
    const drives = drivesOf(design, air);
    if (typeof drives === 'string') {
      const { reasons: all, ...nothing } = emptyNumbers(keys, drives);
      const resting = { stoppedPropellerDragArea: prepared.restingPropellers };
      return { ...nothing, ...resting, reasons: without(all, Object.keys(resting)) };
    }
    const mass = weights.properties?.total;
    if (mass === undefined) return emptyNumbers(keys, NO_MASS);
    const still = fullThrottle(drives, 0, FULL);
    const weight = mass * GRAVITY;
    const known = {
      staticThrust: still.thrust,
      staticCurrent: still.packCurrent,
      staticMotorCurrent: still.motorCurrent,
      staticElectricPower: still.electricPower,
      staticTurns: still.perSecond,
      thrustToWeight: still.thrust / weight,
      stoppedPropellerDragArea: prepared.restingPropellers,
    };
    const flight = flightOf(solution, stalls);
    if (!isFlight(flight)) {
      const { reasons: all, ...nothing } = emptyNumbers(keys, flight);
      return { ...nothing, ...known, reasons: without(all, Object.keys(known)) };
    }
    const { dragAt, cruise } = flight;
    const level = levelAt(drives, cruise, dragAt(cruise), HALF);
    const top = fastest(flight, FULL);
    const climb = bestClimb(flight, FULL, top);
    const full = fullThrottle(drives, cruise, FULL);
    const pressureArea = ((air.density * cruise ** 2) / 2) * model.reference.area;
    const trimmed = trimUnderThrust(
      solution,
      liftCoefficientAt({ model, air, mass }, cruise),
      full.thrust / pressureArea,
    );
    return {
      ...known,
      cruiseThrottle: level?.duty ?? null,
      cruiseCurrent: level?.packCurrent ?? null,
      cruiseElectricPower: level?.electricPower ?? null,
      propellerEfficiency: level?.propellerEfficiency ?? null,
      duration: level?.duration ?? null,
      maximumSpeed: top,
      climbRate: climb?.rate ?? null,
      climbRateSpeed: climb?.speed ?? null,
      climbAngle: climb?.angle ?? null,
      pitchControlAtFullPower: trimmed?.elevator ?? null,
      throttles: [...THROTTLES],
      curve: curveOf(flight, cruise, top),
      reasons: {
        ...(level
          ? {}
          : {
              cruiseThrottle: TOO_WEAK,
              cruiseCurrent: TOO_WEAK,
              cruiseElectricPower: TOO_WEAK,
              propellerEfficiency: TOO_WEAK,
              duration: TOO_WEAK,
            }),
        ...(top === null ? { maximumSpeed: NO_CLIMB } : {}),
        ...(climb ? {} : { climbRate: NO_CLIMB, climbRateSpeed: NO_CLIMB, climbAngle: NO_CLIMB }),
        ...(trimmed?.elevator == null ? { pitchControlAtFullPower: NO_TRIM } : {}),
      },
    };
  },
  explain: (solution, value, { stall: stalls }) => {
    const flight = flightOf(solution, stalls);
    const { design, air } = solution.prepared;
    const drives = drivesOf(design, air);
    return explainPower(value, {
      drives: typeof drives === 'string' ? [] : drives,
      weight: isFlight(flight) ? flight.weight : null,
      cruise: design.conditions.cruiseSpeed,
      figures: design.figures,
      cruiseDrag: isFlight(flight) ? flight.dragAt(flight.cruise) : null,
    });
  },
});

/** From the stall to somewhat beyond the fastest level flight, and beyond cruise. */
function curveOf(flight: Flight, cruise: MetresPerSecond, fastestLevel: MetresPerSecond | null) {
  const { drives, stallSpeed, dragAt } = flight;
  const top = 1.12 * Math.max(cruise, fastestLevel ?? 0, 1.5 * stallSpeed);
  return Array.from({ length: SPEEDS }, (_, index) => {
    const speed = stallSpeed + ((top - stallSpeed) * index) / (SPEEDS - 1);
    const level = levelAt(drives, speed, dragAt(speed), HALF);
    return {
      speed,
      drag: dragAt(speed),
      thrust: THROTTLES.map((duty) => throttled(drives, speed, duty, FULL).thrust),
      throttle: level?.duty ?? null,
      current: level?.packCurrent ?? null,
      duration: level?.duration ?? null,
    };
  });
}

const without = <Value>(all: Readonly<Record<string, Value>>, names: readonly string[]): Record<string, Value> =>
  Object.fromEntries(Object.entries(all).filter(([name]) => !names.includes(name)));
