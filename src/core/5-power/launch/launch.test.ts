import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import type { Newtons } from '@/core/1-base/units/convert';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { groundRun, landingRun } from './groundRun';
import { handLaunch } from './handLaunch';

const N = (value: number) => () => value as Newtons;
const weight = GRAVITY as Newtons;

describe('runs on the ground', () => {
  test('without drag and friction s = V²/2a; thrust of half the weight, 6 m/s of stall: 5.286 m', () => {
    const run = groundRun({ weight, stallSpeed: 6, thrustAt: N(GRAVITY / 2), dragAt: N(0), friction: 0 });
    expectWithin(run, 7.2 ** 2 / GRAVITY, 1e-3);
  });

  test('friction takes of the thrust, lift takes of the friction', () => {
    const run = (friction: number) =>
      groundRun({ weight, stallSpeed: 6, thrustAt: N(GRAVITY / 2), dragAt: N(0), friction })!;
    // W − L is at least 1 − 0.4·1.44 of the weight.
    expect(run(0.1)).toBeLessThan((7.2 ** 2 / 2 / GRAVITY) * (1 / 0.4));
    expect(run(0.1)).toBeGreaterThan((7.2 ** 2 / 2 / GRAVITY) * (1 / (0.5 - 0.1 * (1 - 0.4 * 1.44))));
    expect(groundRun({ weight, stallSpeed: 6, thrustAt: N(0.5), dragAt: N(0), friction: 0.1 })).toBeNull();
  });

  test('a slide with all the weight on it takes V²/2μg', () => {
    const slide = landingRun({ weight, stallSpeed: 1e-3, thrustAt: N(0), dragAt: N(0), friction: 0.35 });
    // Lift while it slows takes some of the weight off: between the bare and that.
    expect(slide).toBeGreaterThan(1.15e-3 ** 2 / (2 * 0.35 * GRAVITY));
    expect(slide).toBeLessThan(1.15e-3 ** 2 / (2 * 0.35 * GRAVITY) / (1 - 0.4 * 1.15 ** 2));
  });
});

describe('a throw', () => {
  const base = { stallSpeed: 6, weight, thrustAt: N(GRAVITY), dragAt: N(GRAVITY / 8) };

  test('fast enough it loses nothing', () => {
    expect(handLaunch({ ...base, speed: 9 })).toEqual({ heightLost: expect.closeTo(0, 9), fliesAfter: 0 });
  });

  test('slower than its stall it sinks, less with more thrust, and flies after', () => {
    const lost = (thrust: number) => handLaunch({ ...base, speed: 5, thrustAt: N(thrust * GRAVITY) });
    expect(lost(0.6).heightLost).toBeGreaterThan(0.2);
    expect(lost(1.2).heightLost).toBeLessThan(lost(0.6).heightLost);
    expect(lost(1.2).fliesAfter!).toBeLessThan(lost(0.6).fliesAfter!);
  });

  test('with hardly any lift it falls as a stone: ½ g t²', () => {
    const dropped = handLaunch({ ...base, speed: 1, stallSpeed: 1000, thrustAt: N(0), dragAt: N(0) });
    expect(dropped.fliesAfter).toBeNull();
    expect(dropped.heightLost).toBeGreaterThan(5);
  });
});
