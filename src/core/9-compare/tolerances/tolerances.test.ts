import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { degreesFromRadians, type Radians, radiansFromDegrees, type Seconds } from '@/core/1-base/units/convert';
import type { RecordOf } from '@/core/2-document/records/recordKinds';
import type { Design } from '@/core/2-document/schema/design';
import { NO_FIGURES } from '@/core/2-document/schema/figures';
import { numbersOf } from '@/core/6-groups/solve';
import { drawnOf, withFault } from '@/core/8-field/faults';
import { rollAsked } from '@/core/7-verdict/rules/leftRight';
import { fly } from '@/core/7-flight/fly';
import type { Throw } from '@/core/7-flight/flightRecord';
import { type FlyingModel, flyingModel } from '@/core/7-flight/flyingModel';
import { type ThrustOf, thrustOf } from '@/core/7-flight/thrust';
import { type Glider, gliderOf } from '@/core/7-flight/toss/glider';
import { tossOften } from '@/core/7-flight/toss/tossOften';
import { toleratedAircraft, type ToleratedAircraft } from './builtAircraft';
import { normalDraws, quantileOf } from './draws';
import { type BuiltOff, builtPlan, goesWell, thrownOf } from './firstThrow';
import { tolerancesOf } from './inputs';
import { tolerate } from './tolerances';

/** As hands are, without the ± of its own. */
const design: Design = { ...demoDesign('lagoon-postman'), tolerances: [] };
/** The same off its wheels: nobody throws it, and no throw has to be flown. */
const unthrown: Design = { ...design, brief: { ...design.brief, launch: 'wheels' } };
const aircraftOf = (of: Design): ToleratedAircraft => {
  const aircraft = toleratedAircraft(of);
  if (!aircraft.ok) throw new Error(aircraft.because);
  return aircraft;
};
/** Off by so much in one input, everything else as drawn. */
const offBy = ({ tolerances }: ToleratedAircraft, values: Readonly<Record<string, number>>) => {
  for (const id of Object.keys(values)) expect(tolerances.map((one) => one.id)).toContain(id);
  return Float64Array.from(tolerances, ({ id }) => values[id] ?? 0);
};
const told = (of: Design, draws = 512, seed = 1) => {
  const all = finish(tolerate(of, { draws, seed }));
  if (!all.ok) throw new Error(all.because);
  return all;
};

describe('draws', () => {
  test('have the mean and the spread of a normal distribution, each slice once, and are alike for a seed', () => {
    const [one, other] = normalDraws(1000, 2, 7);
    for (const values of [one!, other!]) {
      const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
      const square = values.reduce((sum, value) => sum + value ** 2, 0) / values.length;
      expect(Math.abs(mean)).toBeLessThan(1e-6);
      expectWithin(square, 1, 0.01);
    }
    expect([...one!].toSorted((a, b) => a - b)).toEqual([...other!].toSorted((a, b) => a - b));
    expect(one).not.toEqual(other);
    const product = one!.reduce((sum, value, index) => sum + value * other![index]!, 0) / 1000;
    expect(Math.abs(product)).toBeLessThan(3 / Math.sqrt(1000));
    expect(normalDraws(1000, 2, 7)).toEqual([one, other]);
    expect(normalDraws(1000, 2, 8)).not.toEqual([one, other]);
    // The slice at the upper quartile, by the table: 0.6745.
    expect(quantileOf(one!.slice().sort(), 0.75)).toBeCloseTo(0.6745, 2);
  });

  test('quantiles lie between the two nearest', () => {
    expect(quantileOf([1, 2, 4], 0.5)).toBe(2);
    expect(quantileOf([1, 2, 4], 0.75)).toBe(3);
    expect(quantileOf([5], 0.05)).toBe(5);
  });
});

