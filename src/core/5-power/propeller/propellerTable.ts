import type { Air } from '@/core/5-aero/atmosphere';
import type { MetresPerSecond } from '@/core/1-base/units/convert';
import { coefficients, type Turning } from './bladeElements';
import type { Propeller } from './blade';

/** Thrust and torque by speed and revolutions per second, from a table that is worked out once. */
export interface PropellerTable {
  readonly propeller: Propeller;
  readonly at: (speed: MetresPerSecond, perSecond: number) => Turning;
}

/** Advance ratios over that at which the chord of the tip region meets the air flat, and revolutions per second. */
const ADVANCES = Array.from({ length: 31 }, (_, index) => (2 * index) / 30);
const TURNS = [15, 40, 100, 240] as const;
const LOGARITHMS = TURNS.map((turns) => Math.log(turns));

/** Coefficients on a net of advance ratio and revolutions (for the Reynolds number), straight in between. */
export function propellerTable(propeller: Propeller, air: Air): PropellerTable {
  const { diameter, places } = propeller;
  const outer = places.find(({ share }) => share >= 0.7) ?? places.at(-1)!;
  // Pitch over diameter there, at least so much that the net is not empty.
  const pitch = Math.max(0.2, Math.PI * outer.share * Math.tan(outer.angle));
  const width = ADVANCES.length;
  const thrusts = new Float64Array(TURNS.length * width);
  const powers = new Float64Array(TURNS.length * width);
  TURNS.forEach((perSecond, row) =>
    ADVANCES.forEach((advance, column) => {
      const { thrust, power } = coefficients(propeller, advance * pitch * perSecond * diameter, perSecond, air);
      thrusts[row * width + column] = thrust;
      powers[row * width + column] = power;
    }),
  );
  const turn = diameter / (2 * Math.PI);
  return {
    propeller,
    at: (speed, turns) => {
      if (!(turns > 0)) return { thrust: 0 as Turning['thrust'], torque: 0 };
      // Slower than the net reaches, the wind has it as where the net ends.
      const perSecond = Math.max(turns, speed / (ADVANCES[width - 1]! * pitch * diameter));
      const advance = speed / (perSecond * diameter);
      // By the logarithm of the revolutions, as the Reynolds number counts; faster than the net reaches as where it ends.
      let after = 1;
      while (after < TURNS.length - 1 && TURNS[after]! < perSecond) after++;
      const across = (Math.log(perSecond) - LOGARITHMS[after - 1]!) / (LOGARITHMS[after]! - LOGARITHMS[after - 1]!);
      const share = Math.min(1, Math.max(0, across));
      const place = Math.min(width - 1.000001, Math.max(0, advance / pitch / ADVANCES[1]!));
      const column = Math.floor(place);
      const within = place - column;
      const first = (after - 1) * width + column;
      const second = first + width;
      /** Straight in between on the net. */
      const between = (net: Float64Array) => {
        const a = net[first]! + (net[first + 1]! - net[first]!) * within;
        const b = net[second]! + (net[second + 1]! - net[second]!) * within;
        return a + (b - a) * share;
      };
      const scale = air.density * perSecond ** 2 * diameter ** 4;
      return {
        thrust: (between(thrusts) * scale) as Turning['thrust'],
        torque: between(powers) * scale * turn,
      };
    },
  };
}
