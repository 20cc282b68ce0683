import { kilogramsFromGrams } from '@/core/1-base/units/convert';
import type { MotorData, PackData } from '@/core/2-document/schema/propulsion';
import { motorByMass } from '@/core/5-power/motor/motorByMass';
import { speedConstantOf } from '@/core/5-power/motor/motor';
import { packOf } from '@/core/5-power/pack/pack';
import { decimal } from '@/words/formatQuantity';

const WARM = 20;

/** What is estimated of a motor by its mass, where it has one. */
export const motorEstimate = ({ mass, speedConstant }: MotorData) =>
  mass === undefined || mass <= 0 ? null : motorByMass(kilogramsFromGrams(mass), speedConstantOf(speedConstant));

/** Resistance of a pack of that capacity, new and warm [Ω]. */
export const usualResistance = (pack: PackData): number =>
  packOf({ ...pack, resistance: undefined, temperature: WARM, cycles: 0 }).resistance;

/** An estimate as it stands in an empty field. */
export const about = (value: number | null, digits: number): string =>
  value === null ? '' : `≈ ${decimal(value, digits)}`;
