import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { simpleAircraft } from '#/tests/designs';
import type { Vector3 } from '@/core/1-base/units/convert';
import { prepare } from '@/core/6-groups/solution/prepare';
import { Solution } from '@/core/6-groups/solution/solution';
import { numbersOf } from '@/core/6-groups/solve';
import { DESIGN_VERSION, designSchema } from '@/core/2-document/schema/design';
import type { SurfaceBeam } from '../beam/surfaceBeam';
import type { Stretch } from '../beam/stretch';
import { boomKept } from '../aircraft/effects';
import { composite } from '../section/composite';
import { blockFibre } from '../section/fibres';
import { controlCase } from '@/core/5-aero/flowCase';
import { effectKept } from './effectKept';
import { equationsAt, settled } from './equations';
import { answered, supple } from './supple';
import { loadsOfTurns, type StripLoads, stripLoadsOf, totalOf } from './stripLoads';

/** A plain wing of 1.2 m by 0.2 m by itself. */
const plainWing = designSchema.parse({
  format: 'inclinar-design',
  version: DESIGN_VERSION,
  name: 'Plain wing',
  surfaces: [
    {
      id: 'wing',
      role: 'wing',
      stations: [
        { distanceFromRoot: 0, chord: 200 },
        { distanceFromRoot: 600, chord: 200 },
      ],
      controls: [{ id: 'a', function: 'aileron', from: 0.5, to: 1 }],
    },
  ],
  massItems: [{ id: 'm', mass: 500, position: { x: 60 } }],
});
const solutionOf = (design = plainWing) =>
  new Solution(prepare(design, { surfacesOnly: true })!, { surfacesOnly: true });

/** First dynamic pressure at which the determinant turns its sign. */
function turnOf(value: (pressure: number) => number, most: number): number {
  let [low, high] = [0, most];
  for (let round = 0; round < 60; round++) {
    const middle = (low + high) / 2;
    if (value(middle) > 0) low = middle;
    else high = middle;
  }
  return low;
}

describe('a stiff wing on a spring', () => {
  const solution = solutionOf();
  const { matrices } = solution.model;
  const { pitch } = numbersOf(plainWing, { surfacesOnly: true });
  const [spring, axis, area] = [0.8, 0.09, 0.24];
  const turnBy = (force: Vector3, at: Vector3, moment: Vector3): Vector3 => [
    0,
    (moment[1] + at[2] * force[0] - (at[0] - axis) * force[2]) / spring,
    0,
  ];
  const body = supple({
    matrices,
    parity: 'symmetric',
    beams: new Map(),
    mounts: [{ surfaces: [0], turnBy, isMiddle: true }],
    steady: [],
  });

  test('diverges at K/(S e C_Lα)', () => {
    const expected = spring / (area * (axis - pitch.neutralPoint!) * pitch.liftSlope!);
    const found = turnOf((pressure) => equationsAt(body, pressure).sign, 4 * expected);
    expectWithin(found, expected, 0.02);
    // Half way there its lift is doubled.
    const turned = new Float64Array(matrices.lattice.strips.length).fill(0.05);
    const loads = loadsOfTurns(matrices, 'symmetric', [turned])[0]!;
    const bent = answered(
      body,
      settled(
        body,
        expected / 2,
        body.turnsBy(loads).map((turn) => (turn * expected) / 2),
      )!,
    );
    const lift = (of: StripLoads) => totalOf(matrices.lattice, of, 'symmetric', [0, 0, 0]).force[2];
    expectWithin((lift(loads) + lift(bent)) / lift(loads), 2, 0.02);
  });
});

