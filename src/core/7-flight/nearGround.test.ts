import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { groundInFlight, groundLoad, inducedLost } from '@/core/6-groups/solution/groundEffect';
import { prepare } from '@/core/6-groups/solution/prepare';
import { Solution } from '@/core/6-groups/solution/solution';
import { flyingModel } from './flyingModel';
import { launchState } from './rigidBody';

describe('the ground', () => {
  test('takes half of the induced drag at a tenth of the span, all of it at none, next to nothing a span up', () => {
    // Published: 0.49 at h/b 0.1, 0.24 at 0.25 (Hoerner, Fluid-Dynamic Drag, fig. 7-9).
    expectWithin(inducedLost(1.2, 0.12), 0.487, 0.01);
    expectWithin(inducedLost(2, 0.5), 0.233, 0.03);
    expect(inducedLost(1, 0)).toBe(1);
    expect(inducedLost(1, 1.5)).toBeLessThan(0.005);
  });

  test('standing it is that of the flare; higher less, and beyond three spans nothing', () => {
    const design = demoDesign('lagoon-postman');
    const prepared = prepare(design, {})!;
    const solution = new Solution(prepared, {});
    const at = groundInFlight(solution);
    const flare = groundLoad(solution, 0)(0.1);
    const standing = at(-10, 0.1);
    // The tail’s as at the flare; the wing lifts near its quarter chord, close to the balance point.
    expectWithin(standing.moment[1], flare.moment[1], 0.35);
    expect(standing.moment[1]).toBeLessThan(0);
    expect(standing.force[2]).toBeGreaterThan(flare.force[2]);
    const moments = [0.2, 0.6, 1.2, 3].map((height) => Math.abs(at(height, 0.1).moment[1]));
    expect(moments.toSorted((a, b) => b - a)).toEqual(moments);
    expect(at(5 * prepared.reference.span, 0.1).force).toEqual([0, 0, 0]);
    // Forward: of D = L²/(½ S π A) per density at unit speed the share that is gone.
    const lift = solution.model.loadAt(0.1, 0, prepared.about).force[2];
    const induced = lift ** 2 / ((prepared.reference.area / 2) * Math.PI * prepared.reference.aspectRatio);
    const tail = groundLoad(solution, 0)(0.1).force[0];
    expect((tail - standing.force[0]) / induced).toBeGreaterThan(0.3);
    expect((tail - standing.force[0]) / induced).toBeLessThan(1);
  });

  test('low over it the same flight lifts more and drags less; what it weighs on the nose goes with it', () => {
    const model = flyingModel(demoDesign('evening-lifter'));
    if ('because' in model) throw new Error(model.because);
    const state = new Float64Array(model.size).fill(1);
    const [alpha, speed] = [0.08, 6];
    state.set(
      launchState({
        height: 2,
        attitude: { roll: 0, pitch: alpha, yaw: 0 },
        speed: [speed * Math.cos(alpha), 0, speed * Math.sin(alpha)],
        rate: [0, 0, 0],
      } as never),
    );
    const at = (height?: number) =>
      model.loads(state, { pitch: 0, roll: 0, yaw: 0, flap: 0 } as never, undefined, undefined, height);
    const [free, low] = [at(), at(0.15)];
    const lift = ({ force }: typeof free) => -force[2] * Math.cos(alpha) + force[0] * Math.sin(alpha);
    const drag = ({ force }: typeof free) => -force[0] * Math.cos(alpha) - force[2] * Math.sin(alpha);
    expect(lift(low) / lift(free)).toBeGreaterThan(1.02);
    expect(lift(low) / lift(free)).toBeLessThan(1.3);
    expect(drag(low)).toBeLessThan(0.97 * drag(free));
    expect(low.moment[1]).toBeLessThan(free.moment[1]);
    expect(at(60)).toEqual(free);
  });
});
