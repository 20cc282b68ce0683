import type { Brief } from '@/core/2-document/schema/brief';
import type { Kilograms, MetresPerSecond } from '@/core/1-base/units/convert';

/** An arm throws by itself at this speed [m/s], as if it carried so much beside the model [kg]. */
const BARE_ARM = 11;
const ARM_MASS = 1;
/** What a grip made for it adds. */
const GOOD_GRIP = 1.1;
/** Beyond this nobody throws [kg]. */
const HEAVIEST_THROW = 3;
const BUNGEE = 14;
/** What a model weighs before anybody knows. */
const USUAL_MASS = 0.5;

/**
 * Speed out of the launch: a throw of the same effort gives v = v₀/√(1 + m/m_arm),
 * 10 m/s at 200 g, 9 at 500 g, 7.8 at 1 kg, 5.5 at 3 kg; a good grip a tenth more.
 * Practice of the field, ±15 %. Null on wheels, and where nobody throws it.
 */
export function launchSpeed({ launch, grip }: Brief, mass: Kilograms = USUAL_MASS): MetresPerSecond | null {
  if (launch === 'wheels') return null;
  if (launch === 'bungee') return BUNGEE;
  if (mass > HEAVIEST_THROW) return null;
  return (BARE_ARM * (grip === 'good' ? GOOD_GRIP : 1)) / Math.sqrt(1 + mass / ARM_MASS);
}

/** True when it is to be thrown and nobody can. */
export const isTooHeavyToThrow = ({ launch }: Brief, mass: Kilograms): boolean =>
  launch === 'hand' && mass > HEAVIEST_THROW;

export { HEAVIEST_THROW };
