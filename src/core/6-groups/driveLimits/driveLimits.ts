import { z } from 'zod';
import { kilogramsFromGrams } from '@/core/1-base/units/convert';
import { type Drive, runDrive, type Running } from '@/core/5-power/drive/drive';
import { currentByHeat, heatOf, warmed } from '@/core/5-power/motor/motorByMass';
import { noLoadAt } from '@/core/5-power/motor/motor';
import { usualPackCurrent } from '@/core/5-power/pack/pack';
import { valueGroup } from '../group';
import { maybe, quantity, text } from '../keys';
import { type DesignDrive, drivesOf } from '../power/drives';
import { FULL } from '../power/flight';

const limit = z
  .object({
    current: quantity('current', 'What it carries at rest, full throttle, full pack'),
    bears: maybe('current', 'What it bears for as long as it flies; null where nobody says and nothing tells'),
    isEstimated: z.boolean().meta({ description: 'True where that is not typed but estimated' }),
  })
  .meta({ description: 'Current against what bears it' });

const value = z.array(
  z.object({
    id: text('Drive by its id'),
    drive: text('Drive by its name'),
    motor: limit,
    controller: limit,
    pack: limit,
    windingRise: maybe(
      'warming',
      'How much hotter than the air the motor gets there if it lasts, where its mass is known',
    ),
    tipSpeed: quantity('speed', 'Speed of the tips of its propeller there'),
    thrustFactor: quantity('ratio', 'Thrust of the bench test over that of the blade elements; 1 without one'),
    torqueFactor: quantity('ratio', 'Torque of the bench test over that of the blade elements; 1 without one'),
  }),
);

/** What motors, controllers and packs carry at full throttle against what they bear. */
export const driveLimits = valueGroup(value, {
  id: 'driveLimits',
  title: 'Limits of the drives',
  needs: {},
  compute: ({ prepared: { design, air, surfacesOnly } }) => {
    const drives = surfacesOnly ? NO_DRIVES : drivesOf(design, air);
    return typeof drives === 'string' ? [] : drives.map(limitsOf);
  },
});

const NO_DRIVES: readonly DesignDrive[] = [];

function limitsOf(drive: DesignDrive) {
  const { motor: data, controller, pack, name, id } = drive.source;
  const running = runDrive(drive, 0, 1, FULL);
  const { diameter } = drive.propeller.propeller;
  const omega = 2 * Math.PI * running.perSecond;
  const mass = data?.mass === undefined ? null : kilogramsFromGrams(data.mass);
  const idle = (noLoadAt(drive.motor, omega) * omega) / drive.motor.speedConstant;
  const byHeat = mass === null ? null : currentByHeat(drive.motor, mass, idle);
  const typed = (bears: number | undefined, current: number, estimate: number | null) => ({
    current,
    bears: bears ?? estimate,
    isEstimated: bears === undefined,
  });
  return {
    id,
    drive: name || id,
    motor: typed(data?.maximumCurrent, running.motorCurrent, byHeat),
    controller: typed(controller?.maximumCurrent, running.motorCurrent, null),
    pack: typed(pack?.maximumCurrent, running.packCurrent, pack ? usualPackCurrent(pack) : null),
    windingRise: mass === null ? null : riseOf(drive, mass, running),
    tipSpeed: (omega * diameter) / 2,
    thrustFactor: drive.calibration.thrust,
    torqueFactor: drive.calibration.torque,
  };
}

/** Rounds after which winding and heat agree. */
const ROUNDS = 4;

/** Rise of the winding at full throttle at rest [K]; the winding takes more as it warms. */
function riseOf(drive: Drive, mass: number, first: Running): number {
  let [running, motor, rise] = [first, drive.motor, 0];
  for (let round = 0; round < ROUNDS; round++) {
    ({ rise, motor } = warmed(drive.motor, mass, heatOf(motor, running.motorCurrent, 2 * Math.PI * running.perSecond)));
    running = runDrive({ ...drive, motor }, 0, 1, FULL);
  }
  return rise;
}
