import { metresFromMillimetres } from '@/core/1-base/units/convert';
import type { Check, CheckInput } from './check';
import { fuselage, held, landingFactor, leg, motorMount } from './landing';
import { bands, coverPull, finRoot, saddle, socket } from './wingJoints';

/** All checks that what is drawn allows. */
export function checksOf(input: CheckInput): Check[] {
  const { design } = input;
  const { landingSink, landingTravel } = design.loads;
  const landing = landingFactor(landingSink, metresFromMillimetres(landingTravel));
  return [
    ...input.placed.flatMap((surface) => [
      ...bands(input, surface),
      ...socket(input, surface),
      ...finRoot(input, surface),
      ...coverPull(input, surface),
      ...saddle(input, surface),
    ]),
    ...design.massItems.flatMap((item) => held(item, landing)),
    ...design.massItems.flatMap((item) => motorMount(design, item, landing)),
    ...design.bodies.flatMap((body) => fuselage(input, body, landing)),
    ...design.wheels.flatMap((wheel) => leg(input, wheel, landing)),
  ];
}
