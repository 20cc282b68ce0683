import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { dormandPrince } from '@/core/1-base/numeric/dormandPrince';
import { GRAVITY } from '@/core/5-aero/atmosphere';
import { attitudeOf, quaternionOf, turnMatrix } from './attitude';
import { energyOf, flightRate, launchState, quaternionAt, type RigidBody, STATE_SIZE } from './rigidBody';

const STILL = { force: [0, 0, 0], moment: [0, 0, 0] } as const;
const BODY: RigidBody = { mass: 0.5, inertia: { xx: 0.02, yy: 0.03, zz: 0.045, xz: 0.002 } } as RigidBody;
const attitude = (roll = 0, pitch = 0, yaw = 0) => ({ roll, pitch, yaw }) as never;
const launched = (speed: readonly number[], rate: readonly number[], lies = attitude()) =>
  launchState({ height: 100, attitude: lies, speed, rate } as never);

function flown(
  body: RigidBody,
  start: Float64Array,
  end: number,
  loads: Parameters<typeof flightRate>[1] = () => STILL,
) {
  const states: { t: number; state: Float64Array }[] = [{ t: 0, state: start }];
  for (const { to, at } of dormandPrince({
    rate: flightRate(body, loads),
    start: 0,
    end,
    initial: start,
    relative: 1e-8,
    absolute: 1e-9,
  }))
    states.push({ t: to, state: at(to, new Float64Array(STATE_SIZE)) });
  return states;
}

describe('attitude', () => {
  test.each([
    [0.3, -0.4, 2],
    [-2.5, 1.2, -3],
    [0, -1.5, 0.7],
  ])('roll %f, pitch %f, yaw %f come back, and turn as one after the other', (roll, pitch, yaw) => {
    const quaternion = quaternionOf(attitude(roll, pitch, yaw));
    const back = attitudeOf(quaternion);
    expect(back.roll).toBeCloseTo(roll, 12);
    expect(back.pitch).toBeCloseTo(pitch, 12);
    expect(back.yaw).toBeCloseTo(yaw, 12);
    // The nose in earth axes, and the right wing after yaw, pitch and roll.
    const [north, east, down] = turnMatrix(quaternion);
    expect(north[0]).toBeCloseTo(Math.cos(pitch) * Math.cos(yaw), 12);
    expect(east[0]).toBeCloseTo(Math.cos(pitch) * Math.sin(yaw), 12);
    expect(down[0]).toBeCloseTo(-Math.sin(pitch), 12);
    expect(down[1]).toBeCloseTo(Math.sin(roll) * Math.cos(pitch), 12);
    expect(down[2]).toBeCloseTo(Math.cos(roll) * Math.cos(pitch), 12);
  });

  test('straight up, roll and yaw are one and still turn the same', () => {
    const quaternion = quaternionOf(attitude(0.4, Math.PI / 2, 1));
    const again = quaternionOf(attitudeOf(quaternion));
    turnMatrix(quaternion).forEach((row, index) =>
      row.forEach((value, column) => expect(turnMatrix(again)[index]![column]).toBeCloseTo(value, 7)),
    );
  });
});

