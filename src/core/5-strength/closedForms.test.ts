import { describe, expect, test } from 'vitest';
import { expectWithin } from '#/tests/matchers';
import { materialSchema } from '@/core/2-document/schema/airframe';
import { sparSchema } from '@/core/2-document/schema/surface';
import { bend, hardestPlace } from './beam/beam';
import { type Beam, type BeamLoad, internalAt, type Stretch } from './beam/stretch';
import { diveSpeed } from './aircraft/dive';
import { landingFactor } from './checks/landing';
import { hingeMomentSlope } from './controls/hingeMoment';
import { layupOf, measuredBending, plateStiffness, wrinklingStress } from './materials/board';
import { closedCells, coreOf } from './materials/foam';
import { rodMember } from './materials/rods';
import { gigapascals, megapascals, type Solid } from './materials/solid';
import { bandOf, composite, curvatureOf, utilisation } from './section/composite';
import { bearing } from './beam/bearing';
import { blockFibre, rodFibre, sheetFibres } from './section/fibres';
import { closedCell, openStrip, shearCentre, solidOutline, twistStiffness } from './section/torsion';

const solid = (young: number, shear = young / 2.6, band = 0.2): Solid => ({
  young,
  shear,
  tension: megapascals(30),
  compression: megapascals(20),
  band,
});

/** Board of 5 mm over all, two papers of 0.12 mm at 4 GPa on a core of 15 MPa. */
const paper = solid(gigapascals(4), gigapascals(1.5));
const core = { ...coreOf('extruded', 35), young: megapascals(15), shear: megapascals(5) };
const layup = (faces: 0 | 1 | 2, young = 4) => {
  const face = { ...paper, young: gigapascals(young) };
  const layer = (side: 1 | -1) => ({
    member: 'paper' as const,
    solid: face,
    thickness: 0.12e-3,
    height: side * 2.44e-3,
  });
  return {
    thickness: 5e-3,
    coreThickness: 4.76e-3,
    core,
    layers: [
      { member: 'core' as const, solid: core, thickness: 4.76e-3, height: 0 },
      ...(faces > 0 ? [layer(1)] : []),
      ...(faces > 1 ? [layer(-1)] : []),
    ],
  };
};

describe('boards', () => {
  test('faces of a sandwich make 5.715 N·m, its core 0.135; with one paper peeled off 0.505 is left', () => {
    const whole = plateStiffness(layup(2)).bending;
    expectWithin(whole, 5.715 + 0.135, 0.002);
    expectWithin(plateStiffness(layup(0)).bending, 0.135, 0.005);
    expectWithin(plateStiffness(layup(1)).bending, 0.505, 0.005);
  });

  test('foam of 33 kg/m³ by the law of closed cells: 21 MPa of polystyrene at 3 GPa', () =>
    expectWithin(closedCells(33) * 3000, 20.75, 0.005));

  test('a face wrinkles at half the cube root of E_f E_c G_c: 33.5 MPa', () =>
    expectWithin(wrinklingStress(paper, core), 0.5 * (4e9 * 15e6 * 5e6) ** (1 / 3), 1e-9));

  test('a strip that sank 8 mm under 20 g at 300 mm, 50 mm wide, has E I/b = m g L³/(3 δ b)', () => {
    const sagTest = { length: 300, width: 50, weight: 20, sag: 8 };
    const bending = (0.02 * 9.80665 * 0.3 ** 3) / (3 * 0.008) / 0.05;
    expectWithin(measuredBending(sagTest)!, bending, 1e-9);
    const sheet = materialSchema.parse({ id: 'b', thickness: 5, arealDensity: 410, sagTest });
    expectWithin(plateStiffness(layupOf(sheet, 5)).bending, bending, 1e-9);
  });

  test('peeled paper takes stiffness away, tape gives some, wet weights count as heavier foam', () => {
    const sheet = (more: object) => materialSchema.parse({ id: 'b', thickness: 5, arealDensity: 410, ...more });
    const of = (more: object, covering: Parameters<typeof layupOf>[2] = null) =>
      plateStiffness(layupOf(sheet(more), 5, covering)).bending;
    expect(of({ faces: 'one', arealDensity: 300 })).toBeLessThan(0.3 * of({}));
    expect(of({ faces: 'none', arealDensity: 190 })).toBeLessThan(0.3 * of({ faces: 'one', arealDensity: 300 }));
    expect(of({}, { solid: solid(gigapascals(1)), thickness: 5e-5 })).toBeGreaterThan(of({}));
  });
});

