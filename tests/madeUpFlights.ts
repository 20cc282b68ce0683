import { degreesFromRadians } from '@/core/1-base/units/convert';
import { flightSchema } from '@/core/2-document/records/recordKinds';
import { evenNumber } from '@/core/8-bench/instruments/standIn';
import type { Faulty } from '@/core/8-field/faults';
import { predictAt } from '@/core/8-field/predict';
import type { Flight, FlightRun } from '@/core/8-field/sights';

/** Even and normal numbers of one seed. */
export function chance(seed: number) {
  let place = 0;
  const even = () => evenNumber(seed, place++);
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  return { even, normal };
}

/** Flights of an aircraft as it truly is: at two speeds with power and without, and a stall; noted to a tenth, trims to a click. */
export function madeUpFlights(truth: Faulty, speeds: readonly number[], count: number, seed: number): Flight[] {
  const { normal } = chance(seed);
  const flown = speeds.map((speed) => ({ speed, ...predictAt(truth.design, speed, truth) }));
  const trim = (angle: number | null) =>
    angle === null
      ? undefined
      : degreesFromRadians(angle) + 0.25 * normal() + 0.1 * degreesFromRadians(angle) * normal();
  const share = (value: number | null | undefined) => (value ? value * Math.max(0.5, 1 + 0.1 * normal()) : undefined);
  return Array.from({ length: count }, (_, index) =>
    flightSchema.parse({
      id: `flight${index + 1}`,
      at: `2026-06-0${index + 1}T10:00:00Z`,
      runs: [
        ...flown.flatMap(({ speed, pitchPower, pitchFull, pitchGlide, roll, glideRatio }): Partial<FlightRun>[] => [
          { kind: 'level', speed, pitch: trim(pitchPower), roll: trim(roll) },
          { kind: 'climb', speed, pitch: trim(pitchFull) },
          { kind: 'glide', speed, pitch: trim(pitchGlide), roll: trim(roll), glideRatio: share(glideRatio) },
        ]),
        { kind: 'stall', speed: share(flown[0]?.stallSpeed) },
      ],
    }),
  );
}
