import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import type { Newtons } from '@/core/1-base/units/convert';
import { airAt } from '@/core/5-aero/atmosphere';
import { usualPropeller } from '../propeller/blade';
import { propellerTable } from '../propeller/propellerTable';
import { heightByEnergy, rubberMass, rubberOf } from './rubber';
import { turnsUnder, unwinding } from './unwinding';

const of = (mass: number, length: number, woundTo = 1) =>
  rubberOf({ mass, length, delivered: 6000, turnsConstant: 200, woundTo });
const rubber = of(0.01, 0.4);

describe('strands of rubber', () => {
  test('weigh what their size and 0.94 g/cm³ give', () => {
    expectWithin(rubberMass({ strands: 8, length: 400, width: 3, thickness: 1 }), 0.009024, 1e-9);
  });

  test('2π ∫ Q dN is the energy that comes back', () => {
    const steps = 4000;
    let work = 0;
    for (let step = 0; step < steps; step++)
      work += (2 * Math.PI * rubber.torqueAt((rubber.mostTurns * (step + 0.5)) / steps) * rubber.mostTurns) / steps;
    expectWithin(work, 60, 1e-4);
    expectWithin(rubber.energyOf(rubber.mostTurns), 60, 1e-9);
    const eighty = of(0.01, 0.4, 0.8);
    let part = 0;
    for (let step = 0; step < steps; step++)
      part += (2 * Math.PI * eighty.torqueAt((eighty.wound * (step + 0.5)) / steps) * eighty.wound) / steps;
    expectWithin(part, eighty.energyOf(eighty.wound), 1e-4);
  });

  test('turns go with √(L³/m), torque with √(m³/L³)', () => {
    expectWithin(rubber.mostTurns, 200 * Math.sqrt(0.4 ** 3 / 0.01), 1e-12);
    const heavy = of(0.02, 0.4);
    expectWithin(heavy.mostTurns / rubber.mostTurns, 1 / Math.SQRT2, 1e-9);
    expectWithin(heavy.torqueAt(heavy.mostTurns / 2) / rubber.torqueAt(rubber.mostTurns / 2), 2 ** 1.5, 1e-9);
    const long = of(0.01, 0.8);
    expectWithin(long.torqueAt(long.mostTurns / 2) / rubber.torqueAt(rubber.mostTurns / 2), 2 ** -1.5, 1e-9);
  });

  test('a quarter of its weight at 5 kJ/kg and 0.6 lifts it 76.5 m', () => {
    expectWithin(heightByEnergy(0.25 * 5000, 0.6, 9.80665), 76.5, 1e-3);
  });
});

describe('a motor that runs down', () => {
  const propeller = propellerTable(usualPropeller(0.32, 0.38, 2), airAt(0, 15));
  const flight = (strings: ReturnType<typeof of>, weight = 1.2) =>
    unwinding({
      rubber: strings,
      propeller,
      count: 1,
      speed: 5,
      weight: weight as Newtons,
      drag: (0.12 * weight) as Newtons,
    });
  const wound = of(0.03, 0.6, 0.8);
  const flown = flight(wound);

  test('no more work than energy; what is climbed is what thrust leaves over drag', () => {
    expect(flown.work).toBeLessThan(wound.energyOf(wound.wound));
    expect(flown.work).toBeGreaterThan(0.3 * wound.energyOf(wound.wound));
    // W h = ∫ (T − D) V dt up to the last moment.
    const { moments, runTime } = flown;
    const gained = moments.reduce((sum, { thrust, time }, index) => {
      const lasts = (moments[index + 1]?.time ?? runTime) - time;
      return sum + (thrust - 0.12 * 1.2) * 5 * lasts;
    }, 0);
    const last = moments.at(-1)!;
    const rest = ((last.thrust - 0.144) / 1.2) * 5 * (runTime - last.time);
    expectWithin(1.2 * (last.height + rest), gained, 1e-6);
    expect(flown.highest).toBeLessThanOrEqual(heightByEnergy(flown.work, 1, 1.2));
  });

  test('turns run out as they are counted, and the propeller takes the torque of the strands', () => {
    const { moments } = flown;
    moments.forEach(({ torque, perSecond, turnsLeft }) => {
      expectWithin(propeller.at(5, perSecond).torque, torque, 1e-3);
      expectWithin(wound.torqueAt(turnsLeft), torque, 1e-9);
    });
    expectWithin(turnsUnder(propeller, 5, propeller.at(5, 12).torque), 12, 1e-4);
  });

  test('too heavy for its strands it never climbs', () => {
    expect(flight(of(0.003, 0.4, 0.8), 6).climbsFor).toBeNull();
    expect(flown.climbsFor!).toBeGreaterThan(0);
  });
});