describe('linear cases', () => {
  test('the margin is spread by √(2.5² + σ_NP²)/c̄, both in mm', () => {
    const { outputs, tolerances } = told(unthrown, 1000);
    const chord = numbersOf(design).reference.meanChord!;
    const neutral = tolerances.find(({ id }) => id === 'neutralPoint')!.sigma;
    const sigma = Math.hypot(0.0025, neutral) / chord;
    const margin = outputs['pitch.staticMargin']!;
    expectWithin(margin.sigma, sigma, 3 / Math.sqrt(2 * 1000));
    expect(Math.abs(margin.mean - margin.drawn!)).toBeLessThan((3 * sigma) / Math.sqrt(1000));
    expectWithin(margin.shares['balance']!, 0.0025 ** 2 / (0.0025 ** 2 + neutral ** 2), 1e-3);
  });

  test('a balance point that was read is built about, as closely as it was read', () => {
    const { reference, mass } = numbersOf(design);
    const drawn = 1000 * mass.cg![0];
    const reading = (value: number, at: string, more: object = {}) => ({
      id: at,
      at: `2026-11-${at}T10:00:00Z`,
      what: 'balance' as const,
      value,
      plusMinus: 1,
      notes: '',
      ...more,
    });
    const by = (...readings: RecordOf<'benchReadings'>[]) => {
      const built = finish(tolerate(unthrown, { draws: 1000, seed: 1, readings }));
      if (!built.ok) throw new Error(built.because);
      return built;
    };
    const { outputs, tolerances } = by(reading(drawn - 1, '18'), reading(drawn + 4, '20'));
    const neutral = tolerances.find(({ id }) => id === 'neutralPoint')!.sigma;
    const sigma = Math.hypot(0.0005, neutral) / reference.meanChord!;
    const margin = outputs['pitch.staticMargin']!;
    expectWithin(margin.sigma, sigma, 3 / Math.sqrt(2 * 1000));
    // The last reading counts: four millimetres aft are as much less margin.
    const less = 0.004 / reference.meanChord!;
    expect(Math.abs(margin.mean - margin.drawn! + less)).toBeLessThan((3 * sigma) / Math.sqrt(1000));
    // One of another revision says nothing of this one; one far off is told, and does not count.
    const none = told(unthrown, 1000);
    expect(by(reading(drawn + 4, '20', { revision: 'r1' })).outputs).toEqual(none.outputs);
    const far = by(reading(drawn - 20, '21'));
    expect(far.outputs).toEqual(none.outputs);
    expect(far.reasons['balance']).toMatch(/further ahead of the drawn one than hands are off/);
    expect(far.chances).toEqual(none.chances);
  });

  test('an angle of 0.8° moves hands-off lift by 0.8 times what a degree does, at the drawn margin', () => {
    const aircraft = aircraftOf(design);
    const { rigging } = aircraft.numbers;
    for (const { surface, liftPerRadian } of rigging.surfaces) {
      const turn = radiansFromDegrees(0.8);
      const moved = aircraft.built(offBy(aircraft, { [`incidence ${surface}`]: turn }));
      expectWithin(moved.handsOffLift! - rigging.handsOffLift!, liftPerRadian * turn, 1e-9);
    }
    // Straight through the drawing itself.
    expectWithin(aircraft.built(offBy(aircraft, {})).handsOffLift!, rigging.handsOffLift!, 1e-9);
  });
});

