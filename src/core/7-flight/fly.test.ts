import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import { analyse } from '@/core/analyse';
import { evenWind, groundOfHill, overHill } from './air';
import type { Throw } from './flightRecord';
import { type FlightPlan, fly } from './fly';
import { type FlyingModel, type FlyingOptions, flyingModel } from './flyingModel';
import { energyOf, launchState, STATE_SIZE } from './rigidBody';
import { thrustOf } from './thrust';

function modelOf(design: Design, options?: FlyingOptions): FlyingModel {
  const model = flyingModel(design, options);
  if ('because' in model) throw new Error(model.because);
  return model;
}
const plan = (launch: Partial<Record<keyof Throw, number>>, more: Partial<FlightPlan> = {}) =>
  ({
    launch: { speed: 6.3, path: 0, height: 12, ...launch },
    pilot: 'handsOff',
    longest: 6,
    ...more,
  }) as FlightPlan;
const flown = (model: FlyingModel, ...about: Parameters<typeof plan>) => finish(fly(model, plan(...about)));

/** The design with ballast that moves its balance point aft by a share of the chord. */
function balanced(design: Design, share: number): Design {
  const { prepared, body } = modelOf(design);
  const moves = 1000 * share * prepared.reference.meanChord;
  const far = moves < 0 ? -300 : 300;
  const mass = (1000 * body.mass * moves) / (far - moves);
  const item = {
    id: 'ballast',
    name: 'Ballast',
    category: 'ballast',
    mass,
    position: { x: 1000 * prepared.about[0] + far, y: 0, z: 0 },
  };
  return designSchema.parse({ ...design, massItems: [...design.massItems, item] });
}

const glider = demoDesign('evening-lifter');