const rod = (more: object) =>
  rodMember(
    sparSchema.parse({ id: 'r', start: { distanceFromRoot: 0, x: 0 }, end: { distanceFromRoot: 1, x: 0 }, ...more }),
  );

describe('rods', () => {
  test('tubes of drawn carbon: 6 × 4 has 6.126 N·m², 10 × 8 has 34.78', () => {
    const stiffness = (width: number, innerDiameter: number) => {
      const { section, solid: of } = rod({ shape: 'tube', width, innerDiameter, material: 'carbon tube' });
      return section.secondMoment * of.young;
    };
    expectWithin(stiffness(6, 4), 6.126, 0.001);
    expectWithin(stiffness(10, 8), 34.78, 0.001);
  });

  test('a tube without an inner side takes it from its mass: 14.6 g/m of 4 mm carbon are 4 × 2', () => {
    const told = rod({ shape: 'tube', width: 4, innerDiameter: 2, material: 'carbon' });
    const weighed = rod({ shape: 'tube', width: 4, linearDensity: (Math.PI / 4) * 12 * 1.55, material: 'carbon' });
    expectWithin(weighed.section.secondMoment, told.section.secondMoment, 1e-6);
  });

  test('one that was bent has the stiffness that showed', () => {
    const bent = rod({ shape: 'round', width: 3, material: 'carbon', sagTest: { length: 500, weight: 50, sag: 40 } });
    expectWithin(bent.section.secondMoment * bent.solid.young, (0.05 * 9.80665 * 0.125) / (3 * 0.04), 1e-9);
  });
});

/** A straight beam along y, alike all over. */
function beamOf(stiffness: number, twist: number, length: number, parts = 14): Beam {
  const whole = composite([{ ...blockFibre(solid(1), 0, 1, [-0.5, 0.5]), own: [stiffness, 1e9, 0], pull: 1e-9 }]);
  const stretches = Array.from({ length: parts }, (_, part): Stretch => {
    const [from, to] = [(length * part) / parts, (length * (part + 1)) / parts];
    return {
      from,
      to,
      inner: [0, from, 0],
      outer: [0, to, 0],
      along: [0, 1, 0],
      aft: [1, 0, 0],
      up: [0, 0, 1],
      whole,
      twist,
      shear: 0,
      shearStrength: 0,
      centre: [0, (from + to) / 2, 0],
    };
  });
  return { stretches };
}
const point = (place: number, force: [number, number, number], x = 0): BeamLoad => ({
  from: place,
  to: place,
  at: [x, place, 0],
  way: [0, 1, 0],
  force,
});

