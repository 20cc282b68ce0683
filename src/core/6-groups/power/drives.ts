import type { Air } from '@/core/5-aero/atmosphere';
import { type Metres, metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Propulsion } from '@/core/2-document/schema/airframe';
import type { Drive } from '@/core/5-power/drive/drive';
import { speedConstantOf } from '@/core/5-power/motor/motor';
import { chargeOf } from '@/core/5-power/pack/pack';
import { usualPropeller } from '@/core/5-power/propeller/blade';
import { type PropellerTable, propellerTable } from '@/core/5-power/propeller/propellerTable';

/** Propellers that are kept worked out. */
const KEPT = 24;
const tables = new Map<string, PropellerTable>();

/** The table of a usual propeller of that size in that air; known again for the last ones. */
function tableOf(diameter: Metres, pitch: Metres, blades: number, air: Air): PropellerTable {
  const key = [diameter, pitch, blades, air.density, air.viscosity].join(' ');
  const known = tables.get(key);
  if (known) return known;
  const made = propellerTable(usualPropeller(diameter, pitch, blades), air);
  const [oldest] = tables.keys();
  if (tables.size >= KEPT && oldest !== undefined) tables.delete(oldest);
  tables.set(key, made);
  return made;
}

export const NO_DRIVE = 'No drive is drawn.';

/** All drives of a design, or what is not known of one. */
export function drivesOf({ propulsion }: Pick<Design, 'propulsion'>, air: Air): readonly Drive[] | string {
  if (propulsion.length === 0) return NO_DRIVE;
  const drives: Drive[] = [];
  for (const one of propulsion) {
    const missing = missingOf(one);
    if (missing) return missing;
    const motor = one.motor!;
    const pack = one.pack!;
    drives.push({
      motor: {
        speedConstant: speedConstantOf(motor.speedConstant),
        resistance: motor.resistance,
        noLoadCurrent: motor.noLoadCurrent,
      },
      propeller: tableOf(
        metresFromMillimetres(one.propellerDiameter),
        metresFromMillimetres(one.propellerPitch),
        one.blades,
        air,
      ),
      count: one.mirrored ? 2 : 1,
      pack: { cells: pack.cells, charge: chargeOf(pack.capacity), resistance: pack.resistance },
    });
  }
  return drives;
}

/** A winding without resistance would take any current [Ω]. */
const LEAST_RESISTANCE = 1e-4;

function missingOf({ motor, pack, propellerDiameter, propellerPitch }: Propulsion): string | null {
  if (!motor) return 'Nothing is known of the motor: type its speed constant, resistance and no-load current.';
  if (!pack) return 'Nothing is known of the pack: type its cells and its capacity.';
  if (motor.resistance < LEAST_RESISTANCE) return 'The winding of the motor has no resistance: type what was measured.';
  if (propellerDiameter < 20) return 'The propeller has no size: type its diameter.';
  if (propellerPitch <= 0) return 'The propeller has no pitch: type it.';
  if (propellerPitch > 2 * propellerDiameter)
    return 'The pitch of the propeller is over twice its diameter: no blade works so steep. Look at both again.';
  return null;
}
