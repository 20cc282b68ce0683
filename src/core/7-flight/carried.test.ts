import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import type { Metres, Vector3 } from '@/core/1-base/units/convert';
import { type Design, designSchema } from '@/core/2-document/schema/design';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { analyse } from '@/core/analyse';
import { offBungee } from './bungee';
import { type Contact, contactsOf, groundLoads } from './contacts';
import type { Throw } from './flightRecord';
import { type FlightPlan, fly } from './fly';
import { type FlyingModel, type FlyingOptions, flyingModel } from './flyingModel';
import { launchingOf } from './launches';
import { AT, launchState } from './rigidBody';
import { thrustOf } from './thrust';
import { offWheels, standing } from './wheelRun';

const freighter = demoDesign('atoll-freighter');
const glider = demoDesign('evening-lifter');
const LEVEL = () => 0 as Metres;

function modelOf(design: Design, options?: FlyingOptions): FlyingModel {
  const model = flyingModel(design, options);
  if ('because' in model) throw new Error(model.because);
  return model;
}

/** A flight from rest as that launch usually begins. */
function fromRest(design: Design, kind: 'bungee' | 'wheels', more: Partial<FlightPlan> = {}, scale = 1) {
  const model = modelOf(design, { isPowered: kind === 'wheels', scale });
  const { launch, carriedBy } = launchingOf(kind, model, analyse(design).speeds.stall);
  const full = kind === 'wheels' ? thrustOf(model.prepared, 1) : undefined;
  if (full && 'because' in full) throw new Error(full.because);
  return finish(
    fly(
      model,
      {
        launch: { ...launch, speed: launch.speed * Math.sqrt(scale), height: launch.height * scale },
        pilot: 'holdHeading',
        longest: 12,
        ...(full ? { thrust: full } : {}),
        ...(carriedBy ? { carriedBy } : {}),
        ...more,
      },
      scale,
    ),
  );
}

const restingAt = (height: number, pitch = 0, speed: readonly [number, number, number] = [0, 0, 0]) =>
  launchState({
    height: height as never,
    attitude: { roll: 0 as never, pitch: pitch as never, yaw: 0 as never },
    speed: speed as never,
    rate: [0, 0, 0],
  });

describe('on its wheels', () => {
  const flown = fromRest(freighter, 'wheels');
  const free = flown.events.find(({ name }) => name === 'free')!;

  test('it runs as far to lift-off speed as the run that is integrated with the drive, and flies', () => {
    const { speeds, takeOff } = analyse(freighter);
    const { speed, x, z, t, roll } = flown.samples;
    const fast = speed.findIndex((value) => value >= 1.2 * speeds.stall!);
    expectWithin(x[fast]!, takeOff.groundRun!, 0.05);
    expect(free.t).toBeGreaterThan(t[fast]!);
    const off = t.findIndex((time) => time >= free.t);
    expect(z[off]!).toBeGreaterThan(z[0]! + 0.4);
    expect(Math.max(...roll.map(Math.abs))).toBeLessThan(0.02);
    // Standing it neither drops nor jumps: the ground holds it up.
    const standsFor = t.findIndex((time) => time > 0.5);
    expect(Math.max(...z.slice(0, standsFor).map((height) => Math.abs(height - z[0]!)))).toBeLessThan(0.01);
  });

  test('without the power for it it stays on the ground, and that is no flight', () => {
    const model = modelOf(freighter, { isPowered: true });
    const little = thrustOf(model.prepared, 0.3);
    if ('because' in little) throw new Error(little.because);
    const { events, samples, distance } = fromRest(freighter, 'wheels', { thrust: little, longest: 30 });
    expect(events.map(({ name }) => name)).toEqual(['end']);
    expect(events[0]!.t).toBeCloseTo(20, 6);
    expect(Math.max(...samples.z)).toBeLessThan(samples.z[0]! + 0.05);
    expect(distance).toBeGreaterThan(0);
  });

  test('it is thrown where there are no wheels to run on', () => {
    expect(offWheels(modelOf(glider), 8, LEVEL)).toBeNull();
  });
});

