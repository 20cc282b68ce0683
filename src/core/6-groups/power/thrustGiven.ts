import type { MetresPerSecond, Newtons } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Air } from '@/core/5-aero/atmosphere';
import { guessedThrust, THRUST_KEPT } from '../ceilings/guessedThrust';
import { drivesOf } from './drives';
import { fullThrottle } from './performance';

/** Full thrust of all drives, full pack. */
export interface ThrustGiven {
  readonly standing: Newtons;
  readonly at: (speed: MetresPerSecond) => Newtons;
  /** Computed from motor, propeller and pack, or guessed from what the motors weigh. */
  readonly isGuessed: boolean;
}

const FULL = 1;

/** Computed where motor, propeller and pack are known, else guessed from the weight of the motors (±30 %); null without either. */
export function thrustGiven(design: Pick<Design, 'massItems' | 'propulsion'>, air: Air): ThrustGiven | null {
  const drives = drivesOf(design, air);
  if (typeof drives !== 'string')
    return {
      standing: fullThrottle(drives, 0, FULL).thrust,
      at: (speed) => fullThrottle(drives, speed, FULL).thrust,
      isGuessed: false,
    };
  const standing = guessedThrust(design);
  if (standing === null) return null;
  return {
    standing,
    at: (speed) => (speed > 0 ? ((THRUST_KEPT * standing) as Newtons) : standing),
    isGuessed: true,
  };
}
