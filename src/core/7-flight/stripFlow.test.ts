import { beforeAll, describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import type { MetresPerSecond } from '@/core/1-base/units/convert';
import type { Design } from '@/core/2-document/schema/design';
import type { Load } from '@/core/5-aero/forces';
import { profileDrag } from '@/core/3-shape/section/lowReynolds';
import { INTERFERENCE_FACTOR, stripData } from '@/core/5-aero/polar';
import { prepare } from '@/core/6-groups/solution/prepare';
import { Solution } from '@/core/6-groups/solution/solution';
import { AT_REST, attachedLoads, type Motion, motionCases } from './attachedLoads';
import { stripFlow } from './stripFlow';

const SPEED = 10 as MetresPerSecond;
const GRID = { strips: 10, chordwise: 4 } as const;
const radians = (degrees: number) => (degrees * Math.PI) / 180;

function stripsOf(design: Design) {
  const prepared = prepare(design, { grid: GRID })!;
  const { model } = new Solution(prepared, {});
  const flow = stripFlow(prepared, model, SPEED);
  const attached = attachedLoads(prepared, model, motionCases(prepared, model));
  /** Loads after the separation has come to rest. */
  const settled = (motion: Motion) => {
    const share = new Float64Array(flow.nodes).fill(1);
    const told = { steady: new Float64Array(flow.nodes), pace: new Float64Array(flow.nodes) };
    let load = flow.loads(motion, share, told);
    for (let round = 0; round < 80; round++) {
      share.forEach((value, i) => (share[i] = value + 0.3 * (told.steady[i]! - value)));
      load = flow.loads(motion, share, told);
    }
    return { load, share };
  };
  return { prepared, model, flow, attached, settled };
}

const at = (degrees: number, more: Partial<Motion> = {}): Motion => ({
  ...AT_REST,
  u: SPEED * Math.cos(radians(degrees)),
  w: SPEED * Math.sin(radians(degrees)),
  ...more,
});
const coefficients = ({ force }: Load, degrees: number, area: number) => {
  const [cosine, sine] = [Math.cos(radians(degrees)), Math.sin(radians(degrees))];
  const scale = 2 / (area * SPEED ** 2);
  return { lift: scale * (force[2] * cosine - force[0] * sine), drag: scale * (force[0] * cosine + force[2] * sine) };
};

describe('strips that each meet their own air', () => {
  let wing: ReturnType<typeof stripsOf>;
  let whole: ReturnType<typeof stripsOf>;
  beforeAll(() => {
    wing = stripsOf(designOf([trapezoid(600, 180)]));
    whole = stripsOf(demoDesign('gannet-vee'));
  });

  test('attached, they add friction to the lattice and nothing else', () => {
    const { flow, attached, prepared } = wing;
    const motion = at(4, { q: 0.2 });
    const all = flow.loads(motion, new Float64Array(flow.nodes).fill(1));
    const bare = attached(motion);
    const { area } = prepared.reference;
    const [with_, without] = [all, bare].map((load) => coefficients(load, 4, area)) as [
      ReturnType<typeof coefficients>,
      ReturnType<typeof coefficients>,
    ];
    const [data] = stripData(prepared.sections, prepared.air, SPEED);
    expectWithin(with_.drag - without.drag, INTERFERENCE_FACTOR * profileDrag(data!, without.lift), 0.05);
    expect(Math.abs(with_.lift - without.lift)).toBeLessThan(0.003);
  });

  test('a plain wing lifts at most what its section does, and less beyond; drag turns to C_L tan α', () => {
    const { settled, prepared } = wing;
    const { area } = prepared.reference;
    const liftAt = (degrees: number) => coefficients(settled(at(degrees)).load, degrees, area).lift;
    const most = Math.max(...[10, 12, 14, 16].map(liftAt));
    const limit = Math.max(...stripData(prepared.sections, prepared.air, SPEED).map(({ maximumLift }) => maximumLift));
    expect(most).toBeGreaterThan(0.85 * limit);
    expect(most).toBeLessThan(1.02 * limit);
    expect(liftAt(22)).toBeLessThan(0.97 * most);
    for (const degrees of [25, 35, 50]) {
      const { lift, drag } = coefficients(settled(at(degrees)).load, degrees, area);
      expectWithin(drag / lift, Math.tan(radians(degrees)), 0.12);
    }
  });

  test('square to the wind the wing is a plate of its aspect ratio, without lift', () => {
    const { settled, prepared } = wing;
    const { lift, drag } = coefficients(settled(at(90)).load, 90, prepared.reference.area);
    const { area, span } = prepared.reference;
    expectWithin(drag, 1.11 + (0.018 * span ** 2) / area, 0.03);
    expect(Math.abs(lift)).toBeLessThan(0.05);
  });

  test('rolling is damped before the stall and driven beyond it: autorotation', () => {
    const { settled } = wing;
    const rolling = (degrees: number) => {
      const [right, left] = [0.4, -0.4].map((p) => settled(at(degrees, { p })).load.moment[0]);
      // Document axes: a roll to the right is −x.
      return -(right! - left!);
    };
    expect(rolling(4)).toBeLessThan(0);
    for (const degrees of [15, 16, 17]) expect(rolling(degrees)).toBeGreaterThan(0);
    expect(rolling(40)).toBeLessThan(0);
  });

  test('what a stalled wing no longer lifts, the tail no longer has in its wash: it lifts more', () => {
    const { flow, prepared, attached } = whole;
    const share = new Float64Array(flow.nodes).fill(1);
    const isWing = prepared.lattice.strips.map(({ surface }) => prepared.lattice.surfaces[surface]!.role === 'wing');
    const nodes = prepared.lattice.strips.flatMap((_, index) => [isWing[index]!, isWing[index]!]);
    nodes.forEach((wingNode, i) => (share[i] = wingNode ? 0.2 : 1));
    const motion = at(9);
    const [stalled, bare] = [flow.loads(motion, share), attached(motion)];
    expect(stalled.force[2]).toBeLessThan(0.85 * bare.force[2]);
    // Less lift ahead of it and more behind turns the nose down beyond what the wing’s own loss would.
    expect(stalled.moment[1]).toBeLessThan(bare.moment[1]);
  });

  test('right turned round is left, stalled too', () => {
    const { settled } = whole;
    const motion = at(14, { v: 1.5, p: 0.8, r: 0.4, roll: 0.1 as never, yaw: -0.1 as never });
    const turned = { ...motion, v: -1.5, p: -0.8, r: -0.4, roll: -0.1, yaw: 0.1 } as Motion;
    const [right, left] = [settled(motion).load, settled(turned).load];
    [1, -1, 1].forEach((sign, axis) => {
      expect(left.force[axis]).toBeCloseTo(sign * right.force[axis]!, 4);
      expect(left.moment[axis]).toBeCloseTo(-sign * right.moment[axis]!, 4);
    });
  });

  test('a motion that is no number leaves nothing behind for the next', () => {
    const { flow } = whole;
    const share = new Float64Array(flow.nodes).fill(0.4);
    const before = flow.loads(at(16), share).force[2];
    for (const wrong of [NaN, Infinity]) flow.loads(at(16, { w: wrong }), share);
    expect(flow.loads(at(16), share).force[2]).toBeCloseTo(before, 3);
  });

  test('at any angle and backwards there are numbers', () => {
    const { flow } = whole;
    const share = new Float64Array(flow.nodes).fill(0.5);
    for (let degrees = -180; degrees <= 180; degrees += 15)
      for (const load of [flow.loads(at(degrees, { v: 3, p: 4 }), share)])
        for (const value of [...load.force, ...load.moment]) expect(Math.abs(value)).toBeLessThan(500);
  });
});