describe('what the ground gives back', () => {
  const at = (x: number, y: number, down: number): Contact => ({
    at: [x, y, down],
    along: 0.08,
    across: 0.6,
    steers: null,
  });

  test('it stands on the two points between which its balance point lies', () => {
    // A tail dragger: wheels 100 mm ahead and 200 under, tail 600 behind and 50 under.
    const stands = standing([at(0.1, 0.2, 0.2), at(0.1, -0.2, 0.2), at(-0.6, 0, 0.05), at(-0.3, 0, 0.02)])!;
    expect(stands.pitch).toBeCloseTo(Math.atan(0.15 / 0.7), 9);
    expect(stands.height).toBeCloseTo(0.2 * Math.cos(stands.pitch) - 0.1 * Math.sin(stands.pitch), 9);
    // All ahead of it: it falls over.
    expect(standing([at(0.1, 0.2, 0.2), at(0.3, 0, 0.2)])).toBeNull();
  });

  const model = modelOf(freighter);
  const weight = model.body.mass * GRAVITY;
  const pushed = (contact: Contact, speed: [number, number, number], steered = 0) =>
    groundLoads(model, [contact], LEVEL)(restingAt(0.2 - 0.004, 0, speed), steered);

  test('a spring, rolling and sliding friction, and their moments', () => {
    // Half the way in that all wheels give together: a quarter of the weight.
    const { force, moment } = pushed(at(0.1, 0.3, 0.2), [0, 0, 0]);
    expect(force[2]).toBeCloseTo(-weight / 4, 9);
    expect(moment[1]).toBeCloseTo((0.1 * weight) / 4, 9);
    expect(moment[0]).toBeCloseTo((-0.3 * weight) / 4, 9);
    const rolling = pushed(at(0, 0, 0.2), [12, 0, 0]).force;
    expect(rolling[0] / rolling[2]).toBeCloseTo(0.08, 4);
    const sliding = pushed(at(0, 0, 0.2), [0, 5, 0]).force;
    expect(sliding[1] / sliding[2]).toBeCloseTo(0.6, 2);
    expect(pushed(at(0, 0, 0.15), [9, 0, 0]).force).toEqual([0, 0, 0]);
  });

  test('a wheel that steers pushes the nose to where the stick points', () => {
    const nose: Contact = { ...at(0.3, 0, 0.2), steers: 'ahead' };
    const tail: Contact = { ...at(-0.6, 0, 0.2), steers: 'behind' };
    for (const contact of [nose, tail]) {
      expect(pushed(contact, [5, 0, 0], 1).moment[2]).toBeGreaterThan(0.01);
      expect(pushed(contact, [5, 0, 0], -1).moment[2]).toBeLessThan(-0.01);
    }
  });

  test('everything that sticks out can touch', () => {
    const contacts = contactsOf(model);
    const { reference } = model.prepared;
    const reach = Math.max(...contacts.map(({ at: [, y] }) => y));
    expect(reach).toBeCloseTo(reference.span / 2, 2);
    expect(contacts.filter(({ along }) => along < 0.1)).toHaveLength(
      freighter.wheels
        .filter(({ diameter }) => diameter > 0)
        .reduce((sum, { mirrored }) => sum + (mirrored ? 2 : 1), 0),
    );
  });
});

describe('off a bungee', () => {
  const model = modelOf(glider);
  const launch: Throw = { speed: 14, path: 0, height: 1.6 };

  test('the rubber does the work of the speed that it is said to give, and a quarter more', () => {
    const { loads, holds } = offBungee(model, launch, LEVEL);
    const neutral = { pitch: 0, roll: 0, yaw: 0, flap: 0 } as never;
    // Along the line, from where it is held until the ring slides off.
    const stretched = 14 ** 2 / (0.8 * 3.5 * GRAVITY);
    const steps = 4000;
    let work = 0;
    for (let step = 0; step < steps; step++) {
      const state = restingAt(0.03);
      state[AT.place] = ((step + 0.5) / steps) * stretched;
      const { force } = loads(state, neutral);
      const along: Vector3 = force;
      work += Math.hypot(...along) * (stretched / steps);
    }
    expectWithin(work, (model.body.mass * 14 ** 2) / (2 * 0.8), 0.01);
    expect(holds(restingAt(1.6))).toBeGreaterThan(0);
    const there = restingAt(1.6);
    there[AT.place] = stretched;
    expect(holds(there)).toBeLessThan(0);
  });

  test('it climbs off the line, and its glide is counted from there', () => {
    const { samples, events, glideRatio, distance } = fromRest(glider, 'bungee');
    const free = events.find(({ name }) => name === 'free')!;
    const off = samples.t.findIndex((time) => time >= free.t);
    expect(samples.speed[0]).toBeLessThan(2);
    // Speed and height together are what the rubber gives, within what the air takes.
    const gained = samples.speed[off]! ** 2 / 2 + GRAVITY * (samples.z[off]! - samples.z[0]!);
    expect(gained).toBeGreaterThan(0.8 * 98);
    expect(gained).toBeLessThan(98 / 0.8);
    expect(glideRatio).toBeGreaterThan(2);
    expect(distance).toBeGreaterThan(samples.x[off]!);
  });

  test('a small one that is alike does the same in its own lengths and times', () => {
    const [large, small] = [1, 0.5].map((scale) => {
      const { samples, events } = fromRest(glider, 'bungee', {}, scale);
      const { t } = events.find(({ name }) => name === 'free')!;
      return { t: t / Math.sqrt(scale), x: samples.x[samples.t.findIndex((time) => time >= t)]! / scale };
    }) as [{ t: number; x: number }, { t: number; x: number }];
    expectWithin(small.t, large.t, 0.1);
    expectWithin(small.x, large.x, 0.1);
  });

  test('held too low it touches before it flies', () => {
    const heavy = designSchema.parse({
      ...glider,
      massItems: [...glider.massItems, { id: 'lead', mass: 400, position: glider.massItems[0]!.position }],
    });
    const down: Throw = { speed: 14, path: -0.5, height: 0.4 };
    expect(fromRest(heavy, 'bungee', { launch: down }).events.map(({ name }) => name)).toContain('overturns');
  });
});