describe('throws', () => {
  const model = modelOf(glider);

  test('it settles into the glide of its polar', () => {
    const { settledSpeed, sinkRate, outcome } = flown(model, { height: 40 }, { longest: 18 as never });
    expect(outcome).toBe('settles');
    const { drag, mass } = analyse(glider, { without: ['findings', 'workings', 'bands'] });
    // What it drags at cruise, at the lift of the speed that it settles at: within what moves with Reynolds number and trim.
    const { area } = model.prepared.reference;
    const pressure = (model.prepared.air.density * settledSpeed! ** 2) / 2;
    const glide = sinkRate! / settledSpeed!;
    const lift = (mass.total! * 9.80665 * Math.cos(Math.asin(glide))) / (pressure * area);
    const induced = lift ** 2 / (Math.PI * model.prepared.reference.aspectRatio * drag.spanEfficiency!);
    expectWithin(glide * lift, drag.total! - drag.induced! + induced, 0.12);
  });

  test('balanced further aft it is slower and at last stalls, further forward it is faster and steeper', () => {
    const at = (share: number) => flown(modelOf(balanced(glider, share)), {});
    const [forward, drawn, aft, tooFar] = [-0.1, 0, 0.04, 0.1].map(at) as ReturnType<typeof at>[];
    const end = ({ samples: { speed, path } }: ReturnType<typeof at>) => [speed.at(-1)!, path.at(-1)!] as const;
    expect(end(forward!)[0]).toBeGreaterThan(1.2 * end(drawn!)[0]);
    expect(end(forward!)[1]).toBeLessThan(end(drawn!)[1]);
    expect(end(aft!)[0]).toBeLessThan(0.95 * end(drawn!)[0]);
    expect(drawn!.outcome).toBe('settles');
    expect(['stalls', 'balloons']).toContain(tooFar!.outcome);
    expect(tooFar!.events.some(({ name }) => name === 'stall')).toBe(true);
  });

  test('a fast throw climbs; full up at launch stalls it; left alone it recovers', () => {
    const fast = flown(model, { speed: 11 });
    expect(Math.max(...fast.samples.z)).toBeGreaterThan(13);
    const pulled = flown(model, { height: 30 }, { pilot: 'pullUp' });
    expect(pulled.events.some(({ name }) => name === 'stall')).toBe(true);
    expect(Math.min(...pulled.samples.attached)).toBeLessThan(0.5);
    const slow = flown(model, { speed: 2.5, height: 30, alphaError: 0.3 });
    expect(slow.samples.attached.at(-1)).toBeGreaterThan(0.95);
    expect(slow.outcome).not.toBe('snaps');
  });

  test('rolled right it goes where, rolled left, it goes in the mirror; holding the heading brings it back', () => {
    const [right, left] = [0.25, -0.25].map((roll) => flown(model, { roll })) as [
      ReturnType<typeof flown>,
      ReturnType<typeof flown>,
    ];
    expect(right.samples.y.at(-1)!).toBeGreaterThan(0.3);
    expect(right.samples.y.at(-1)! + left.samples.y.at(-1)!).toBeCloseTo(0, 2);
    expect(right.samples.x.at(-1)! - left.samples.x.at(-1)!).toBeCloseTo(0, 2);
    const held = flown(model, { roll: 0.25, height: 30 }, { pilot: 'holdHeading' });
    expect(Math.abs(held.samples.yaw.at(-1)!)).toBeLessThan(0.5 * Math.abs(right.samples.yaw.at(-1)!));
  });

  test('under power it climbs, and the torque of its propeller rolls it away from straight', () => {
    const design = demoDesign('lagoon-postman');
    const powered = modelOf(design, { isPowered: true });
    const thrust = thrustOf(powered.prepared, 1);
    if ('because' in thrust) throw new Error(thrust.because);
    const climb = flown(powered, { speed: 9, height: 5 }, { thrust, longest: 3 as never });
    expect(climb.samples.z.at(-1)!).toBeGreaterThan(6);
    expect(Math.abs(climb.samples.roll.at(-1)!)).toBeGreaterThan(0.01);
    const glide = flown(modelOf(design), { speed: 9, height: 5 }, { longest: 3 as never });
    expect(glide.samples.z.at(-1)!).toBeLessThan(5);
  });

  test('in even wind it flies the same through the air and drifts with it', () => {
    const still = flown(model, { speed: 6.3, height: 20 }, { longest: 3 as never });
    // Thrown against the wind with the same speed over the air.
    const windy = flown(model, { speed: 6.3 - 2, height: 20 }, { longest: 3 as never, air: evenWind(2 as never) });
    const last = (of: typeof still, key: 'x' | 'z' | 't') => of.samples[key].at(-1)!;
    expect(last(windy, 'x')).toBeCloseTo(last(still, 'x') - 2 * last(still, 't'), 3);
    expect(last(windy, 'z')).toBeCloseTo(last(still, 'z'), 3);
  });

  test('figures: a loop comes round in pitch, a roll about its own axis, and both fly on level', () => {
    const courier = modelOf(demoDesign('storm-courier'));
    const pace = { speed: 22, height: 40 };
    const [looped, rolled] = (['loop', 'roll'] as const).map((pilot) =>
      flown(courier, pace, { pilot, longest: 8 as never }),
    ) as [ReturnType<typeof flown>, ReturnType<typeof flown>];
    for (const { events, samples, outcome } of [looped, rolled]) {
      const end = events.find(({ name }) => name === 'figure')!;
      expect(end.t).toBeGreaterThan(0.3);
      expect(end.t).toBeLessThan(5);
      expect(Math.abs(samples.roll.at(-1)!)).toBeLessThan(0.3);
      expect(['settles', 'dives']).toContain(outcome);
    }
    const within = ({ events, samples }: typeof looped, key: 'pitch' | 'roll') =>
      samples[key].filter((_, index) => samples.t[index]! < events.find(({ name }) => name === 'figure')!.t);
    // On its back half way round: nose through the zenith, or roll through 180°.
    expect(Math.max(...within(looped, 'pitch'))).toBeGreaterThan(1.3);
    expect(Math.max(...looped.samples.z) - 40).toBeGreaterThan(2);
    expect(Math.max(...within(rolled, 'roll').map(Math.abs))).toBeGreaterThan(2.9);
    expect(Math.max(...within(rolled, 'pitch').map(Math.abs))).toBeLessThan(1);
    // Too slow for a loop it never comes round.
    expect(flown(courier, { speed: 9, height: 40 }, { pilot: 'loop' }).events.map(({ name }) => name)).not.toContain(
      'figure',
    );
  });

  test('it tells when it leaves the field of the brief, and nothing without one', () => {
    const leaves = (fieldLength: number | undefined) =>
      flown(modelOf({ ...glider, brief: { ...glider.brief, fieldLength } } as Design), { height: 5 }).events.find(
        ({ name }) => name === 'leaves',
      );
    const { samples } = flown(model, { height: 5 });
    const beyond = samples.t[samples.x.findIndex((x) => x > 20)]!;
    expect(Math.abs(leaves(20)!.t - beyond)).toBeLessThan(0.03);
    expect(leaves(500)).toBeUndefined();
    expect(leaves(undefined)).toBeUndefined();
  });

  test('air that turns about the path takes the wings along: the roll rate comes to that of the air', () => {
    const turning = 0.2;
    const { samples } = flown(
      modelOf(demoDesign('storm-courier')),
      { speed: 18, height: 60 },
      { longest: 1 as never, air: (_, [, y]) => [0, 0, turning * y] },
    );
    const at = samples.t.findIndex((time) => time >= 0.5);
    expectWithin(samples.rollRate[at]!, turning, 0.2);
    expect(Math.abs(samples.rollRate[0]!)).toBeLessThan(0.01);
  });

  test('over a hill it goes up with the air that does', () => {
    const air = overHill({ wind: 6, slope: 0.5, height: 10 } as never);
    const [, , sinks] = air(0, [5, 0, 2] as never);
    expect(-sinks).toBeGreaterThan(1.5);
    expect(-sinks).toBeLessThan(6 * Math.sin(0.5));
    expect(Math.abs(air(0, [300, 0, 100] as never)[2])).toBeLessThan(0.02);
    const lifted = flown(model, { speed: 1, height: 2 }, { longest: 4 as never, air, pilot: 'holdHeading' });
    expect(lifted.samples.z.at(-1)!).toBeGreaterThan(3);
    const terrain = groundOfHill({ wind: 0, slope: 0.5, height: 10 } as never);
    const down = flown(model, { speed: 6.3, height: 2 }, { longest: 20 as never, terrain });
    expect(down.events.at(-1)!.name).toBe('ground');
    expect(down.samples.z.at(-1)!).toBeCloseTo(-10 + 0.05, 1);
  });

  test('finer steps tell the same: places to a centimetre', () => {
    const coarse = flown(model, { roll: 0.1, speed: 8 });
    const fine = flown(model, { roll: 0.1, speed: 8 }, { relative: 1e-8 });
    for (const key of ['x', 'y', 'z'] as const)
      expect(Math.abs(coarse.samples[key].at(-1)! - fine.samples[key].at(-1)!)).toBeLessThan(0.01);
  });

  test('without power energy only goes', () => {
    const state = new Float64Array(model.size).fill(1);
    const rate = model.rate({ commands: () => ({ pitch: 0, roll: 0, yaw: 0, flap: 0 }) as never });
    const out = new Float64Array(model.size);
    for (const [u, w, p, q] of [
      [6, 0.4, 0, 0],
      [9, -1, 2, 1],
      [4, 4, -1, 2],
      [1, 6, 3, -3],
    ]) {
      state.set(
        launchState({
          height: 10,
          attitude: { roll: 0.3, pitch: 0.2, yaw: 0 },
          speed: [u, 0.5, w],
          rate: [p, q, 0.4],
        } as never),
      );
      rate(0, state, out);
      const step = 1e-5;
      const bare = { ...model.body, apparent: undefined };
      const ahead = state.map((value, index) => value + (index < STATE_SIZE ? step * out[index]! : 0));
      // Energy of the air that is moved goes back and forth: none of it counts in the mean.
      expect((energyOf(bare as never, ahead) - energyOf(bare as never, state)) / step).toBeLessThan(0.6);
    }
  });

  test('a dynamically alike small one flies the same path on its scale; its own Reynolds numbers cost it glide', () => {
    const scale = 0.25;
    const small = (own: FlyingModel) =>
      finish(fly(own, plan({ speed: 6.3 * Math.sqrt(scale), height: 12 * scale }, { longest: 3 as never }), scale));
    const [same, large] = [small(model), flown(model, {})];
    expectWithin(same.samples.t.at(-1)!, large.samples.t.at(-1)! * 0.5, 1e-6);
    expectWithin(same.samples.x.at(-1)!, large.samples.x.at(-1)! * scale, 1e-4);
    expectWithin(same.samples.speed.at(-1)!, large.samples.speed.at(-1)! * 0.5, 1e-4);
    const own = small(modelOf(glider, { scale }));
    expect(own.glideRatio!).toBeLessThan(0.95 * large.glideRatio!);
  });
});