describe.each(['lagoon-postman', 'tern-tender', 'heron-canard'] as const)('%s built as it may be', (name) => {
  const of = demoDesign(name);
  const aircraft = aircraftOf(of);
  const drawn = drawnOf(of)!;

  test('pitch is what the whole analysis says of such a tail', () => {
    const tail = aircraft.numbers.rigging.surfaces.at(-1)!.surface;
    const turned: Design = {
      ...of,
      surfaces: of.surfaces.map((one) => (one.id === tail ? { ...one, incidence: one.incidence + 0.4 } : one)),
    };
    const { rigging, trim } = numbersOf(turned);
    const built = aircraft.built(offBy(aircraft, { [`incidence ${tail}`]: radiansFromDegrees(0.4) }));
    expect(Math.abs(built.handsOffLift! - rigging.handsOffLift!)).toBeLessThan(0.015);
    expect(Math.abs(degreesFromRadians(built.elevator! - trim.elevator!))).toBeLessThan(0.1);
  });

  test('so is a warp, and a balance point further aft', () => {
    const warped = numbersOf(withFault(drawn, 'warp', 0.7).design);
    const asked = rollAsked(of, warped)!;
    const built = aircraft.built(
      offBy(aircraft, { [aircraft.tolerances.find(({ kind }) => kind === 'warp')!.id]: radiansFromDegrees(0.7) }),
    );
    expectWithin(built.rollShare, asked.share, 0.02);
    const aft = numbersOf(withFault(drawn, 'balance', 4).design);
    const moved = aircraft.built(offBy(aircraft, { balance: 0.004 }));
    expectWithin(moved.staticMargin, aft.pitch.staticMargin!, 0.01);
    expect(Math.abs(moved.handsOffLift! - aft.rigging.handsOffLift!)).toBeLessThan(0.015);
  });

  test('and a heavier one stalls faster', () => {
    const heavier = numbersOf(withFault(drawn, 'mass', 0.08).design);
    const built = aircraft.built(offBy(aircraft, { mass: 0.08 }));
    expectWithin(built.mass, heavier.mass.total!, 1e-6);
    expectWithin(built.stallSpeed!, heavier.stall.speed!, 0.01);
  });
});

describe('chances', () => {
  test('all verdicts together hold at most as often as the least likely', () => {
    const { chances, failed, draws } = told(design);
    expect(failed).toBe(0);
    expect(draws).toBe(512);
    const { firstThrow, ...others } = chances;
    for (const chance of Object.values(others)) {
      expect(chance).toBeGreaterThan(0);
      expect(firstThrow!).toBeLessThanOrEqual(chance!);
    }
    expect(told(design, 64)).toEqual(told(design, 64));
  });

  test('what is measured at its angles flies hands off more often; balanced behind its window it does not lie there', () => {
    const measured: Design = {
      ...unthrown,
      surfaces: design.surfaces.map((one) => ({
        ...one,
        asBuilt: { left: { incidence: one.incidence }, right: { incidence: one.incidence } },
      })),
    };
    expect(told(measured).chances.handsOff!).toBeGreaterThan(told(unthrown).chances.handsOff! + 0.1);
    const aft = withFault(drawnOf(unthrown)!, 'balance', 60).design;
    const { chances, failed } = told(aft);
    expect(chances.inWindow).toBeLessThan(0.01);
    // Nothing holds the nose in most of them: counted, not dropped.
    expect(failed).toBeGreaterThan(400);
    expect(chances.handsOff!).toBeLessThan(0.2);
  });

  test('one that is not thrown says nothing of a throw; nor one that is not weighed of anything', () => {
    const wheels = told(demoDesign('atoll-freighter'), 64);
    expect(wheels.chances.firstThrow).toBeNull();
    expect(wheels.reasons['firstThrow']).toMatch(/not launched by hand/);
    const nothing = finish(tolerate({ ...design, surfaces: [] }, { draws: 64, seed: 1 }));
    expect(nothing).toMatchObject({ ok: false, because: expect.stringMatching(/not trimmed/) });
  });
});

test('how it is off goes by how it is built: glue, meters, scales and own figures', () => {
  const numbers = numbersOf(design);
  const sigmaOf = (of: Design, id: string) => tolerancesOf(of, numbersOf(of)).find((one) => one.id === id)!.sigma;
  const [wing] = design.surfaces;
  const withWing = (part: object): Design => ({
    ...design,
    surfaces: design.surfaces.map((one, index) => (index === 0 ? { ...one, ...part } : one)),
  });
  const id = `incidence ${wing!.id}`;
  const glued = { ...wing!.construction!, glueLength: 300, glueDensity: 8 };
  expectWithin(sigmaOf(withWing({ construction: glued }), id), radiansFromDegrees(0.8), 1e-12);
  expectWithin(sigmaOf(withWing({ construction: { ...glued, glueDensity: 3 } }), id), radiansFromDegrees(0.5), 1e-12);
  expectWithin(sigmaOf(withWing({ asBuilt: { right: { incidence: 2 } } }), id), radiansFromDegrees(0.2), 1e-12);
  // A ± of its own in the document is twice the spread.
  const own = { ...design, tolerances: [{ field: `/surfaces/${wing!.id}/incidence`, plusMinus: 0.6 }] };
  expectWithin(sigmaOf(own, id), radiansFromDegrees(0.3), 1e-12);
  const weighed = withWing({ measuredMass: 140 });
  expect(sigmaOf(weighed, 'boards')).toBeLessThan(sigmaOf(design, 'boards') - 0.01);
  expect(sigmaOf(weighed, 'mass')).toBeLessThan(sigmaOf(design, 'mass'));
  const known = { ...design, figures: { ...NO_FIGURES, spreads: { greatestLift: 0.03, drag: 0.05 } } };
  expect(sigmaOf(known, 'greatestLift')).toBe(0.03);
  expect(sigmaOf(known, 'drag')).toBe(0.05);
  expect(tolerancesOf(design, numbers).map(({ kind }) => kind)).toContain('warp');
});

