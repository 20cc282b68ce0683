import { keptLast } from '@/core/1-base/keptLast';
import type { SquareMetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Propulsion } from '@/core/2-document/schema/propulsion';
import type { Air } from '@/core/5-aero/atmosphere';
import { noLoadAt } from '@/core/5-power/motor/motor';
import { foldedDragArea, stoppedDragArea, windmillingDragArea } from '@/core/5-power/propeller/atRest';
import { motorOf, propellerMissing, propellerOf } from './drives';

/** Drag area of all propellers without power, each as it then is, by blade elements at cruise speed. ±25 % stopped, ±40 % windmilling. */
export const restingPropellerArea = (design: Pick<Design, 'propulsion' | 'conditions'>, air: Air): SquareMetres =>
  design.propulsion.reduce(
    (sum, drive) => sum + restingArea(drive, design.conditions.cruiseSpeed, air) * (drive.mirrored ? 2 : 1),
    0,
  );

/** A pitch that blades can have, where that of the label is none. */
const USUAL_PITCH = 0.6;

/** Areas that are kept worked out. */
const KEPT = 48;

type AreaKey = readonly [drive: Resting, speed: number, air: Air];
type Resting = Pick<Propulsion, 'propellerDiameter' | 'propellerPitch' | 'blades' | 'blade' | 'atRest' | 'motor'>;

const areas = keptLast(KEPT, (key: string) => areaOf(...(JSON.parse(key) as AreaKey)));

/** Of one propeller; known again for the last ones. */
export function restingArea(
  { propellerDiameter, propellerPitch, blades, blade, atRest, motor }: Propulsion,
  speed: number,
  air: Air,
): SquareMetres {
  const drive: Resting = { propellerDiameter, propellerPitch, blades, blade, atRest, ...(motor ? { motor } : {}) };
  return areas(JSON.stringify([drive, speed, air] satisfies AreaKey));
}

function areaOf(drive: Resting, speed: number, air: Air): SquareMetres {
  if (drive.propellerDiameter <= 0) return 0;
  const usable = propellerMissing(drive) === null;
  const data = usable ? drive : { ...drive, blade: [], propellerPitch: USUAL_PITCH * drive.propellerDiameter };
  const propeller = propellerOf(data);
  if (drive.atRest === 'folds') return foldedDragArea(propeller);
  const stopped = stoppedDragArea(propeller, speed, air);
  if (drive.atRest === 'stops') return stopped;
  const motor = drive.motor ? motorOf(drive.motor) : null;
  const held = motor === null ? 0 : noLoadAt(motor, 0) / motor.speedConstant;
  return windmillingDragArea(propeller, speed, air, held) ?? stopped;
}
