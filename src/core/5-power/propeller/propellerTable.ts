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

/** Coefficients on a net of advance ratio and revolutions (for the Reynolds number), straight in between. */
export function propellerTable(propeller: Propeller, air: Air): PropellerTable {
  const { diameter, places } = propeller;
  const outer = places.find(({ share }) => share >= 0.7) ?? places.at(-1)!;
  // Pitch over diameter there, at least so much that the net is not empty.
  const pitch = Math.max(0.2, Math.PI * outer.share * Math.tan(outer.angle));
  const net = TURNS.map((perSecond) =>
    ADVANCES.map((advance) => {
      const { thrust, power } = coefficients(propeller, advance * pitch * perSecond * diameter, perSecond, air);
      return { thrust, power };
    }),
  );
  const row = (index: number, advance: number) => {
    const place = Math.min(ADVANCES.length - 1.000001, Math.max(0, advance / pitch / ADVANCES[1]!));
    const [low, within] = [Math.floor(place), place - Math.floor(place)];
    const [a, b] = [net[index]![low]!, net[index]![low + 1]!];
    return { thrust: a.thrust + (b.thrust - a.thrust) * within, power: a.power + (b.power - a.power) * within };
  };
  return {
    propeller,
    at: (speed, turns) => {
      if (!(turns > 0)) return { thrust: 0 as Turning['thrust'], torque: 0 };
      // Slower than the net reaches, the wind has it as where the net ends.
      const perSecond = Math.max(turns, speed / (ADVANCES.at(-1)! * pitch * diameter));
      const advance = speed / (perSecond * diameter);
      // By the logarithm of the revolutions, as the Reynolds number counts.
      const after = Math.max(
        1,
        TURNS.findIndex((known) => known >= perSecond),
      );
      const [from, to] = [TURNS[after - 1]!, TURNS[after] ?? TURNS.at(-1)!];
      const share = Math.min(1, Math.max(0, Math.log(perSecond / from) / Math.log(to / from)));
      const [a, b] = [row(after - 1, advance), row(after, advance)];
      const scale = air.density * perSecond ** 2 * diameter ** 4;
      return {
        thrust: ((a.thrust + (b.thrust - a.thrust) * share) * scale) as Turning['thrust'],
        torque: ((a.power + (b.power - a.power) * share) * scale * diameter) / (2 * Math.PI),
      };
    },
  };
}
