import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { numbersOf } from '@/core/6-groups/solve';
import { type Glider, gliderOf } from './glider';
import { glideOf } from './glideOf';
import { letGoOff } from './hand';
import { attitudeOf } from '../attitude';
import { launchState, quaternionAt } from '../rigidBody';
import { enlarged, similar } from './similar';
import { tossOften } from './tossOften';
import { tossVirtually } from './virtualToss';

const design = demoDesign('polly-drift');
const toss = { design, scale: 1, path: 0, height: 1.8, pilot: 'handsOff', change: null, speed: 6.5 } as const;
const flown = (more: object) => {
  const result = finish(tossVirtually({ ...toss, ...more }));
  if (!result.ok) throw new Error(result.because);
  return result;
};

test('balanced farther forward it dives, farther aft it climbs and slows; beside the first toss', () => {
  const { own, changed: forward } = flown({ change: { what: 'balance', by: -14 } });
  const { changed: aft } = flown({ change: { what: 'balance', by: 14 } });
  const steepest = (path: readonly number[]) => Math.max(...path);
  expect(own.outcome).toBe('settles');
  expect(forward!.distance).toBeLessThan(own.distance);
  expect(Math.min(...forward!.samples.path)).toBeLessThan(Math.min(...own.samples.path));
  expect(steepest(aft!.samples.path)).toBeGreaterThan(steepest(own.samples.path) + 0.05);
});

test('more mass is faster and shorter at the same throw; a tail turned nose down lifts the nose', () => {
  const { own, changed: heavy } = flown({ change: { what: 'mass', by: 60 } });
  expect(heavy!.samples.z[40]!).toBeLessThan(own.samples.z[40]!);
  const { changed: up } = flown({ change: { what: 'tail', by: -1 } });
  expect(Math.max(...up!.samples.z)).toBeGreaterThan(Math.max(...own.samples.z) + 0.02);
});

test('what weighs nothing says so', () => {
  const empty = { ...design, massItems: [], bodies: [], surfaces: [] };
  const result = finish(tossVirtually({ ...toss, design: empty }));
  expect(result).toMatchObject({ ok: false, because: expect.stringMatching(/no wing/i) as string });
});

test('wind against the throw takes the distance that it blows; gusts move it off that, the same ones alike', () => {
  const calm = flown({ speed: 6.5 }).own;
  const steady = flown({ speed: 4.5, wind: 2 }).own;
  expectWithin(steady.distance, calm.distance - 2 * calm.samples.t.at(-1)!, 0.05);
  const [gusty, again] = [flown({ speed: 4.5, wind: 2, isGusty: true }), flown({ speed: 4.5, wind: 2, isGusty: true })];
  expect(gusty.own.distance).toBe(again.own.distance);
  expect(Math.abs(gusty.own.distance - steady.distance)).toBeGreaterThan(0.05);
});

test('at a quarter of the size it stalls at more than half the speed and glides worse: its Reynolds numbers spoil it', () => {
  const [large, small] = [1, 0.25].map((scale) => glideOf(gliderOf(design, scale) as Glider));
  expect(small!.mostLift).toBeLessThan(large!.mostLift);
  expect(small!.stallSpeed).toBeGreaterThan(0.5 * large!.stallSpeed);
  expect(small!.bestRatio).toBeLessThan(large!.bestRatio);
  const { stall } = numbersOf(design).speeds;
  // The stall of the numbers is that of the first strip, this one of a quarter of the wing.
  expectWithin(large!.stallSpeed, stall!, 0.15);
  // Sinking is never less than the speed over the best glide there is.
  expect(large!.leastSink).toBeGreaterThan(large!.stallSpeed / large!.bestRatio / 1.2);
  expect(large!.leastSink).toBeLessThan(large!.bestSpeed / large!.bestRatio + 1e-9);
});

test('two hundred throws of a hand scatter on both sides; a steady glider goes well more often than one that balances far aft', () => {
  const steady = finish(tossOften(toss));
  if (!steady.ok) throw new Error(steady.because);
  expect(steady.landings).toHaveLength(200);
  const right = steady.landings.filter(({ y }) => y > 0).length;
  expect(right).toBeGreaterThan(70);
  expect(right).toBeLessThan(130);
  const pack = design.massItems.toSorted((a, b) => b.mass - a.mass)[0]!;
  const aft = {
    ...design,
    massItems: design.massItems.map((item) =>
      item === pack ? { ...item, position: { ...item.position, x: item.position.x + 180 } } : item,
    ),
  };
  const loose = finish(tossOften({ ...toss, design: aft }, 24));
  expect(loose.ok && loose.well).toBeLessThan(steady.well);
  expect(steady.well).toBeGreaterThan(0.5);
});