test.each(['lagoon-postman', 'gannet-vee', 'evening-lifter', 'tern-tender'] as const)(
  '%s: thrown as drawn it goes well as often as many throws strip by strip say',
  (name) => {
    const of = demoDesign(name);
    const thrown = thrownOf(of);
    if ('because' in thrown) throw new Error(thrown.because);
    const throws = 60;
    const built: BuiltOff = {
      errors: { decalage: 0, balance: 0, drag: 0, warp: 0 },
      stands: { pitch: 0, roll: 0 },
      mass: thrown.glider.model.body.mass,
    };
    const well = Array.from({ length: throws }, (_, index) => goesWell(thrown, built, index)).filter(Boolean);
    const throttle = thrown.thrust ? 1 : 0;
    const toss = { design: of, scale: 1, path: 0, height: 1.8, pilot: 'handsOff', launch: 'hand', throttle } as const;
    const many = finish(tossOften(toss, throws));
    if (!many.ok) throw new Error(many.because);
    expect(Math.abs(well.length / throws - many.well)).toBeLessThan(0.1);
  },
  60_000,
);

test('flown with its errors beside it, it flies as one that is drawn with them', () => {
  const tail = design.surfaces.find(({ role }) => role === 'tailplane')!;
  const glider = gliderOf(design, 1, { isPowered: true }) as Glider;
  expect(glider.trimmer).toBe(tail.id);
  const turned: Design = {
    ...design,
    surfaces: design.surfaces.map((one) => (one === tail ? { ...one, incidence: one.incidence + 0.6 } : one)),
  };
  const heavy = withFault(drawnOf(turned)!, 'mass', 0.1).design;
  const drawn = flyingModel(heavy, { isPowered: true }) as FlyingModel;
  const thrust = thrustOf(glider.model.prepared, 1) as ThrustOf;
  const plan = {
    launch: { speed: 10, path: 0, height: 30 } as Throw,
    pilot: 'handsOff',
    longest: 2 as Seconds,
    thrust,
  } as const;
  const off = offBy(aircraftOf(design), { [`incidence ${tail.id}`]: radiansFromDegrees(0.6) });
  const built: BuiltOff = {
    errors: { decalage: 0, balance: 0, drag: 0, warp: 0 },
    stands: aircraftOf(design).stands(off),
    mass: 1.1 * glider.model.body.mass,
  };
  const told = finish(fly(glider.model, { ...plan, ...builtPlan(glider, built) }));
  const truth = finish(
    fly(drawn, {
      ...plan,
      launch: { ...plan.launch, alphaError: (glider.model.trim.alpha - drawn.trim.alpha) as Radians },
    }),
  );
  const plain = finish(fly(glider.model, plan));
  const last = told.samples.t.length - 1;
  const sinks = truth.samples.z[last]! - plain.samples.z[last]!;
  expect(Math.abs(sinks)).toBeGreaterThan(1);
  expectWithin(told.samples.z[last]! - plain.samples.z[last]!, sinks, 0.05);
  expect(Math.abs(told.samples.pitch[last]! - truth.samples.pitch[last]!)).toBeLessThan(radiansFromDegrees(3));
});
