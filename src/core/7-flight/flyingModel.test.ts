import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { designOf, trapezoid } from '#/tests/designs';
import { analyse } from '@/core/analyse';
import type { Vector3 } from '@/core/1-base/units/convert';
import { Solution } from '@/core/6-groups/solution/solution';
import type { Commands } from './commands';
import { type FlyingModel, flyingModel } from './flyingModel';
import { launchState } from './rigidBody';
import type { ThrustOf } from './thrust';

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

/** κ of the thrust as the modes of the analysis have it: of a propeller at cruise, and of what stands for a glide. */
const FALLS = { powered: 3, gliding: 1 } as const;

/** Thrust that levels it, with what it blows over the tail, as the analysis has it: a share of that, falling with speed. */
function pulled(model: FlyingModel, { trim, drag }: ReturnType<typeof analyse>, falls: number) {
  const { cruise } = new Solution(model.prepared, {});
  const { lift, moment } = (cruise.isTrimmed ? cruise.thrust : null) ?? { lift: 0, moment: 0 };
  const { area, meanChord } = model.prepared.reference;
  const pressed = (model.prepared.air.density * trim.speed! ** 2 * area) / 2;
  const [cosine, sine] = [Math.cos(model.trim.alpha), Math.sin(model.trim.alpha)];
  const [pull, up] = [drag.total! * pressed, lift * pressed];
  return (share: number) =>
    ([u, v, w]: Vector3) => {
      const left = share * (1 - falls * (Math.hypot(u, v, w) / trim.speed! - 1));
      const force: Vector3 = [left * (pull * cosine + up * sine), 0, left * (pull * sine - up * cosine)];
      return { force, moment: [0, left * moment * pressed * meanChord, 0] as Vector3, jets: [] };
    };
}

/** Rates of a flight with steady sticks by its small state. */
function ratesOf(model: FlyingModel, command: number, drives: ThrustOf) {
  const commands = { pitch: command, roll: 0, yaw: 0, flap: 0 } as Commands;
  const rate = model.rate({ commands: () => commands, drives });
  const out = new Float64Array(model.size);
  return ({ u, v, w, p, q, r, pitch, roll }: Small): Small => {
    const state = new Float64Array(model.size).fill(1);
    state.set(
      launchState({ height: 50, attitude: { roll, pitch, yaw: 0 }, speed: [u, v, w], rate: [p, q, r] } as never),
    );
    rate(0, state, out);
    const [du, dv, dw, dp, dq, dr] = out.subarray(7, 13);
    return { u: du!, v: dv!, w: dw!, p: dp!, q: dq!, r: dr!, pitch: q, roll: p + r * Math.tan(pitch) };
  };
}

/** Level flight in which nothing changes: angle of attack, command and thrust are sought by Newton's method. */
function settledLevel(model: FlyingModel, speed: number, pull: ReturnType<typeof pulled>) {
  const level = (alpha: number): Small => {
    const [u, w] = [speed * Math.cos(alpha), speed * Math.sin(alpha)];
    return { u, v: 0, w, p: 0, q: 0, r: 0, pitch: alpha, roll: 0 };
  };
  const rates = ([, command, share]: readonly number[]) => ratesOf(model, command!, pull(share!));
  const misses = (at: readonly number[]) => {
    const { u, w, q } = rates(at)(level(at[0]!));
    return [u, w, q];
  };
  let at: number[] = [model.trim.alpha, model.trim.command, 1];
  for (let round = 0; round < 6; round++) {
    const here = misses(at);
    const columns = at.map((_, index) => misses(at.map((value, other) => value + (other === index ? 1e-5 : 0))));
    const slopes = here.map((value, row) => columns.map((column) => (column[row]! - value) / 1e-5));
    const step = solve(new Matrix(slopes), Matrix.columnVector(here)).to1DArray();
    at = at.map((value, index) => value - step[index]!);
  }
  return { at, level: level(at[0]!), rates: rates(at) };
}