describe('a flap on a stiff wing on a spring', () => {
  const solution = solutionOf();
  const { matrices, lattice } = solution.model;
  const [spring, axis] = [0.8, 0.06];
  const turnBy = (force: Vector3, at: Vector3, moment: Vector3): Vector3 => [
    0,
    (moment[1] - (at[0] - axis) * force[2]) / spring,
    0,
  ];
  const mounts = [{ surfaces: [0], turnBy, isMiddle: true }];
  const body = supple({ matrices, parity: 'symmetric', beams: new Map(), mounts, steady: [] });
  const flap = stripLoadsOf(
    matrices,
    controlCase(matrices, 'symmetric', solution.prepared.commands.roll.odd.angles).circulation,
  );
  const turned = loadsOfTurns(matrices, 'symmetric', [new Float64Array(lattice.strips.length).fill(1)])[0]!;
  const lift = (of: StripLoads) => totalOf(lattice, of, 'symmetric', [0, 0, 0]).force[2];
  const lifting = { about: [0, 0, 0] as Vector3, pick: ({ force }: { readonly force: Vector3 }) => force[2] };
  const about = (of: StripLoads, x: number) => totalOf(lattice, of, 'symmetric', [x, 0, 0]).moment[1];
  // Lift slope per area and where it acts, lift and moment of the flap about that point: a typical section.
  const centre = -about(turned, 0) / lift(turned);
  const reverses = (-spring * lift(flap)) / (lift(turned) * about(flap, centre));
  const diverges = spring / (lift(turned) * (axis - centre));

  test('loses all of its lift at K C_lδ/(S c C_lα |C_mδ|)', () => {
    const kept = effectKept(body, flap, lifting)!;
    expect(reverses).toBeGreaterThan(0);
    expectWithin(
      turnOf((pressure) => kept.signAt(pressure), 3 * reverses),
      reverses,
      0.005,
    );
    for (const share of [0.2, 0.5, 0.9, 1.3]) {
      const pressure = share * reverses;
      expectWithin(kept.at(pressure)!, (1 - share) / (1 - pressure / diverges), 0.005);
    }
  });

  test('is not told to reverse where the wing diverges', () => {
    // Behind the middle of the lift it turns away long before the flap loses its effect.
    const soft = mounts.map((mount) => ({
      ...mount,
      turnBy: (force: Vector3, at: Vector3, moment: Vector3): Vector3 => [
        0,
        (moment[1] - (at[0] - 0.15) * force[2]) / spring,
        0,
      ],
    }));
    const early = supple({ matrices, parity: 'symmetric', beams: new Map(), mounts: soft, steady: [] });
    const kept = effectKept(early, flap, lifting)!;
    const away = spring / (lift(turned) * (0.15 - centre));
    expect(away).toBeLessThan(0.6 * reverses);
    expect(kept.at(1.2 * away)!).toBeLessThan(0);
    expect(Math.sign(kept.signAt(1.2 * away))).toBe(Math.sign(kept.signAt(0)));
  });
});

/** A beam along the wing, alike all over, its axis at a place of the chord. */
function uniformBeam(solution: Solution, twist: number, axis: number): SurfaceBeam {
  const surface = solution.model.lattice.surfaces[0]!;
  const parts = 24;
  const whole = composite([
    {
      ...blockFibre({ young: 1, shear: 1, tension: 1, compression: 1, band: 0 }, 0, 1, [0, 1]),
      own: [1e6, 1e6, 0],
      pull: 1e-9,
    },
  ]);
  const stretches = Array.from({ length: parts }, (_, part): Stretch => {
    const [from, to] = [(0.6 * part) / parts, (0.6 * (part + 1)) / parts];
    return {
      from,
      to,
      inner: [axis, from, 0],
      outer: [axis, to, 0],
      along: [0, 1, 0],
      aft: [1, 0, 0],
      up: [0, 0, 1],
      whole,
      twist,
      shear: 0,
      shearStrength: 0,
      centre: [axis, (from + to) / 2, 0],
    };
  });
  return { surface, stretches, sections: [], places: [] };
}

describe('a wing that twists', () => {
  const solution = solutionOf();
  const { matrices, lattice } = solution.model;
  const [twist, axis, slope] = [1.715, 0.1, 4.5];
  const e = axis - 0.05;
  /** Each strip by itself, at the quarter chord. */
  const strips = (turns: Float64Array): StripLoads => ({
    force: turns.map((turn, strip) => slope * turn * lattice.strips[strip]!.width * lattice.strips[strip]!.m.chord),
    moment: new Float64Array(turns.length),
  });

  test('strip by strip, held at its root, diverges at (π/2)² G J/(e c s² C_Lα): 261.2 Pa', () => {
    const body = supple({
      matrices,
      parity: 'symmetric',
      beams: new Map([[0, uniformBeam(solution, twist, axis)]]),
      mounts: [],
      steady: [],
      air: (all) => all.map(strips),
    });
    const expected = ((Math.PI / 2) ** 2 * twist) / (e * 0.2 * 0.36 * slope);
    expectWithin(expected, 261.2, 0.001);
    expectWithin(
      turnOf((pressure) => equationsAt(body, pressure).sign, 900),
      expected,
      0.005,
    );
  });

  test('with the lattice it holds longer: tips lift less than strips by themselves would', () => {
    const of = (parity: 'symmetric' | 'antisymmetric') =>
      turnOf(
        (pressure) =>
          equationsAt(
            supple({
              matrices,
              parity,
              beams: new Map([[0, uniformBeam(solution, twist, axis)]]),
              mounts: [],
              steady: [],
            }),
            pressure,
          ).sign,
        900,
      );
    expect(of('symmetric')).toBeGreaterThan(200);
    expect(of('antisymmetric')).toBeGreaterThan(of('symmetric'));
  });
});

