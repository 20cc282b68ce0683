import { z } from 'zod';
import { kilogramsFromGrams, metresFromMillimetres, type Newtons } from '@/core/1-base/units/convert';
import type { Propulsion, RubberData } from '@/core/2-document/schema/propulsion';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { heightByEnergy, type Rubber, rubberMass, rubberOf } from '@/core/5-power/rubber/rubber';
import { turnsUnder, unwinding, type Unwinding } from '@/core/5-power/rubber/unwinding';
import { emptyNumbers, numbersGroup, reasonsOfNulls } from '../group';
import { maybe, quantity, text } from '../keys';
import { propellerMissing, tableOf } from '../power/drives';
import { poweredDrag } from '../power/poweredDrag';
import { speeds } from '../speeds/speeds';
import { stall } from '../stall/stall';
import { NO_MASS, NO_VISCOSITY } from '../words';

const moment = z.object({
  time: quantity('time', 'Since it was let go'),
  height: quantity('distance', 'Over where it was let go'),
  torque: quantity('moment', 'Of one motor'),
  thrust: quantity('force', 'Of all propellers'),
  turnsLeft: quantity('ratio', 'Turns that are left'),
});

const keys = z.object({
  drive: text('Drive with rubber, by its name').nullable(),
  mass: maybe('mass', 'Rubber of all motors'),
  massShare: maybe('percent', 'Of the flying mass'),
  mostTurns: maybe('ratio', 'Turns at which one breaks'),
  woundTurns: maybe('ratio', 'Turns that it is wound to'),
  energy: maybe('energy', 'What comes back from all of them'),
  mostTorque: maybe('moment', 'Torque of one when it is let go'),
  middleTorque: maybe('moment', 'Torque of one with half of its turns'),
  staticThrust: maybe('force', 'Thrust of all propellers at rest with that torque'),
  efficiency: maybe('percent', 'Work of the propellers over energy, over the whole run'),
  runTime: maybe('time', 'Until the last turn, at the speed of least sink'),
  climbTime: maybe('time', 'How long it climbs of that'),
  height: maybe('distance', 'Highest over where it was let go'),
  heightByEnergy: maybe('distance', 'Height if all of the work went into it: more than that it never climbs'),
  duration: maybe('time', 'Until it has sunk back to there'),
  run: z.array(moment),
});

const NO_RUBBER = 'No drive turns by rubber.';
const NO_STRANDS = 'The strands have no size: type length, width and thickness of the strip.';
const NO_DRAG = 'Its drag could not be computed.';
const NO_CLIMB = 'Its thrust is never more than the drag.';
const NO_GLIDE = 'Its glide is not known.';

/** Rubber in place of motor and pack: what it holds, how it runs down, and how high that lifts it. */
export const rubber = numbersGroup(keys, {
  id: 'rubber',
  title: 'Rubber motor',
  needs: { stall, speeds },
  compute: (solution, { stall: { speed: stallSpeed, reasons }, speeds: { minimumSink, sink } }) => {
    const { design, air, weights, surfacesOnly } = solution.prepared;
    const drive = design.propulsion.find(({ rubber: strands }) => strands);
    if (!drive?.rubber) return emptyNumbers(keys, NO_RUBBER);
    if (surfacesOnly) return emptyNumbers(keys, NO_VISCOSITY);
    const missing = propellerMissing(drive);
    if (missing) return emptyNumbers(keys, missing);
    const mass = weights.properties?.total;
    if (mass === undefined) return emptyNumbers(keys, NO_MASS);
    const motor = motorOf(drive.rubber);
    if (!motor) return emptyNumbers(keys, NO_STRANDS);
    const count = drive.mirrored ? 2 : 1;
    const propeller = tableOf(drive, air);
    const most = motor.torqueAt(motor.wound);
    const energy = count * motor.energyOf(motor.wound);
    const weight = (mass * GRAVITY) as Newtons;
    const known = {
      drive: nameOf(drive),
      mass: count * motor.mass,
      massShare: (count * motor.mass) / mass,
      mostTurns: motor.mostTurns,
      woundTurns: motor.wound,
      energy,
      mostTorque: most,
      middleTorque: motor.torqueAt(motor.wound / 2),
      staticThrust: count * propeller.at(0, turnsUnder(propeller, 0, most)).thrust,
    };
    const dragAt = stallSpeed === null ? null : poweredDrag(solution, stallSpeed);
    if (stallSpeed === null || !dragAt) {
      const nothing = emptyNumbers(keys, reasons['speed'] ?? NO_DRAG);
      const left = Object.entries(nothing.reasons).filter(([key]) => !(key in known));
      return { ...nothing, ...known, reasons: Object.fromEntries(left) };
    }
    const speed = minimumSink ?? OVER_STALL * stallSpeed;
    const flown = unwinding({ rubber: motor, propeller, count, speed, weight, drag: dragAt(speed) });
    const values = { ...known, ...flightOf(flown, { energy, weight, sink }) };
    return {
      ...values,
      run: flown.moments
        .filter((_, index) => index % EVERY === 0)
        .map(({ time, height, torque, thrust, turnsLeft }) => ({ time, height, torque, thrust, turnsLeft })),
      reasons: { ...reasonsOfNulls(values, NO_CLIMB), ...(values.duration === null ? { duration: NO_GLIDE } : {}) },
    };
  },
});

/** Where the speed of least sink is not known. */
const OVER_STALL = 1.2;
/** One of so many moments is told. */
const EVERY = 4;

const nameOf = ({ name, id }: Propulsion): string => name || id;

/** A motor of rubber by what is typed of it; null where it has no size. */
function motorOf(data: RubberData): Rubber | null {
  const mass = data.mass === undefined ? rubberMass(data) : kilogramsFromGrams(data.mass);
  const length = metresFromMillimetres(data.length);
  if (!(mass > 0) || !(length > 0)) return null;
  return rubberOf({
    mass,
    length,
    delivered: data.energy * JOULES_PER_KILOJOULE * data.returned,
    turnsConstant: data.turnsConstant,
    woundTo: data.woundTo,
  });
}

const JOULES_PER_KILOJOULE = 1000;

interface Given {
  readonly energy: number;
  readonly weight: number;
  readonly sink: number | null;
}

function flightOf({ runTime, climbsFor, highest, work, moments }: Unwinding, { energy, weight, sink }: Given) {
  const last = moments.at(-1)!;
  const efficiency = Math.max(0, work / energy);
  return {
    efficiency,
    runTime,
    climbTime: climbsFor,
    height: climbsFor === null ? null : highest,
    heightByEnergy: heightByEnergy(energy, efficiency, weight),
    duration: sink !== null && sink > 0 ? runTime + Math.max(0, last.height) / sink : null,
  };
}
