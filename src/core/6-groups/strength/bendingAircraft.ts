import type { Kilograms } from '@/core/1-base/units/convert';
import { type SuppleAircraft, suppleAircraft } from '@/core/5-strength/aircraft/suppleAircraft';
import type { Solution } from '../solution/solution';

/** A solved aircraft as it bends about its trim at cruise speed. @param boomsSofter how many times as far as computed its booms give way */
export function bendingAircraft(
  solution: Solution,
  {
    mass,
    downwash,
    boomsSofter,
  }: { readonly mass: Kilograms; readonly downwash: number | null; readonly boomsSofter?: number },
): SuppleAircraft {
  const { design, air, about } = solution.prepared;
  return suppleAircraft({
    design,
    model: solution.model,
    air,
    mass,
    about,
    cruise: {
      pressure: (air.density * design.conditions.cruiseSpeed ** 2) / 2,
      alpha: solution.alpha,
      downwash: downwash ?? 0,
    },
    ...(boomsSofter === undefined ? {} : { boomsSofter }),
  });
}
