import { describe, expect, test } from 'vitest';
import { DEMO_NAMES, demoDesign } from '#/demo';
import { designOf, trapezoid } from '#/tests/designs';
import { expectWithin } from '#/tests/matchers';
import type { Vector3 } from '@/core/1-base/units/convert';
import { analyse } from '@/core/analyse';
import { prepare } from '@/core/6-groups/solution/prepare';
import { flyingModel } from './flyingModel';
import { launchState } from './rigidBody';
import { type ThrustOf, thrustOf } from './thrust';

const at = (u: number): Vector3 => [u, 0, 0];
const known = (thrust: ReturnType<typeof thrustOf>): ThrustOf => {
  if ('because' in thrust) throw new Error(thrust.because);
  return thrust;
};
const analysed = Object.fromEntries(
  DEMO_NAMES.map((name) => [name, analyse(demoDesign(name), { without: ['findings', 'workings', 'bands'] })]),
);
const powered = DEMO_NAMES.filter((name) => analysed[name]!.power.cruiseThrottle !== null);

describe('drives in flight', () => {
  test('several of the fleet are powered', () => expect(powered.length).toBeGreaterThan(2));

  test.each(powered)(
    '%s: at the throttle of cruise it pulls what it drags there, at rest what it pulls standing',
    (name) => {
      const { power, trim } = analysed[name]!;
      const model = flyingModel(demoDesign(name));
      if ('because' in model) throw new Error(model.because);
      const full = known(thrustOf(model.prepared, 1))(at(0)).force;
      expectWithin(Math.hypot(...full), power.staticThrust!, 0.01);
      const { alpha, command } = model.trim;
      const state = new Float64Array(model.size).fill(1);
      state.set(
        launchState({
          height: 10,
          attitude: { roll: 0, pitch: alpha, yaw: 0 },
          speed: [trim.speed! * Math.cos(alpha), 0, trim.speed! * Math.sin(alpha)],
          rate: [0, 0, 0],
        } as never),
      );
      const drag = model.loads(state, { pitch: command, roll: 0, yaw: 0, flap: 0 } as never).force;
      const along = -(drag[0] * Math.cos(alpha) + drag[2] * Math.sin(alpha));
      const pulled = known(thrustOf(model.prepared, power.cruiseThrottle!, 0.5))(state.slice(7, 10) as never).force[0];
      // Propellers at rest drag as well in a glide: with power they do not.
      const resting = (model.prepared.restingPropellers * model.prepared.air.density * trim.speed! ** 2) / 2;
      expectWithin(pulled, along - resting, 0.12);
    },
  );

  test('a shaft that is turned down and right pulls there, and its torque rolls against the propeller', () => {
    const name = powered.find((one) => {
      const [drive] = demoDesign(one).propulsion;
      return drive && !drive.mirrored;
    })!;
    const design = demoDesign(name);
    const [drive] = design.propulsion;
    const tilted = (downThrust: number, rightThrust: number, turns: 'clockwise' | 'anticlockwise') => {
      const prepared = prepare(
        { ...design, propulsion: [{ ...drive!, downThrust, rightThrust, turns }] } as never,
        {},
      )!;
      return known(thrustOf(prepared, 1))(at(8));
    };
    const straight = tilted(0, 0, 'clockwise');
    expect(straight.force[0]).toBeGreaterThan(0);
    expect(straight.moment[0]).toBeLessThan(0);
    expect(tilted(0, 0, 'anticlockwise').moment[0]).toBeCloseTo(-straight.moment[0], 9);
    const { force } = tilted(4, 3, 'clockwise');
    expectWithin(force[2] / force[0], Math.tan((4 * Math.PI) / 180), 0.01);
    expectWithin(force[1] / Math.hypot(force[0], force[2]), Math.tan((3 * Math.PI) / 180), 0.01);
  });

  test('a tail in the jet has the effect of its dynamic pressure: q + T/A, and at rest that of the jet alone', () => {
    const wing = { ...trapezoid(500, 180), position: { x: 200, y: 0, z: 0 } };
    const tail = {
      id: 'tail',
      role: 'tailplane' as const,
      position: { x: 750, y: 0, z: 0 },
      stations: [
        { distanceFromRoot: 0, chord: 100 },
        { distanceFromRoot: 80, chord: 100 },
      ],
      controls: [{ id: 'elevator', function: 'elevator' as const }],
    };
    const drive = { id: 'drive', position: { x: 0, y: 0, z: 0 }, propellerDiameter: 500 };
    const lump = { id: 'lump', name: 'Lump', category: 'other', mass: 300, position: { x: 240, y: 0, z: 0 } };
    const model = flyingModel(designOf([wing, tail], { propulsion: [drive], massItems: [lump] } as never), {
      isPowered: true,
    });
    if ('because' in model) throw new Error(model.because);
    const { density } = model.prepared.air;
    const momentAt = (speed: number, jet: number) => {
      const state = new Float64Array(model.size).fill(1);
      const level = { height: 10, attitude: { roll: 0, pitch: 0, yaw: 0 }, speed: [speed, 0, 0], rate: [0, 0, 0] };
      state.set(launchState(level as never));
      const moment = (pitch: number) =>
        model.loads(state, { pitch, roll: 0, yaw: 0, flap: 0 } as never, undefined, [jet]).moment[1];
      return (moment(0.05) - moment(-0.05)) / 0.1;
    };
    const pressure = (density * 10 ** 2) / 2;
    // Its quarter chord lies 3.1 radii behind the disc, where the jet has 97.6 % of what it gains.
    const far = (1 + 3.1 / Math.hypot(1, 3.1)) / 2;
    // What the lattice has beside its strips stays as it is: some percent.
    expectWithin(momentAt(10, pressure) / momentAt(10, 0), (1 + far * (Math.SQRT2 - 1)) ** 2, 0.04);
    expectWithin(momentAt(10, 3 * pressure) / momentAt(10, 0), (1 + far) ** 2, 0.05);
    expectWithin(momentAt(0.01, pressure) / momentAt(10, 0), far ** 2, 0.07);
  });

  describe('a wing in the jet', () => {
    /** What a jet gains a plain wing of lift by the angle at which it is set, over (part in the jet) × (gain of speed). */
    const gain = (diameter: number, [chord, halfSpan]: readonly [number, number], pressed: number) => {
      const x = diameter / 2;
      // Its quarter chord lies about a radius behind the disc.
      const s = (x + chord / 4) / (diameter / 2);
      const far = (1 + s / Math.hypot(1, s)) / 2;
      const drive = { id: 'drive', position: { x: 0, y: 0, z: 0 }, propellerDiameter: diameter };
      const lump = { id: 'lump', name: 'Lump', category: 'other', mass: 300, position: { x, y: 0, z: 0 } };
      const liftAt = (incidence: number, jet: number) => {
        const wing = trapezoid(halfSpan, chord, chord, { incidence, position: { x, y: 0, z: 0 } });
        const model = flyingModel(designOf([wing], { propulsion: [drive], massItems: [lump] } as never), {
          isPowered: true,
        });
        if ('because' in model) throw new Error(model.because);
        const state = new Float64Array(model.size).fill(1);
        const level = { height: 10, attitude: { roll: 0, pitch: 0, yaw: 0 }, speed: [10, 0, 0], rate: [0, 0, 0] };
        state.set(launchState(level as never));
        const pressure = (model.prepared.air.density * 10 ** 2) / 2;
        const sticks = { pitch: 0, roll: 0, yaw: 0, flap: 0 } as never;
        return -model.loads(state, sticks, undefined, [jet * pressure]).force[2];
      };
      // Between two settings what camber and propeller lift falls out.
      const slope = (jet: number) => liftAt(2, jet) - liftAt(-2, jet);
      const share = Math.min(1, diameter / (2 * halfSpan));
      return (slope(pressed) / slope(0) - 1) / (share * far * (Math.sqrt(1 + pressed) - 1));
    };

    test('all of it in the jet lifts with the square of the speed: twice its gain', () => {
      expectWithin(gain(400, [80, 150], 0.04), 2, 0.05);
    });
    test('a narrow jet brings hardly more circulation: little more than its gain of speed; a wide one more', () => {
      const [narrow, wide] = [gain(150, [300, 900], 0.04), gain(600, [150, 900], 0.04)];
      expect(narrow).toBeGreaterThan(0.95);
      expect(narrow).toBeLessThan(1.7);
      expect(wide).toBeGreaterThan(narrow + 0.15);
      expect(wide).toBeLessThan(2.1);
    });
  });

  test('drives that tilt lift by T sin τ where they sit, each side as its mix says', () => {
    const name = powered.find((one) => demoDesign(one).propulsion.some(({ mirrored }) => mirrored))!;
    const design = demoDesign(name);
    const [pair] = design.propulsion;
    const mix = (command: string, left: number, right: number) => ({
      command,
      terms: [],
      drives: [{ drive: pair!.id, left, right }],
    });
    const drives = [{ ...pair!, tiltTravel: 20, downThrust: 0 }];
    const own = { ...design, propulsion: drives, mixes: [mix('pitch', 1, 1), mix('roll', 0.5, -0.5)] };
    const prepared = prepare(own as never, {})!;
    const thrust = known(thrustOf(prepared, 1));
    const total = thrust([0, 0, 0]).force[0];
    const arm = prepared.about[0] - pair!.position.x / 1000;
    const [still, nosed, rolled] = [
      thrust([0, 0, 0]),
      thrust([0, 0, 0], { pitch: 1, roll: 0, yaw: 0 }),
      thrust([0, 0, 0], { pitch: 0, roll: 1, yaw: 0 }),
    ];
    const [full, half] = [20, 10].map((degrees) => Math.sin((degrees * Math.PI) / 180)) as [number, number];
    expectWithin(-nosed.force[2], total * full, 1e-6);
    const rise = prepared.about[2] - pair!.position.z / 1000;
    const lever = total * (full * arm + (Math.cos(Math.asin(full)) - 1) * rise);
    expectWithin(nosed.moment[1] - still.moment[1], lever, 1e-6);
    // The left one lifts and the right one pushes down: right wing down.
    expectWithin(rolled.moment[0] - still.moment[0], (total * half * pair!.position.y) / 1000, 1e-6);
  });

  test('without a known motor it says why', () => {
    const design = demoDesign(powered[0]!);
    const prepared = prepare({ ...design, propulsion: [] }, {})!;
    expect(thrustOf(prepared, 1)).toEqual({ because: 'No drive is drawn.' });
  });
});
