import type { Design } from '@/core/2-document/schema/design';
import { kilogramsFromGrams, type Newtons } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';

/** Static thrust of a motor over its weight with a usual propeller; the middle of what generic sizes give, ±30 %. */
const THRUST_OVER_MOTOR = 16.5;

/** Static thrust that is left at climbing speed. */
export const THRUST_KEPT = 0.7;

/** Static thrust of all motors, guessed from what they weigh; null without one. */
export function guessedThrust({ massItems }: Pick<Design, 'massItems'>): Newtons | null {
  const motors = massItems
    .filter(({ category }) => category === 'motor')
    .reduce((sum, { mass, measuredMass, mirrored }) => sum + (measuredMass ?? mass) * (mirrored ? 2 : 1), 0);
  return motors > 0 ? ((kilogramsFromGrams(motors) * THRUST_OVER_MOTOR * GRAVITY) as Newtons) : null;
}