describe('six degrees of freedom', () => {
  test('thrown without air it falls along its parabola, turning or not', () => {
    const start = launched([9, 1, -2], [3, -2, 5], attitude(0.3, 0.2, 0.1));
    const rows = turnMatrix(quaternionAt(start));
    const [vx, vy, vz] = rows.map(([a, b, c]) => 9 * a + b - 2 * c) as [number, number, number];
    const { t, state } = flown(BODY, start, 3).at(-1)!;
    expect(state[0]).toBeCloseTo(vx * t, 5);
    expect(state[1]).toBeCloseTo(vy * t, 5);
    expect(state[2]).toBeCloseTo(-100 + vz * t + (GRAVITY * t ** 2) / 2, 5);
  });

  test('without a torque energy and momentum stay, about the middle axis it tips over, about the others not', () => {
    const box: RigidBody = { ...BODY, inertia: { xx: 0.02, yy: 0.03, zz: 0.045, xz: 0 } };
    const momentum = (state: Float64Array) => {
      const h = [0.02 * state[10]!, 0.03 * state[11]!, 0.045 * state[12]!];
      return turnMatrix(quaternionAt(state)).map((row) => row.reduce((sum, value, axis) => sum + value * h[axis]!, 0));
    };
    for (const [axis, tips] of [
      [0, false],
      [1, true],
      [2, false],
    ] as const) {
      const rate = [0.01, 0.01, 0.01];
      rate[axis] = 10;
      const states = flown(box, launched([0, 0, 0], rate), 4);
      expect(states.some(({ state }) => state[10 + axis]! < 0)).toBe(tips);
      const [first, last] = [states[0]!.state, states.at(-1)!.state];
      expectWithin(energyOf(box, last), energyOf(box, first), 1e-6);
      momentum(last).forEach((value, index) => expect(value).toBeCloseTo(momentum(first)[index]!, 5));
    }
  });

  test('a top of two equal inertias: the turning walks round its axis at (I_x − I)/I times p', () => {
    const top: RigidBody = { ...BODY, inertia: { xx: 0.05, yy: 0.02, zz: 0.02, xz: 0 } };
    const { t, state } = flown(top, launched([0, 0, 0], [4, 1, 0]), 2.5).at(-1)!;
    const walks = ((0.05 - 0.02) / 0.02) * 4;
    expect(state[10]).toBeCloseTo(4, 7);
    expect(state[11]).toBeCloseTo(Math.cos(walks * t), 5);
    expect(state[12]).toBeCloseTo(Math.sin(walks * t), 5);
  });

  test('a product of inertia couples roll and yaw; air that is moved behind the balance point couples heave and pitch', () => {
    const out = new Float64Array(STATE_SIZE);
    const push = (body: RigidBody, force: readonly number[], moment: readonly number[]) => {
      const weightless = [force[0]!, force[1]!, force[2]! - body.mass * GRAVITY] as const;
      flightRate(body, () => ({ force: weightless, moment: moment as never }))(0, launched([0, 0, 0], [0, 0, 0]), out);
      return Array.from(out.subarray(7));
    };
    const [, , , p, , r] = push(BODY, [0, 0, 0], [0.1, 0, 0]);
    expectWithin(p, 0.1 / (0.02 - 0.002 ** 2 / 0.045), 1e-9);
    expectWithin(r, (p! * 0.002) / 0.045, 1e-9);
    const apparent = { heave: 0.1, heaveMoment: 0.004, pitch: 0.001, roll: 0.005 } as never;
    const [, , w, roll, q] = push({ ...BODY, apparent }, [0, 0, 1], [0, 0, 0]);
    // 0.6 ẇ + 0.004 q̇ = 1, 0.004 ẇ + 0.031 q̇ = 0.
    expectWithin(w, 0.031 / (0.6 * 0.031 - 0.004 ** 2), 1e-9);
    expectWithin(q, (-0.004 / 0.031) * w!, 1e-9);
    expect(roll).toBeCloseTo(0, 12);
  });
});

/** A point mass that lifts with a constant coefficient, in its upright plane: x, height and their speeds. */
function pointMass(trim: number, more: { glide?: number; thrust?: number } = {}) {
  const { glide = Infinity, thrust = 0 } = more;
  const share = GRAVITY / trim ** 2;
  return (_: number, [, , vx, vz]: Float64Array, out: Float64Array) => {
    const speed = Math.hypot(vx!, vz!);
    const drag = (share * speed ** 2) / glide;
    out[0] = vx!;
    out[1] = vz!;
    out[2] = -share * speed * vz! + ((thrust - drag) * vx!) / speed;
    out[3] = share * speed * vx! - GRAVITY + ((thrust - drag) * vz!) / speed;
  };
}