test('what is carried scatters from where it is let go; what flies on without a stall goes well', () => {
  const postman = { ...toss, design: demoDesign('lagoon-postman') };
  const onWheels = {
    ...postman,
    design: demoDesign('atoll-freighter'),
    launch: 'wheels',
    pilot: 'holdHeading',
    speed: undefined,
    throttle: 1,
    path: 4,
    height: 0.2,
  } as const;
  const climbing = finish(tossOften(onWheels, 12));
  if (!climbing.ok) throw new Error(climbing.because);
  expect(climbing.landings.filter(({ isDown }) => !isDown).length).toBeGreaterThan(9);
  expect(climbing.well).toBeGreaterThan(0.9);
  // All of the hand reaches what ran alike: no two are seen last in one place.
  expect(new Set(climbing.landings.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`)).size).toBe(12);
  // Too little power runs on for ever, and nothing scatters.
  expect(finish(tossOften({ ...onWheels, throttle: 0.2 }, 3))).toMatchObject({ ok: false });
  // Off a line it is let go beyond the line's own pull, farther off than from a hand.
  const line = { ...postman, launch: 'bungee', path: 20, height: 1.6, speed: 12 } as const;
  const pulled = finish(tossOften(line, 8));
  const one = flown({ ...line });
  if (!pulled.ok) throw new Error(pulled.because);
  const off = one.own.events.find(({ name }) => name === 'free')!.t;
  const letGo = one.own.samples.x[one.own.samples.t.findIndex((t) => t >= off)]!;
  expect(Math.min(...pulled.landings.map(({ x }) => x))).toBeGreaterThan(letGo);
  const mean = pulled.landings.reduce((sum, { x }) => sum + x, 0) / 8;
  expectWithin(mean, one.own.samples.x.at(-1)!, 0.35);
});

test('let go off by an error it flies so much faster, steeper and more turned, from the same place', () => {
  const state = launchState({
    height: 3,
    attitude: { roll: 0.1, pitch: 0.3, yaw: 0.05 },
    speed: [10, 0.2, 1],
    rate: [0, 0.1, 0],
  });
  const off = { speed: 0.1, path: 0.05, alpha: 0.02, roll: -0.04, rollRate: 0.3, pitchRate: -0.2 };
  const { state: changed, t } = letGoOff({ t: 2, state }, off, 0.25);
  const { roll, pitch, yaw } = attitudeOf(quaternionAt(changed));
  expect(t).toBe(2);
  expect(changed.slice(0, 3)).toEqual(state.slice(0, 3));
  expect([roll, pitch, yaw].map((angle) => angle.toFixed(9))).toEqual(['0.060000000', '0.370000000', '0.050000000']);
  const [u, v, w] = [changed[7]!, changed[8]!, changed[9]!];
  expectWithin(Math.hypot(u, v, w), 1.1 * Math.hypot(10, 0.2, 1), 1e-12);
  expectWithin(Math.atan2(w, u), Math.atan2(1, 10) + 0.02, 1e-12);
  // At a quarter of the size times are half as long: a second of the small one's turns it half as much in the large one's.
  expectWithin(changed[10]!, 0.15, 1e-12);
  expect(changed[11]).toBeCloseTo(0, 12);
});

test('half the size: an eighth of the mass, 0.7071 of the speed, a 32nd of the inertia, 0.3536 of the Reynolds number', () => {
  const small = similar({ mass: 0.8, span: 1.2, boardMass: 0.3 }, 0.5);
  expectWithin(small.mass, 0.1, 1e-12);
  expectWithin(small.speedRatio, Math.SQRT1_2, 1e-9);
  expectWithin(small.inertiaRatio, 1 / 32, 1e-12);
  expectWithin(small.reynoldsRatio, 0.3536, 1e-3);
  expectWithin(small.boardMass, 0.075, 1e-12);
  expectWithin(small.ballast, 0.025, 1e-12);
});

test('a small one enlarged by its own numbers: at a quarter 64 times the mass, twice speed and time, four times as far', () => {
  const large = enlarged({ mass: 0.02, balance: 0.07, launchSpeed: 4, distance: 8, time: 1.5 }, 0.25);
  expect(large).toEqual({ mass: 1.28, balance: 0.28, launchSpeed: 8, distance: 32, time: 3 });
  // What was not measured stays unknown, and there and back is the same.
  expect(enlarged({ mass: 1 }, 0.5)).toEqual({ mass: 8 });
  expectWithin(enlarged({ mass: similar({ mass: 0.9, span: 1, boardMass: 0 }, 0.3).mass }, 0.3).mass!, 0.9, 1e-12);
});

test('other launches: a hill falls away and lifts, wheels ask for power, a scaled one flies without', () => {
  const powered = { ...toss, design: demoDesign('lagoon-postman'), change: null };
  const hill = finish(tossVirtually({ ...powered, launch: 'hill' }));
  if (!hill.ok) throw new Error(hill.because);
  expect(hill.own.samples.z.at(-1)!).toBeLessThan(-5);
  const wheels = { ...powered, launch: 'wheels', path: 4, height: 0.2 } as const;
  expect(finish(tossVirtually(wheels))).toEqual({
    ok: false,
    because: 'Off wheels it needs power: open the throttle.',
  });
  const up = finish(tossVirtually({ ...wheels, throttle: 1, pilot: 'holdHeading' }));
  if (!up.ok) throw new Error(up.because);
  expect(Math.max(...up.own.samples.z)).toBeGreaterThan(5);
  expect(finish(tossVirtually({ ...powered, scale: 0.5, throttle: 1 }))).toMatchObject({ ok: false });
});