describe('a tail on a boom', () => {
  const solution = solutionOf(simpleAircraft());
  const { matrices, lattice } = solution.model;
  const tail = lattice.surfaces.findIndex(({ role }) => role === 'tailplane');
  const strips = [lattice.firstStrip[tail]!, lattice.firstStrip[tail + 1]!] as const;
  const only = ({ force, moment }: StripLoads): StripLoads => {
    const kept = (values: Float64Array) =>
      values.map((value, strip) => (strip >= strips[0] && strip < strips[1] ? value : 0));
    return { force: kept(force), moment: kept(moment) };
  };
  const turned = new Float64Array(lattice.strips.length).fill(1, ...strips);
  const slope = only(loadsOfTurns(matrices, 'symmetric', [turned])[0]!);
  const sum = (of: StripLoads, x: number) => totalOf(lattice, of, 'symmetric', [x, 0, 0]);
  const lift = (of: StripLoads) => sum(of, 0).force[2];
  const length = 0.6;
  /** The tail on the end of a cantilever there: a tip load turns it by F L²/(2 E I), nose down, a moment by M L/(E I). */
  const onBoom = (stiffness: number, end: number) => ({
    surfaces: [tail],
    isMiddle: true,
    turnBy: (force: Vector3, at: Vector3, moment: Vector3): Vector3 => [
      0,
      (-force[2] * length ** 2) / (2 * stiffness) + ((moment[1] - (at[0] - end) * force[2]) * length) / stiffness,
      0,
    ],
  });
  const given = { matrices, parity: 'symmetric', beams: new Map(), steady: [] } as const;

  test('keeps 1/(1 + q S a L²/(2 E I)) of its effect', () => {
    const [stiffness, pressure] = [6.126, 74];
    const root = lattice.surfaces[tail]!.stations[0]!;
    const quarter = root.x + root.chord / 4;
    const body = supple({ ...given, mounts: [onBoom(stiffness, quarter)] });
    const area = lift(slope);
    // The centre of its lift lies near the quarter chord of its root; what it is off turns the boom by its moment.
    const off = -sum(slope, quarter).moment[1] / area;
    const expected = 1 / (1 + pressure * area * (length ** 2 / (2 * stiffness) + (off * length) / stiffness));
    expectWithin(boomKept(body, 0, [tail], pressure, 1)!, expected, 0.005);
  });

  test('leaves (1 − q/q_R)/(1 + q/q_B) of its elevator', () => {
    const stiffness = 1.2;
    const elevator = solution.prepared.commands.pitch.even.angles;
    const flap = only(stripLoadsOf(matrices, controlCase(matrices, 'symmetric', elevator).circulation));
    const end = -sum(slope, 0).moment[1] / lift(slope);
    // The wing’s own answer to the tail is not part of a typical section.
    const body = supple({
      ...given,
      mounts: [onBoom(stiffness, end)],
      air: (turns) => loadsOfTurns(matrices, 'symmetric', turns).map(only),
    });
    const bends = (2 * stiffness) / (lift(slope) * length ** 2);
    // Lift of the flap bends the end nose down by L²/2, its moment there by L: nothing is left where both undo its lift.
    const moment = sum(flap, end).moment[1];
    const reverses = (-stiffness * lift(flap)) / (lift(slope) * length * moment);
    expect(reverses).toBeGreaterThan(bends);
    const kept = effectKept(body, flap, { about: [0, 0, 0], pick: ({ force }) => force[2] })!;
    for (const pressure of [20, 74, 150])
      expectWithin(kept.at(pressure)!, (1 - pressure / reverses) / (1 + pressure / bends), 0.005);
  });
});