describe('paths of a point mass (Lanchester)', () => {
  const run = (rate: ReturnType<typeof pointMass>, initial: readonly number[], end: number, upTo?: string) => {
    const places: number[][] = [];
    let last: { t: number; state: Float64Array } = { t: 0, state: new Float64Array(4) };
    for (const { to, at } of dormandPrince({
      rate,
      start: 0,
      end,
      initial,
      relative: 1e-9,
      absolute: 1e-10,
      longestStep: 0.02,
      events: upTo ? [{ name: upTo, value: (_, y) => y[3]!, direction: -1, isLast: true }] : [],
    })) {
      last = { t: to, state: at(to, new Float64Array(4)) };
      places.push([to, ...last.state]);
    }
    return { ...last, places };
  };

  test('launched level at √3 of the trim speed it flies a quarter circle of 5.506 m up to rest', () => {
    const speed = 6 * Math.sqrt(3);
    const radius = (3 * 6 ** 2) / (2 * GRAVITY);
    expect(radius).toBeCloseTo(5.506, 3);
    const { t, state, places } = run(pointMass(6), [0, 0, speed, 0], 3, 'rest');
    expect(t).toBeCloseTo(1.389, 3);
    expect(state[0]).toBeCloseTo(radius, 4);
    expect(state[1]).toBeCloseTo(radius, 4);
    for (const [, x, z] of places) expect(Math.hypot(x!, z! - radius)).toBeCloseTo(radius, 5);
    // Energy stays: without drag to a millionth all the way.
    for (const [, , z, vx, vz] of places) expectWithin((vx! ** 2 + vz! ** 2) / 2 + GRAVITY * z!, speed ** 2 / 2, 1e-6);
    // A little faster it loops and goes backwards overhead, a little slower it waves.
    const faster = run(pointMass(6), [0, 0, 1.03 * speed, 0], 1.6);
    expect(faster.places.some(([, , , vx]) => vx! < -0.5)).toBe(true);
    const slower = run(pointMass(6), [0, 0, 0.97 * speed, 0], 4);
    expect(slower.places.every(([, , , vx]) => vx! > 0)).toBe(true);
  });

  test('small swings: period and damping with constant thrust and in a glide differ as they should', () => {
    const swing = (glide: number, thrust: number) => {
      const slope = thrust > 0 || glide === Infinity ? 0 : Math.atan(1 / glide);
      const speed = 10 * Math.sqrt(Math.cos(slope)) * 1.002;
      const { places } = run(
        pointMass(10, { glide, thrust }),
        [0, 0, speed * Math.cos(slope), -speed * Math.sin(slope)],
        14,
      );
      const steady = 10 * Math.sqrt(Math.cos(slope));
      const off = places.map(([t, , , vx, vz]) => [t!, Math.hypot(vx!, vz!) - steady] as const);
      const peaks = off.flatMap(([t, value], index) => {
        const [before, after] = [off[index - 1], off[index + 1]];
        return before && after && value > before[1] && value >= after[1] ? [[t, value] as const] : [];
      });
      const period = (peaks.at(-1)![0] - peaks[0]![0]) / (peaks.length - 1);
      const decrement = Math.log(peaks[0]![1] / peaks.at(-1)![1]) / (peaks.length - 1);
      return { period, damping: decrement / Math.hypot(decrement, 2 * Math.PI) };
    };
    const bare = (Math.sqrt(2) * Math.PI * 10) / GRAVITY;
    expect(bare).toBeCloseTo(4.53, 2);
    expectWithin(swing(Infinity, 0).period, bare, 5e-3);
    const level = swing(8, GRAVITY / 8);
    expectWithin(level.damping, 0.0884, 0.02);
    const glide = swing(8, 0);
    expectWithin(glide.damping, 0.1316, 0.02);
    expectWithin(glide.period, 4.57, 5e-3);
  });
});