describe('beams', () => {
  test('a 6 × 4 tube of 0.5 m under 10 N at its end sinks 68.01 mm', () => {
    const { shift } = bend(beamOf(6.126, 1, 0.5), [point(0.5, [0, 0, 10])]);
    expectWithin(shift.at(-1)![2], 0.06801, 0.003);
  });

  test.each([
    ['elliptic', (share: number) => (4 / Math.PI) * Math.sqrt(1 - share ** 2), 1 / 16 - 2 / (45 * Math.PI)],
    ['even', () => 1, 0.0625],
  ])('%s load of half the weight on a uniform half span', (_, shape, factor) => {
    const [weight, half, stiffness] = [6, 0.8, 5];
    const strips = 60;
    const loads = Array.from({ length: strips }, (_unused, strip): BeamLoad => {
      const [from, to] = [(half * strip) / strips, (half * (strip + 1)) / strips];
      const middle = (from + to) / 2;
      const force = (weight / 2 / half) * shape(middle / half) * (to - from);
      return { from, to, at: [0, middle, 0], way: [0, 1, 0], force: [0, 0, force] };
    });
    const { shift } = bend(beamOf(stiffness, 1, half), loads);
    expectWithin(shift.at(-1)![2], (factor * weight * half ** 3) / stiffness, 0.005);
    const root = internalAt(loads, 0, [0, 0, 0]);
    const moment = _ === 'elliptic' ? (weight * 2 * half) / (3 * Math.PI) : (weight * 2 * half) / 8;
    expectWithin(root.moment[0], moment, 0.003);
  });

  test('three stretches bend as a cantilever does, exactly, under an end load and under an even one', () => {
    const [half, stiffness] = [0.8, 5];
    const beam = beamOf(stiffness, 1, half, 3);
    const atEnd = bend(beam, [point(half, [0, 0, 3])]);
    expectWithin(atEnd.shift.at(-1)![2], (3 * half ** 3) / (3 * stiffness), 1e-9);
    expectWithin(atEnd.rotation.at(-1)![0], (3 * half ** 2) / (2 * stiffness), 1e-9);
    const even: BeamLoad = { from: 0, to: half, at: [0, half / 2, 0], way: [0, 1, 0], force: [0, 0, 3] };
    const { shift, rotation } = bend(beam, [even]);
    expectWithin(shift.at(-1)![2], (3 * half ** 3) / (8 * stiffness), 1e-9);
    expectWithin(rotation.at(-1)![0], (3 * half ** 2) / (6 * stiffness), 1e-9);
    // w x² (6 L² − 4 L x + x²)/(24 E I) at a third and two thirds of it.
    for (const [node, share] of [
      [1, 1 / 3],
      [2, 2 / 3],
    ] as const)
      expectWithin(
        shift[node]![2],
        (3 * half ** 3 * share ** 2 * (6 - 4 * share + share ** 2)) / (24 * stiffness),
        1e-9,
      );
  });

  test('a force ahead of the axis turns the nose up by F e s/(G J)', () => {
    const { rotation } = bend(beamOf(1e6, 2, 0.5), [point(0.5, [0, 0, 3], -0.04)]);
    expectWithin(rotation.at(-1)![1], (3 * 0.04 * 0.5) / 2, 1e-9);
  });

  test('the hardest place of a cantilever is where it is held', () => {
    expect(hardestPlace(beamOf(5, 1, 0.5), [point(0.5, [0, 0, 3])])!.place).toBe(0);
    expect(hardestPlace(beamOf(5, 1, 0.5), [])).toBeNull();
  });
});

const line = (points: readonly (readonly [number, number])[]) =>
  points.slice(1).map((b, index) => ({ a: points[index]!, b }));

