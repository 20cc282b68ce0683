import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { designOf, trapezoid } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import type { Commands } from './commands';
import { type FlyingModel, flyingModel } from './flyingModel';
import { launchState } from './rigidBody';

const STEP = 1e-4;

/** A state about level flight, all strips attached. */
interface Small {
  readonly u: number;
  readonly v: number;
  readonly w: number;
  readonly p: number;
  readonly q: number;
  readonly r: number;
  readonly pitch: number;
  readonly roll: number;
}

/** Eigenvalues that swing at most once, by what changes the given parts of the state. */
function modesOf(model: FlyingModel, level: Small, commands: Commands, keys: readonly (keyof Small)[], thrust: number) {
  const rate = model.rate({
    commands: () => commands,
    drives: () => ({ force: [thrust, 0, 0], moment: [0, 0, 0], jets: [] }),
  });
  const out = new Float64Array(model.size);
  const ratesAt = (small: Small) => {
    const state = new Float64Array(model.size).fill(1);
    const { u, v, w, p, q, r, pitch, roll } = small;
    state.set(
      launchState({ height: 50, attitude: { roll, pitch, yaw: 0 }, speed: [u, v, w], rate: [p, q, r] } as never),
    );
    rate(0, state, out);
    const [du, dv, dw, dp, dq, dr] = out.subarray(7, 13);
    return { u: du!, v: dv!, w: dw!, p: dp!, q: dq!, r: dr!, pitch: q, roll: p + r * Math.tan(pitch) };
  };
  const jacobian: number[][] = keys.map(() => keys.map(() => 0));
  keys.forEach((key, column) => {
    const [more, less] = [1, -1].map((sign) => ratesAt({ ...level, [key]: level[key] + sign * STEP })) as [
      Small,
      Small,
    ];
    keys.forEach((row, index) => (jacobian[index]![column] = (more[row] - less[row]) / (2 * STEP)));
  });
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(new Matrix(jacobian));
  return realEigenvalues
    .map((real, index) => ({ real, imaginary: imaginaryEigenvalues[index]! }))
    .filter(({ imaginary }) => imaginary >= 0)
    .toSorted((a, b) => a.real - b.real);
}

describe('an aircraft ready to be flown', () => {
  test.each(DEMO_NAMES)('%s: its small motions are the modes of the analysis', (name) => {
    const design = demoDesign(name);
    const { motion, trim } = analyse(design, { without: ['findings', 'workings', 'bands'] });
    const model = flyingModel(design);
    if ('because' in model) throw new Error(model.because);
    const { alpha, command } = model.trim;
    const level: Small = {
      u: trim.speed! * Math.cos(alpha),
      v: 0,
      w: trim.speed! * Math.sin(alpha),
      p: 0,
      q: 0,
      r: 0,
      pitch: alpha,
      roll: 0,
    };
    const commands = { pitch: command, roll: 0, yaw: 0, flap: 0 } as Commands;
    const state = new Float64Array(model.size).fill(1);
    state.set(
      launchState({
        height: 50,
        attitude: { roll: 0, pitch: alpha, yaw: 0 },
        speed: [level.u, 0, level.w],
        rate: [0, 0, 0],
      } as never),
    );
    const { force } = model.loads(state, commands);
    // Level flight: it bears its weight, and nothing pulls sideways.
    const lift = -(force[2] * Math.cos(alpha) - force[0] * Math.sin(alpha));
    expectWithin(lift, model.body.mass * 9.80665, 0.05);
    expect(Math.abs(force[1])).toBeLessThan(1e-6);
    const lateral = modesOf(model, level, commands, ['v', 'p', 'r', 'roll'], -force[0]);
    const known = (kind: string) => [...motion.lateral, ...motion.longitudinal].find((mode) => mode.kind === kind);
    const roll = known('roll');
    if (roll) expectWithin(lateral[0]!.real, roll.real, 0.01);
    const dutch = known('dutchRoll');
    if (dutch) expectWithin(lateral.find(({ imaginary }) => imaginary > 1)!.imaginary, dutch.imaginary, 0.04);
    const [fast, ...others] = modesOf(model, level, commands, ['u', 'w', 'q', 'pitch'], -force[0]);
    const quick = known('shortPeriod');
    if (quick) expectWithin(Math.hypot(fast!.real, fast!.imaginary), Math.hypot(quick.real, quick.imaginary), 0.015);
    const slow = known('phugoid');
    const own = others.findLast(({ imaginary }) => imaginary > 0);
    if (slow && own) expectWithin(Math.hypot(own.real, own.imaginary), Math.hypot(slow.real, slow.imaginary), 0.35);
  });

  test('without mass it says what is missing', () => {
    const model = flyingModel(designOf([trapezoid(500, 200)]));
    expect('because' in model && model.because).toMatch(/choose a board/);
  });
});