/** Eigenvalues, one of each pair, by what changes the given parts of the state; the quickest first. */
function modesOf(rates: (small: Small) => Small, level: Small, keys: readonly (keyof Small)[]) {
  const jacobian: number[][] = keys.map(() => keys.map(() => 0));
  keys.forEach((key, column) => {
    const [more, less] = [1, -1].map((sign) => rates({ ...level, [key]: level[key] + sign * STEP })) as [Small, Small];
    keys.forEach((row, index) => (jacobian[index]![column] = (more[row] - less[row]) / (2 * STEP)));
  });
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(new Matrix(jacobian));
  return realEigenvalues
    .map((real, index) => ({ real, imaginary: imaginaryEigenvalues[index]! }))
    .filter(({ imaginary }) => imaginary > -1e-9)
    .toSorted((a, b) => a.real - b.real);
}

interface Eigenvalue {
  readonly real: number;
  readonly imaginary: number;
}

/** Sum and product of what belongs together: twice the damping and the square of the frequency, of a pair that swings and of two that do not. */
function pairsOf(values: readonly Eigenvalue[]) {
  const each = values
    .flatMap(({ real, imaginary }) =>
      imaginary > 1e-9
        ? [
            { real, imaginary },
            { real, imaginary: -imaginary },
          ]
        : [{ real, imaginary: 0 }],
    )
    .toSorted((a, b) => Math.hypot(b.real, b.imaginary) - Math.hypot(a.real, a.imaginary));
  return [each.slice(0, 2), each.slice(2)].map(([a, b]) => ({
    sum: a!.real + b!.real,
    product: a!.real * b!.real - a!.imaginary * b!.imaginary,
    swings: Math.abs(a!.imaginary),
  }));
}

describe('an aircraft ready to be flown', () => {
  test.each(DEMO_NAMES)(
    '%s: its small motions are the modes of the analysis, a hundredth in period, three in damping',
    (name) => {
      const design = demoDesign(name);
      const analysis = analyse(design, { without: ['findings', 'workings', 'bands'] });
      const { motion, trim } = analysis;
      const isPowered = design.propulsion.length > 0;
      const model = flyingModel(design, { isPowered });
      if ('because' in model) throw new Error(model.because);
      const falls = isPowered ? FALLS.powered : FALLS.gliding;
      const { at, level, rates } = settledLevel(model, trim.speed!, pulled(model, analysis, falls));
      // Strips rub above and below the balance point, which the trim of the analysis leaves out: a degree of control at most.
      expect(Math.abs(at[0]! - model.trim.alpha)).toBeLessThan(0.005);
      expect(Math.abs(at[1]! - model.trim.command)).toBeLessThan(0.0175);
      expectWithin(at[2]!, 1, 0.01);
      const lateral = modesOf(rates, level, ['v', 'p', 'r', 'roll']);
      const known = (kind: string) => motion.lateral.find((mode) => mode.kind === kind)!;
      expectWithin(lateral[0]!.real, known('roll').real, 0.01);
      const wags = lateral.find(({ imaginary }) => imaginary > 0)!;
      expectWithin(wags.imaginary, known('dutchRoll').imaginary, 0.01);
      expectWithin(wags.real, known('dutchRoll').real, 0.03);
      expect(Math.abs(lateral.at(-1)!.real - known('spiral').real)).toBeLessThan(0.005);
      const [fast, slow] = pairsOf(modesOf(rates, level, ['u', 'w', 'q', 'pitch']));
      const [fastKnown, slowKnown] = pairsOf(motion.longitudinal);
      // Twice the damping; the square of the natural frequency within twice a percent; and the period where it swings.
      expectWithin(fast!.sum, fastKnown!.sum, 0.01);
      expectWithin(fast!.product, fastKnown!.product, 0.02);
      expectWithin(slow!.sum, slowKnown!.sum, 0.03);
      // Where neither swings stiffness and thrust all but cancel: what is left is told against g/V.
      const scale = slowKnown!.swings > 0 ? slowKnown!.product : (9.80665 / trim.speed!) ** 2;
      expect(Math.abs(slow!.product - slowKnown!.product)).toBeLessThan(0.02 * scale);
      if (slowKnown!.swings > 0.5) expectWithin(slow!.swings, slowKnown!.swings, 0.01);
    },
  );

  test('without mass it says what is missing', () => {
    const model = flyingModel(designOf([trapezoid(500, 200)]));
    expect('because' in model && model.because).toMatch(/choose a board/);
  });
});