describe('sections', () => {
  test('a rectangle of one stuff bends as E b h³/12 and twists as a thin one, G b h³/3', () => {
    const [width, height] = [0.2, 0.005];
    const whole = composite([blockFibre(solid(1e7), 0.1, width, [0, height])]);
    expectWithin(whole.upDown, (1e7 * width * height ** 3) / 12, 1e-9);
    const second = (width * height ** 3) / 12;
    expectWithin(solidOutline(4e6, second, width * height, width), (4e6 * width * height ** 3) / 3, 0.01);
    // Ellipse of half axes a and b, exactly π a³ b³/(a² + b²).
    const [a, b] = [0.05, 0.01];
    const ellipse = solidOutline(1, (Math.PI * a * b ** 3) / 4, Math.PI * a * b, 2 * a);
    expectWithin(ellipse, (Math.PI * a ** 3 * b ** 3) / (a ** 2 + b ** 2), 1e-9);
  });

  test('Bredt: 26 cm² within 0.4 m of skin at 3.6·10⁵ N/m twist with 24.34 N·m²', () =>
    expectWithin(closedCell(26e-4, 0.4 / 3.6e5), 24.34, 0.001));

  test('a flat board of 200 mm twists with 1.715 N·m² on a stiff core, 9 % less on one of 5 MPa', () => {
    const stiffCore = {
      ...layup(2),
      core: { ...core, shear: 1e15 },
      layers: layup(2).layers.filter(({ member }) => member === 'paper'),
    };
    expectWithin(openStrip(stiffCore, 0.2), 1.715, 0.002);
    const soft = { ...stiffCore, core };
    expectWithin(openStrip(soft, 0.2) / openStrip(stiffCore, 0.2), 0.91, 0.005);
  });

  test('a square tube of thin walls turns about its middle; an open channel beyond its back', () => {
    const walls = (points: readonly (readonly [number, number])[], inCell: boolean) => [
      { place: 0, layup: layup(2), inCell, pieces: line(points) },
    ];
    const side = 0.1;
    const square = [
      [side, 0],
      [side, side],
      [0, side],
      [0, 0],
      [side, 0],
    ] as const;
    const fine = square.slice(1).reduce<(readonly [number, number])[]>(
      (all, b) => {
        const a = all.at(-1)!;
        for (let k = 1; k <= 10; k++) all.push([a[0] + ((b[0] - a[0]) * k) / 10, a[1] + ((b[1] - a[1]) * k) / 10]);
        return all;
      },
      [square[0]],
    );
    const closed = walls(fine, true);
    const sections = (built: typeof closed) =>
      composite(
        built.flatMap(({ pieces, layup: of, place }) => pieces.flatMap((piece) => sheetFibres(piece, of, place))),
      );
    expectWithin(shearCentre(closed, sections(closed)), side / 2, 0.01);
    // Bredt on the same square: 4 A²/(4 a/(G t)).
    const plane = plateStiffness(layup(2)).plane;
    expectWithin(twistStiffness(closed), (4 * side ** 4) / ((4 * side) / plane), 0.02);
    // Channel open to the front, flanges and web of 100 mm: its centre lies 3 b²/(6 b + h) = 43 mm behind its web (Megson, ch. 17).
    const flange = (z: number, from: number, to: number) =>
      Array.from({ length: 21 }, (_, k): readonly [number, number] => [from + ((to - from) * k) / 20, z]);
    const web = Array.from({ length: 21 }, (_, k): readonly [number, number] => [side, side - (side * k) / 20]);
    const channel = walls([...flange(side, 0, side), ...web.slice(1), ...flange(0, side, 0).slice(1)], false);
    expectWithin(shearCentre(channel, sections(channel)), side + (3 * side ** 2) / (6 * side + side), 0.02);
  });

  test('what is pressed and pulled breaks where its strain is used up; a stiff thin strip more never weakens it', () => {
    const board = sheetFibres({ a: [0, 0], b: [0.2, 0] }, layup(2), 0);
    const plain = composite(board);
    const bears = (whole: ReturnType<typeof composite>, moment: number) => 1 / bearing(whole, moment, 0).share;
    // Paper at 2.5 mm from the middle: κ = σ/(E z), M = E I κ.
    const limit = (plain.upDown * 20e6) / (4e9 * 2.5e-3);
    expectWithin(bears(plain, 1), limit, 0.001);
    const strip = (width: number) => rod({ shape: 'rectangle', width, height: 6, material: 'carbon strip' });
    for (const width of [0.01, 0.05, 0.2, 0.8, 2]) {
      const more = composite([...board, rodFibre('s', strip(width), 0.05, 0)]);
      expect(bears(more, 1)).toBeGreaterThanOrEqual(bears(plain, 1) * 0.999);
    }
    expect(utilisation(plain, curvatureOf(plain, 1, 0)).isPressed).toBe(true);
    expect(bandOf(plain)).toBeGreaterThan(0.1);
  });
});

describe('loads', () => {
  test('a dive without drag gains the energy of its height; with drag it nears the last speed', () => {
    const given = { mass: 0.5, density: 1.225, from: 10, angle: Math.PI / 2, height: 20 };
    expectWithin(diveSpeed({ ...given, dragArea: 1e-12 }), Math.sqrt(100 + 2 * 9.80665 * 20), 1e-6);
    expectWithin(
      diveSpeed({ ...given, dragArea: 0.02, height: 5000 }),
      Math.sqrt((2 * 0.5 * 9.80665) / (1.225 * 0.02)),
      1e-6,
    );
    expect(diveSpeed({ ...given, dragArea: 0.02, angle: 0 })).toBe(10);
  });

  test('sinking at 1.5 m/s taken up over 12 mm: 1 + 1.5²/(2 g 0.012) = 10.56', () =>
    expectWithin(landingFactor(1.5, 0.012), 1 + 2.25 / (2 * 9.80665 * 0.012), 1e-9));

  test('a flap that is the whole chord resists by π/2, a narrow one by 16/(3π) √… falling to its limit', () => {
    expectWithin(hingeMomentSlope(1), Math.PI / 2, 0.01);
    // Glauert, R&M 1095: b₂ of a flap of 20 % about 0.88, of 40 % about 0.92 per radian of 2π theory.
    expect(hingeMomentSlope(0.2)).toBeGreaterThan(0.8);
    expect(hingeMomentSlope(0.2)).toBeLessThan(hingeMomentSlope(0.5));
  });
});
