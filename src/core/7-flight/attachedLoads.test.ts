import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { prepare } from '@/core/6-groups/solution/prepare';
import { Solution } from '@/core/6-groups/solution/solution';
import type { Load } from '@/core/5-aero/forces';
import { AT_REST, attachedLoads, type Motion, motionCases } from './attachedLoads';

const GRID = { strips: 8, chordwise: 3 } as const;
const STEP = 1e-4;

/** Agrees with the full lattice: a percent or 0.002, whichever is larger; rounding apart it is the same. */
const expectSame = (value: number, wanted: number, what: string) =>
  expect(Math.abs(value - wanted), `${what}: ${value} against ${wanted}`).toBeLessThan(2e-4 + 1e-3 * Math.abs(wanted));

describe('motions made of solved flows', () => {
  test.each(DEMO_NAMES)('%s: every derivative is that of the full lattice', (name) => {
    const prepared = prepare(demoDesign(name), { grid: GRID, surfacesOnly: true })!;
    const solution = new Solution(prepared, { surfacesOnly: true });
    const { model, alpha, command, pitch, lateral } = solution;
    const { area, span, meanChord } = prepared.reference;
    const loads = attachedLoads(prepared, model, motionCases(prepared, model));
    const trimmed: Motion = { ...AT_REST, u: Math.cos(alpha), w: Math.sin(alpha), pitch: command as never };
    const per = (change: Partial<Motion>) => {
      const [more, less] = [1, -1].map((sign) => {
        const moved = Object.fromEntries(
          Object.entries(change).map(([key, value]) => [key, trimmed[key as keyof Motion] + sign * STEP * value!]),
        );
        return loads({ ...trimmed, ...moved } as Motion);
      }) as [Load, Load];
      const slope = (key: 'force' | 'moment', axis: 0 | 1 | 2) => (more[key][axis] - less[key][axis]) / (2 * STEP);
      return {
        x: (2 * slope('force', 0)) / area,
        y: (2 * slope('force', 1)) / area,
        z: (2 * slope('force', 2)) / area,
        roll: (-2 * slope('moment', 0)) / (area * span),
        pitch: (2 * slope('moment', 1)) / (area * meanChord),
        yaw: (-2 * slope('moment', 2)) / (area * span),
      };
    };
    const [cosine, sine] = [Math.cos(alpha), Math.sin(alpha)];
    const byAlpha = per({ u: -sine, w: cosine });
    const steady = loads(trimmed);
    const drag = (2 * (steady.force[0] * cosine + steady.force[2] * sine)) / area;
    expectSame(byAlpha.z * cosine - byAlpha.x * sine - drag, pitch.liftSlope, 'lift slope');
    expectSame(byAlpha.pitch, pitch.momentSlope, 'moment slope');
    const byPitchRate = per({ q: 2 / meanChord });
    expectSame(byPitchRate.pitch, pitch.pitchDamping, 'pitch damping');
    if (pitch.momentFromElevator !== null)
      expectSame(per({ pitch: 1 as never }).pitch, pitch.momentFromElevator, 'elevator');
    const bySlip = per({ v: 1 });
    expectSame(bySlip.y, lateral.sideForceSlope, 'side force');
    expectSame(bySlip.roll, lateral.dihedralEffect, 'dihedral effect');
    expectSame(bySlip.yaw, lateral.yawStiffness, 'yaw stiffness');
    const byRoll = per({ p: 2 / span });
    expectSame(byRoll.roll, lateral.rollDamping, 'roll damping');
    expectSame(byRoll.yaw, lateral.yawFromRollRate, 'yaw from roll rate');
    const byYaw = per({ r: 2 / span });
    expectSame(byYaw.roll, lateral.rollFromYawRate, 'roll from yaw rate');
    expectSame(byYaw.yaw, lateral.yawDamping, 'yaw damping');
    if (lateral.roll) expectSame(per({ roll: 1 as never }).roll, lateral.roll.roll, 'aileron');
    if (lateral.yaw) expectSame(per({ yaw: 1 as never }).yaw, lateral.yaw.yaw, 'rudder');
  });

  test('right turned round is left: mirrored motions have mirrored loads', () => {
    const prepared = prepare(demoDesign('gannet-vee'), { grid: GRID, surfacesOnly: true })!;
    const { model } = new Solution(prepared, { surfacesOnly: true });
    const loads = attachedLoads(prepared, model, motionCases(prepared, model));
    const motion = {
      u: 9,
      v: 1.2,
      w: 0.8,
      p: 0.7,
      q: -0.4,
      r: 0.3,
      pitch: 0.05,
      roll: 0.1,
      yaw: -0.08,
      flap: 0,
    } as Motion;
    const turned = { ...motion, v: -1.2, p: -0.7, r: -0.3, roll: -0.1, yaw: 0.08 } as Motion;
    const [right, left] = [loads(motion), loads(turned)];
    [1, -1, 1].forEach((sign, axis) => {
      expect(left.force[axis]).toBeCloseTo(sign * right.force[axis]!, 12);
      expect(left.moment[axis]).toBeCloseTo(-sign * right.moment[axis]!, 12);
    });
  });
});
