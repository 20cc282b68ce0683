import { expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { finish } from '@/core/1-base/steps';
import { numbersOf } from '@/core/6-groups/solve';
import { type Glider, gliderOf } from './glider';
import { glideOf } from './glideOf';
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
