import { keptLast } from '@/core/1-base/keptLast';
import { type Air, GRAVITY } from '@/core/5-aero/atmosphere';
import { kilogramsFromGrams, type Metres, metresFromMillimetres, type Newtons } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { BladeStation, MotorData, Propulsion } from '@/core/2-document/schema/propulsion';
import { calibrate } from '@/core/5-power/drive/benchTest';
import type { Drive } from '@/core/5-power/drive/drive';
import { motorByMass } from '@/core/5-power/motor/motorByMass';
import { type Motor, speedConstantOf } from '@/core/5-power/motor/motor';
import { packOf } from '@/core/5-power/pack/pack';
import { calibrated } from '@/core/5-power/propeller/calibrated';
import { type Propeller, usualPropeller } from '@/core/5-power/propeller/blade';
import { ownPropeller } from '@/core/5-power/propeller/ownBlade';
import { type PropellerTable, propellerTable } from '@/core/5-power/propeller/propellerTable';

/** Propellers that are kept worked out. */
const KEPT = 48;

export interface PropellerData {
  readonly propellerDiameter: number;
  readonly propellerPitch: number;
  readonly blades: number;
  readonly blade?: readonly BladeStation[];
}

/** A propeller as the document describes it: by its own blade where that was measured, else by its label. */
export function propellerOf({ propellerDiameter, propellerPitch, blades, blade = [] }: PropellerData): Propeller {
  const diameter: Metres = metresFromMillimetres(propellerDiameter);
  return blade.length >= 2
    ? ownPropeller(diameter, blades, blade)
    : usualPropeller(diameter, metresFromMillimetres(propellerPitch), blades);
}

type TableKey = readonly [data: PropellerData, density: number, viscosity: number];

const tables = keptLast(KEPT, (key: string) => {
  const [data, density, viscosity] = JSON.parse(key) as TableKey;
  return propellerTable(propellerOf(data), { density, viscosity });
});

/** The table of a propeller in that air; known again for the last ones. */
export function tableOf(
  { propellerDiameter, propellerPitch, blades, blade = [] }: PropellerData,
  air: Air,
): PropellerTable {
  const data = { propellerDiameter, propellerPitch, blades, blade };
  return tables(JSON.stringify([data, air.density, air.viscosity] satisfies TableKey));
}

export const NO_DRIVE = 'No drive is drawn.';
export const RUBBER = 'Rubber drives it: it has neither throttle nor pack.';

/** A motor by what is typed of it; what is not is estimated from its mass. Null where neither is known. */
export function motorOf({ speedConstant, mass, resistance, noLoadCurrent, noLoadVoltage }: MotorData): Motor | null {
  const constant = speedConstantOf(speedConstant);
  const usual = mass !== undefined && mass > 0 ? motorByMass(kilogramsFromGrams(mass), constant) : null;
  const own = { resistance: resistance ?? usual?.resistance, noLoadCurrent: noLoadCurrent ?? usual?.noLoadCurrent };
  if (own.resistance === undefined || own.noLoadCurrent === undefined) return null;
  return {
    speedConstant: constant,
    resistance: own.resistance,
    noLoadCurrent: own.noLoadCurrent,
    ...(noLoadVoltage === undefined ? {} : { noLoadSpeed: constant * noLoadVoltage }),
  };
}

/** A drive of a design with what the computation makes of it. */
export interface DesignDrive extends Drive {
  readonly source: Propulsion;
  /** How far a bench test moved thrust and torque from the blade elements; 1 without one. */
  readonly calibration: { readonly thrust: number; readonly torque: number };
  /** This builder’s own figure of thrust as it counts here; 1 where its thrust was measured. */
  readonly own: number;
}

/** Whether its thrust was measured. */
const isThrustSeen = ({ benchTest }: Propulsion): boolean => benchTest?.thrust !== undefined;

/** All drives of a design, or what is not known of one. */
export function drivesOf(
  { propulsion, figures }: Pick<Design, 'propulsion' | 'figures'>,
  air: Air,
): readonly DesignDrive[] | string {
  if (propulsion.length === 0) return NO_DRIVE;
  const drives: DesignDrive[] = [];
  for (const one of propulsion) {
    const drive = driveOf(one, air, figures?.thrust ?? 1);
    if (typeof drive === 'string') return drive;
    drives.push(drive);
  }
  return drives;
}

function driveOf(one: Propulsion, air: Air, ownThrust: number): DesignDrive | string {
  if (one.rubber) return RUBBER;
  const missing = missingOf(one);
  if (missing) return missing;
  const { benchTest } = one;
  const own = isThrustSeen(one) ? 1 : ownThrust;
  const drive: Drive = {
    motor: motorOf(one.motor!)!,
    propeller: calibrated(tableOf(one, air), own, 1),
    count: one.mirrored ? 2 : 1,
    pack: packOf(one.pack!),
    ...(one.controller?.resistance === undefined ? {} : { controller: one.controller.resistance }),
  };
  if (!benchTest) return { ...drive, source: one, own, calibration: { thrust: 1, torque: 1 } };
  const { thrust, turns, volts, current } = benchTest;
  const set = calibrate(drive, {
    thrust: thrust === undefined ? undefined : ((kilogramsFromGrams(thrust) * GRAVITY) as Newtons),
    turns: turns === undefined ? undefined : turns / 60,
    volts,
    current,
  });
  if (!set.ok) return set.reason;
  return { ...set.drive, source: one, own, calibration: { thrust: set.thrust, torque: set.torque } };
}

/** A winding without resistance would take any current [Ω]. */
const LEAST_RESISTANCE = 1e-4;

/** What of a propeller is not to be computed with. */
export function propellerMissing({
  propellerDiameter,
  propellerPitch,
  blade,
}: Pick<Propulsion, 'propellerDiameter' | 'propellerPitch' | 'blade'>): string | null {
  if (propellerDiameter < 20) return 'The propeller has no size: type its diameter.';
  if (blade.length === 1) return 'One place of a blade says nothing of its twist: measure at least two.';
  if (blade.length >= 2) return null;
  if (propellerPitch <= 0) return 'The propeller has no pitch: type it.';
  if (propellerPitch > 2 * propellerDiameter)
    return 'The pitch of the propeller is over twice its diameter: no blade works so steep. Look at both again.';
  return null;
}

function missingOf(drive: Propulsion): string | null {
  const { motor, pack } = drive;
  if (!motor)
    return 'Nothing is known of the motor: type its speed constant, and its mass or its winding and no-load current.';
  const own = motorOf(motor);
  if (!own)
    return 'Winding and no-load current of the motor are not known: type them, or what it weighs, and they are estimated.';
  if (!pack) return 'Nothing is known of the pack: type its cells and its capacity.';
  if (own.resistance < LEAST_RESISTANCE) return 'The winding of the motor has no resistance: type what was measured.';
  if (motor.maximumCurrent !== undefined && own.noLoadCurrent >= motor.maximumCurrent)
    return 'The motor takes as much without a load as it bears at all: look at its no-load current and its limit again.';
  return propellerMissing(drive);
}
